import { traceFigure } from '@myokinet/core/instruments';
import { writeTraceCsv } from '@myokinet/core/interchange';
import {
  cleanCount,
  type CountCorrection,
  countAfter,
  type Repetition,
  type Samples,
  type TraceQuantity,
  type TraceReading,
  traceSummary,
  trimmed,
} from '@myokinet/core/traces';
import { fellOffInWords, QUANTITY_WORDS, traceFigureInWords, trialProblemInWords } from '@myokinet/core/words';
import { useEffect, useMemo, useState } from 'react';
import { fingerprint } from '../../client/fingerprint.ts';
import { CountCorrections } from './CountCorrections.tsx';
import { readTraceAside } from './traces.ts';
import { RepetitionTable } from './RepetitionTable.tsx';
import type { TakeReading } from './takeReading.ts';
import { TraceChart } from './TraceChart.tsx';
import { type Kept, TraceTrim } from './TraceTrim.tsx';

export interface TraceViewProps extends Pick<TakeReading, 'measure' | 'take'> {
  readonly samples: Samples;
  readonly quantity: TraceQuantity;
  /** Instrument or file. */
  readonly from: string;
  readonly simulated: boolean;
  /** Whether it is known that its zero is where the check counts from. */
  readonly zeroed: boolean;
  /** A file says that it was read off a clip. */
  readonly ofClip?: boolean;
  /** The clip it was read off just now: what tells it from others, and how its moments are looked at. */
  readonly clip?: { readonly source: string; readonly show: (seconds: number) => void };
  readonly close: () => void;
}

/** Seconds at the start of a trace that may stand for where the check counts from. */
const START_SECONDS = 0.5;

/** A trace, what was counted in it, and the coach's last word on that. */
export function TraceView({ samples, quantity, from, simulated, zeroed, ofClip = false, clip, measure, take, close }: TraceViewProps) {
  const [kept, setKept] = useState<Kept | undefined>();
  const [read, setRead] = useState<{ readonly reading?: TraceReading; readonly problem?: string }>({});
  const [corrections, setCorrections] = useState<readonly CountCorrection[]>([]);
  const [sides, setSides] = useState<'one' | 'two' | undefined>();
  const [looked, setLooked] = useState(false);
  const isOfClip = ofClip || clip !== undefined;
  const [zero, setZero] = useState<'own' | 'start' | undefined>(zeroed ? 'own' : undefined);
  const part = useMemo(() => (kept ? trimmed(samples, kept.from, kept.to) : samples), [samples, kept]);
  useEffect(() => {
    let wanted = true;
    readTraceAside(part, quantity).then(
      (reading) => wanted && setRead({ reading }),
      (error: unknown) => wanted && setRead({ problem: error instanceof Error ? error.message : 'This trace cannot be read.' }),
    );
    return () => {
      wanted = false;
    };
  }, [part, quantity]);

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
        <div className="mt-2 flex gap-2">
          {kept && (
            <button type="button" className="btn btn-sm" onClick={() => setKept(undefined)}>
              Read all of it
            </button>
          )}
          <button type="button" className="btn btn-sm" onClick={close}>
            Back to the instrument
          </button>
        </div>
      </div>
    );

  const { unit } = QUANTITY_WORDS[quantity];
  const asksZero = measure.device === 'angle held';
  const asksSides = measure.device === 'swing' && reading.swing.folded === true;
  const start = asksZero && zero === 'start' ? startOf(reading) : 0;
  const figure = asksZero && !zero ? undefined : traceFigure(measure, reading, { corrections, sides, zero: start });
  const limit = figure && trialProblemInWords(measure, figure.value);
  const counts = measure.device === 'repetitions';
  const { clean, fellOff } = cleanCount(reading.repetitions);
  const has = (what: CountCorrection['what'], r: Repetition) => corrections.some((c) => c.what === what && c.at === r.turn);
  const counted = (r: Repetition) => has('count as well', r) || (reading.repetitions.indexOf(r) < clean && !has('leave out', r));
  const toggle = (r: Repetition) => {
    const without = corrections.filter((c) => c.at !== r.turn);
    const byItself = reading.repetitions.indexOf(r) < clean;
    if (counted(r) === byItself) setCorrections([...without, { what: byItself ? 'leave out' : 'count as well', at: r.turn }]);
    else setCorrections(without);
  };
  const countAt = (at: number) => {
    const inside = Math.round(Math.max(0, Math.min(reading.duration, at)) * 100) / 100;
    setCorrections([...corrections.filter((c) => c.at !== inside), { what: 'count as well', at: inside }]);
  };
  const use = () => {
    if (!figure || limit) return;
    take(figure.value, {
      kind: 'trace',
      instrument: from,
      simulated,
      source: clip?.source ?? fingerprint(new Uint8Array(Float64Array.from(samples.angles).buffer)),
      trace: {
        seconds: Math.round(reading.duration * 100) / 100,
        rate: Math.round(reading.rate * 10) / 10,
        counted: reading.repetitions.length,
        ...(isOfClip ? { ofClip: true } : {}),
        corrections: [...corrections],
        ...traceSummary(reading),
      },
    });
  };
  return (
    <div className="mt-2">
      {ofClip && <p className="state-mark text-sm font-semibold">It was read off a clip: it informs and opens no gate.</p>}
      {simulated && <p className="state-mark text-sm font-semibold">A stand-in gave it: it is marked on the record and opens no gate.</p>}
      {reading.notices.map((notice) => (
        <p key={notice} className="state-mark text-sm">
          {notice}
        </p>
      ))}
      <TraceChart reading={reading} counted={counted} corrections={corrections} countAt={counts ? countAt : undefined} />
      <TraceTrim
        samples={samples}
        kept={kept}
        keep={(k) => {
          setKept(k);
          // They are about moments of another part.
          setCorrections([]);
        }}
      />
      <dl className="grid gap-x-6 gap-y-0.5 text-sm sm:grid-cols-2">
        <Said
          term="Longest hold"
          said={
            reading.hold &&
            `${(reading.hold.to - reading.hold.from).toFixed(1)} s at ${reading.hold.mean.toFixed(0)}${unit}, ± ${reading.hold.sd.toFixed(1)}${unit} unsteady`
          }
        />
        {quantity === 'angle' && !isOfClip && (
          <Said term="Shake, 4–12 Hz" said={reading.shake === undefined ? undefined : `${reading.shake.toFixed(2)}° RMS`} />
        )}
        <Said term="Repetitions" said={repetitionWords(reading, corrections, unit)} />
        {quantity === 'angle' && (
          <Said
            term="Swing"
            said={`${reading.swing.peakToPeak.toFixed(0)}° end to end${reading.swing.period ? `, ${reading.swing.period.toFixed(1)} s there and back` : ''}`}
          />
        )}
      </dl>
      {counts && fellOff && <p className="state-mark mt-1 text-sm">{fellOffInWords(fellOff, clean + 1)}</p>}
      {reading.repetitions.length > 0 && (
        <RepetitionTable repetitions={reading.repetitions} {...{ counted, toggle, unit }} ofClip={isOfClip} show={clip?.show} />
      )}
      {counts && (
        <CountCorrections {...{ corrections, reading, countAt }} drop={(c) => setCorrections(corrections.filter((o) => o !== c))} />
      )}
      {asksSides && (
        <Ask
          legend={`It never goes below zero and turns there each time: did it swing to both sides? Then it is ${(2 * reading.swing.peakToPeak).toFixed(0)}° from end to end.`}
          answers={{ two: 'To both sides', one: 'To one side only' }}
          chosen={sides}
          choose={setSides}
        />
      )}
      {asksZero && !zeroed && (
        <Ask
          legend={`From where does ${measure.phrase} count?`}
          answers={{ own: 'From the zero of the trace', start: 'From its first half second' }}
          chosen={zero}
          choose={setZero}
        />
      )}
      {(limit ?? (!figure && !(asksSides && !sides) && !(asksZero && !zero))) && (
        <p role="alert" className="mt-2 text-error">
          {limit ?? 'The trace shows nothing that this check counts.'}
          {limit && figure && figure.value < 0 && ' Did it turn the other way?'}
        </p>
      )}
      {clip && figure && (
        <label className="mt-2 flex min-h-11 items-center gap-2">
          <input type="checkbox" className="checkbox" checked={looked} onChange={(e) => setLooked(e.target.checked)} />
          {counts ? 'I have looked at each turn on the clip.' : 'I have looked at its start and end on the clip.'}
        </label>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn btn-primary"
          disabled={!figure || limit !== undefined || (clip !== undefined && !looked)}
          onClick={use}
        >
          {figure ? `Use it: ${traceFigureInWords(figure)}` : 'Use it'}
        </button>
        <button type="button" className="btn" onClick={close}>
          {clip ? 'Back to the clip' : 'Back to the instrument'}
        </button>
        <button
          type="button"
          className="btn btn-ghost"
          onClick={() => download(writeTraceCsv(samples, { quantity, simulated, ofClip: isOfClip }))}
        >
          Download as CSV
        </button>
      </div>
    </div>
  );
}

/** Put together only when it is wanted: half an hour of samples is a large text. */
function download(text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  Object.assign(document.createElement('a'), { href: url, download: 'trace.csv' }).click();
  URL.revokeObjectURL(url);
}

function startOf({ stretches: [first] }: TraceReading): number {
  const values = first ? [...first.values.subarray(0, Math.max(1, Math.round(first.rate * START_SECONDS)))] : [0];
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

function Said({ term, said }: { readonly term: string; readonly said: string | undefined }) {
  return (
    <div className="flex gap-2">
      <dt className="aside w-32 shrink-0">{term}</dt>
      <dd>{said ?? 'none to be told'}</dd>
    </div>
  );
}

interface AskProps<T extends string> {
  readonly legend: string;
  readonly answers: Readonly<Record<T, string>>;
  readonly chosen: T | undefined;
  readonly choose: (answer: T) => void;
}

/** What only somebody who was there knows; nothing is taken for granted. */
function Ask<T extends string>({ legend, answers, chosen, choose }: AskProps<T>) {
  return (
    <fieldset className="mt-2">
      <legend className="state-mark">{legend}</legend>
      <span className="join mt-1">
        {(Object.keys(answers) as T[]).map((answer) => (
          <button
            key={answer}
            type="button"
            className={`btn join-item ${chosen === answer ? 'btn-neutral' : ''}`}
            aria-pressed={chosen === answer}
            onClick={() => choose(answer)}
          >
            {answers[answer]}
          </button>
        ))}
      </span>
    </fieldset>
  );
}

function repetitionWords(reading: TraceReading, corrections: readonly CountCorrection[], unit: string): string {
  const { repetitions } = reading;
  const count = countAfter(reading, corrections);
  if (repetitions.length === 0) return String(count);
  const mean = repetitions.reduce((sum, r) => sum + r.range, 0) / repetitions.length;
  const of = count === repetitions.length ? `${count}` : `${count} clean of ${repetitions.length}`;
  return `${of}, ${mean.toFixed(unit === '°' ? 0 : 1)}${unit} on average`;
}
