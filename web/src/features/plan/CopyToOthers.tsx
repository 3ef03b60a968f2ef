import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { fittedTo } from '@myokinet/core/library';
import { fitTemplate, type PlannedSession, templateOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { traineeBody } from '@myokinet/core/statics';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { newId } from '../../client/newId.ts';
import { problemFrom } from '../../client/problem.ts';
import type { Dispatch } from '../../client/store.ts';
import { useCaseloadQuery } from '../caseload/index.ts';
import { planEndpoints } from './endpoints.ts';
import { factsOf } from './factsOf.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { nextPlan, withProposal } from './planDraft.ts';

interface CopyToOthersProps {
  readonly sessions: readonly PlannedSession[];
  readonly from: CalendarDay;
  readonly weeks: number;
  readonly now: Date;
}

/** The same sessions for others who train along: each in their own set-ups and doses, saved in their own plans. */
export function CopyToOthers({ sessions, from, weeks, now }: CopyToOthersProps) {
  const me = useCurrentTrainee();
  const { data: caseload = [] } = useCaseloadQuery();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [said, setSaid] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const copyTo = useCopyTo({ from, weeks, now });

  const copy = async () => {
    setBusy(true);
    const lines: string[] = [];
    for (const id of ticked) {
      const name = caseload.find((c) => c.id === id)?.name ?? id;
      lines.push(`${name}: ${await copyTo(id, sessions)}`);
      setSaid([...lines]);
    }
    setBusy(false);
    setTicked([]);
  };

  return (
    <fieldset className="md:col-span-2">
      <legend className="font-semibold">Copy these weeks to others who train along</legend>
      <p className="aside">
        The same days and drills, in each one’s own set-ups and doses; what may not be planned for somebody is left out and said. Sessions
        of theirs on the same days are replaced, except those that are over.
      </p>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {caseload
          .filter(({ id }) => id !== me.id)
          .map(({ id, name }) => (
            <label key={id} className="flex cursor-pointer items-center gap-1.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={ticked.includes(id)}
                onChange={(e) => setTicked(e.target.checked ? [...ticked, id] : ticked.filter((t) => t !== id))}
              />
              {name}
            </label>
          ))}
      </div>
      <button
        type="button"
        className="btn btn-sm mt-2"
        disabled={busy || ticked.length === 0 || sessions.length === 0}
        onClick={() => void copy()}
      >
        {busy ? 'Copying…' : `Copy to ${ticked.length} ${ticked.length === 1 ? 'trainee' : 'trainees'}`}
      </button>
      {said.length > 0 && (
        <ul role="status" className="mt-1 list-disc ps-5">
          {said.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      )}
    </fieldset>
  );
}

function useCopyTo({ from, weeks, now }: Omit<CopyToOthersProps, 'sessions'>) {
  const library = useLibrary();
  const dispatch = useDispatch<Dispatch>();
  return async (traineeId: string, sessions: readonly PlannedSession[]): Promise<string> => {
    try {
      const { trainee, readiness, brief, saved, done } = await factsOf(dispatch, traineeId, { from, weeks });
      const today = calendarDay(now);
      const { sessions: fitted, notes } = fitTemplate(templateOf(sessions, from), {
        library: fittedTo(library, traineeBody(trainee)),
        cautions: trainee.screening.cautions,
        foothold: { ladderId: readiness.ladderId, here: readiness.standing.here, shown: readiness.planner.shown },
        brief,
        knownDrills: readiness.planner.knownDrills,
        weekStart: from,
        notBefore: today,
        newId,
      });
      const plans = mergedWeeks(saved, fitted, {
        from,
        weeks,
        today,
        notes,
        done,
      });
      await dispatch(planEndpoints.savePlans.initiate({ traineeId, body: { revision: newId(), plans: [...plans] } })).unwrap();
      return `saved, ${fitted.length} sessions.${notes.length > 0 ? ` ${notes.join(' ')}` : ''}`;
    } catch (error) {
      return `not saved. ${problemFrom(error)?.sentence ?? 'The server did not answer.'}`;
    }
  };
}

interface Laying {
  readonly from: CalendarDay;
  readonly weeks: number;
  readonly today: CalendarDay;
  readonly notes: readonly string[];
  /** Planned sessions that are logged. */
  readonly done: ReadonlySet<string>;
}

/** Their weeks with the copied sessions in place of those on the same days. */
function mergedWeeks(
  saved: readonly PlanReply[],
  fitted: readonly PlannedSession[],
  { from, weeks, today, notes, done }: Laying,
): readonly PlanDto[] {
  const days = new Set(fitted.map((s) => s.day as string));
  const theirs = Array.from({ length: weeks }, (_, i) => {
    const weekStart = weeksLater(from, i);
    return nextPlan(weekStart, saved.find((s) => s.weekStart === weekStart) ?? null);
  });
  const kept = theirs.flatMap((w) => w.sessions).filter((s) => s.day < today || done.has(s.id) || !days.has(s.day));
  return withProposal(
    theirs,
    { sessions: fitted, served: [], notes: [...notes], leftOut: [] },
    { kept: kept.map((s) => ({ ...s, day: s.day as CalendarDay })) },
  );
}
