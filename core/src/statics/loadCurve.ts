import { Refusal } from '../errors.ts';
import { asKilograms, handLoad, type KnownBody, type Span } from './handLoad.ts';
import type { SetUp } from './setUp.ts';
import { type Notch, notchesOf, withNotch } from './solveSetUp.ts';

export interface CurvePoint {
  /** Place along the dials, counted in notches from the easiest set-up. */
  readonly at: number;
  /** Fraction of body weight, and its band. */
  readonly load: number;
  readonly band: Span;
  readonly wristDeg: number;
  /** What the fingers of one hand hold, in kilograms. */
  readonly gripKg: number;
}

export interface LoadCurve {
  /** Only where the set-up can be built. */
  readonly points: readonly CurvePoint[];
  readonly notches: readonly Notch[];
}

/** About as many points as the eye can tell apart on a page. */
const POINTS = 32;

/**
 * Load against the dials of a position, from its easiest set-up to its hardest, with its error band.
 *
 * @example loadCurve(body, { position: 'plank' }).points[0] // { at: 0, load: 0.64, band: { low: 0.58, high: 0.7 }, … }
 */
export function loadCurve(body: KnownBody, setUp: SetUp, wanted = POINTS): LoadCurve {
  const notches = notchesOf(setUp);
  const stride = Math.max(1, Math.round(notches.length / wanted));
  const points = notches.flatMap((notch, at): CurvePoint[] => {
    if (at % stride !== 0 && at !== notches.length - 1) return [];
    try {
      const { loadShare, bands, wristExtensionDeg, gripPerHandN } = handLoad(body, withNotch(setUp, notch));
      return [{ at, load: loadShare, band: bands.loadShare, wristDeg: wristExtensionDeg, gripKg: asKilograms(gripPerHandN) }];
    } catch (error) {
      // Out of reach there: the curve ends where the set-up does.
      if (error instanceof Refusal) return [];
      throw error;
    }
  });
  return { points, notches };
}
