import { WeekPlan } from '../features/plan/index.ts';
import { ReadinessPage } from '../features/readiness/ReadinessPage.tsx';

/** The first page of a trainee: the verdict, and what this week's plan makes of it. */
export function TraineeStart() {
  return (
    <ReadinessPage>
      <WeekPlan />
    </ReadinessPage>
  );
}
