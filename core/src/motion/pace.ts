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

/** The point of its way at which a movement tells most: its end, or half way round. */
export function tellingTravel({ round, keys }: Pick<Movement, 'round' | 'keys'>): Travel {
  return round ? Math.ceil(keys.length / 2) / (keys.length + 1) : 1;
}

/** The points of its way that are printed side by side: start and end, or three of what goes round or has stations. */
export function stripOf({ round, keys }: Pick<Movement, 'round' | 'keys'>): readonly Travel[] {
  if (keys.length === 0) return [0];
  if (round) return [0, 1, 2].map((i) => Math.round((i * (keys.length + 1)) / 3) / (keys.length + 1));
  return keys.length === 1 ? [0, 1] : [0, 0.5, 1];
}
