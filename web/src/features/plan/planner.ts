import type { PlanProposal, SearchProgress } from '@myokinet/core/planning';
import { proxy, wrap } from 'comlink';
import type { Planner, PlanRequest } from './plannerWorker.ts';

/** A search that runs beside the page. */
export interface Search {
  /** The proposal; `undefined` when it was given up. */
  readonly answer: Promise<PlanProposal | undefined>;
  /** Ends it with the best plan found so far, or with none. */
  readonly end: (how: 'take the best' | 'give up') => void;
}

/** Plans beside the page. Each search has a worker of its own, since a solver can only be stopped by ending it. */
export function planAside(request: PlanRequest, onProgress: (progress: SearchProgress) => void): Search {
  const worker = new Worker(new URL('./plannerWorker.ts', import.meta.url), { type: 'module' });
  let best: PlanProposal | undefined;
  let end: Search['end'] = () => undefined;
  const ended = new Promise<PlanProposal | undefined>((resolve) => {
    end = (how) => {
      resolve(how === 'take the best' ? best : undefined);
    };
  });
  const told = (progress: SearchProgress) => {
    if (progress.plan) best = progress.plan;
    onProgress(progress);
  };
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => {
      reject(new Error(event.message || 'The planner could not be started.'));
    });
  });
  const answer = Promise.race([wrap<Planner>(worker).propose(request, proxy(told)), ended, failed]).finally(() => {
    worker.terminate();
  });
  return { answer, end };
}
