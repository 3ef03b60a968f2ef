import { Refusal } from '../errors.ts';
import { BODY_SEGMENTS, type SegmentName, type Sex } from '../reference/index.ts';
import type { BodySide } from '../anatomy/index.ts';
import { type AngleOptions, jointAngle, type PictureAngle, type PicturePoint, type ReferenceLine, rollOf, wrapped } from './jointAngle.ts';

/** Names of the points that the pose model can suggest. */
export type BodyPoint = 'ear' | 'shoulder' | 'elbow' | 'wrist' | 'hip' | 'knee' | 'ankle';

/** A landmark that a protocol asks for. */
export interface TemplateLandmark {
  readonly id: string;
  /** Where to put it. */
  readonly name: string;
  /** What a pose model may suggest for it; nothing where it sees no such point. */
  readonly suggested?: BodyPoint;
  /** Where it waits at first, as shares of the picture. */
  readonly start: PicturePoint;
}

/** How one check is read from a picture. */
export interface PictureTemplate {
  /** The id by which a check names it. */
  readonly id: string;
  readonly view: string;
  readonly landmarks: readonly TemplateLandmark[];
  /** Whether the figure hangs on the camera's roll. */
  readonly needsLevel: boolean;
  /** What must be known beside the points to tell one direction of the joint from the other; asked, never assumed. */
  readonly asks?: 'facing' | 'head';
  readonly read: (at: (id: string) => PicturePoint, options: TemplateOptions) => PictureAngle;
}

export interface TemplateOptions {
  readonly picking?: number;
  readonly reference?: ReferenceLine;
  /** Which way the trainee faces, or the head lies, on the picture; needed where the protocol asks for it. */
  readonly facing?: 'left' | 'right' | undefined;
  /** Which side of the body is seen: from behind or along a hand it tells the direction. */
  readonly side: BodySide;
  /** Whose proportions tell a foreshortened limb; both tables' mean where it is not given. */
  readonly sex?: Sex;
}

/** True length of one segment ÷ that of another. */
function proportionOf([one, other]: readonly [SegmentName, SegmentName], sex: Sex | undefined): number {
  const of = (s: Sex) => BODY_SEGMENTS[s].segments[one].length / BODY_SEGMENTS[s].segments[other].length;
  return sex ? of(sex) : (of('female') + of('male')) / 2;
}

/** Turns what the eye sees, counter-clockwise, into the anatomical direction. */
type Direction = (seen: number, options: TemplateOptions) => number;

/** An angle at the middle landmark, with the proportion of its two arms where both are body segments. */
function joint(
  [first, vertex, second]: readonly [string, string, string],
  direction: Direction,
  arms?: readonly [SegmentName, SegmentName],
): PictureTemplate['read'] {
  return (at, template) => {
    const { picking, sex } = template;
    const options: AngleOptions = {
      ...(picking === undefined ? {} : { picking }),
      ...(arms ? { proportion: proportionOf(arms, sex) } : {}),
    };
    const reading = jointAngle({ first: at(first), vertex: at(vertex), second: at(second) }, options);
    return { ...reading, angle: direction(reading.angle, template) };
  };
}

/** A segment against the vertical, counted toward where the trainee faces or the head lies. */
function lean([from, to]: readonly [string, string], sign: 1 | -1 = 1): PictureTemplate['read'] {
  return (at, { facing, picking, reference }) => {
    const options = { ...(picking === undefined ? {} : { picking }), ...(reference === undefined ? {} : { reference }) };
    const reading = jointAngle({ from: at(from), to: at(to) }, options);
    return { ...reading, angle: sign * forward(known(facing)) * reading.angle };
  };
}

/** Facing right, what goes forward and up turns counter-clockwise. */
const forward = (facing: 'left' | 'right') => (facing === 'right' ? 1 : -1);

function known(facing: TemplateOptions['facing']): 'left' | 'right' {
  if (!facing) throw new Refusal('facing-unknown', 'Say which way the trainee faces: it tells one direction of the joint from the other.');
  return facing;
}

/** A raised arm reads well beyond straight up: 190° is not 170°; the rest of the turn lies behind the trunk. */
const RAISED_FROM = -120;

const raisedForward: Direction = (seen, { facing }) => wrapped(forward(known(facing)) * seen, RAISED_FROM);
const movedBack: Direction = (seen, { facing }) => wrapped(-forward(known(facing)) * seen);
/** Of a body seen from behind the right arm is on the right; a check without sides tells no direction. */
const raisedSideways =
  (seenFrom: 'behind' | 'in front'): Direction =>
  (seen, { side }) =>
    side === 'whole' ? Math.abs(seen) : wrapped((side === 'right') === (seenFrom === 'behind') ? seen : -seen, RAISED_FROM);
/** Seen from the little finger’s side, the back of a right hand bends up counter-clockwise; straight is 0°. */
const bentBack: Direction = (seen, { side }) =>
  side === 'whole' ? 180 - Math.abs(seen) : wrapped(side === 'right' ? 180 + seen : 180 - seen);
const bentForward: Direction = (seen, options) => (options.side === 'whole' ? 180 - Math.abs(seen) : -bentBack(seen, options));

/** 1 when the third point hangs below the line through the first two (palm up: an elbow that over-extends), else −1. */
function sagging(a: PicturePoint, b: PicturePoint, c: PicturePoint): number {
  const cross = (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);
  return (b.x >= a.x ? cross : -cross) > 0 ? 1 : -1;
}

const shoulder = { id: 'shoulder', name: 'Shoulder, the bony tip', suggested: 'shoulder', start: { x: 0.5, y: 0.35 } } as const;
const elbow = { id: 'elbow', name: 'Elbow, the outer knuckle', suggested: 'elbow', start: { x: 0.58, y: 0.22 } } as const;
const hip = { id: 'hip', name: 'Hip, the bony point at the side', suggested: 'hip', start: { x: 0.5, y: 0.6 } } as const;
const wrist = { id: 'wrist', name: 'Wrist, the outer bone', suggested: 'wrist', start: { x: 0.45, y: 0.7 } } as const;
const knuckles = { id: 'knuckles', name: 'Knuckle of the little finger', start: { x: 0.58, y: 0.72 } } as const;

/** Shoulder motions in which the upper arm is read against the trunk. */
const armAgainstTrunk = (id: string, view: string, direction: Direction, asks?: 'facing'): PictureTemplate => ({
  id,
  view,
  landmarks: [hip, shoulder, elbow],
  needsLevel: false,
  ...(asks ? { asks } : {}),
  read: joint(['hip', 'shoulder', 'elbow'], direction, ['trunk', 'upperArm']),
});

/** Wrist motions in which the hand is read against the forearm. */
const handAgainstForearm = (id: string, direction: Direction): PictureTemplate => ({
  id,
  view: 'from the little finger’s side',
  landmarks: [elbow, wrist, knuckles],
  needsLevel: false,
  read: joint(['elbow', 'wrist', 'knuckles'], direction, ['forearm', 'hand']),
});

/** Turned forearm against the vertical, seen along the upper arm; `toward` is 1 for a turn toward the head. */
const forearmAgainstVertical = (id: string, toward: 1 | -1): PictureTemplate => ({
  id,
  view: 'along the upper arm, from the elbow’s side',
  landmarks: [
    { ...elbow, start: { x: 0.5, y: 0.6 } },
    { ...wrist, start: { x: 0.6, y: 0.35 } },
  ],
  needsLevel: true,
  asks: 'head',
  read: lean(['elbow', 'wrist'], toward),
});

/** Every check that can be read from a picture; common practice, no source. */
export const PICTURE_TEMPLATES: readonly PictureTemplate[] = [
  armAgainstTrunk('shoulder-flexion', 'from the side of the arm', raisedForward, 'facing'),
  armAgainstTrunk('shoulder-extension', 'from the side of the arm', movedBack, 'facing'),
  armAgainstTrunk('shoulder-abduction', 'from behind', raisedSideways('behind')),
  armAgainstTrunk('scaption', 'from in front, square to the plane of the arm', raisedSideways('in front')),
  armAgainstTrunk('wall-slide-height', 'from the front', raisedSideways('in front')),
  forearmAgainstVertical('shoulder-internal-rotation', -1),
  forearmAgainstVertical('shoulder-external-rotation', 1),
  handAgainstForearm('wrist-extension', bentBack),
  handAgainstForearm('wrist-flexion', bentForward),
  {
    id: 'wrist-extension-loaded',
    view: 'from the side, the hand whole in the picture',
    landmarks: [
      { id: 'fingertips', name: 'Fingertip on the floor', start: { x: 0.65, y: 0.75 } },
      { ...wrist, start: { x: 0.45, y: 0.75 } },
      { ...elbow, start: { x: 0.47, y: 0.4 } },
    ],
    needsLevel: false,
    // Fingers forward, forearm straight up: 90°. Leaning over the fingers closes the gap and adds.
    read: joint(['fingertips', 'wrist', 'elbow'], (seen) => 180 - Math.abs(seen)),
  },
  {
    id: 'elbow-extension',
    view: 'from the side, palm up, arm square to the camera',
    landmarks: [shoulder, { ...elbow, start: { x: 0.58, y: 0.4 } }, { ...wrist, start: { x: 0.7, y: 0.45 } }],
    needsLevel: false,
    read: (at, options) => {
      const reading = joint(['shoulder', 'elbow', 'wrist'], (seen) => 180 - Math.abs(seen), ['upperArm', 'forearm'])(at, options);
      return { ...reading, angle: sagging(at('shoulder'), at('elbow'), at('wrist')) * reading.angle };
    },
  },
  {
    id: 'elbow-crease',
    view: 'from above, along the arm',
    landmarks: [
      { id: 'finger', name: 'Tip of the middle finger', start: { x: 0.5, y: 0.3 } },
      { id: 'elbow', name: 'Middle of the elbow', start: { x: 0.5, y: 0.6 } },
      { id: 'crease', name: 'Where the crease faces', start: { x: 0.6, y: 0.45 } },
    ],
    needsLevel: false,
    // The fingers point straight ahead: a crease that faces where they point stands at 0°, one toward the thumb above it.
    read: joint(['finger', 'elbow', 'crease'], (seen, { side }) => (side === 'whole' ? Math.abs(seen) : side === 'right' ? seen : -seen)),
  },
  {
    id: 'arm-lean',
    view: 'from the side, hand and shoulder in the picture',
    landmarks: [
      { ...wrist, start: { x: 0.45, y: 0.75 } },
      { ...shoulder, start: { x: 0.55, y: 0.35 } },
    ],
    needsLevel: true,
    asks: 'facing',
    read: lean(['wrist', 'shoulder']),
  },
  {
    id: 'pike-hip-angle',
    view: 'from the side, shoulder to ankle in the picture',
    landmarks: [
      { ...shoulder, start: { x: 0.35, y: 0.55 } },
      { ...hip, start: { x: 0.5, y: 0.3 } },
      { id: 'knee', name: 'Knee, the outer knuckle', suggested: 'knee', start: { x: 0.62, y: 0.55 } },
    ],
    needsLevel: false,
    read: joint(['shoulder', 'hip', 'knee'], Math.abs, ['trunk', 'thigh']),
  },
];

const BY_ID = new Map(PICTURE_TEMPLATES.map((t) => [t.id, t]));

/** How a check is read from a picture, where it can be. */
export function templateFor({ picture }: { readonly picture?: string }): PictureTemplate | undefined {
  return picture === undefined ? undefined : BY_ID.get(picture);
}

/** Where a landmark was put. */
export interface PlacedPoint extends PicturePoint {
  readonly id: string;
}

/**
 * Reads a check from landmarks placed on a picture.
 *
 * @returns the angle in the anatomical direction of the check: an elbow that lacks 15° of extension reads −15, a bent wrist is no
 *   extension, and 190° is not 170°
 * @throws Refusal `landmark-missing`, `landmarks-coincide`, `facing-unknown`
 * @example readPicture(templateFor({ picture: 'shoulder-flexion' }), points, { facing: 'right', side: 'left' }).angle
 */
export function readPicture(template: PictureTemplate, points: readonly PlacedPoint[], options: TemplateOptions): PictureAngle {
  const find = (id: string) => {
    const point = points.find((p) => p.id === id);
    if (!point) throw new Refusal('landmark-missing', `The landmark “${id}” is not placed.`);
    return point;
  };
  if (options.reference) rollOf(options.reference);
  return template.read(find, options);
}
