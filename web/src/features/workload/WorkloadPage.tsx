import { calendarDay } from '@myokinet/core/quantities';
import {
  type ArmLoads,
  armLoads,
  CHRONIC_DAYS,
  type JointRamp,
  jointRamps,
  loadDays,
  sessionLoad,
  weekLoad,
  type WeekLoad,
} from '@myokinet/core/workload';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useBriefQuery } from '../plan/index.ts';
import { useWorkloadQuery } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { LoadChart } from './LoadChart.tsx';

const DAYS_SHOWN = 84;

/** How much was done, described: load by day, the week, the hands' load by joint against the ramp. */
export function WorkloadPage() {
  const trainee = useCurrentTrainee();
  const load = useWorkloadQuery(trainee.id);
  const brief = useBriefQuery(trainee.id);
  const [now] = useState(() => new Date());
  const failed = load.error ?? brief.error;
  if (failed && !(load.data && brief.data))
    return <ProblemNote error={failed} retry={() => [load, brief].forEach((q) => void q.refetch())} />;
  if (!load.data || !brief.data) return <Waiting />;
  const { sessions } = load.data;
  const days = loadDays(sessions, now);
  const week = weekLoad(sessions, now);
  const { ramp } = brief.data;
  const today = sessions.filter((s) => calendarDay(s.performedAt) >= (week.days[0] ?? ''));
  return (
    <div className="px-4 py-3 sm:px-6">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2>Workload</h2>
        <Link className="link" to="../record" relative="path">
          Sessions on record
        </Link>
      </div>
      {days.length === 0 ? (
        <Empty title="Nothing is logged yet">
          <p>The load comes from logged sessions: effort from 0 to 10, times minutes.</p>
          <Link className="btn btn-primary mt-3" to="../floor" relative="path">
            Run a session
          </Link>
        </Empty>
      ) : (
        <div className="mt-1 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
          <div className="flex flex-col gap-5">
            <LoadChart days={days.slice(-DAYS_SHOWN)} />
            <JointTable ramps={jointRamps(sessions, now, ramp)} ramp={ramp} />
            <ArmTable arms={armLoads(sessions, now)} />
          </div>
          <div className="flex flex-col gap-5">
            <WeekFigures week={week} count={today.length} />
            <WeekTable week={week} sessions={today} />
            <Caveats />
          </div>
        </div>
      )}
    </div>
  );
}

function WeekFigures({ week, count }: { readonly week: WeekLoad; readonly count: number }) {
  const figures = [
    ['Load of the last 7 days', whole(week.weekLoad), `${count} ${count === 1 ? 'session' : 'sessions'}; effort × minutes, added up`],
    ['7-day average', `${whole(week.acute)} a day`, 'recent days weigh most'],
    [
      '28-day average',
      `${whole(week.chronic)} a day`,
      week.daysKnown < CHRONIC_DAYS
        ? `still filling: ${week.daysKnown} of ${CHRONIC_DAYS} days are known`
        : 'what the trainee has been used to',
    ],
    [
      'Monotony',
      week.monotony?.toFixed(2) ?? 'none to tell',
      week.monotony === undefined ? 'every day was the same' : 'mean ÷ spread of the days: higher means days more alike',
    ],
    ['Strain', week.strain === undefined ? 'none to tell' : whole(week.strain), 'load × monotony'],
  ] as const;
  return (
    <section aria-label="The week in figures">
      <h3>The last 7 days</h3>
      <dl className="mt-1">
        {figures.map(([name, value, says]) => (
          <div
            key={name}
            className="grid grid-cols-[11rem_7rem_1fr] items-baseline gap-x-3 border-b border-base-300 py-1 max-sm:grid-cols-2"
          >
            <dt>{name}</dt>
            <dd className="font-semibold">{value}</dd>
            <dd className="aside text-sm max-sm:col-span-2">{says}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function WeekTable({
  week,
  sessions,
}: {
  readonly week: WeekLoad;
  readonly sessions: readonly {
    readonly performedAt: Parameters<typeof calendarDay>[0];
    readonly effort: number;
    readonly minutes: number;
  }[];
}) {
  return (
    <table className="plain-table dense">
      <caption className="sr-only">Load of the last seven days</caption>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Sessions</th>
          <th scope="col">Load</th>
        </tr>
      </thead>
      <tbody>
        {week.days.map((day, i) => (
          <tr key={day}>
            <th scope="row" className="font-normal">
              {format(parseISO(day), 'EEE d MMM')}
            </th>
            <td>
              {sessions
                .filter((s) => calendarDay(s.performedAt) === day)
                .map((s) => `${s.effort}/10 × ${s.minutes} min = ${sessionLoad(s.effort, s.minutes)}`)
                .join('; ') || 'none'}
            </td>
            <td>{whole(week.dailyLoads[i] ?? 0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const STATES = { within: 'within', above: '↑ above', new: 'new' } as const;

function JointTable({ ramps, ramp }: { readonly ramps: readonly JointRamp[]; readonly ramp: number }) {
  return (
    <section aria-label="Hand load by joint">
      <h3>Hand load by joint</h3>
      <p className="aside text-sm">
        Body-weight seconds: share of body weight in the hands × seconds under tension, worked out by the model of the set-ups. The ramp of
        this trainee’s brief allows +{Math.round(ramp * 100)}% from one seven days to the next.
      </p>
      {ramps.length === 0 ? (
        <p className="mt-1">Nothing went through the hands in two weeks.</p>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="plain-table dense mt-1">
            <caption className="sr-only">Hand load by joint, seven days against the seven before</caption>
            <thead>
              <tr>
                <th scope="col">Joint</th>
                <th scope="col">Last 7 days</th>
                <th scope="col">7 before</th>
                <th scope="col">Growth</th>
                <th scope="col">Ramp</th>
              </tr>
            </thead>
            <tbody>
              {ramps.map(({ joint, week, before, growth, state }) => (
                <tr key={joint}>
                  <th scope="row" className="font-normal capitalize">
                    {joint}
                  </th>
                  <td>{whole(week)} s</td>
                  <td>{whole(before)} s</td>
                  <td>{growth === undefined ? '–' : `${growth >= 0 ? '+' : '−'}${Math.abs(Math.round(growth * 100))}%`}</td>
                  <td className={state === 'above' ? 'state-mark font-semibold' : ''}>
                    {STATES[state]}
                    {state === 'above' && ` +${Math.round(ramp * 100)}%`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

/** What each arm carried: a side that is spared, or one that does all, shows here first. */
function ArmTable({ arms: { week, before, untold } }: { readonly arms: ArmLoads }) {
  const total = week.left + week.right + before.left + before.right;
  if (total === 0 && untold === 0) return null;
  return (
    <section aria-label="Hand load by arm">
      <h3>Hand load by arm</h3>
      <p className="aside text-sm">
        Sets of one side count for the arm that carries; sets of both are shared evenly.
        {untold > 0 && ` ${untold} ${untold === 1 ? 'session' : 'sessions'} from before the arms were told apart are not in it.`}
      </p>
      {total > 0 && (
        <table className="plain-table dense mt-1">
          <caption className="sr-only">Hand load by arm, seven days against the seven before</caption>
          <thead>
            <tr>
              <th scope="col">Seven days</th>
              <th scope="col">Left</th>
              <th scope="col">Right</th>
              <th scope="col">Left ÷ right</th>
            </tr>
          </thead>
          <tbody>
            {(
              [
                ['last 7', week],
                ['7 before', before],
              ] as const
            ).map(([name, { left, right }]) => (
              <tr key={name}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <td>{whole(left)} s</td>
                <td>{whole(right)} s</td>
                <td>{right > 0 ? (left / right).toFixed(2) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Caveats() {
  return (
    <aside className="border-s-4 border-base-300 ps-3 text-sm leading-snug">
      <p>
        These figures describe what was done. None of them predicts an injury, and none opens or closes a gate: the ratio of the two
        averages in particular is disputed as a predictor (Impellizzeri and others 2020), and is not worked out here.
      </p>
      <p className="mt-1">
        Session load, monotony and strain: Foster 1998. Averages: exponentially weighted, λ = 2 ÷ (N + 1), Williams and others 2017. From
        memory. The spread is that of a sample of seven days. Coaching aid, not medical advice.
      </p>
    </aside>
  );
}

function whole(value: number): string {
  return String(Math.round(value));
}
