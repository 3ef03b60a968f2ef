import { type Measure, formatReading } from '../measuring/index.ts';
import { countAfter, type CountCorrection, type TraceReading } from '../traces/index.ts';
import { instrumentFor } from './standIn.ts';

/** The figure of a check that a trace gives, and what it is of it. */
export interface TraceFigure {
  readonly value: number;
  readonly words: string;
}

/**
 * What a trace says for a check: how many repetitions, how far it swings, how long or where it was
 * held. Nothing where a trace has no say (a squeeze, a grade), or where it shows no such thing.
 *
 * @param measure the check it is taken for
 * @param reading in degrees
 * @param corrections of the count, by the coach
 * @example traceFigure(library.measure('plank-hold'), reading, [])?.words // 'longest hold, 32 s'
 */
export function traceFigure(measure: Measure, reading: TraceReading, corrections: readonly CountCorrection[]): TraceFigure | undefined {
  const told = (value: number, what: string) => {
    const rounded = Math.round(value / measure.limits.step) * measure.limits.step;
    return { value: rounded, words: `${what}, ${formatReading(measure, rounded)}` };
  };
  const use = instrumentFor(measure);
  if (use?.kind === 'timer') return reading.hold && told(reading.hold.to - reading.hold.from, 'longest hold');
  if (use?.kind !== 'inclinometer') return undefined;
  if (use.movement === 'repetitions') return told(countAfter(reading, corrections), 'repetitions counted');
  if (use.movement === 'swing') return told(reading.swing.peakToPeak, 'swing from end to end');
  return reading.hold && told(reading.hold.mean, 'mean of the longest hold');
}
