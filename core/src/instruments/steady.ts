import { type Captured, CAPTURE_SECONDS, held, peak, type Stream } from './capture.ts';

/** What an instrument gives, and how far it reads. */
export interface InstrumentRange {
  readonly unit: 'deg' | 'kg' | 's';
  readonly min: number;
  readonly max: number;
}

/** Why a reading is no figure. */
export type Unsteady =
  | { readonly why: 'not set to zero' }
  | { readonly why: 'direction unknown' }
  | { readonly why: 'too short'; readonly seconds: number; readonly needed: number }
  | { readonly why: 'moving' | 'drifting'; readonly by: number; readonly limit: number; readonly seconds: number }
  | { readonly why: 'over range'; readonly value: number; readonly limit: number }
  | { readonly why: 'out of plane'; readonly by: number; readonly limit: number }
  | { readonly why: 'does not start at zero'; readonly by: number; readonly limit: number };

/** What a reading needs: a still moment, in the instrument's unit (project defaults). */
export const STEADY = {
  angle: { unrest: 2, drift: 1.5 },
  load: { unrest: 1.5, drift: 1 },
  /** Degrees that a phone may lean out of the plane it was set for. */
  outOfPlane: 20,
  /** Kilograms that a dynamometer may show before it is squeezed. */
  atRest: 1.5,
} as const;

export interface ReadingAsked {
  readonly range: InstrumentRange;
  readonly zeroed: boolean;
  /** Of an instrument that has to be told which way is more. */
  readonly directed?: boolean;
  /** Degrees out of its plane, the most in the moments looked at. */
  readonly outOfPlane?: number;
}

export type SteadyReading = { readonly taken: Captured } | { readonly unsteady: Unsteady };

/**
 * A position or load that is held, taken off a stream: only from a still moment, from an instrument that was set to zero, inside its range.
 * The scatter of that moment is the reading's own error.
 *
 * @throws Refusal `reading-missing` when nothing was read
 * @example steadyReading(stream, 'angle', { range: { unit: 'deg', min: -360, max: 360 }, zeroed: false }) // { unsteady: { why: 'not set to zero' } }
 */
export function steadyReading(stream: Stream, kind: 'angle' | 'load', asked: ReadingAsked): SteadyReading {
  const seconds = CAPTURE_SECONDS[kind];
  const taken = held(stream, seconds);
  const before = notReady(stream, seconds, asked);
  if (before) return { unsteady: before };
  const limit = STEADY[kind];
  const drift = driftOf(stream, seconds);
  if (Math.abs(drift) > limit.drift) return { unsteady: { why: 'drifting', by: drift, limit: limit.drift, seconds } };
  if (taken.unrest > limit.unrest) return { unsteady: { why: 'moving', by: taken.unrest, limit: limit.unrest, seconds } };
  return { taken };
}

/**
 * The peak of a squeeze, from a dynamometer that was set to zero and showed next to nothing before.
 *
 * @throws Refusal `reading-missing`
 */
export function steadyPeak(stream: Stream, asked: ReadingAsked): SteadyReading {
  const taken = peak(stream);
  const before = notReady(stream, PEAK_NEEDS, asked);
  if (before) return { unsteady: before };
  const begin = stream.times[0] ?? 0;
  const first = stream.values.filter((_, i) => (stream.times[i] ?? 0) - begin <= AT_REST_SECONDS);
  const rest = Math.min(...first);
  // The peak may lie long before the end of the stream.
  if (taken.value >= asked.range.max) return { unsteady: { why: 'over range', value: taken.value, limit: asked.range.max } };
  if (Math.abs(rest) > STEADY.atRest) return { unsteady: { why: 'does not start at zero', by: rest, limit: STEADY.atRest } };
  return { taken };
}

const PEAK_NEEDS = 0.5;
const AT_REST_SECONDS = 0.3;

function notReady(stream: Stream, seconds: number, { range, zeroed, directed, outOfPlane = 0 }: ReadingAsked): Unsteady | undefined {
  if (!zeroed) return { why: 'not set to zero' };
  if (directed === false) return { why: 'direction unknown' };
  const [begin = 0, end = 0] = [stream.times[0], stream.times.at(-1)];
  if (end - begin < seconds) return { why: 'too short', seconds: end - begin, needed: seconds };
  const recent = recentOf(stream, seconds);
  const over = recent.find((v) => v >= range.max || v <= range.min);
  if (over !== undefined) return { why: 'over range', value: over, limit: over > 0 ? range.max : range.min };
  return outOfPlane > STEADY.outOfPlane ? { why: 'out of plane', by: outOfPlane, limit: STEADY.outOfPlane } : undefined;
}

function recentOf({ times, values }: Stream, seconds: number): readonly number[] {
  const end = times.at(-1) ?? 0;
  return values.slice(times.findIndex((t) => t >= end - seconds));
}

/** How much the second half of the moment lies above the first. */
function driftOf(stream: Stream, seconds: number): number {
  const recent = recentOf(stream, seconds);
  const middle = Math.floor(recent.length / 2);
  const mean = (part: readonly number[]) => part.reduce((sum, v) => sum + v, 0) / Math.max(1, part.length);
  return middle === 0 ? 0 : mean(recent.slice(middle)) - mean(recent.slice(0, middle));
}
