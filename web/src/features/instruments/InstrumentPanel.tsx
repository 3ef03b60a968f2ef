import type { TraineeReply } from '@myokinet/core/contracts';
import { SCENARIOS, type ScalePlace, type Scenario } from '@myokinet/core/instruments';
import type { Samples } from '@myokinet/core/traces';
import { useMemo, useState } from 'react';
import { personOf } from '../trainee/index.ts';
import { LiveReading } from './LiveReading.tsx';
import { movementFor, usualTarget } from './scripts.ts';
import { standIn } from './standIn.ts';
import type { TakeReading } from './takeReading.ts';
import { tiltSensor } from './tiltSensor.ts';
import { TraceFile } from './TraceFile.tsx';
import { TraceView } from './TraceView.tsx';

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
        <LiveReading
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
