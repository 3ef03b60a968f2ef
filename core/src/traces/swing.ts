import type { Stretch } from './stretches.ts';
import { turningPoints } from './turningPoints.ts';

/** A body that swings about its rest. */
export interface Swing {
  /** Largest way from one turning point to the next, degrees. */
  readonly peakToPeak: number;
  /** Seconds for there and back; absent with fewer than three turning points. */
  readonly period?: number;
  /**
   * It never goes below zero and turns at zero each time, as an instrument gives it that only knows how far it has turned: its two sides
   * may be folded into one, and twelve degrees be twenty-four from end to end. It has to be asked.
   */
  readonly folded?: true;
}

/** Share of its range within which a turn lies at zero. */
const AT_ZERO = 0.15;

/** Degrees below which a turn is unrest of the instrument (project default). */
const LEAST_TURN = 0.5;
const LEAST_SHARE = 0.1;

/**
 * Swing of a smoothed stretch. Its ends are no turns and do not count toward the period.
 *
 * @example a pendulum of ±10° and 1.5 s: peakToPeak 20, period 1.5
 */
export function swingOf({ rate, values }: Stretch): Swing {
  const span = values.reduce((most, v) => Math.max(most, v), -Infinity) - values.reduce((least, v) => Math.min(least, v), Infinity);
  const turns = turningPoints(values, Math.max(LEAST_TURN, span * LEAST_SHARE));
  const ways = turns.slice(1).map((p, i) => Math.abs((values[p.index] ?? 0) - (values[turns[i]?.index ?? 0] ?? 0)));
  const inner = turns.filter((p) => p.index > 0 && p.index < values.length - 1);
  const halves = inner
    .slice(1)
    .map((p, i) => (p.index - (inner[i]?.index ?? 0)) / rate)
    .toSorted((a, b) => a - b);
  const half = halves[Math.floor(halves.length / 2)];
  const lows = inner.filter((p) => p.kind === 'low').map((p) => values[p.index] ?? 0);
  const folded = lows.length >= 2 && lows.every((v) => Math.abs(v) <= AT_ZERO * span);
  return {
    peakToPeak: ways.length > 0 ? Math.max(...ways) : span,
    ...(half === undefined ? {} : { period: 2 * half }),
    ...(folded ? { folded } : {}),
  };
}
