import { GRAVITY } from './bodyModel.ts';
import { hung } from './hanging.ts';
import { radians } from './plane.ts';
import { type Build, centreOf, massesOf } from './stance.ts';

/** Radius of gyration about a segment's own centre as a share of its length (a slender rod; project default). */
const ROD = 1 / Math.sqrt(12);

/** A straight hanging body as a rigid pendulum: distance of its centre of mass from the bar, and moment of inertia ÷ mass. */
export function pendulumOf(b: Build): { readonly centreM: number; readonly inertia: number } {
  const joints = hung(b, {});
  const masses = massesOf(joints, b);
  const lengths = [b.head, b.trunk, b.upperArm, b.forearm, b.hand, b.thigh, b.shank, b.foot];
  const inertia = masses.reduce((sum, m, i) => sum + m.share * (m.x * m.x + m.y * m.y + ((lengths[i] ?? 0) * ROD) ** 2), 0);
  return { centreM: -centreOf(masses).y, inertia };
}

/** Largest part of body weight that a point mass on a string would put on the hands: 3 − 2·cos θ₀. */
export const pointMassBound = (amplitudeDeg: number): number => 3 - 2 * Math.cos(radians(amplitudeDeg));

/**
 * Swing of a rigid pendulum let go at an amplitude: period by the arithmetic–geometric mean (the complete elliptic
 * integral, exact), pull on the bar at the bottom from energy and the centripetal force.
 */
export function pendulumSwing(
  { centreM, inertia }: { readonly centreM: number; readonly inertia: number },
  amplitudeDeg: number,
): { readonly periodS: number; readonly smallPeriodS: number; readonly peakTensionRatio: number } {
  const smallPeriodS = 2 * Math.PI * Math.sqrt(inertia / (GRAVITY * centreM));
  const peakTensionRatio = 1 + ((2 * centreM * centreM) / inertia) * (1 - Math.cos(radians(amplitudeDeg)));
  return { periodS: smallPeriodS / arithmeticGeometricMean(1, Math.cos(radians(amplitudeDeg) / 2)), smallPeriodS, peakTensionRatio };
}

function arithmeticGeometricMean(a: number, g: number): number {
  while (Math.abs(a - g) > 1e-15) [a, g] = [(a + g) / 2, Math.sqrt(a * g)];
  return a;
}
