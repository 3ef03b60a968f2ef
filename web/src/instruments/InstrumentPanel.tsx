import type { TraineeReply } from '@myokinet/core/contracts';
import {
  CAPTURE_SECONDS,
  handLoadFromScale,
  held,
  type Movement,
  peak,
  SCENARIOS,
  type ScalePlace,
  type Scenario,
  type Stream,
} from '@myokinet/core/instruments';
import { TRACE_FILE_BYTES } from '@myokinet/core/interchange';
import { type Measure, readingInWords, trialProblem } from '@myokinet/core/measuring';
import { formatAmount } from '@myokinet/core/quantities';
import type { Samples } from '@myokinet/core/traces';
import { useId, useMemo, useState } from 'react';
import { personOf } from '../checks/person.ts';
import type { Instrument } from './instrument.ts';
import { movementFor, usualTarget } from './scripts.ts';
import { standIn } from './standIn.ts';
import { tiltSensor } from './tiltSensor.ts';
import type { TakeReading } from './takeReading.ts';
import { TraceView } from './TraceView.tsx';
import { readTraceFileAside } from '../workers/traces.ts';
import { useInstrument } from './useInstrument.ts';

type Source = 'stand-in' | 'tilt sensor' | 'file';

interface Trace {
  readonly samples: Samples;
  readonly from: string;
  readonly simulated: boolean;
}

/** Reads a trial off an instrument: connected, set to zero, streamed, taken. */
export function InstrumentPanel({ measure, trainee, label, take }: TakeReading & { readonly trainee: TraineeReply }) {
  const { kind, movement } = movementFor(measure);
  const [source, setSource] = useState<Source>('stand-in');
  const [scenario, setScenario] = useState<Scenario>('clean');
  const [target, setTarget] = useState(() => usualTarget(measure, personOf(trainee, new Date())));
  const [place, setPlace] = useState<ScalePlace>('under the hands');
  const [trace, setTrace] = useState<Trace | undefined>();
  const instrument = useMemo(() => {
    if (source === 'tilt sensor') return tiltSensor();
    const kilograms = (trainee.mass * target) / 100;
    const acted = movement !== 'step on' ? target : place === 'under the hands' ? kilograms : trainee.mass - kilograms;
    return standIn(kind, { movement, target: acted, scenario });
  }, [source, kind, movement, target, scenario, place, trainee.mass]);
  return (
    <section className="sheet p-3" aria-label={`Instrument for ${label}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {kind === 'inclinometer' && (
          <label className="flex items-center gap-2 text-sm">
            Read from
            <select
              className="select select-sm w-48"
              value={source}
              onChange={(e) => {
                setSource(e.target.value as Source);
                setTrace(undefined);
              }}
            >
              <option value="stand-in">Simulated {kind}</option>
              <option value="tilt sensor">Tilt sensor of this device</option>
              <option value="file">Trace file (CSV)</option>
            </select>
          </label>
        )}
        {source === 'stand-in' && (
          <>
            <label className="flex items-center gap-2 text-sm">
              It acts
              <input
                type="number"
                className="input input-sm w-20"
                value={target}
                min={0}
                max={400}
                onChange={(e) => setTarget(Math.max(0, Math.min(400, Number(e.target.value))))}
                aria-label="Figure that the stand-in acts"
              />
            </label>
            <label className="flex items-center gap-2 text-sm">
              Scenario
              <select className="select select-sm w-44" value={scenario} onChange={(e) => setScenario(e.target.value as Scenario)}>
                {SCENARIOS.map((s) => (
                  <option key={s}>{s}</option>
                ))}
              </select>
            </label>
          </>
        )}
        {movement === 'step on' && (
          <label className="flex items-center gap-2 text-sm">
            The scale lies
            <select className="select select-sm w-40" value={place} onChange={(e) => setPlace(e.target.value as ScalePlace)}>
              <option>under the hands</option>
              <option>under the feet</option>
            </select>
          </label>
        )}
      </div>
      {source === 'stand-in' && (
        <p className="state-mark mt-2 border-s-4 border-warning ps-2 text-sm font-semibold">
          Simulated: no {kind} is connected. What it reads is marked on the record and opens no gate.
        </p>
      )}
      {trace ? (
        <TraceView
          {...trace}
          measure={measure}
          take={(value, reading) => {
            setTrace(undefined);
            take(value, reading);
          }}
          close={() => setTrace(undefined)}
        />
      ) : source === 'file' ? (
        <TraceFile read={(samples, from) => setTrace({ samples, from, simulated: false })} />
      ) : (
        <Live
          key={source}
          {...{ instrument, measure, movement, place, take }}
          mass={trainee.mass}
          look={
            kind === 'inclinometer'
              ? (stream) =>
                  setTrace({
                    samples: { times: stream.times, angles: stream.values },
                    from: instrument.name,
                    simulated: instrument.simulated,
                  })
              : undefined
          }
        />
      )}
    </section>
  );
}

interface LiveProps {
  readonly instrument: Instrument;
  readonly measure: Measure;
  readonly movement: Movement;
  readonly place: ScalePlace;
  readonly mass: number;
  readonly take: TakeReading['take'];
  readonly look: ((stream: Stream) => void) | undefined;
}

/** The instrument as it runs: its figure large, and the buttons that take it. */
function Live({ instrument, measure, movement, place, mass, take, look }: LiveProps) {
  const { heard, connect, zero, again, stop, heardSoFar } = useInstrument(instrument);
  const [refused, setRefused] = useState('');
  const converted = (value: number) => (movement === 'step on' ? handLoadFromScale(value, mass, place) : value);
  const unit = { deg: '°', kg: ' kg', percentBodyWeight: '% of body weight' }[measure.unit as string] ?? '°';
  const direct = movement === 'rise and hold' ? measure.unit === 'deg' : movement === 'squeeze' || movement === 'step on';

  const takeNow = () => {
    try {
      const stream = heardSoFar();
      const { value } =
        movement === 'squeeze' ? peak(stream) : held(stream, movement === 'step on' ? CAPTURE_SECONDS.load : CAPTURE_SECONDS.angle);
      const rounded = Math.round(converted(value) / measure.limits.step) * measure.limits.step;
      const problem = trialProblem(measure, rounded);
      setRefused(problem ?? '');
      if (problem) return;
      take(rounded, { kind: 'instrument', instrument: instrument.name, simulated: instrument.simulated });
      if (heard.state === 'streaming') again();
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'The instrument has not given a reading yet.');
    }
  };
  if (heard.state === 'off' || heard.state === 'connecting')
    return (
      <div className="mt-2">
        <button type="button" className="btn btn-primary" disabled={heard.state === 'connecting'} onClick={() => void connect()}>
          {heard.state === 'connecting' ? 'Connecting…' : 'Connect'}
        </button>
        {heard.problem && (
          <p role="alert" className="mt-1 text-error">
            {heard.problem}
          </p>
        )}
      </div>
    );
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="font-display text-4xl font-semibold" aria-label="Reading now">
          {heard.latest === undefined ? '–' : `${converted(heard.latest).toFixed(heard.latest < 100 ? 1 : 0)}${unit}`}
        </span>
        <span className="aside text-sm" role="status">
          {instrument.name}, {heard.seconds.toFixed(1)} s, {heard.zeroed ? 'set to zero' : 'not set to zero: may be off'}
          {movement === 'squeeze' && heard.readings > 0 && squeezeWords(heardSoFar())}
        </span>
      </div>
      {heard.nonsense > 0 && (
        <p className="state-mark text-sm" role="status">
          {heard.nonsense} of {heard.nonsense + heard.readings} readings are values that no body can show; they were left out.
        </p>
      )}
      {(heard.problem || refused) && (
        <p role="alert" className="text-error">
          {heard.problem || refused}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {direct && (
          <button type="button" className="btn btn-primary btn-lg" disabled={heard.readings === 0} onClick={takeNow}>
            {movement === 'squeeze' ? 'Take the peak' : 'Take this reading'}
          </button>
        )}
        {look && (
          <button
            type="button"
            className={`btn ${direct ? '' : 'btn-primary btn-lg'}`}
            disabled={heard.readings === 0}
            onClick={() => {
              stop();
              look(heardSoFar());
            }}
          >
            Stop and read the trace
          </button>
        )}
        <button type="button" className="btn" onClick={() => void zero()}>
          Set to zero
        </button>
        <button type="button" className="btn" onClick={again}>
          {heard.state === 'lost' ? 'Connect again' : 'Start anew'}
        </button>
      </div>
      {direct && <p className="aside mt-1 text-sm">{takenFrom(measure, movement)}</p>}
    </div>
  );
}

function squeezeWords(stream: Stream): string {
  const mean = stream.values.reduce((sum, v) => sum + v, 0) / stream.values.length;
  return `, peak ${formatAmount(peak(stream).value, 'kg')}, mean ${formatAmount(mean, 'kg')}`;
}

function takenFrom(measure: Measure, movement: Movement): string {
  const limits = `from ${readingInWords(measure, measure.limits.min)} to ${readingInWords(measure, measure.limits.max)}`;
  if (movement === 'squeeze') return `The highest tenth of a second counts; the check reads ${limits}.`;
  return `The mean of the last ${movement === 'step on' ? CAPTURE_SECONDS.load : CAPTURE_SECONDS.angle} s counts; the check reads ${limits}.`;
}

/** A trace that some other device wrote. */
function TraceFile({ read }: { readonly read: (samples: Samples, from: string) => void }) {
  const id = useId();
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState(false);
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > TRACE_FILE_BYTES) {
      setProblem(`The file has ${Math.round(file.size / 1e6)} MB; the limit is ${Math.round(TRACE_FILE_BYTES / 1e6)} MB.`);
      return;
    }
    try {
      setReading(true);
      read(await readTraceFileAside(file), file.name.slice(0, 50));
    } catch (error) {
      setReading(false);
      setProblem(error instanceof Error ? error.message : 'The file cannot be read.');
    }
  };
  return (
    <div
      className="mt-2 border border-dashed border-base-300 p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void open(e.dataTransfer.files[0]);
      }}
    >
      <label htmlFor={id} className="block">
        Drop a trace here or choose one: two columns, time in seconds and angle in degrees.
      </label>
      <input
        id={id}
        type="file"
        accept=".csv,.txt,text/csv"
        className="file-input file-input-sm mt-2"
        onChange={(e) => void open(e.target.files?.[0])}
      />
      {reading && <p role="status">Reading the file…</p>}
      {problem && (
        <p role="alert" className="mt-1 text-error">
          {problem}
        </p>
      )}
    </div>
  );
}
