import { exclusionByCaution } from '@myokinet/core/library';
import { mayDo, mayInWords, sessionMinutes, weekStartOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay, dayInWords } from '@myokinet/core/quantities';
import { schoolsOf } from '@myokinet/core/schools';
import { lockInWords } from '@myokinet/core/words';
import { format, parseISO } from 'date-fns';
import { Play } from 'lucide-react';
import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { clock } from '../../client/clock.ts';
import type { Problem } from '../../client/problem.ts';
import { useTodayQuery } from '../caseload/index.ts';
import { useFloorRunsQuery } from './endpoints.ts';
import { usePlansQuery } from '../plan/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useRecordQuery } from '../record/index.ts';
import { BeforeSession, type ReadyToStart } from '../screening/index.ts';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import type { FloorHome } from './floorSync.ts';
import { safetyChecks } from './safetyChecks.ts';
import { sessionToday, startRuns, type ToRun } from './startRuns.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

const MOST_OTHERS = 5;

/** Before the floor: which session, with whom, and what to look at first. */
export function StartPage() {
  const trainee = useCurrentTrainee();
  const library = useLibrary();
  const fitted = useFittedLibrary();
  const studio = useSchools();
  const home = useStore() as FloorHome;
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const [now] = useState(() => clock.now());
  const from = weeksLater(weekStartOf(now), -1);
  const plans = usePlansQuery({ traineeId: trainee.id, from, weeks: 2 });
  const record = useRecordQuery(trainee.id);
  const readiness = useReadinessQuery(trainee.id);
  const runs = useFloorRunsQuery(trainee.id, { refetchOnMountOrArgChange: true });
  const today = useTodayQuery();
  const [others, setOthers] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<Readonly<Record<string, ReadyToStart>>>({});
  const onState = useCallback((id: string, state: ReadyToStart) => setAsked((all) => ({ ...all, [id]: state })), []);
  const [starting, setStarting] = useState(false);
  const [problem, setProblem] = useState<Problem | undefined>();

  const queries = [plans, record, readiness, runs];
  if (!plans.data || !record.data || !readiness.data || !runs.data) {
    const failed = queries.find((q) => q.error)?.error;
    return failed ? <ProblemNote error={failed} retry={() => queries.forEach((q) => void q.refetch())} /> : <Waiting />;
  }
  const day = calendarDay(now);
  const sessions = plans.data
    .flatMap((plan) =>
      plan.sessions.map((session): ToRun => ({ traineeId: trainee.id, session, schools: schoolsOf(studio, plan.schools) })),
    )
    .filter(({ session }) => session.items.length > 0)
    .sort((a, b) => distance(a.session.day, day) - distance(b.session.day, day));
  const done = new Set(record.data.sessions.map((s) => s.plannedSessionId));
  const chosen =
    sessions.find(({ session }) => session.id === search.get('planned')) ?? sessions.find((s) => !done.has(s.session.id)) ?? sessions[0];
  const isDone = chosen !== undefined && done.has(chosen.session.id);
  const underWay = runs.data.filter((r) => !r.ended && !r.unreadable);
  const unreadable = runs.data.flatMap((r) => r.unreadable ?? []);
  const holds = [
    ...readiness.data.stopSigns.filter((s) => !s.closure).map((s) => s.reason),
    // A fever closes everything, and is said where it was asked about.
    ...trainee.screening.locks
      .filter((lock) => lock.code !== 'caution' || lock.caution.id !== 'fever' || asked[trainee.id] !== 'wait')
      .map((lock) => lockInWords(lock, now)),
  ];
  const closed = (chosen?.session.items ?? [])
    .map((i) => library.asPlanned(i))
    .filter((d) => exclusionByCaution(d, trainee.screening.cautions))
    .map((d) => d.name);
  const { planner, ladderId, standing } = readiness.data;
  const facts = {
    ...{ library: fitted, cautions: trainee.screening.cautions, knownDrills: planner.knownDrills },
    foothold: { ladderId, here: standing.here, shown: planner.shown },
  };
  const beyond = (chosen?.session.items ?? []).flatMap((item) => {
    const drill = fitted.asPlanned(item);
    const may = mayDo({ ...facts, equipment: drill.equipment }, item);
    // What a caution closes is said of the whole session, and a rung's practice on its own page.
    if (may.answer === 'may' || (may.answer === 'may not' && may.because.kind !== 'beyond')) return [];
    const said = item.overruled ? ` Planned all the same: ${item.overruled}` : '';
    return [{ id: item.id, name: drill.name, why: `${mayInWords(may, drill, fitted)}${said}` }];
  });
  const company = (today.data ?? []).filter((t) => t.kind === 'session' && t.traineeId !== trainee.id);

  const people = [
    { traineeId: trainee.id, name: trainee.name },
    ...company.filter((t) => others.includes(t.traineeId)).map(({ traineeId, name }) => ({ traineeId, name })),
  ];
  const stillToAsk = people.filter((p) => asked[p.traineeId] !== 'go');

  const start = async () => {
    if (!chosen) return;
    setStarting(true);
    setProblem(undefined);
    const joined = await Promise.all(others.map((id) => sessionToday(home, id, now)));
    const result = await startRuns(home, [chosen, ...joined.flatMap((j) => j ?? [])], { now: clock.now(), onceMore: isDone });
    setStarting(false);
    if (result.path) await navigate(result.path);
    else setProblem(result.problem);
  };

  return (
    <div className="max-w-4xl px-4 py-3 sm:px-6">
      <UnreadableNote sentences={unreadable} />
      {underWay.length > 0 && (
        <section aria-label="Under way" className="mb-4 border-s-4 border-primary bg-primary/10 px-4 py-2.5">
          {underWay.map((r) => (
            <p key={r.id} className="flex flex-wrap items-center justify-between gap-3">
              <span>
                Under way since {format(new Date(r.openedAt), 'EEE HH:mm')}, opened by {r.coach}: {r.sets} {r.sets === 1 ? 'set' : 'sets'}{' '}
                logged.
              </span>
              <Link className="btn btn-primary" to={`/floor/${r.id}`}>
                Go on with it
              </Link>
            </p>
          ))}
        </section>
      )}
      <h2>Run a session</h2>
      {chosen === undefined ? (
        <Empty title="No session to run">
          <p>Nothing is planned for this week or the last.</p>
          <Link className="btn btn-primary mt-3" to="../plan" relative="path">
            Plan the week
          </Link>
        </Empty>
      ) : (
        <>
          <fieldset className="mt-1">
            <legend className="sr-only">Which session</legend>
            {sessions.slice(0, 8).map(({ session }) => (
              <label key={session.id} className="flex cursor-pointer items-center gap-3 border-b border-base-300 py-2">
                <input
                  type="radio"
                  name="session"
                  className="radio"
                  checked={session.id === chosen.session.id}
                  onChange={() => setSearch({ planned: session.id }, { replace: true })}
                />
                <span className="min-w-44 font-semibold">{dayInWords(parseISO(session.day), now)}</span>
                <span className="aside flex-1">
                  {session.items.length} {session.items.length === 1 ? 'drill' : 'drills'},{' '}
                  {Math.round(sessionMinutes(session.items, library, session.form))} min, {session.form ?? 'sets'}
                  {done.has(session.id) ? '; logged already' : ''}
                </span>
              </label>
            ))}
          </fieldset>
          {company.length > 0 && (
            <fieldset className="mt-4">
              <legend className="font-semibold">Together with, in turn on one screen</legend>
              <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
                {company.map(({ traineeId, name }) => (
                  <label key={traineeId} className="flex cursor-pointer items-center gap-2 py-1">
                    <input
                      type="checkbox"
                      className="checkbox"
                      checked={others.includes(traineeId)}
                      disabled={!others.includes(traineeId) && others.length >= MOST_OTHERS}
                      onChange={() =>
                        setOthers(others.includes(traineeId) ? others.filter((o) => o !== traineeId) : [...others, traineeId])
                      }
                    />
                    {name}
                  </label>
                ))}
              </div>
            </fieldset>
          )}
          <section aria-label="Before it starts" className="mt-4">
            <h3>Before it starts</h3>
            {holds.map((reason) => (
              <p key={reason} className="mt-1 border-s-4 border-error bg-error/10 px-3 py-1.5">
                {reason} Whatever strains stays closed.
              </p>
            ))}
            {closed.length > 0 && asked[trainee.id] !== 'wait' && (
              <p className="mt-1 border-s-4 border-error ps-3 text-sm">
                Closed in this session by a caution: {closed.join(' · ')}. The rest is run.
              </p>
            )}
            {beyond.map(({ id, name, why }) => (
              <p key={id} className="mt-1 border-s-4 border-warning ps-3 text-sm leading-snug">
                <span className="font-semibold">{name}</span>: {why}
              </p>
            ))}
            {people.map(({ traineeId, name }) => (
              <BeforeSession key={traineeId} {...{ traineeId, name, onState }} />
            ))}
            <ul className="mt-2 list-disc ps-5">
              {safetyChecks(
                chosen.session.items.map((i) => library.asPlanned(i)),
                trainee.mass,
              ).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <p className="aside mt-1 text-sm">Common practice. A coaching aid, not medical advice.</p>
          </section>
          {problem && (
            <p role="alert" className="mt-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
              {problem.sentence}
            </p>
          )}
          {isDone && (
            <p className="mt-3 border-s-4 border-warning bg-warning/10 px-4 py-2.5">
              This session is on record already. Run once more, it becomes a session of its own.
            </p>
          )}
          <button
            type="button"
            className="btn btn-primary btn-lg mt-4 max-sm:w-full"
            disabled={starting || stillToAsk.length > 0}
            onClick={() => void start()}
          >
            <Play size={20} aria-hidden />
            {starting
              ? 'Getting it ready…'
              : isDone
                ? 'Run it once more'
                : others.length > 0
                  ? `Start with ${others.length + 1} trainees`
                  : 'Start'}
          </button>
          {stillToAsk.length > 0 && (
            <p className="mt-1 text-sm" role="status">
              {stillToAsk.map((p) => p.name).join(', ')}:{' '}
              {stillToAsk.some((p) => asked[p.traineeId] === 'wait') ? 'see above.' : 'ask first.'}
            </p>
          )}
          <p className="aside mt-2 text-sm">
            Everything the session needs comes onto this device; from then on it runs without the server.{' '}
            <Link className="link" to="../session" relative="path">
              Log a session afterwards instead
            </Link>
          </p>
        </>
      )}
    </div>
  );
}

/** Today first, then the days before, then those to come. */
function distance(day: string, today: CalendarDay): number {
  const days = (Date.parse(day) - Date.parse(today)) / 86_400_000;
  return days > 0 ? days + 0.5 : -days;
}
