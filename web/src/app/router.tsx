import { createBrowserRouter } from 'react-router';
import { Waiting } from '../pieces/Waiting.tsx';
import { NotHere } from './NotHere.tsx';
import { Shell } from './Shell.tsx';

export const router = createBrowserRouter([
  {
    path: '/floor/:runIds',
    ErrorBoundary: NotHere,
    HydrateFallback: Waiting,
    lazy: async () => ({ Component: (await import('../floor/FloorPage.tsx')).FloorPage }),
  },
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: NotHere,
    HydrateFallback: Waiting,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../today/TodayPage.tsx')).TodayPage }) },
      { path: 'rechecks', lazy: async () => ({ Component: (await import('../caseload/RechecksPage.tsx')).RechecksPage }) },
      { path: 'measuring', lazy: async () => ({ Component: (await import('../measuring/MeasuringPage.tsx')).MeasuringPage }) },
      { path: 'caseload', lazy: async () => ({ Component: (await import('../caseload/CaseloadPage.tsx')).CaseloadPage }) },
      {
        lazy: async () => ({ Component: (await import('../library/LibraryGate.tsx')).LibraryGate }),
        children: [
          { path: 'trainees/new', lazy: async () => ({ Component: (await import('../trainee/NewTraineePage.tsx')).NewTraineePage }) },
          {
            path: 'trainees/:traineeId',
            lazy: async () => ({ Component: (await import('../trainee/TraineeGate.tsx')).TraineeGate }),
            children: [
              { path: 'run', lazy: async () => ({ Component: (await import('../run/RunPage.tsx')).RunPage }) },
              {
                lazy: async () => ({ Component: (await import('../trainee/TraineeLayout.tsx')).TraineeLayout }),
                children: [
                  { index: true, lazy: async () => ({ Component: (await import('../readiness/ReadinessPage.tsx')).ReadinessPage }) },
                  { path: 'screen', lazy: async () => ({ Component: (await import('../screen/ScreenPage.tsx')).ScreenPage }) },
                  { path: 'checks', lazy: async () => ({ Component: (await import('../checks/ChecksPage.tsx')).ChecksPage }) },
                  { path: 'checks/new', lazy: async () => ({ Component: (await import('../checks/TakeCheckPage.tsx')).TakeCheckPage }) },
                  { path: 'history', lazy: async () => ({ Component: (await import('../history/HistoryPage.tsx')).HistoryPage }) },
                  { path: 'pictures', lazy: async () => ({ Component: (await import('../pictures/PicturesPage.tsx')).PicturesPage }) },
                  { path: 'lab', lazy: async () => ({ Component: (await import('../lab/LabPage.tsx')).LabPage }) },
                  { path: 'lab/ladder', lazy: async () => ({ Component: (await import('../lab/LadderLoadsPage.tsx')).LadderLoadsPage }) },
                  {
                    path: 'plan',
                    lazy: async () => ({ Component: (await import('../plan/PlanGate.tsx')).PlanGate }),
                    children: [
                      { index: true, lazy: async () => ({ Component: (await import('../plan/PlanPage.tsx')).PlanPage }) },
                      { path: 'calendar', lazy: async () => ({ Component: (await import('../plan/CalendarPage.tsx')).CalendarPage }) },
                      { path: 'brief', lazy: async () => ({ Component: (await import('../plan/BriefPage.tsx')).BriefPage }) },
                      { path: 'compare', lazy: async () => ({ Component: (await import('../plan/ComparePage.tsx')).ComparePage }) },
                    ],
                  },
                  { path: 'record', lazy: async () => ({ Component: (await import('../record/RecordPage.tsx')).RecordPage }) },
                  { path: 'workload', lazy: async () => ({ Component: (await import('../workload/WorkloadPage.tsx')).WorkloadPage }) },
                  { path: 'floor', lazy: async () => ({ Component: (await import('../floor/StartPage.tsx')).StartPage }) },
                  { path: 'session', lazy: async () => ({ Component: (await import('../session/LogSessionPage.tsx')).LogSessionPage }) },
                  { path: 'profile', lazy: async () => ({ Component: (await import('../trainee/ProfilePage.tsx')).ProfilePage }) },
                ],
              },
            ],
          },
          {
            path: 'library',
            lazy: async () => ({ Component: (await import('../library/LibraryLayout.tsx')).LibraryLayout }),
            children: [
              { index: true, lazy: async () => ({ Component: (await import('../library/DrillsPage.tsx')).DrillsPage }) },
              { path: 'drills/:drillId', lazy: async () => ({ Component: (await import('../library/DrillPage.tsx')).DrillPage }) },
              {
                path: 'drills/:drillId/edit',
                lazy: async () => ({ Component: (await import('../library/EditDrillPage.tsx')).EditDrillPage }),
              },
              { path: 'ladders', lazy: async () => ({ Component: (await import('../library/LaddersPage.tsx')).LaddersPage }) },
              { path: 'ladders/:ladderId', lazy: async () => ({ Component: (await import('../library/LadderPage.tsx')).LadderPage }) },
              {
                path: 'ladders/:ladderId/edit',
                lazy: async () => ({ Component: (await import('../library/EditLadderPage.tsx')).EditLadderPage }),
              },
              { path: 'bands', lazy: async () => ({ Component: (await import('../lab/BandsPage.tsx')).BandsPage }) },
              { path: 'faults', lazy: async () => ({ Component: (await import('../library/FaultsPage.tsx')).FaultsPage }) },
              { path: 'cautions', lazy: async () => ({ Component: (await import('../library/CautionsPage.tsx')).CautionsPage }) },
              { path: 'schools', lazy: async () => ({ Component: (await import('../library/SchoolsPage.tsx')).SchoolsPage }) },
              { path: 'exchange', lazy: async () => ({ Component: (await import('../library/ExchangePage.tsx')).ExchangePage }) },
            ],
          },
        ],
      },
      { path: '*', Component: NotHere },
    ],
  },
]);
