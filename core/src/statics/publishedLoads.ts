import { type SetUp, stated } from './setUp.ts';

/** A hand load that somebody measured. */
export interface PublishedLoad {
  readonly name: string;
  readonly citation: string;
  readonly setUp: SetUp;
  /** Of body weight. */
  readonly percent: number;
}

const EBBEN = 'Ebben et al., J. Strength Cond. Res. 2011 (from memory)';
const SUPRAK = 'Suprak, Dawes & Stephenson, J. Strength Cond. Res. 2011 (from memory)';

/**
 * Measured shares of body weight under the hands. The two studies differ by about five points on the same position:
 * that is the literature's own uncertainty. Kneeling is taken with the shanks lifted, as kneeling push-ups are done
 * with crossed ankles (project assumption).
 */
export const PUBLISHED_HAND_LOADS: readonly PublishedLoad[] = [
  { name: 'Push-up', citation: EBBEN, setUp: { position: 'push-up' }, percent: 64 },
  { name: 'Push-up, arms straight', citation: SUPRAK, setUp: { position: 'push-up' }, percent: 69.16 },
  { name: 'Push-up, lowered', citation: SUPRAK, setUp: { position: 'push-up', arms: 'lowered' }, percent: 75.04 },
  { name: 'Push-up, hands raised 30.48 cm', citation: EBBEN, setUp: { position: 'push-up', handHeightM: 0.3048 }, percent: 55 },
  { name: 'Push-up, feet raised 30.48 cm', citation: EBBEN, setUp: { position: 'push-up', footHeightM: 0.3048 }, percent: 70 },
  { name: 'Kneeling push-up', citation: EBBEN, setUp: { position: 'kneeling-push-up', shanks: 'lifted' }, percent: 49 },
];

/** Heights this close count as the same set-up, in metres. */
const SAME = 0.015;

/**
 * What was measured in the same set-up, if anything was.
 *
 * @example publishedFor({ position: 'push-up' }).map((p) => p.percent) // [64, 69.16]
 */
export function publishedFor(setUp: SetUp): readonly PublishedLoad[] {
  const asked = stated(setUp) as unknown as Record<string, unknown>;
  return PUBLISHED_HAND_LOADS.filter((row) => {
    if (row.setUp.position !== setUp.position) return false;
    return Object.entries(stated(row.setUp)).every(([key, value]) => {
      const other = asked[key];
      return typeof value === 'number' && typeof other === 'number' ? Math.abs(value - other) < SAME : value === other;
    });
  });
}
