import type { Travel } from './frames.ts';
import type { Movement } from './movement.ts';

/** Seconds of one repetition: out, hold, back. */
export interface Beat {
  readonly out: number;
  readonly hold: number;
  readonly back: number;
}

/** What has no tempo of its own, holds and breaths, is shown going into place, staying and coming out (project default). */
export const SHOWN_BEAT: Beat = { out: 2, hold: 2.5, back: 2 };

/** Where in its course a movement is. */
export interface Moment {
  readonly travel: Travel;
  readonly part: 'out' | 'hold' | 'back';
}

/**
 * How far a movement has come after so many seconds of its tempo; what goes round goes round once in a repetition.
 *
 * @param seconds since the first repetition began
 * @example momentAt(pushUp, { out: 2, hold: 1, back: 2 }, 2.5) // { travel: 1, part: 'hold' }
 */
export function momentAt({ round }: Pick<Movement, 'round'>, { out, hold, back }: Beat, seconds: number): Moment {
  const whole = out + hold + back;
  const t = whole > 0 ? ((seconds % whole) + whole) % whole : 0;
  if (round) return { travel: whole > 0 ? t / whole : 0, part: t < whole / 2 ? 'out' : 'back' };
  if (t < out) return { travel: t / out, part: 'out' };
  if (t < out + hold) return { travel: 1, part: 'hold' };
  return { travel: back > 0 ? 1 - (t - out - hold) / back : 0, part: 'back' };
}

/** How much of its way a pulse gives back (project default). */
const PULSE = 0.25;

/** Seconds in which a body goes into a hold (project default). */
const INTO_HOLD = 1.5;

/**
 * How far a movement has come in a part of a counted set: the same clock that counts moves the figure.
 *
 * @param part `in` and `back` are a breath's two halves; `still` is a hold
 * @param share of the part that is over, 0 to 1
 * @param seconds since the set began
 * @example travelIn(pushUp, 'back', 0.25, 4) // 0.75
 */
export function travelIn(
  { round }: Pick<Movement, 'round'>,
  part: 'out' | 'pulse' | 'hold' | 'back' | 'rest' | 'in' | 'still',
  share: number,
  seconds: number,
): Travel {
  if (part === 'rest') return 0;
  if (part === 'pulse') return round ? 0.5 : 1 - PULSE * Math.sin(Math.PI * share);
  if (part === 'still') return Math.min(1, seconds / INTO_HOLD) * (round ? 0 : 1);
  if (round) return part === 'out' || part === 'in' ? share / 2 : part === 'hold' ? 0.5 : (1 + share) / 2;
  return part === 'out' || part === 'in' ? share : part === 'hold' ? 1 : 1 - share;
}

/** The point of its way at which a movement tells most: its end, or half way round. */
export function tellingTravel({ round, keys }: Pick<Movement, 'round' | 'keys'>): Travel {
  return round ? Math.max(1, Math.floor(keys.length / 2)) / (keys.length + 1) : 1;
}

/** The points of its way that are printed side by side: start and end, or three of what goes round or has stations. */
export function stripOf({ round, keys }: Pick<Movement, 'round' | 'keys'>): readonly Travel[] {
  if (keys.length === 0) return [0];
  if (round) return [0, 1, 2].map((i) => Math.round((i * (keys.length + 1)) / 3) / (keys.length + 1));
  return keys.length === 1 ? [0, 1] : [0, 0.5, 1];
}
