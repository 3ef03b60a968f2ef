import type { GroupReply } from '@myokinet/core/contracts';
import { dayShort, daysLater, weekStartOf } from '@myokinet/core/planning';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { Link } from 'react-router';
import { clock } from '../../client/clock.ts';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { problemFrom } from '../../client/problem.ts';
import type { Dispatch } from '../../client/store.ts';
import { useCaseloadQuery } from '../caseload/index.ts';
import { planFor, type PlannedFor } from '../plan/index.ts';
import { WEEKDAY_NAMES } from './words.ts';

const WEEKS = 4;

interface Said {
  readonly id: string;
  readonly words: string;
}

/** Weeks for everybody of a group in one go, on its days, each within their own limits. */
export function PlanForAll({ group }: { readonly group: GroupReply }) {
  const dispatch = useDispatch<Dispatch>();
  const library = useLibrary();
  const schools = useSchools();
  const { data: caseload = [] } = useCaseloadQuery();
  const [said, setSaid] = useState<readonly Said[]>([]);
  const [at, setAt] = useState<string | undefined>();
  const now = clock.now();
  const from = daysLater(weekStartOf(now), 7);
  const nameOf = (id: string) => caseload.find((c) => c.id === id)?.name ?? 'Somebody';
  const plan = async () => {
    const lines: Said[] = [];
    setSaid([]);
    const days = group.days.map(({ weekday, time }) => ({ weekday: WEEKDAY_NAMES[weekday - 1] ?? 'Monday', at: time }));
    const ofADay = days.filter((d, i) => days.findIndex((other) => other.weekday === d.weekday) === i);
    for (const id of group.memberIds.toSorted((a, b) => nameOf(a).localeCompare(nameOf(b)))) {
      setAt(nameOf(id));
      try {
        const outcome = await planFor(dispatch, id, { from, weeks: WEEKS, days: ofADay, library, schools, now });
        lines.push({ id, words: outcomeInWords(outcome) });
      } catch (error) {
        lines.push({ id, words: `not saved. ${problemFrom(error)?.sentence ?? 'The server did not answer.'}` });
      }
      setSaid([...lines]);
    }
    setAt(undefined);
  };
  return (
    <section className="mt-6" aria-label="Plan for all">
      <h2 className="border-b-2 border-base-content pb-1">Plan for all</h2>
      <div className="mt-1 flex flex-wrap items-center gap-4">
        <p className="max-w-prose">
          {WEEKS} weeks from {dayShort(from)} on the days of this group, for each within their own limits. Who has sessions in these weeks
          already keeps them.
        </p>
        <button type="button" className="btn btn-sm" disabled={at !== undefined || group.days.length === 0} onClick={() => void plan()}>
          {at === undefined ? `Plan for ${group.memberIds.length}` : `Planning for ${at}…`}
        </button>
      </div>
      {group.days.length === 0 && <p className="aside">Name a usual day first.</p>}
      <div role="status">
        <ul className="mt-1">
          {said.map(({ id, words }) => (
            <li key={id}>
              <Link className="link" to={`/trainees/${id}/plan?from=${from}`}>
                {nameOf(id)}
              </Link>
              : {words}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

function outcomeInWords(outcome: PlannedFor): string {
  switch (outcome.answer) {
    case 'planned':
      return `${outcome.sessions} sessions, saved. Look through them before the first.`;
    case 'has a plan':
      return 'has sessions in these weeks; left as they are.';
    case 'refused':
      return `no plan. ${outcome.why}`;
  }
}
