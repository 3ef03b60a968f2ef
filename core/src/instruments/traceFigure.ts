import { type DeviceReading, formatReading, type Measure } from '../measuring/index.ts';
import { countAfter, type CountCorrection, type TraceQuantity, type TraceReading } from '../traces/index.ts';
import { peak } from './capture.ts';

/** The figure of a check that a trace gives, and what it is of it. */
export interface TraceFigure {
  readonly value: number;
  readonly what: 'longest hold' | 'clean repetitions' | 'swing from end to end' | 'mean of the longest hold' | 'highest tenth of a second';
  /** The figure as the check says it. */
  readonly said: string;
}

/** What each kind of trace can show: an acceleration is never an angle, and seconds of a hold come only from what can show a hold. */
const SHOWN_BY: Readonly<Record<DeviceReading, readonly TraceQuantity[]>> = {
  'angle held': ['angle'],
  swing: ['angle'],
  repetitions: ['angle', 'turn rate', 'acceleration', 'load', 'height'],
  squeeze: ['load'],
  'weight on a scale': [],
  time: ['angle', 'load', 'height'],
};

/**
 * Whether a trace of such a thing can be read for a check.
 *
 * @example canShow({ device: 'angle held' }, 'acceleration') // false
 */
export function canShow({ device }: Pick<Measure, 'device'>, quantity: TraceQuantity): boolean {
  return device !== undefined && SHOWN_BY[device].includes(quantity);
}

/** What only somebody who was there knows of a trace. */
export interface SaidOfTrace {
  /** Of the count. */
  readonly corrections?: readonly CountCorrection[];
  /** How many sides a swing has that may have lost them; without it such a swing gives no figure. */
  readonly sides?: 'one' | 'two' | undefined;
  /** The reading from which the check counts; 0 where nothing is said. */
  readonly zero?: number;
}

/**
 * What a trace says for a check: how many clean repetitions, how far it swings, how long or where it was held, the peak of a squeeze.
 * Nothing where a trace of this kind has no say (a grade; an angle out of accelerations), or where it shows no such thing.
 *
 * @param measure the check it is taken for
 * @param reading of the trace
 * @param said what the coach said of it
 * @example traceFigure(library.measure('plank-hold'), reading, {})?.said // '32 s'
 */
export function traceFigure(
  measure: Measure,
  reading: TraceReading,
  { corrections = [], sides, zero = 0 }: SaidOfTrace,
): TraceFigure | undefined {
  if (!canShow(measure, reading.quantity)) return undefined;
  const told = (value: number, what: TraceFigure['what']): TraceFigure => {
    const rounded = Math.round(value / measure.limits.step) * measure.limits.step;
    return { value: rounded, what, said: formatReading(measure, rounded) };
  };
  const { hold } = reading;
  switch (measure.device) {
    case 'time':
      return hold && told(hold.to - hold.from, 'longest hold');
    case 'repetitions':
      return told(countAfter(reading, corrections), 'clean repetitions');
    case 'swing':
      if (reading.swing.folded && !sides) return undefined;
      return told(reading.swing.peakToPeak * (reading.swing.folded && sides === 'two' ? 2 : 1), 'swing from end to end');
    case 'squeeze':
      return told(peak(asStream(reading)).value, 'highest tenth of a second');
    default:
      return hold && told(hold.mean - zero, 'mean of the longest hold');
  }
}

function asStream({ stretches }: TraceReading) {
  return {
    times: stretches.flatMap((s) => [...s.values].map((_, i) => s.start + i / s.rate)),
    values: stretches.flatMap((s) => [...s.values]),
  };
}
