import { SIDES, type Side } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import { closed, FIRM_PLACE, greatestMiss, type Held, SEEN } from './close.ts';
import { mirroredContact, nameOf, pointsOf, type ContactName } from './contact.ts';
import { type Frame, frameOf, type Shown, WRITTEN_FOR } from './frame.ts';
import { FIGURES, type Figures, MIDDLE, MIDDLE_JOINTS, middleAt, PAIRED, PAIRED_JOINTS, pairedAt, valueAt } from './joints.ts';
import type { KeyPose, Movement, Pose } from './movement.ts';
import { type Limbs, type Skeleton, skeletonOf } from './skeleton.ts';
import { apart, midway, type Vec } from './space.ts';

/** A movement worked out for one body: its key poses with every contact met. */
export interface Prepared {
  readonly movement: Movement;
  readonly frame: Frame;
  /** The start and the key poses. */
  readonly keys: readonly [Key, ...Key[]];
  /** Of each leg of the way some poses between its two keys, both among them: what a frame begins with, so that none finds another way. */
  readonly ways: readonly (readonly Figures[])[];
}

/** A key pose that stands. */
export interface Key {
  readonly figures: Figures;
  readonly held: readonly Held[];
  /** The pelvis was sent somewhere. */
  readonly firm: boolean;
}

/** How far a contact may lie from its support, metres. */
const MET = 0.001;

/** A pose in a row of figures, over another. */
function laid(pose: Pose, over: Figures, k: number): Figures {
  const figures = Float64Array.from(over);
  if (pose.at) pose.at.forEach((v, i) => (figures[i] = v * k));
  for (const joint of MIDDLE_JOINTS) if (pose[joint] !== undefined) figures[middleAt(joint)] = pose[joint];
  for (const side of SIDES)
    for (const joint of PAIRED_JOINTS) {
      const value = pose[side]?.[joint] ?? pose.both?.[joint];
      if (value !== undefined) figures[pairedAt(side, joint)] = value;
    }
  return figures;
}

/**
 * Works a movement out for a body: puts the start on its supports, then moves through the key poses with what was put down staying
 * where it is.
 *
 * @throws Refusal `movement-impossible`, naming the pose and the contact that is missed, or the joint beyond its limits
 * @example prepare(pushUp, { stature: 1.7 }).keys.length // 2
 */
export function prepare(movement: Movement, shown: Shown): Prepared {
  const frame = frameOf(shown);
  const k = frame.statureM / WRITTEN_FOR;
  const slides = new Set<ContactName>(movement.slides);
  const anywhere = movement.contacts.map((contact): Held => ({ contact }));
  const start = closed(frame, laid(movement.start, new Float64Array(FIGURES), k), anywhere, {
    place: movement.placed ? FIRM_PLACE : undefined,
  });
  const skeleton = skeletonOf(frame, start);
  const planted = movement.contacts.map((contact): Held => ({
    contact,
    at:
      slides.has(nameOf(contact)) || contact.on.kind === 'body' ? undefined : pointsOf(skeleton, contact, frame.statureM).map((p) => p.at),
  }));
  const keyed = movement.keys.map((key) => {
    const held = planted.filter(({ contact }) => !key.off?.includes(nameOf(contact))).map((h) => moved(h, key, k));
    const wished = laid(key, start, k);
    key.by?.forEach((metres, i) => (wished[i] = valueAt(wished, i) + metres * k));
    return { figures: reached(frame, start, wished, held, key.by ? FIRM_PLACE : undefined), held, firm: key.by !== undefined };
  });
  const keys: [Key, ...Key[]] = [{ figures: start, held: planted, firm: false }, ...keyed];
  keys.forEach(({ figures, held }, i) => mustStand(frame, figures, i === 0 ? anywhere : held, i));
  return { movement, frame, keys, ways: legsOf(movement, keys).map(([a, b]) => wayBetween(frame, a, b)) };
}

/** The keys at both ends of each leg. */
function legsOf({ round }: Movement, keys: Prepared['keys']): readonly (readonly [Key, Key])[] {
  const legs = round ? keys.length : keys.length - 1;
  return keys.length === 1 ? [] : Array.from({ length: legs }, (_, i) => [keyAt(keys, i), keyAt(keys, i + 1)] as const);
}

/** Poses that are worked out on a leg, each from the one before. */
const KNOTS = 6;

function wayBetween(frame: Frame, a: Key, b: Key): readonly Figures[] {
  const place = a.firm || b.firm ? FIRM_PLACE : undefined;
  const way: Figures[] = [a.figures];
  const stride = a.figures.map((v, i) => (valueAt(b.figures, i) - v) / KNOTS);
  for (let knot = 1; knot < KNOTS; knot += 1) {
    const before = way.at(-1) ?? a.figures;
    const from = before.map((v, i) => v + valueAt(stride, i));
    way.push(closed(frame, mixed(a.figures, b.figures, knot / KNOTS), heldOn(a, b, knot / KNOTS), { place, from }));
  }
  return [...way, b.figures];
}

const mixed = (a: Figures, b: Figures, share: number): Figures => a.map((v, i) => v + (valueAt(b, i) - v) * share);

/** What holds between two keys, and where. */
function heldOn(a: Key, b: Key, share: number): readonly Held[] {
  return a.held.flatMap((h): Held[] => {
    const next = b.held.find(({ contact }) => contact === h.contact);
    return next ? [{ contact: h.contact, at: h.at?.map((p, i) => midway(p, next.at?.[i] ?? p, share)) }] : [];
  });
}

/** On the way to a key pose contacts are met in steps, so that a large change finds its way. */
const STEPS = 3;

function reached(frame: Frame, start: Figures, wished: Figures, held: readonly Held[], place: number | undefined): Figures {
  let figures = start;
  const stride = start.map((v, i) => (valueAt(wished, i) - v) / STEPS);
  for (let step = 1; step <= STEPS; step += 1) {
    const toward = start.map((v, i) => v + valueAt(stride, i) * step);
    figures = closed(frame, toward, held, { place, from: figures.map((v, i) => v + valueAt(stride, i)) });
  }
  return figures;
}

function moved(held: Held, { shift }: KeyPose, k: number): Held {
  const by = shift?.[nameOf(held.contact)];
  if (!by || !held.at) return held;
  return { ...held, at: held.at.map((p): Vec => [p[0] + by[0] * k, p[1] + by[1] * k, p[2] + by[2] * k]) };
}

function mustStand(frame: Frame, figures: Figures, held: readonly Held[], pose: number): void {
  for (const one of held) {
    const miss = greatestMiss(frame, figures, [one]);
    if (miss > MET)
      throw new Refusal(
        'movement-impossible',
        `Pose ${pose}: the ${nameOf(one.contact)} misses its support by ${Math.round(miss * 1000)} mm.`,
      );
  }
  const beyond = beyondLimits(figures)[0];
  if (beyond)
    throw new Refusal('movement-impossible', `Pose ${pose}: ${beyond.joint} at ${Math.round(beyond.value)}°, beyond ${beyond.limit}°.`);
}

/** A joint that a pose bends further than people can. */
export interface Beyond {
  readonly joint: string;
  readonly value: number;
  readonly limit: number;
}

/** Limits are not known closer, degrees. */
const SLACK = 0.5;

/** The joints of a pose that are beyond human limits. */
export function beyondLimits(figures: Figures): readonly Beyond[] {
  const out: Beyond[] = [];
  const look = (joint: string, value: number, [min, max]: readonly [number, number]) => {
    if (value < min - SLACK) out.push({ joint, value, limit: min });
    if (value > max + SLACK) out.push({ joint, value, limit: max });
  };
  for (const joint of MIDDLE_JOINTS) look(joint, valueAt(figures, middleAt(joint)), MIDDLE[joint]);
  for (const side of SIDES)
    for (const joint of PAIRED_JOINTS) look(`${side} ${joint}`, valueAt(figures, pairedAt(side, joint)), PAIRED[joint]);
  return out;
}

/** Smooth at both ends. */
const eased = (t: number) => (1 - Math.cos(Math.PI * t)) / 2;

/** How far along its way a movement is, 0 at the start and 1 at the end; of one that goes round, 1 is the start again. */
export type Travel = number;

const keyAt = (keys: Prepared['keys'], i: number): Key => keys[i % keys.length] ?? keys[0];

/** The figures of a movement on its way. */
export function figuresAt({ movement, frame, keys, ways }: Prepared, travel: Travel): Figures {
  if (keys.length === 1) return keys[0].figures;
  const legs = movement.round ? keys.length : keys.length - 1;
  const t = Math.min(1, Math.max(0, travel));
  const along = (movement.round ? t : eased(t)) * legs;
  const leg = Math.min(legs - 1, Math.floor(along));
  const share = along - leg;
  const [a, b] = [keyAt(keys, leg), keyAt(keys, leg + 1)];
  if (share === 0) return a.figures;
  if (share === 1) return b.figures;
  const way = ways[leg] ?? [];
  const knot = Math.min(KNOTS - 1, Math.floor(share * KNOTS));
  const between = mixed(way[knot] ?? a.figures, way[knot + 1] ?? b.figures, share * KNOTS - knot);
  return closed(frame, between, heldOn(a, b, share), { place: a.firm || b.firm ? FIRM_PLACE : undefined, enough: SEEN });
}

/** The same limbs with other toes; what is worked out on demand stays so. */
function withToe(limbs: Limbs, toe: Vec): Limbs {
  return Object.create(limbs, { toe: { value: toe, enumerable: true } }) as Limbs;
}

/** Toes lie flat where a foot stands on its ball. */
function flatToes(skeleton: Skeleton, standing: ReadonlySet<ContactName>): Skeleton {
  const flat = (side: Side): Limbs => {
    const limbs = skeleton[side];
    const { ball, toe, ankle } = limbs;
    const length = apart(ball, toe);
    const [dx, dy] = [toe[0] - ball[0], toe[1] - ball[1]];
    const level = Math.hypot(dx, dy);
    // A sole that stands steeper than upright bends its toes away from the heel.
    const away: readonly [number, number] = toe[2] < ball[2] - level ? [ankle[0] - ball[0], ankle[1] - ball[1]] : [-dx, -dy];
    const reach = Math.hypot(...away) || 1;
    return withToe(limbs, [ball[0] - (away[0] / reach) * length, ball[1] - (away[1] / reach) * length, ball[2]]);
  };
  const right = standing.has('right ball') ? flat('right') : skeleton.right;
  const left = standing.has('left ball') ? flat('left') : skeleton.left;
  return { ...skeleton, right, left };
}

/**
 * The body at a point of a movement's way.
 *
 * @param travel 0 at the start, 1 at the end
 */
export function frameAt(prepared: Prepared, travel: Travel): Skeleton {
  return flatToes(skeletonOf(prepared.frame, figuresAt(prepared, travel)), new Set(contactsAt(prepared, travel)));
}

/** The contacts that hold at a point of the way, by name. */
export function contactsAt({ movement, keys }: Prepared, travel: Travel): readonly ContactName[] {
  const legs = Math.max(1, movement.round ? keys.length : keys.length - 1);
  const along = (movement.round ? travel : eased(travel)) * legs;
  const leg = Math.min(legs - 1, Math.floor(along));
  const names = (i: number) => keyAt(keys, i).held.map(({ contact }) => nameOf(contact));
  const next = new Set(names(leg + 1));
  return names(leg).filter((name) => along === leg || next.has(name));
}

const otherName = (name: ContactName): ContactName =>
  (name.startsWith('left ') ? name.replace('left ', 'right ') : name.replace('right ', 'left ')) as ContactName;

function mirroredPose(pose: KeyPose): KeyPose {
  const { both, right, left, off, shift, at, by, ...middle } = pose;
  const flipped = Object.fromEntries(
    Object.entries(middle).map(([joint, value]) => [
      joint,
      ['roll', 'yaw', 'spin', 'bend', 'turn', 'tilt', 'look'].includes(joint) ? -(value as number) : value,
    ]),
  );
  return {
    ...flipped,
    ...(at ? { at: [at[0], -at[1], at[2]] as Vec } : {}),
    ...(by ? { by: [by[0], -by[1], by[2]] as Vec } : {}),
    ...(both ? { both } : {}),
    ...(left ? { right: left } : {}),
    ...(right ? { left: right } : {}),
    ...(off ? { off: off.map(otherName) } : {}),
    ...(shift
      ? { shift: Object.fromEntries(Object.entries(shift).map(([name, [x, y, z]]) => [otherName(name as ContactName), [x, -y, z]])) }
      : {}),
  };
}

/** The same movement for the other side. */
export function mirrored(movement: Movement): Movement {
  return {
    ...movement,
    start: mirroredPose(movement.start),
    keys: movement.keys.map(mirroredPose),
    contacts: movement.contacts.map(mirroredContact),
    ...(movement.slides ? { slides: movement.slides.map(otherName) } : {}),
  };
}
