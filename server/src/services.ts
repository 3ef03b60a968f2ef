import { caseloadStore, type CaseloadStore } from './caseload/store.ts';
import { checkStore, type CheckStore } from './checks/store.ts';
import { clearanceStore, type ClearanceStore } from './clearances/store.ts';
import type { Context } from './context.ts';
import { planStore, type PlanStore } from './plans/store.ts';
import { readinessStore, type ReadinessStore } from './readiness/store.ts';
import { sessionStore, type SessionStore } from './sessions/store.ts';
import { traineeStore, type TraineeStore } from './trainees/store.ts';

/** The stores, wired once; routes see nothing else. */
export interface Services {
  readonly now: () => Date;
  readonly trainees: TraineeStore;
  readonly checks: CheckStore;
  readonly plans: PlanStore;
  readonly clearances: ClearanceStore;
  readonly sessions: SessionStore;
  readonly readiness: ReadinessStore;
  readonly caseload: CaseloadStore;
}

export function servicesFor(context: Context): Services {
  const trainees = traineeStore(context);
  const clearances = clearanceStore(context);
  const sessions = sessionStore(context, trainees, clearances);
  const readiness = readinessStore(context, trainees, sessions);
  return {
    now: context.now,
    trainees,
    checks: checkStore(context, trainees),
    plans: planStore(context, trainees),
    clearances,
    sessions,
    readiness,
    caseload: caseloadStore(context, readiness),
  };
}
