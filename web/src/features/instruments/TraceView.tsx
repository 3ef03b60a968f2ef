import { traceFigure } from '@myokinet/core/instruments';
import { writeTraceCsv } from '@myokinet/core/interchange';
import { type CountCorrection, countAfter, type Repetition, type Samples, type TraceReading } from '@myokinet/core/traces';
import { useEffect, useState } from 'react';
import { readTraceAside } from './traces.ts';
import type { TakeReading } from './takeReading.ts';
import { TraceChart } from './TraceChart.tsx';
import { trialProblemInWords } from '@myokinet/core/words';

export interface TraceViewProps extends Pick<TakeReading, 'measure' | 'take'> {
  readonly samples: Samples;
  /** Instrument or file. */
  readonly from: string;
  readonly simulated: boolean;
  readonly close: () => void;
}

/** More than a set has; the rest of a long trace is asked for. */
const FIRST_ROWS = 30;

/** A trace, what was counted in it, and the coach's last word on that. */
export function TraceView({ samples, from, simulated, measure, take, close }: TraceViewProps) {
  const [read, setRead] = useState<{ readonly reading?: TraceReading; readonly problem?: string }>({});
  const [corrections, setCorrections] = useState<readonly CountCorrection[]>([]);
  const [moment, setMoment] = useState('');
  const [all, setAll] = useState(false);
  useEffect(() => {
    let wanted = true;
    readTraceAside(samples).then(
      (reading) => wanted && setRead({ reading }),
      (error: unknown) => wanted && setRead({ problem: error instanceof Error ? error.message : 'This trace cannot be read.' }),
    );
    return () => {
      wanted = false;
    };
  }, [samples]);

  const { reading, problem } = read;
  if (!reading)
    return (
      <div className="mt-2">
        {problem ? (
          <p role="alert" className="text-error">
            {problem} Nothing was taken from it; the trial is as it was.
          </p>
        ) : (
          <p role="status">Reading the trace…</p>
        )}
        <button type="button" className="btn btn-sm mt-2" onClick={close}>
          Back to the instrument
        </button>
      </div>
    );

  const figure = traceFigure(measure, reading, corrections);
  const limit = figure && trialProblemInWords(measure, figure.value);
  const counts = measure.unit === 'reps';
  const leftOut = (r: Repetition) => corrections.some((c) => c.what === 'leave out' && c.at === r.turn);
  const toggle = (r: Repetition) =>
    setCorrections(leftOut(r) ? corrections.filter((c) => c.at !== r.turn) : [...corrections, { what: 'leave out', at: r.turn }]);
  const countAt = (at: number) => {
    const inside = Math.round(Math.max(0, Math.min(reading.duration, at)) * 100) / 100;
    setCorrections([...corrections.filter((c) => c.at !== inside), { what: 'count as well', at: inside }]);
  };
  const added = corrections.filter((c) => c.what === 'count as well');
  const use = () => {
    if (!figure || limit) return;
    take(figure.value, {
      kind: 'trace',
      instrument: from,
      simulated,
      trace: {
        seconds: Math.round(reading.duration * 100) / 100,
        rate: Math.round(reading.rate * 10) / 10,
        counted: reading.repetitions.length,
        corrections: [...corrections],
      },
    });
  };
  return (
    <div className="mt-2">
      {reading.notices.map((notice) => (
        <p key={notice} className="state-mark text-sm">
          {notice}
        </p>
      ))}
      <TraceChart reading={reading} corrections={corrections} countAt={counts ? countAt : undefined} />
      <dl className="grid gap-x-6 gap-y-0.5 text-sm sm:grid-cols-2">
        <Said
          term="Longest hold"
          said={
            reading.hold &&
            `${(reading.hold.to - reading.hold.from).toFixed(1)} s at ${reading.hold.mean.toFixed(0)}°, ± ${reading.hold.sd.toFixed(1)}° unsteady`
          }
        />
        <Said term="Shake, 4–12 Hz" said={reading.shake === undefined ? undefined : `${reading.shake.toFixed(2)}° RMS`} />
        <Said term="Repetitions" said={repetitionWords(reading, corrections)} />
        <Said
          term="Swing"
          said={`${reading.swing.peakToPeak.toFixed(0)}° end to end${reading.swing.period ? `, ${reading.swing.period.toFixed(1)} s there and back` : ''}`}
        />
      </dl>
      {reading.repetitions.length > 0 && (
        <div className="relative mt-2 max-h-56 overflow-auto" tabIndex={0} role="region" aria-label="Repetitions">
          <table className="plain-table text-sm">
            <thead>
              <tr>
                {['', 'turns at', 'range', 'out and back', 'fastest', 'slowest part', 'counts'].map((h) => (
                  <th key={h} scope="col">
                    {h || <span className="sr-only">number</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {reading.repetitions.slice(0, all ? undefined : FIRST_ROWS).map((r, i) => (
                <tr key={r.turn} className={leftOut(r) ? 'line-through' : ''}>
                  <td>{i + 1}</td>
                  <td>{r.turn.toFixed(1)} s</td>
                  <td>{r.range.toFixed(0)}°</td>
                  <td>
                    {r.outTime.toFixed(1)} s, {r.backTime.toFixed(1)} s
                  </td>
                  <td>{r.peakSpeed.toFixed(0)}°/s</td>
                  <td>{r.sticking ? `at ${r.sticking.angle.toFixed(0)}°, ${r.sticking.slowdown.toFixed(1)} × as long` : '–'}</td>
                  <td>
                    <label className="flex items-center gap-1">
                      <input type="checkbox" className="checkbox checkbox-sm" checked={!leftOut(r)} onChange={() => toggle(r)} />
                      <span className="sr-only">Count repetition {i + 1}</span>
                    </label>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {!all && reading.repetitions.length > FIRST_ROWS && (
            <button type="button" className="btn btn-sm mt-1" onClick={() => setAll(true)}>
              Show all {reading.repetitions.length}
            </button>
          )}
        </div>
      )}
      {counts && (
        <div className="mt-2 flex flex-wrap items-end gap-2 text-sm">
          <label>
            One was missed, at
            <span className="input input-sm ms-1 w-24">
              <input
                inputMode="decimal"
                value={moment}
                onChange={(e) => setMoment(e.target.value)}
                aria-label="Second of the missed repetition"
              />
              s
            </span>
          </label>
          <button
            type="button"
            className="btn btn-sm"
            disabled={moment.trim() === '' || !Number.isFinite(Number(moment.replace(',', '.')))}
            onClick={() => {
              countAt(Number(moment.replace(',', '.')));
              setMoment('');
            }}
          >
            Count it as well
          </button>
          <span className="aside">or tap the trace there.</span>
          {added.map((c) => (
            <button key={c.at} type="button" className="btn btn-xs" onClick={() => setCorrections(corrections.filter((o) => o !== c))}>
              Take back the one at {c.at.toFixed(1)} s
            </button>
          ))}
        </div>
      )}
      {(limit ?? !figure) && (
        <p role="alert" className="mt-2 text-error">
          {limit ?? 'The trace shows nothing that this check counts.'}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-primary" disabled={!figure || limit !== undefined} onClick={use}>
          {figure ? `Use it: ${figure.words}` : 'Use it'}
        </button>
        <button type="button" className="btn" onClick={close}>
          Back to the instrument
        </button>
        <button type="button" className="btn btn-ghost" onClick={() => download(samples)}>
          Download as CSV
        </button>
      </div>
    </div>
  );
}

/** Put together only when it is wanted: half an hour of samples is a large text. */
function download(samples: Samples): void {
  const url = URL.createObjectURL(new Blob([writeTraceCsv(samples)], { type: 'text/csv' }));
  Object.assign(document.createElement('a'), { href: url, download: 'trace.csv' }).click();
  URL.revokeObjectURL(url);
}

function Said({ term, said }: { readonly term: string; readonly said: string | undefined }) {
  return (
    <div className="flex gap-2">
      <dt className="aside w-32 shrink-0">{term}</dt>
      <dd>{said ?? 'none to be told'}</dd>
    </div>
  );
}

function repetitionWords(reading: TraceReading, corrections: readonly CountCorrection[]): string {
  const { repetitions } = reading;
  const count = countAfter(reading, corrections);
  const corrected = count === repetitions.length ? '' : `, ${repetitions.length} before correction`;
  if (repetitions.length === 0) return `${count}${corrected}`;
  const mean = repetitions.reduce((sum, r) => sum + r.range, 0) / repetitions.length;
  return `${count}${corrected}, ${mean.toFixed(0)}° on average`;
}
