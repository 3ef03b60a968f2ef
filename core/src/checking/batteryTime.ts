import { type DeviceReading, type Measure, measureSides } from '../measuring/index.ts';

/** What a check takes, seconds. Common practice, no source. */
interface Pace {
  /** One trial, placing hands or instrument included. */
  readonly trial: number;
  /** Before the same side goes again. */
  readonly rest: number;
}

const TIRING: readonly Measure['unit'][] = ['s', 'reps', 'breaths'];
const PACES = {
  /** Holds, counts and breaths to the first fault. */
  tiring: { trial: 45, rest: 120 },
  squeeze: { trial: 10, rest: 60 },
  load: { trial: 25, rest: 45 },
  range: { trial: 20, rest: 0 },
  look: { trial: 20, rest: 0 },
} as const satisfies Readonly<Record<string, Pace>>;

/** Explaining and setting up a check, and getting up or down for another position. */
const SET_UP_SECONDS = 40;
const CHANGE_SECONDS = 30;

function paceOf({ unit, device, choices }: Measure): Pace {
  if (choices) return PACES.look;
  if (TIRING.includes(unit)) return PACES.tiring;
  if (device === 'squeeze' || unit === 'percent') return PACES.squeeze;
  return device === 'weight on a scale' ? PACES.load : PACES.range;
}

/**
 * How long the same side rests after a trial of a check, seconds; 0 where nothing tires.
 *
 * @example restAfterTrial(library.measure('grip')) // 60
 */
export function restAfterTrial(measure: Measure): number {
  return paceOf(measure).rest;
}

/**
 * The checks of a battery in the order in which they are taken: by position, so that nobody gets up and down; in each position what does
 * not tire first, then what tires, never the same joint twice running where another waits (common practice, no source).
 *
 * @param measures in the order of positions
 * @example inBatteryOrder([pushUps, scapularPushUps, handLoad]).map((m) => m.id) // ['hand-load-push', …]
 */
export function inBatteryOrder(measures: readonly Measure[]): readonly Measure[] {
  const positions = [...new Set(measures.map((m) => m.position))];
  let last: Measure | undefined;
  return positions.flatMap((position) => {
    const here = measures.filter((m) => m.position === position);
    const fresh = here.filter((m) => restAfterTrial(m) === 0);
    const tiring = here.filter((m) => restAfterTrial(m) > 0);
    const ordered: Measure[] = [...fresh];
    while (tiring.length > 0) {
      const other = tiring.findIndex((m) => m.joint !== last?.joint);
      const [next] = tiring.splice(Math.max(0, other), 1);
      if (!next) break;
      ordered.push(next);
      last = next;
    }
    return ordered;
  });
}

/**
 * Minutes that a battery takes, rests and changes of position included: of a check with sides the other one goes while one rests.
 *
 * @param measures in the order they are taken
 * @example batteryMinutes([library.measure('grip')]) // 6: 40 s to set up, six squeezes of 10 s, and what of each minute’s rest is not the other hand’s
 */
export function batteryMinutes(measures: readonly Measure[]): number {
  const seconds = measures.reduce((sum, measure, i) => {
    const { trial, rest } = paceOf(measure);
    const sides = measureSides(measure).length;
    const idle = Math.max(0, rest - (sides - 1) * trial);
    const changes = i > 0 && measures[i - 1]?.position !== measure.position ? CHANGE_SECONDS : 0;
    return sum + changes + SET_UP_SECONDS + measure.trials * sides * trial + (measure.trials - 1) * idle;
  }, 0);
  return Math.ceil(seconds / 60);
}

/** What a coach has to have at hand for a check. */
export const TOOLS = ['goniometer', 'dynamometer', 'scale', 'phone at the belt', 'tape'] as const;
export type Tool = (typeof TOOLS)[number];

const TOOL_OF: Readonly<Partial<Record<DeviceReading, Tool>>> = {
  'angle held': 'goniometer',
  swing: 'phone at the belt',
  squeeze: 'dynamometer',
  'weight on a scale': 'scale',
};
const TOOL_FOR: Readonly<Partial<Record<Measure['unit'], Tool>>> = { cm: 'tape', ratio: 'tape', percent: 'dynamometer' };

/** What has to be at hand: nothing for what is looked at, asked or counted, or timed by the page. */
export function toolsOf(measures: readonly Measure[]): readonly Tool[] {
  const needed = new Set(measures.map(({ device, unit }) => (device ? TOOL_OF[device] : TOOL_FOR[unit])));
  return TOOLS.filter((tool) => needed.has(tool));
}

/**
 * Centimetres on a strap as shoulder widths.
 *
 * @example widthsFrom(78, 39) // 2
 */
export function widthsFrom(handsApartCm: number, shoulderWidthCm: number): number {
  return handsApartCm / shoulderWidthCm;
}
