import type { TraineeReply } from '@myokinet/core/contracts';
import { demandsOn } from '@myokinet/core/ladders';
import { demandInWords } from '@myokinet/core/words';
import { traineeBody } from '@myokinet/core/statics';
import { shortDay } from '@myokinet/core/quantities';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useAllChecksQuery } from '../checks/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useRecordQuery } from '../record/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { type DemandLine, HistoryChart, SIDE_LOOK } from './HistoryChart.tsx';
import { eventsOf, type HistoryEvent, historyOf, type MeasureHistory, occasionInWords } from './historyOf.ts';
import { SmallHistory } from './SmallHistory.tsx';

/** Every check over time: one large, all of them small. */
export function HistoryPage() {
  const trainee = useCurrentTrainee();
  const checks = useAllChecksQuery(trainee.id);
  const record = useRecordQuery(trainee.id);
  const demandsFor = useDemandLines(trainee);
  const library = useLibrary();
  const [search, setSearch] = useSearchParams();
  if (checks.isLoading) return <Waiting />;
  const now = new Date();
  const histories = historyOf(checks.data ?? [], library.everyMeasure);
  const asked = search.get('measure');
  const open =
    histories.find((h) => h.measure.id === asked) ??
    histories.find((h) => !h.measure.choices && demandsFor(h).length > 0 && h.series.some((s) => s.occasions.length > 2)) ??
    histories[0];
  const first = Math.min(...histories.flatMap((h) => h.series.map((s) => s.occasions[0]?.at ?? now.getTime())));
  return (
    <div className="px-4 py-3 sm:px-6">
      <ProblemNote error={checks.error ?? record.error} retry={() => void checks.refetch()} />
      {asked !== null && library.hasMeasure(asked) && open?.measure.id !== asked && (
        <p className="mb-2">That check was never taken here.</p>
      )}
      {!open ? (
        <Empty title="No history yet">
          <p>From the first battery on, every check is drawn here over time.</p>
          <Link className="btn btn-primary mt-3" to="../battery" relative="path">
            Run the first battery
          </Link>
        </Empty>
      ) : (
        <>
          <LargeHistory key={open.measure.id} history={open} demands={demandsFor(open)} events={eventsOf(record.data)} now={now} />
          <h2 className="mt-6 mb-2">The whole battery</h2>
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-5 print:grid-cols-4">
            {histories.map((h) => (
              <SmallHistory
                key={h.measure.id}
                history={h}
                demands={demandsFor(h)}
                from={first}
                to={now.getTime()}
                open={h === open}
                show={() => {
                  setSearch({ measure: h.measure.id }, { replace: true });
                  window.scrollTo({ top: 0 });
                }}
              />
            ))}
          </div>
        </>
      )}
    </div>
  );
}

interface LargeHistoryProps {
  readonly history: MeasureHistory;
  readonly demands: readonly DemandLine[];
  readonly events: readonly HistoryEvent[];
  readonly now: Date;
}

function LargeHistory({ history, demands, events, now }: LargeHistoryProps) {
  const { measure, series } = history;
  const days = [...new Set(series.flatMap((s) => s.occasions.map((o) => o.at)))].sort((a, b) => a - b);
  const [at, setAt] = useState(days.length - 1);
  const day = days[at];
  const inView = events.filter((e) => e.at >= (days[0] ?? 0));
  const words = (time: number | undefined) =>
    series.map((s) => {
      const index = s.occasions.findIndex((o) => o.at === time);
      return { side: s.side, said: index < 0 ? 'not taken' : occasionInWords(measure, s, index) };
    });
  return (
    <section aria-label={measure.name}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2>{measure.name}</h2>
        <p className="flex flex-wrap gap-x-4 text-sm">
          {series.map(({ side }) =>
            side === 'whole' ? null : (
              <span key={side} style={{ color: SIDE_LOOK[side].colour }}>
                {side === 'left' ? '● left' : '○ right'}
              </span>
            ),
          )}
          {demands.map((d) => (
            <span key={d.words} className="text-secondary">
              {d.which === 'next' ? '— next, ' : '··· in hand, '}
              {d.words}
            </span>
          ))}
          {!measure.choices && <span className="aside">shaded: error band (one-sided 95%); small dots: trials</span>}
        </p>
        <button type="button" className="btn btn-sm btn-ghost no-print ms-auto" onClick={() => window.print()}>
          Print
        </button>
      </div>
      <HistoryChart history={history} demands={demands} events={inView} now={now} cursor={days.length > 1 ? day : undefined} />
      {days.length > 1 && (
        <label className="no-print mt-1 flex items-center gap-3 text-sm">
          Occasion
          <input
            type="range"
            className="range range-xs w-full max-w-3xl [--range-fill:0]"
            min={0}
            max={days.length - 1}
            value={at}
            aria-valuetext={`${day === undefined ? '' : format(day, 'd MMMM yyyy')}: ${words(day)
              .map((w) => `${w.side === 'whole' ? '' : w.side} ${w.said}`)
              .join('; ')}`}
            onChange={(e) => setAt(Number(e.target.value))}
          />
        </label>
      )}
      <div className="mt-1 grid gap-x-8 gap-y-2 lg:grid-cols-[1fr_20rem]">
        <div>
          <p className="font-semibold">{day !== undefined && format(day, 'EEEE d MMMM yyyy')}</p>
          {words(day).map((w) => (
            <p key={w.side}>
              {w.side !== 'whole' && <span className="font-semibold">{w.side}: </span>}
              {w.said}
            </p>
          ))}
          <details className="mt-2 text-sm">
            <summary className="cursor-pointer">All {days.length} occasions as a table</summary>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={`${measure.name}, all occasions`}>
              <table className="plain-table">
                <thead>
                  <tr>
                    <th scope="col">Day</th>
                    {series.map((s) => (
                      <th key={s.side} scope="col">
                        {s.side === 'whole' ? 'Figure' : s.side}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {days.toReversed().map((d) => (
                    <tr key={d}>
                      <th scope="row" className="!border-b !border-base-300 !font-normal">
                        {shortDay(new Date(d), now)}
                      </th>
                      {words(d).map((w) => (
                        <td key={w.side}>{w.said}</td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </details>
        </div>
        {inView.length > 0 && (
          <div className="text-sm">
            <p className="font-semibold">Meanwhile</p>
            <ul>
              {inView.toReversed().map((e, i) => (
                <li key={`${e.at}-${i}`} className={e.kind === 'symptom' ? 'state-short' : ''}>
                  {e.kind === 'signed' ? '▲' : e.kind === 'withdrawn' ? '▽' : '!'} {format(e.at, 'd MMM')}: {e.words}
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </section>
  );
}

/** What the rung in hand and the next one ask of a check, as lines. */
function useDemandLines(trainee: TraineeReply): (history: MeasureHistory) => readonly DemandLine[] {
  const library = useLibrary();
  const { data } = useReadinessQuery(trainee.id);
  return ({ measure }) => {
    if (!data) return [];
    const { here, next } = data.standing;
    const { rungs } = library.ladder(data.ladderId);
    const lineOf = (index: number | undefined, which: DemandLine['which']): DemandLine[] => {
      const rung = index === undefined ? undefined : rungs[index];
      const demand = rung && demandsOn(rung, traineeBody(trainee), library.measure).find((d) => d.measureId === measure.id);
      if (!rung || !demand) return [];
      return [{ which, value: demand.value, words: `${rung.name}: ${demandInWords(demand, measure)}` }];
    };
    const lines = [...lineOf(here, 'current'), ...lineOf(next, 'next')];
    // The same figure for both: one line, and it is the next rung's.
    return lines.length === 2 && lines[0]?.value === lines[1]?.value ? lines.slice(1) : lines;
  };
}
