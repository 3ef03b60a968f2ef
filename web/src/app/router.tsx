import type { ComponentType } from 'react';
import { createBrowserRouter } from 'react-router';
import { Waiting } from '../kit/Waiting.tsx';
import { AccountGate } from '../features/account/AccountGate.tsx';
import { NotHere } from './NotHere.tsx';
import { Shell } from './Shell.tsx';

/** A page that is fetched when it is first opened. */
const page =
  <Name extends string>(load: () => Promise<Readonly<Record<Name, ComponentType>>>, name: Name) =>
  async () => ({ Component: (await load())[name] });

export const router = createBrowserRouter([
  // Help is never behind a sign-in.
  {
    path: '/emergency/:traineeId/:emergencyId',
    ErrorBoundary: NotHere,
    HydrateFallback: Waiting,
    lazy: page(() => import('../features/emergency/EmergencyPage.tsx'), 'EmergencyPage'),
  },
  {
    Component: AccountGate,
    ErrorBoundary: NotHere,
    children: [
      {
        path: '/floor/:runIds',
        ErrorBoundary: NotHere,
        HydrateFallback: Waiting,
        lazy: page(() => import('../features/floor/FloorPage.tsx'), 'FloorPage'),
      },
      {
        path: '/class/:classId',
        ErrorBoundary: NotHere,
        HydrateFallback: Waiting,
        lazy: page(() => import('../features/classes/ClassPage.tsx'), 'ClassPage'),
      },
      {
        path: '/class/:classId/wall',
        ErrorBoundary: NotHere,
        HydrateFallback: Waiting,
        lazy: page(() => import('../features/classes/WallPage.tsx'), 'WallPage'),
      },
      {
        path: '/',
        Component: Shell,
        ErrorBoundary: NotHere,
        HydrateFallback: Waiting,
        children: [
          // Outside the gate: what is on this device is found without the server too.
          { index: true, lazy: page(() => import('../features/today/TodayPage.tsx'), 'TodayPage') },
          {
            lazy: page(() => import('../features/library/LibraryGate.tsx'), 'LibraryGate'),
            children: [
              { path: 'routine/:routineId', lazy: page(() => import('../features/routines/RunRoutinePage.tsx'), 'RunRoutinePage') },
              { path: 'groups', lazy: page(() => import('../features/groups/GroupsPage.tsx'), 'GroupsPage') },
              { path: 'groups/:groupId', lazy: page(() => import('../features/groups/GroupPage.tsx'), 'GroupPage') },
              { path: 'class/new', lazy: page(() => import('../features/classes/StartClassPage.tsx'), 'StartClassPage') },
              { path: 'rechecks', lazy: page(() => import('../features/caseload/RechecksPage.tsx'), 'RechecksPage') },
              { path: 'looking-back', lazy: page(() => import('../features/lookback/LookingBackPage.tsx'), 'LookingBackPage') },
              { path: 'measuring', lazy: page(() => import('../features/measuring/MeasuringPage.tsx'), 'MeasuringPage') },
              { path: 'caseload', lazy: page(() => import('../features/caseload/CaseloadPage.tsx'), 'CaseloadPage') },
              { path: 'trainees/new', lazy: page(() => import('../features/trainee/NewTraineePage.tsx'), 'NewTraineePage') },
              {
                path: 'trainees/:traineeId',
                lazy: page(() => import('../features/trainee/TraineeGate.tsx'), 'TraineeGate'),
                children: [
                  { path: 'battery', lazy: page(() => import('../features/battery/BatteryPage.tsx'), 'BatteryPage') },
                  {
                    lazy: page(() => import('../features/trainee/TraineeLayout.tsx'), 'TraineeLayout'),
                    children: [
                      { index: true, lazy: page(() => import('./TraineeStart.tsx'), 'TraineeStart') },
                      { path: 'screening', lazy: page(() => import('../features/screening/ScreeningPage.tsx'), 'ScreeningPage') },
                      { path: 'checks', lazy: page(() => import('../features/checks/ChecksPage.tsx'), 'ChecksPage') },
                      { path: 'checks/new', lazy: page(() => import('../features/checks/TakeCheckPage.tsx'), 'TakeCheckPage') },
                      { path: 'history', lazy: page(() => import('../features/history/HistoryPage.tsx'), 'HistoryPage') },
                      { path: 'pictures', lazy: page(() => import('../features/pictures/PicturesPage.tsx'), 'PicturesPage') },
                      { path: 'lab', lazy: page(() => import('../features/lab/LabPage.tsx'), 'LabPage') },
                      { path: 'lab/ladder', lazy: page(() => import('../features/lab/LadderLoadsPage.tsx'), 'LadderLoadsPage') },
                      {
                        path: 'plan',
                        lazy: page(() => import('../features/plan/PlanGate.tsx'), 'PlanGate'),
                        children: [
                          { index: true, lazy: page(() => import('../features/plan/PlanPage.tsx'), 'PlanPage') },
                          { path: 'calendar', lazy: page(() => import('../features/plan/CalendarPage.tsx'), 'CalendarPage') },
                          { path: 'brief', lazy: page(() => import('../features/plan/BriefPage.tsx'), 'BriefPage') },
                          { path: 'compare', lazy: page(() => import('../features/plan/ComparePage.tsx'), 'ComparePage') },
                        ],
                      },
                      { path: 'paper', lazy: page(() => import('../features/paper/PaperPage.tsx'), 'PaperPage') },
                      { path: 'record', lazy: page(() => import('../features/record/RecordPage.tsx'), 'RecordPage') },
                      { path: 'workload', lazy: page(() => import('../features/workload/WorkloadPage.tsx'), 'WorkloadPage') },
                      { path: 'floor', lazy: page(() => import('../features/floor/StartPage.tsx'), 'StartPage') },
                      { path: 'session', lazy: page(() => import('../features/session/LogSessionPage.tsx'), 'LogSessionPage') },
                      { path: 'profile', lazy: page(() => import('../features/trainee/ProfilePage.tsx'), 'ProfilePage') },
                    ],
                  },
                ],
              },
              {
                path: 'library',
                lazy: page(() => import('../features/library/LibraryLayout.tsx'), 'LibraryLayout'),
                children: [
                  { index: true, lazy: page(() => import('../features/library/DrillsPage.tsx'), 'DrillsPage') },
                  {
                    path: 'drills/:drillId',
                    lazy: page(() => import('../features/library/DrillPage.tsx'), 'DrillPage'),
                    children: [{ index: true, lazy: page(() => import('../features/plan/MayDoPage.tsx'), 'MayDoPage') }],
                  },
                  {
                    path: 'drills/:drillId/edit',
                    lazy: page(() => import('../features/library/EditDrillPage.tsx'), 'EditDrillPage'),
                  },
                  { path: 'routines', lazy: page(() => import('../features/routines/RoutinesPage.tsx'), 'RoutinesPage') },
                  { path: 'routines/:routineId', lazy: page(() => import('../features/routines/RoutineDeskPage.tsx'), 'RoutineDeskPage') },
                  { path: 'movements', lazy: page(() => import('../features/library/MovementsPage.tsx'), 'MovementsPage') },
                  { path: 'ladders', lazy: page(() => import('../features/library/LaddersPage.tsx'), 'LaddersPage') },
                  { path: 'ladders/:ladderId', lazy: page(() => import('../features/library/LadderPage.tsx'), 'LadderPage') },
                  {
                    path: 'ladders/:ladderId/edit',
                    lazy: page(() => import('../features/library/EditLadderPage.tsx'), 'EditLadderPage'),
                  },
                  { path: 'checks', lazy: page(() => import('../features/library/MeasuresPage.tsx'), 'MeasuresPage') },
                  { path: 'checks/:measureId', lazy: page(() => import('../features/library/MeasurePage.tsx'), 'MeasurePage') },
                  {
                    path: 'checks/:measureId/edit',
                    lazy: page(() => import('../features/library/EditMeasurePage.tsx'), 'EditMeasurePage'),
                  },
                  { path: 'gates', lazy: page(() => import('../features/gates/GatesPage.tsx'), 'GatesPage') },
                  { path: 'bands', lazy: page(() => import('../features/lab/BandsPage.tsx'), 'BandsPage') },
                  { path: 'faults', lazy: page(() => import('../features/library/FaultsPage.tsx'), 'FaultsPage') },
                  { path: 'cautions', lazy: page(() => import('../features/library/CautionsPage.tsx'), 'CautionsPage') },
                  { path: 'schools', lazy: page(() => import('../features/library/SchoolsPage.tsx'), 'SchoolsPage') },
                  { path: 'exchange', lazy: page(() => import('../features/library/ExchangePage.tsx'), 'ExchangePage') },
                ],
              },
            ],
          },
          { path: 'settings', lazy: page(() => import('../features/account/SettingsPage.tsx'), 'SettingsPage') },
          { path: 'people', lazy: page(() => import('../features/account/PeoplePage.tsx'), 'PeoplePage') },
          { path: '*', Component: NotHere },
        ],
      },
    ],
  },
]);
