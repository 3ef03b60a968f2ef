import { SIDES } from '../anatomy/index.ts';
import { type Contact, offSupport, placeOn, type Point, pointsOf } from './contact.ts';
import { type Frame, WRITTEN_FOR } from './frame.ts';
import { type Figures, MIDDLE, middleAt, PAIRED, type PairedJoint, pairedAt, valueAt } from './joints.ts';
import { type Skeleton, skeletonOf } from './skeleton.ts';
import { armMovers, legMovers, type Mover, pelvisMovers, slopeOf } from './slopes.ts';
import { type Normal, solved } from './normalEquations.ts';
import type { Vec } from './space.ts';

/** A contact, and where its points stay once they were put down; absent: anywhere on the support. */
export interface Held {
  readonly contact: Contact;
  readonly at?: readonly Vec[] | undefined;
}

/** How unwillingly a figure leaves what the pose says, per degree or metre; what is not named does not move (project defaults). */
const LIMB: Readonly<Partial<Record<PairedJoint, number>>> = {
  plane: 0.03,
  raise: 0.03,
  rotate: 0.03,
  elbow: 0.25,
  pronate: 0.03,
  wrist: 0.02,
  deviate: 0.06,
};
const LEG: Readonly<Partial<Record<PairedJoint, number>>> = { hip: 0.04, abduct: 0.12, hipTurn: 0.08, knee: 0.25, ankle: 0.02 };
const PELVIS = { place: 3, pitch: 0.06, roll: 0.12, yaw: 0.12 } as const;
/** Loosely where no place is asked for, firmly where one is. */
export const FIRM_PLACE = 60;
const FIRM_PITCH = 0.4;

/** What a metre off a support weighs against them: little at first, so that a far pose finds its way, then much. */
const WEIGHTS = [100, 1500, 20_000] as const;
const FULL = 20_000;
const ROUNDS = 60;
/** When a search ends: contacts met to so many metres, and a step of so many degrees or less. */
interface Enough {
  readonly miss: number;
  readonly step: number;
}
/** Of a pose that is kept. */
const EXACT: Enough = { miss: 0.00005, step: 0.02 };
/** Of one on the way, where nobody sees less. */
export const SEEN: Enough = { miss: 0.0002, step: 0.3 };
const TRIES = 8;

/** How a pose is closed. */
interface Way {
  /** How unwillingly the pelvis leaves its place. */
  readonly place?: number | undefined;
  /** Where the search begins; absent: at the pose wished for. */
  readonly from?: Figures;
  /** Absent: as exact as can be. */
  readonly enough?: Enough;
}

const ARM_PARTS: ReadonlySet<string> = new Set([
  'palm',
  'knuckles',
  'index side',
  'little side',
  'hand',
  'fist',
  'tips',
  'back of the hand',
  'grip',
  'forearm',
  'elbow',
]);
/** Hands that lie flat bend their wrist as they must; others keep it. */
const FLAT: ReadonlySet<string> = new Set(['palm', 'knuckles', 'index side', 'little side', 'back of the hand']);
const GRIPPING: typeof LIMB = { wrist: 0.3, deviate: 0.3 };
/** A straight elbow or knee stays straight; a bent one gives. */
const HINGES: ReadonlySet<string> = new Set(['elbow', 'knee']);
const BENT = 20;
const BENT_HINGE = 0.05;

/** A figure that may move so that contacts are met, how unwillingly, and between which limits. */
interface Free {
  readonly at: number;
  readonly stiffness: number;
  readonly min: number;
  readonly max: number;
}

function freeFigures(held: readonly Held[], place: number, wished: Figures): readonly Free[] {
  const free: Free[] = [0, 1, 2].map((at) => ({ at, stiffness: place, min: -9, max: 9 }));
  for (const joint of ['pitch', 'roll', 'yaw'] as const) {
    const [min, max] = MIDDLE[joint];
    const stiffness = joint === 'pitch' && place >= FIRM_PLACE ? FIRM_PITCH : PELVIS[joint];
    free.push({ at: middleAt(joint), stiffness, min, max });
  }
  for (const side of SIDES) {
    const parts = held.flatMap(({ contact }) => (contact.side === side ? [contact.part] : []));
    const grips = !parts.some((p) => FLAT.has(p));
    const joints = [
      ...(parts.some((p) => ARM_PARTS.has(p)) ? Object.entries(LIMB) : []),
      ...(parts.some((p) => !ARM_PARTS.has(p)) ? Object.entries(LEG) : []),
    ];
    for (const [name, usual] of joints) {
      const joint = name as PairedJoint;
      const [min, max] = PAIRED[joint];
      const at = pairedAt(side, joint);
      const bent = HINGES.has(joint) && Math.abs(valueAt(wished, at)) > BENT;
      const stiffness = bent ? BENT_HINGE : grips ? (GRIPPING[joint] ?? usual) : usual;
      free.push({ at, stiffness, min, max });
    }
  }
  return free;
}

/** One direction in which a point is held: how far off it is, metres, and which point lies on which. */
interface Tie {
  readonly axis: 0 | 1 | 2;
  readonly off: number;
  readonly point: Point;
  readonly limb: 'arm' | 'leg';
  /** The place of the body that it lies on. */
  readonly on?: Point;
  readonly onLimb?: 'arm' | 'leg';
}

const AXES = [0, 1, 2] as const;
const limbOf = (part: string): 'arm' | 'leg' => (ARM_PARTS.has(part) ? 'arm' : 'leg');
const ON_LEG = /hip|knee|foot/;

function tiesOf(skeleton: Skeleton, held: readonly Held[], statureM: number): readonly Tie[] {
  const k = statureM / WRITTEN_FOR;
  return held.flatMap(({ contact, at }) => {
    const { on } = contact;
    const limb = limbOf(contact.part);
    return pointsOf(skeleton, contact, statureM).flatMap((point, i): readonly Tie[] => {
      const place = at?.[i];
      if (place) return AXES.map((axis) => ({ axis, off: point.at[axis] - place[axis], point, limb }));
      if (on.kind === 'body') {
        const target = placeOn(skeleton, on.at);
        const onLimb = ON_LEG.test(on.at) ? 'leg' : 'arm';
        return AXES.map((axis) => ({
          axis,
          off: point.at[axis] - target.at[axis] - (on.off?.[axis] ?? 0) * k,
          point,
          limb,
          on: target,
          onLimb,
        }));
      }
      return offSupport(point, on, k).map(([axis, off]) => ({ axis, off, point, limb }));
    });
  });
}

const missOf = (ties: readonly Tie[]) => ties.reduce((most, { off }) => Math.max(most, Math.abs(off)), 0);

/** The greatest distance by which a pose misses its contacts, metres. */
export function greatestMiss(frame: Frame, figures: Figures, held: readonly Held[]): number {
  return missOf(tiesOf(skeletonOf(frame, figures), held, frame.statureM));
}

/**
 * The pose nearest to a given one in which every contact is met: damped least squares over the joints of the limbs that touch and the
 * place of the pelvis (Levenberg–Marquardt).
 *
 * @param held the contacts, and where their points stay
 * @returns the figures of the pose met; where contacts cannot be met, the nearest
 */
export function closed(
  frame: Frame,
  wished: Figures,
  held: readonly Held[],
  { place = PELVIS.place, from = wished, enough = EXACT }: Way = {},
): Figures {
  const start = Float64Array.from(wished);
  if (held.length === 0) return start;
  const free = freeFigures(held, place, wished);
  for (const { at } of free) start[at] = valueAt(from, at);
  const task = { frame, wished, held, free, enough };
  const near = descended(task, start, FULL);
  if (near.miss < enough.miss) return near.figures;
  const far = WEIGHTS.reduce<Found>((found, weight) => descended(task, found.figures, weight), { figures: start, miss: near.miss });
  return far.miss < near.miss ? far.figures : near.figures;
}

interface Task {
  readonly frame: Frame;
  readonly wished: Figures;
  readonly held: readonly Held[];
  readonly free: readonly Free[];
  readonly enough: Enough;
}

interface Found {
  readonly figures: Figures;
  /** Metres. */
  readonly miss: number;
}

function descended({ frame, wished, held, free, enough }: Task, start: Figures, weight: number): Found {
  let figures = start;
  let skeleton = skeletonOf(frame, figures);
  let ties = tiesOf(skeleton, held, frame.statureM);
  let cost = costOf(ties, weight, free, figures, wished);
  let damping = 1e-6;
  for (let round = 0; round < ROUNDS; round += 1) {
    const system = normal({ slopes: slopesOf(skeleton, figures, free, ties), ties, weight, free, figures, wished });
    let travelled = 0;
    for (let tries = 0; tries < TRIES; tries += 1) {
      const step = solved(system, damping);
      const next = Float64Array.from(figures);
      free.forEach(({ at }, i) => (next[at] = valueAt(next, at) + valueAt(step, i)));
      const nextSkeleton = skeletonOf(frame, next);
      const nextTies = tiesOf(nextSkeleton, held, frame.statureM);
      const nextCost = costOf(nextTies, weight, free, next, wished);
      if (nextCost < cost) {
        [figures, skeleton, ties, cost] = [next, nextSkeleton, nextTies, nextCost];
        travelled = step.reduce((most, s) => Math.max(most, Math.abs(s)), 0);
        damping = Math.max(1e-9, damping / 10);
        break;
      }
      damping *= 20;
    }
    if (travelled === 0 || (travelled < enough.step && (weight < FULL || missOf(ties) < enough.miss))) break;
  }
  return { figures, miss: missOf(ties) };
}

/** How far every tie goes for one degree, or one metre, of every free figure: a row for each figure. */
function slopesOf(skeleton: Skeleton, figures: Figures, free: readonly Free[], ties: readonly Tie[]): Float64Array {
  const movers = new Map<number, Mover>();
  for (const mover of pelvisMovers(skeleton, figures)) movers.set(mover.at, mover);
  for (const side of SIDES) {
    if (free.some(({ at }) => at === pairedAt(side, 'plane')))
      for (const mover of armMovers(skeleton, figures, side)) movers.set(mover.at, mover);
    if (free.some(({ at }) => at === pairedAt(side, 'hip')))
      for (const mover of legMovers(skeleton, figures, side)) movers.set(mover.at, mover);
  }
  const slopes = new Float64Array(free.length * ties.length);
  let at = 0;
  for (const figure of free) {
    const mover = movers.get(figure.at);
    for (const { axis, point, limb, on, onLimb } of ties) {
      if (mover) slopes[at] = slopeOf(mover, point, limb, axis) - (on ? slopeOf(mover, on, onLimb, axis) : 0);
      at += 1;
    }
  }
  return slopes;
}

/** How a limit holds, per degree beyond it. */
const LIMIT = 2;

/** How far a figure is beyond its limits; 0 between them. */
const beyond = (value: number, { min, max }: Free) => (value > max ? value - max : value < min ? value - min : 0);

function costOf(ties: readonly Tie[], weight: number, free: readonly Free[], figures: Figures, wished: Figures): number {
  let sum = 0;
  for (const { off } of ties) sum += (weight * off) ** 2;
  for (const f of free) {
    const value = valueAt(figures, f.at);
    sum += (f.stiffness * (value - valueAt(wished, f.at))) ** 2 + (LIMIT * beyond(value, f)) ** 2;
  }
  return sum;
}

interface Around {
  readonly slopes: Float64Array;
  readonly ties: readonly Tie[];
  readonly weight: number;
  readonly free: readonly Free[];
  readonly figures: Figures;
  readonly wished: Figures;
}

function normal({ slopes, ties, weight, free, figures, wished }: Around): Normal {
  const n = free.length;
  const rows = ties.length;
  const off = Float64Array.from(ties, (tie) => tie.off);
  const contacts = new Float64Array(n * n);
  const joints = new Float64Array(n);
  const right = new Float64Array(n);
  const contact = weight * weight;
  for (const [i, f] of free.entries()) {
    const row = i * rows;
    for (let j = 0; j <= i; j += 1) {
      const other = j * rows;
      let sum = 0;
      for (let r = 0; r < rows; r += 1) sum += valueAt(slopes, row + r) * valueAt(slopes, other + r);
      contacts[i * n + j] = sum * contact;
    }
    let sum = 0;
    for (let r = 0; r < rows; r += 1) sum += valueAt(slopes, row + r) * valueAt(off, r);
    const value = valueAt(figures, f.at);
    const out = beyond(value, f);
    const limit = out === 0 ? 0 : LIMIT ** 2;
    joints[i] = f.stiffness ** 2 + limit;
    right[i] = -sum * contact - f.stiffness ** 2 * (value - valueAt(wished, f.at)) - limit * out;
  }
  return { n, contacts, joints, right };
}
