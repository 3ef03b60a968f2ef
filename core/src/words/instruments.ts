import { STEADY, type TraceFigure, type Unsteady } from '../instruments/index.ts';
import { CLEAN, type CleanCount, type TraceQuantity } from '../traces/index.ts';

/** What a trace is of, and its unit as it follows a figure. */
export const QUANTITY_WORDS: Readonly<Record<TraceQuantity, { readonly name: string; readonly unit: string }>> = {
  angle: { name: 'an angle', unit: '°' },
  'turn rate': { name: 'a turn rate', unit: '°/s' },
  acceleration: { name: 'an acceleration', unit: ' m/s²' },
  load: { name: 'a load', unit: ' kg' },
  height: { name: 'a height', unit: '% of body' },
};

/**
 * Why an instrument's reading is no figure, and what to do.
 *
 * @param unit as it follows a figure: `°`, ` kg`
 * @example unsteadyInWords({ why: 'moving', by: 3.2, limit: 2, seconds: 0.5 }, '°')
 * // 'It moved by 3.2° in the last 0.5 s; at most 2° count as still. Hold it and take it again.'
 */
export function unsteadyInWords(unsteady: Unsteady, unit: string): string {
  const say = (value: number) => `${tenth(value)}${unit}`;
  switch (unsteady.why) {
    case 'not set to zero':
      return 'Set it to zero first: until then nobody knows from where it counts.';
    case 'direction unknown':
      return 'Turn it a little the way the check goes and say so: until then 15° one way and the other look alike.';
    case 'too short':
      return `It has read for ${tenth(unsteady.seconds)} s only; ${tenth(unsteady.needed)} s are needed.`;
    case 'moving':
      return `It moved by ${say(unsteady.by)} in the last ${unsteady.seconds} s; at most ${say(unsteady.limit)} count as still. Hold it and take it again.`;
    case 'drifting':
      return `It still ${unsteady.by > 0 ? 'rose' : 'fell'} by ${say(Math.abs(unsteady.by))} in the last ${unsteady.seconds} s; at most ${say(unsteady.limit)} count as still. Hold it and take it again.`;
    case 'over range':
      return `It reads ${say(unsteady.value)}, at the end of what it can read (${say(unsteady.limit)}): the truth may lie beyond.`;
    case 'out of plane':
      return `It leans ${Math.round(unsteady.by)}° out of the plane it was set for; at most ${STEADY.outOfPlane}° count. Set it to zero anew.`;
    case 'does not start at zero':
      return `It showed ${say(unsteady.by)} before the squeeze; at most ${say(unsteady.limit)} count as nothing. Let go, set it to zero, squeeze again.`;
  }
}

const FIGURE_WORDS: Readonly<Record<TraceFigure['what'], string>> = {
  'longest hold': 'longest hold',
  'clean repetitions': 'clean repetitions',
  'swing from end to end': 'swing from end to end',
  'mean of the longest hold': 'mean of the longest hold',
  'highest tenth of a second': 'the highest tenth of a second',
};

/** What a trace gives for a check: `clean repetitions, 5 reps`. */
export function traceFigureInWords({ what, said }: TraceFigure): string {
  return `${FIGURE_WORDS[what]}, ${said}`;
}

/**
 * What ended the clean repetitions.
 *
 * @param nth which repetition fell off, counted from 1
 * @example fellOffInWords({ at: 16, what: 'range', share: 0.61 }, 6) // 'From number 6 on they do not count: its range is 61% of the first ones, at least 75% are asked.'
 */
export function fellOffInWords({ what, share }: NonNullable<CleanCount['fellOff']>, nth: number): string {
  const percent = (s: number) => `${Math.round(100 * s)}%`;
  const asked =
    what === 'range'
      ? `its range is ${percent(share)} of the first ones, at least ${percent(CLEAN.leastRange)} are asked`
      : `it took ${percent(share)} of the time of the first ones, ${percent(CLEAN.leastTime)} to ${percent(CLEAN.mostTime)} are asked`;
  return `From number ${nth} on they do not count: ${asked}.`;
}

const tenth = (value: number) => Math.round(value * 10) / 10;
