import type { Side } from '../anatomy/index.ts';
import type { BodyPoint, PictureTemplate, PlacedPoint } from './templates.ts';

/** A point as a pose model sees it: pixels of the picture, and how sure it is, 0 to 1. */
export interface Keypoint {
  readonly name: `${Side} ${BodyPoint}` | 'nose';
  readonly x: number;
  readonly y: number;
  readonly score: number;
}

/** A point that a model suggests: pixels, their error, and how sure it is, 0 to 1. */
export interface SuggestedPoint extends PlacedPoint {
  readonly error: number;
  readonly score: number;
}

/** Below this a point is "not seen": the model always returns one, seen or not (tried by hand; project default). */
export const LEAST_SCORE = 0.35;

/** Seen from the side, left and right of the trunk lie one behind the other: either will do to start from. */
const OF_THE_TRUNK: readonly BodyPoint[] = ['shoulder', 'hip'];

/** How far a suggested point may lie off, as a share of the body's extent on the picture: about 2.5 cm of a standing body (tried by hand; project default). */
const SUGGESTED_ERROR = 0.015;

/** The longest way across all points that were seen, pixels. */
function extentOf(seen: readonly Keypoint[]): number {
  const across = (of: (k: Keypoint) => number) => Math.max(...seen.map(of)) - Math.min(...seen.map(of));
  return seen.length === 0
    ? 0
    : Math.hypot(
        across((k) => k.x),
        across((k) => k.y),
      );
}

/**
 * What a pose model suggests for a protocol: the points of the wanted side that it has seen. The rest
 * stays where it is, for the coach to place.
 *
 * @param side the trainee's side; for the whole body the side that is seen better
 * @returns with their own error, pixels, and how sure the model is of each
 * @example suggestPoints(templateFor({ picture: 'shoulder-flexion' }), keypoints, 'left') // up to three points
 */
export function suggestPoints(template: PictureTemplate, keypoints: readonly Keypoint[], side: Side | 'whole'): readonly SuggestedPoint[] {
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
  const error = SUGGESTED_ERROR * extentOf(keypoints.filter((k) => k.score >= LEAST_SCORE));
  return chosen.map((point) => ({ ...point, error }));
}

/** Shares of the body's extent that must lie between two points for one to be told from the other. */
const TOLD_APART = 0.03;
/** A face is told only from points that the model is sure of: a wrong one turns an angle round. */
const SURE = 0.5;

/**
 * Which way a trainee faces, by the nose against the ears; or where the head lies, by the head against the hips. Nothing where the points
 * do not tell: then it is asked.
 *
 * @example facingOf(template, keypoints) // 'right'
 */
export function facingOf({ asks }: Pick<PictureTemplate, 'asks'>, keypoints: readonly Keypoint[]): 'left' | 'right' | undefined {
  const seen = keypoints.filter((k) => k.score >= SURE);
  const middle = (part: BodyPoint) => meanX(seen.filter((k) => k.name.endsWith(` ${part}`)));
  const [ears, hips, nose] = [middle('ear'), middle('hip'), meanX(seen.filter((k) => k.name === 'nose'))];
  const [ahead, behind] = asks === 'head' ? [ears ?? nose, hips] : [nose, ears];
  if (!asks || ahead === undefined || behind === undefined) return undefined;
  const apart = (ahead - behind) / extentOf(seen);
  return Math.abs(apart) < TOLD_APART ? undefined : apart > 0 ? 'right' : 'left';
}

function meanX(points: readonly Keypoint[]): number | undefined {
  return points.length === 0 ? undefined : points.reduce((sum, p) => sum + p.x, 0) / points.length;
}

/**
 * Whether suggestions are worth having for a protocol: of a whole arm or body, seen by its side. Wrists, hands, creases and a body seen end on the model does
 * not see.
 *
 * @example isSuggested(templateFor({ picture: 'wrist-extension' })!) // false
 */
export function isSuggested({ landmarks, asks }: PictureTemplate): boolean {
  return asks !== 'head' && landmarks.every((l) => l.suggested !== undefined);
}
