import type { TraineeReply } from '@myokinet/core/contracts';
import { canShow, SCENARIOS, type ScalePlace, type Scenario, tiltFeels } from '@myokinet/core/instruments';
import { type Samples, TRACE_QUANTITIES, type TraceQuantity } from '@myokinet/core/traces';
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
  readonly quantity: TraceQuantity;
  readonly zeroed: boolean;
  readonly from: string;
  readonly simulated: boolean;
  readonly ofClip?: boolean;
}

/** Reads a trial off an instrument: connected, set to zero, streamed, taken. */
export function InstrumentPanel({ measure, trainee, label, take }: TakeReading & { readonly trainee: TraineeReply }) {
  const { kind, movement } = movementFor(measure);
  const [source, setSource] = useState<Source>('stand-in');
  const [scenario, setScenario] = useState<Scenario>('clean');
  const [target, setTarget] = useState(() => usualTarget(measure, personOf(trainee, new Date())));
  const [place, setPlace] = useState<ScalePlace>('under the hands');
  const [trace, setTrace] = useState<Trace | undefined>();
  const sources: readonly Source[] = [
    'stand-in',
    ...(kind === 'inclinometer' && tiltFeels(measure) ? (['tilt sensor'] as const) : []),
    ...(TRACE_QUANTITIES.some((q) => canShow(measure, q)) ? (['file'] as const) : []),
  ];
  const instrument = useMemo(() => {
    if (source === 'tilt sensor') return tiltSensor();
    const kilograms = (trainee.mass * target) / 100;
    const acted = movement !== 'step on' ? target : place === 'under the hands' ? kilograms : trainee.mass - kilograms;
    return standIn(kind, { movement, target: acted, scenario });
  }, [source, kind, movement, target, scenario, place, trainee.mass]);
  return (
    <section className="sheet p-3" aria-label={`Instrument for ${label}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {sources.length > 1 && (
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
              {sources.map((s) => (
                <option key={s} value={s}>
                  {{ 'stand-in': `Simulated ${kind}`, 'tilt sensor': 'Tilt sensor of this device', file: 'Trace file' }[s]}
                </option>
              ))}
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
        <TraceFile measure={measure} read={(opened) => setTrace({ ...opened, zeroed: false })} />
      ) : (
        <LiveReading
          key={source}
          {...{ instrument, measure, movement, place, take }}
          mass={trainee.mass}
          look={
            kind === 'inclinometer'
              ? (stream, zeroed) =>
                  setTrace({
                    zeroed,
                    samples: { times: stream.times, angles: stream.values },
                    quantity: 'angle',
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
