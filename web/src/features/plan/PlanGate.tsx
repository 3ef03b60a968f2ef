import type { PlanBriefReply, ReadinessReply, RecordReply } from '@myokinet/core/contracts';
import { createContext, use } from 'react';
import { NavLink, Outlet } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useBriefQuery } from './endpoints.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useRecordQuery } from '../record/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';

/** What every page of planning rests on. */
export interface PlanFacts {
  readonly readiness: ReadinessReply;
  readonly record: RecordReply;
  readonly brief: PlanBriefReply;
  /** Planned sessions that are logged. */
  readonly done: ReadonlySet<string>;
}

const PlanFactsContext = createContext<PlanFacts | undefined>(undefined);

export function usePlanFacts(): PlanFacts {
  const facts = use(PlanFactsContext);
  if (!facts) throw new Error('Pages of planning stand inside a PlanGate.');
  return facts;
}

const VIEWS = [
  { to: '.', label: 'Weeks' },
  { to: 'calendar', label: 'Calendar' },
  { to: 'brief', label: 'Brief' },
  { to: 'compare', label: 'Compare' },
] as const;

/** Loads readiness, record and brief, and offers the views of a plan. */
export function PlanGate() {
  const trainee = useCurrentTrainee();
  const readiness = useReadinessQuery(trainee.id);
  const record = useRecordQuery(trainee.id);
  const brief = useBriefQuery(trainee.id);
  const queries = [readiness, record, brief];
  const failed = queries.find((q) => q.error && !q.data)?.error;
  return (
    <div className="px-4 py-3 sm:px-6">
      <nav aria-label="Views of the plan" className="no-print mb-2 flex flex-wrap gap-x-4">
        {VIEWS.map(({ to, label }) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) => `border-b-2 pb-0.5 ${isActive ? 'border-primary font-semibold' : 'border-transparent'}`}
          >
            {label}
          </NavLink>
        ))}
      </nav>
      {readiness.data && record.data && brief.data ? (
        <PlanFactsContext
          value={{
            readiness: readiness.data,
            record: record.data,
            brief: brief.data,
            done: new Set(record.data.sessions.flatMap((s) => s.plannedSessionId ?? [])),
          }}
        >
          <Outlet context={trainee} />
        </PlanFactsContext>
      ) : failed ? (
        <ProblemNote error={failed} retry={() => queries.forEach((q) => void q.refetch())} />
      ) : (
        <Waiting />
      )}
    </div>
  );
}
