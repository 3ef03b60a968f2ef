import type { Side } from '../anatomy/index.ts';
import type { BodyPoint, PictureTemplate, PlacedPoint } from './templates.ts';

/** A point as a pose model sees it: pixels of the picture, and how sure it is, 0 to 1. */
export interface Keypoint {
  readonly name: `${Side} ${BodyPoint}`;
  readonly x: number;
  readonly y: number;
  readonly score: number;
}

/** Below this a point is "not seen": the model always returns one, seen or not (tried by hand; project default). */
export const LEAST_SCORE = 0.35;

/** Seen from the side, left and right of the trunk lie one behind the other: either will do to start from. */
const OF_THE_TRUNK: readonly BodyPoint[] = ['shoulder', 'hip'];

/**
 * What a pose model suggests for a protocol: the points of the wanted side that it has seen. The rest
 * stays where it is, for the coach to place.
 *
 * @param side the trainee's side; for the whole body the side that is seen better
 * @example suggestPoints(templateFor({ picture: 'shoulder-flexion' }), keypoints, 'left') // up to three points
 */
export function suggestPoints(template: PictureTemplate, keypoints: readonly Keypoint[], side: Side | 'whole'): readonly PlacedPoint[] {
  const seen = (which: Side) =>
    template.landmarks.flatMap(({ id, suggested }) => {
      if (!suggested) return [];
      const find = (side: Side) => keypoints.find((k) => k.name === `${side} ${suggested}` && k.score >= LEAST_SCORE);
      const other = which === 'left' ? 'right' : 'left';
      const point = find(which) ?? (OF_THE_TRUNK.includes(suggested) ? find(other) : undefined);
      return point ? [{ id, x: point.x, y: point.y, score: point.score }] : [];
    });
  const sure = (points: ReturnType<typeof seen>) => points.reduce((sum, p) => sum + p.score, 0);
  const [left, right] = [seen('left'), seen('right')];
  const chosen = side === 'whole' ? (sure(left) >= sure(right) ? left : right) : side === 'left' ? left : right;
  return chosen.map(({ id, x, y }) => ({ id, x, y }));
}
