import type { PlanProposal, SearchProgress } from '@myokinet/core/planning';
import { useEffect, useRef, useState } from 'react';
import { planAside, type Search } from './planner.ts';
import type { PlanRequest } from './plannerWorker.ts';

/** A search as the page shows it. */
export interface Running extends Omit<SearchProgress, 'plan'> {
  readonly label: string;
  /** There is a plan to take. */
  readonly found: boolean;
  /** Seconds that it usually takes at most. */
  readonly limit: number;
}

/** Searches for plans beside the page, one at a time; leaving the page ends them. */
export function usePlanner() {
  const [running, setRunning] = useState<Running | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const search = useRef<Search | undefined>(undefined);
  useEffect(() => () => search.current?.end('give up'), []);

  const propose = async (request: PlanRequest, label: string): Promise<PlanProposal | undefined> => {
    setProblem(undefined);
    setRunning({ label, limit: request.seconds, seconds: 0, found: false });
    const began = performance.now();
    const clock = window.setInterval(() => {
      setRunning((r) => r && { ...r, seconds: (performance.now() - began) / 1000 });
    }, 200);
    try {
      const started = planAside(request, ({ plan, ...progress }) => {
        setRunning((r) => r && { ...r, ...progress, found: r.found || plan !== undefined, seconds: Math.max(r.seconds, progress.seconds) });
      });
      search.current = started;
      return await started.answer;
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
      return undefined;
    } finally {
      window.clearInterval(clock);
      search.current = undefined;
      setRunning(undefined);
    }
  };

  return {
    running,
    problem,
    propose,
    takeBest: () => search.current?.end('take the best'),
    giveUp: () => search.current?.end('give up'),
  };
}

export type PlannerHandle = ReturnType<typeof usePlanner>;
