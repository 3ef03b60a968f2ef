import { createBrowserRouter } from 'react-router';
import { NotHere } from './NotHere.tsx';
import { Shell } from './Shell.tsx';
import { Waiting } from '../pieces/Waiting.tsx';

export const router = createBrowserRouter([
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: NotHere,
    HydrateFallback: Waiting,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../today/TodayPage.tsx')).TodayPage }) },
      { path: 'caseload', lazy: async () => ({ Component: (await import('../caseload/CaseloadPage.tsx')).CaseloadPage }) },
      { path: 'trainees/new', lazy: async () => ({ Component: (await import('../trainee/NewTraineePage.tsx')).NewTraineePage }) },
      {
        path: 'trainees/:traineeId',
        lazy: async () => ({ Component: (await import('../trainee/TraineeLayout.tsx')).TraineeLayout }),
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../readiness/ReadinessPage.tsx')).ReadinessPage }) },
          { path: 'checks', lazy: async () => ({ Component: (await import('../checks/ChecksPage.tsx')).ChecksPage }) },
          { path: 'checks/new', lazy: async () => ({ Component: (await import('../checks/TakeCheckPage.tsx')).TakeCheckPage }) },
          { path: 'plan', lazy: async () => ({ Component: (await import('../plan/PlanPage.tsx')).PlanPage }) },
          { path: 'record', lazy: async () => ({ Component: (await import('../record/RecordPage.tsx')).RecordPage }) },
          { path: 'session', lazy: async () => ({ Component: (await import('../session/LogSessionPage.tsx')).LogSessionPage }) },
          { path: 'profile', lazy: async () => ({ Component: (await import('../trainee/ProfilePage.tsx')).ProfilePage }) },
        ],
      },
      { path: '*', Component: NotHere },
    ],
  },
]);
