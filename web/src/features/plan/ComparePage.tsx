import { plannedHandLoad, sessionMinutes, weekStartOf } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { choiceOf, SCHOOLS, type Schools, schoolsOf } from '@myokinet/core/schools';
import { useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useSchools } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { usePlansQuery } from './endpoints.ts';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import { withProposal, withSchools } from './planDraft.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { type KeptProposal, letGo, proposed, type ProposalState } from './proposals.ts';
import { howGood } from './ProposalNote.tsx';
import { SearchNote } from './SearchNote.tsx';
import { ServedTable } from './ServedTable.tsx';
import { usePlanDesk } from './usePlanDesk.ts';
import { usePlanner } from './usePlanner.ts';
import { usePlanRequest } from './usePlanRequest.ts';

const RHYTHMS = Object.keys(SCHOOLS.rhythm.choices) as readonly Schools['rhythm'][];
const FIRST_THREE: readonly Schools['rhythm'][] = ['training days', 'stability twice', 'one or two long'];
const MOST = 4;

/** Proposals side by side: the same trainee under different rhythms, or before and after a change of the brief. */
export function ComparePage() {
  const trainee = useCurrentTrainee();
  const { brief } = usePlanFacts();
  const from = weekStartOf(new Date());
  const plans = usePlansQuery({ traineeId: trainee.id, from, weeks: brief.weeks });
  if (plans.currentData) return <Comparison from={from} saved={plans.currentData} />;
  return plans.error ? <ProblemNote error={plans.error} retry={() => void plans.refetch()} /> : <Waiting />;
}

function Comparison({ from, saved }: { readonly from: CalendarDay; readonly saved: Parameters<typeof usePlanDesk>[2] }) {
  const trainee = useCurrentTrainee();
  const { brief } = usePlanFacts();
  const dispatch = useDispatch();
  const planner = usePlanner();
  const desk = usePlanDesk(trainee.id, { from, weeks: brief.weeks }, saved);
  const requestFor = usePlanRequest(from);
  const kept = useSelector((state: ProposalState) => state.proposals).filter((p) => p.traineeId === trainee.id);
  const [chosen, setChosen] = useState(FIRST_THREE);

  const plan = async () => {
    for (const rhythm of RHYTHMS.filter((r) => chosen.includes(r))) {
      const { name } = SCHOOLS.rhythm.choices[rhythm];
      const request = requestFor(desk.weeks, { now: new Date(), schools: { rhythm } });
      const proposal = await planner.propose(request, name);
      const keeps = request.input.kept.map((s) => s.id);
      if (!proposal) return;
      dispatch(
        proposed({ id: newId(), traineeId: trainee.id, label: name, from, weeks: brief.weeks, schools: { rhythm }, proposal, keeps }),
      );
    }
  };

  return (
    <>
      <fieldset className="no-print" disabled={planner.running !== undefined}>
        <legend className="font-semibold">Plan these weeks under</legend>
        <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
          {RHYTHMS.map((rhythm) => (
            <label key={rhythm} className="flex cursor-pointer items-center gap-1.5">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={chosen.includes(rhythm)}
                disabled={!chosen.includes(rhythm) && chosen.length >= MOST}
                onChange={(e) => setChosen(e.target.checked ? [...chosen, rhythm] : chosen.filter((r) => r !== rhythm))}
              />
              {SCHOOLS.rhythm.choices[rhythm].name}
            </label>
          ))}
          <button type="button" className="btn btn-sm btn-primary" disabled={chosen.length === 0} onClick={() => void plan()}>
            Plan and compare
          </button>
        </div>
      </fieldset>
      <SearchNote planner={planner} />
      {kept.length === 0 && !planner.running ? (
        <div className="mt-4">
          <Empty title="Nothing to compare yet">
            <p>
              Plan the same weeks under several rhythms, or plan on the desk, change the brief, and plan again: each proposal is kept here.
            </p>
          </Empty>
        </div>
      ) : (
        <div className="relative mt-3 grid items-start gap-4 overflow-x-auto md:auto-cols-[minmax(18rem,1fr)] md:grid-flow-col">
          {kept.map((one) => (
            <Column key={one.id} kept={one} use={usable(one, from, brief.weeks) ? () => desk.edit(laid(desk.weeks, one)) : undefined} />
          ))}
        </div>
      )}
    </>
  );
}

const usable = (one: KeptProposal, from: string, weeks: number) => one.from === from && one.weeks === weeks && !one.proposal.refusal;

function laid(weeks: ReturnType<typeof usePlanDesk>['weeks'], { proposal, schools, keeps }: KeptProposal) {
  const kept = weeks
    .flatMap((w) => w.sessions)
    .filter((s) => keeps.includes(s.id))
    .map((s) => ({ ...s, day: s.day as CalendarDay }));
  return withProposal(weeks, proposal, { kept }).map((w) => withSchools(w, { ...w.schools, ...schools }));
}

function Column({
  kept: { id, label, proposal, weeks, from, schools },
  use,
}: {
  readonly kept: KeptProposal;
  readonly use: (() => void) | undefined;
}) {
  const library = useFittedLibrary();
  const dispatch = useDispatch();
  const navigate = useNavigate();
  const studio = useSchools();
  const { sessions, solved, served, notes, refusal } = proposal;
  const byWeek = Array.from({ length: weeks }, (_, w) =>
    sessions.filter((s) => Math.floor((Date.parse(s.day) - Date.parse(from)) / 604_800_000 + 1e-6) === w),
  );
  return (
    <section aria-label={label} className="sheet min-w-0 p-3 text-sm">
      <h3>{label}</h3>
      <p className="aside">{choiceOf('rhythm', schoolsOf(studio, schools)).holds}</p>
      {refusal ? (
        <p className="mt-2 border-s-4 border-warning ps-2">{refusal}</p>
      ) : (
        <>
          {solved && (
            <p className="mt-1">
              {howGood(solved)} Worth {solved.objective.toFixed(0)} by the planner’s measure.
            </p>
          )}
          <table className="plain-table dense mt-2 w-full tabular-nums">
            <caption className="sr-only">Weeks of {label}</caption>
            <thead>
              <tr>
                <th scope="col">Week</th>
                <th scope="col" className="text-end">
                  Sessions
                </th>
                <th scope="col" className="text-end">
                  Minutes
                </th>
                <th scope="col" className="text-end">
                  Push
                </th>
                <th scope="col" className="text-end">
                  Pull
                </th>
              </tr>
            </thead>
            <tbody>
              {byWeek.map((week, w) => {
                const load = plannedHandLoad(
                  week.flatMap((s) => s.items),
                  library,
                );
                return (
                  <tr key={w}>
                    <th scope="row" className="font-normal">
                      {w + 1}
                    </th>
                    <td className="text-end">{week.length}</td>
                    <td className="text-end">{Math.round(week.reduce((sum, s) => sum + sessionMinutes(s.items, library, s.form), 0))}</td>
                    <td className="text-end">{Math.round(load.push)}</td>
                    <td className="text-end">{Math.round(load.pull)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <div className="mt-3">
            <ServedTable served={served} />
          </div>
          <ul className="mt-2 list-disc ps-5 leading-snug">
            {notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        </>
      )}
      <div className="no-print mt-3 flex gap-2">
        <button
          type="button"
          className="btn btn-sm"
          disabled={!use}
          onClick={() => {
            use?.();
            void navigate('..', { relative: 'path' });
          }}
        >
          Put it on the desk
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => dispatch(letGo(id))}>
          Let it go
        </button>
      </div>
    </section>
  );
}
