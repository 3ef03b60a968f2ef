import { levelAt } from './levelAt.ts';
import type { Stretch } from './stretches.ts';
import { turningPoints } from './turningPoints.ts';

/** Out to the far end of a movement and back. Times in seconds from the start of the trace, angles in degrees. */
export interface Repetition {
  readonly from: number;
  /** When the far end was reached. */
  readonly turn: number;
  readonly to: number;
  /** Mean of the two ways, with the noise taken off their ends. */
  readonly range: number;
  /** Angle at the far end. */
  readonly peak: number;
  /** Seconds on the way out and back, without the pauses at the ends. */
  readonly outTime: number;
  readonly backTime: number;
  /** Fastest moment, degrees a second. */
  readonly peakSpeed: number;
  /** The shorter of the two ways ÷ the longer, 1 when they take equally long. */
  readonly evenness: number;
  readonly sticking?: StickingPoint;
}

/** The part of the way out that takes longest. */
export interface StickingPoint {
  /** Middle of that part, degrees. */
  readonly angle: number;
  /** How many times the usual time it takes. */
  readonly slowdown: number;
}

/** Share of a way that counts as the pause at its ends. */
const END_SHARE = 0.05;

/**
 * Repetitions of a smoothed stretch: out and back between turning points. The end at which the
 * movement begins is the near one, whether it is the lower or the higher.
 *
 * @param stretch smoothed
 * @param prominence degrees that a movement must come back by to count
 */
export function repetitionsIn({ start, rate, values }: Stretch, prominence: number): readonly Repetition[] {
  const points = turningPoints(values, prominence);
  const nearKind = points[0]?.kind;
  return points.flatMap((far, i): Repetition[] => {
    const before = points[i - 1];
    const after = points[i + 1];
    if (!before || !after || far.kind === nearKind) return [];
    const out = way(values, before.index, far.index);
    const back = way(values, far.index, after.index);
    const outTime = (out.end - out.begin) / rate;
    const backTime = (back.end - back.begin) / rate;
    const level = (index: number) => levelAt(values, index, Math.max(out.range, back.range), rate);
    const peak = level(far.index);
    const stick = stickingPoint(values, out.from, out.to);
    return [
      {
        from: start + out.begin / rate,
        turn: start + far.index / rate,
        to: start + back.end / rate,
        range: (Math.abs(peak - level(before.index)) + Math.abs(peak - level(after.index))) / 2,
        peak,
        outTime,
        backTime,
        peakSpeed: fastest(values, out.from, back.to) * rate,
        evenness: Math.min(outTime, backTime) / Math.max(outTime, backTime),
        ...(stick ? { sticking: stick } : {}),
      },
    ];
  });
}

/** One way between two turning points, without the pauses at its ends; `begin` and `end` are where it truly starts and stops. */
function way(values: Float64Array, begin: number, end: number) {
  const [a = 0, b = 0] = [values[begin], values[end]];
  const range = Math.abs(b - a);
  const share = (i: number) => Math.abs((values[i] ?? a) - a) / range;
  let from = end;
  while (from > begin && share(from - 1) > END_SHARE) from--;
  let to = from;
  while (to < end && share(to) < 1 - END_SHARE) to++;
  const inner = { from: Math.max(begin, from - 1), to: Math.max(to, from) };
  const before = startingTime(values, inner.from, Math.abs((values[inner.from] ?? a) - a));
  const after = startingTime(values, inner.to, Math.abs(b - (values[inner.to] ?? b)));
  return { ...inner, range, begin: Math.max(begin, inner.from - before), end: Math.min(end, inner.to + after) };
}

/**
 * Samples that a limb took from rest to a place `distance` away: it gathers speed evenly there, d = ½·a·t² and v = a·t, so t = 2·d/v.
 * Without it a stroke would end where a twentieth of its way is left, three tenths of a slow movement's time.
 */
function startingTime(values: Float64Array, index: number, distance: number): number {
  const speed = Math.abs((values[index + SPEED_REACH] ?? 0) - (values[index - SPEED_REACH] ?? 0)) / (2 * SPEED_REACH);
  return speed > 0 ? (2 * distance) / speed : 0;
}

/** Samples to either side over which a speed is taken. */
const SPEED_REACH = 2;

function fastest(values: Float64Array, from: number, to: number): number {
  let most = 0;
  for (let i = Math.max(1, from); i < Math.min(values.length - 1, to); i++)
    most = Math.max(most, Math.abs((values[i + 1] ?? 0) - (values[i - 1] ?? 0)) / 2);
  return most;
}

const PARTS = 10;
/** The first and last tenth are slow in every movement. */
const INNER = { from: 1, to: PARTS - 1 };
/** A part that takes this many times the usual is worth a word (project default). */
const WORTH_A_WORD = 2;

/** Where the way out is slowest: the time spent in each tenth of its range. */
function stickingPoint(values: Float64Array, from: number, to: number): StickingPoint | undefined {
  const [a = 0, b = 0] = [values[from], values[to]];
  if (to - from < 2 * PARTS) return undefined;
  const spent = new Float64Array(PARTS);
  for (let i = from; i <= to; i++) {
    const part = Math.floor((PARTS * ((values[i] ?? a) - a)) / (b - a));
    const inside = Math.max(0, Math.min(PARTS - 1, part));
    spent[inside] = (spent[inside] ?? 0) + 1;
  }
  const inner = [...spent.subarray(INNER.from, INNER.to)];
  const usual = inner.toSorted((x, y) => x - y)[Math.floor(inner.length / 2)] ?? 1;
  const longest = Math.max(...inner);
  const slowdown = longest / Math.max(1, usual);
  if (slowdown < WORTH_A_WORD) return undefined;
  const part = inner.indexOf(longest) + INNER.from;
  return { angle: a + ((b - a) * (part + 0.5)) / PARTS, slowdown };
}
