import {
  CAPTURE_SECONDS,
  DIRECTION_NEEDS,
  handLoadFromScale,
  type Movement,
  peak,
  type ScalePlace,
  STEADY,
  steadyPeak,
  steadyReading,
  type Stream,
} from '@myokinet/core/instruments';
import { type Measure, formatReading } from '@myokinet/core/measuring';
import { formatAmount } from '@myokinet/core/quantities';
import { useState } from 'react';
import type { Instrument } from './instrument.ts';
import type { TakeReading } from './takeReading.ts';
import { useInstrument } from './useInstrument.ts';
import { trialProblemInWords, unsteadyInWords } from '@myokinet/core/words';

export interface LiveReadingProps {
  readonly instrument: Instrument;
  readonly measure: Measure;
  readonly movement: Movement;
  readonly place: ScalePlace;
  readonly mass: number;
  readonly take: TakeReading['take'];
  /** Takes the whole stream as a trace; whether its zero and its direction are known goes with it. */
  readonly look: ((stream: Stream, zeroed: boolean) => void) | undefined;
}

/** The instrument as it runs: its figure large, and the buttons that take it. */
export function LiveReading({ instrument, measure, movement, place, mass, take, look }: LiveReadingProps) {
  const { heard, connect, zero, direct: tellDirection, leant, again, stop, heardSoFar } = useInstrument(instrument);
  const [refused, setRefused] = useState('');
  const converted = (value: number) => (movement === 'step on' ? handLoadFromScale(value, mass, place) : value);
  const unit = { deg: '°', kg: ' kg', percentBodyWeight: '% of body weight' }[measure.unit as string] ?? '°';
  const direct = movement === 'rise and hold' ? measure.unit === 'deg' : movement === 'squeeze' || movement === 'step on';

  const kind = movement === 'step on' ? 'load' : 'angle';
  const own = instrument.range.unit === 'deg' ? '°' : ' kg';
  /** A direction matters only where the figure has one; a swing and a count go both ways. */
  const asksDirection = instrument.direct !== undefined && direct;

  const takeNow = () => {
    try {
      const stream = heardSoFar();
      const asked = {
        range: instrument.range,
        zeroed: heard.zeroed,
        ...(asksDirection ? { directed: heard.directed } : {}),
        outOfPlane: leant(CAPTURE_SECONDS[kind]),
      };
      const reading = movement === 'squeeze' ? steadyPeak(stream, asked) : steadyReading(stream, kind, asked);
      if ('unsteady' in reading) {
        setRefused(unsteadyInWords(reading.unsteady, own));
        return;
      }
      const { value, unrest } = reading.taken;
      const rounded = Math.round(converted(value) / measure.limits.step) * measure.limits.step;
      const problem = trialProblemInWords(measure, rounded);
      setRefused(problem ? `${problem}${rounded < 0 ? ' Did it turn the other way?' : ''}` : '');
      if (problem) return;
      // What the body moved while it was read is the reading's own error, in the check's unit.
      const scatter = Math.abs(converted(value + unrest) - converted(value));
      const standardError = Math.round(scatter * 100) / 100;
      take(rounded, {
        kind: 'instrument',
        instrument: instrument.name,
        simulated: instrument.simulated,
        ...(standardError > 0 ? { standardError } : {}),
      });
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
              look(heardSoFar(), heard.zeroed && (!asksDirection || heard.directed));
            }}
          >
            Stop and read the trace
          </button>
        )}
        <button
          type="button"
          className={`btn ${heard.zeroed ? '' : 'btn-outline'}`}
          onClick={() => {
            setRefused('');
            void zero();
          }}
        >
          Set to zero
        </button>
        {asksDirection && heard.zeroed && (
          <button
            type="button"
            className={`btn ${heard.directed ? '' : 'btn-outline'}`}
            onClick={() =>
              setRefused(tellDirection() ? '' : `It has turned too little to tell a direction: at least ${DIRECTION_NEEDS}° are needed.`)
            }
          >
            {heard.directed ? 'Tell the direction anew' : 'This way counts'}
          </button>
        )}
        <button type="button" className="btn" onClick={again}>
          {heard.state === 'lost' ? 'Connect again' : 'Start anew'}
        </button>
      </div>
      {asksDirection && !heard.directed && (
        <p className="mt-1 text-sm">
          {heard.zeroed
            ? `Turn it at least ${DIRECTION_NEEDS}° the way that counts for ${measure.phrase}, then tap “This way counts”. The other way reads below zero.`
            : 'Hold the limb where the check counts from, then set it to zero.'}
        </p>
      )}
      {direct && <p className="aside mt-1 text-sm">{takenFrom(measure, movement)}</p>}
    </div>
  );
}

function squeezeWords(stream: Stream): string {
  const mean = stream.values.reduce((sum, v) => sum + v, 0) / stream.values.length;
  return `, peak ${formatAmount(peak(stream).value, 'kg')}, mean ${formatAmount(mean, 'kg')}`;
}

function takenFrom(measure: Measure, movement: Movement): string {
  const limits = `from ${formatReading(measure, measure.limits.min)} to ${formatReading(measure, measure.limits.max)}`;
  if (movement === 'squeeze') return `The highest tenth of a second counts; the check reads ${limits}.`;
  const [seconds, still] =
    movement === 'step on' ? [CAPTURE_SECONDS.load, `${STEADY.load.unrest} kg`] : [CAPTURE_SECONDS.angle, `${STEADY.angle.unrest}°`];
  return `The mean of the last ${seconds} s counts, if it was still within ${still}; the check reads ${limits}.`;
}
