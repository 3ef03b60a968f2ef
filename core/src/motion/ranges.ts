import { SIDES, type Side } from '../anatomy/index.ts';
import type { ContactName } from './contact.ts';
import { contactsAt, figuresAt, type Prepared } from './frames.ts';
import { type PairedJoint, pairedAt, valueAt } from './joints.ts';
import type { Movement } from './movement.ts';
import { elevationOf } from './shoulder.ts';

/** Ranges that a movement can ask for, named as the checks name them. */
export const RANGES = [
  'shoulder flexion',
  'shoulder scaption',
  'shoulder abduction',
  'shoulder extension',
  'shoulder across',
  'shoulder external rotation',
  'shoulder internal rotation',
  'elbow extension',
  'pronation',
  'supination',
  'wrist extension',
  'wrist flexion',
  'radial deviation',
  'ulnar deviation',
] as const;
export type RangeName = (typeof RANGES)[number];

/** The most of a range that a movement asks of a side. */
export interface AskedRange {
  readonly range: RangeName;
  readonly side: Side;
  /** Degrees; of the elbow 0 is straight and less is over-extended. */
  readonly degrees: number;
  /** The hand or forearm carries weight there. */
  readonly loaded: boolean;
}

/** Angles below which nothing is asked that everybody has not, degrees (project defaults). */
const WORTH_SAYING: Readonly<Record<RangeName, number>> = {
  'shoulder flexion': 60,
  'shoulder scaption': 60,
  'shoulder abduction': 60,
  'shoulder extension': 20,
  'shoulder across': 40,
  'shoulder external rotation': 30,
  'shoulder internal rotation': 30,
  'elbow extension': -5,
  pronation: 60,
  supination: 60,
  'wrist extension': 30,
  'wrist flexion': 30,
  'radial deviation': 12,
  'ulnar deviation': 15,
};

/** Points of its way at which a movement is looked at. */
const LOOKS = 12;

/** An arm below this is not asked for its plane, degrees. */
const RAISED = 20;
/** A straight elbow, degrees of flexion. */
const STRAIGHT = 5;

const ARM_PARTS = ['palm', 'knuckles', 'index side', 'little side', 'fist', 'tips', 'back of the hand', 'grip', 'forearm', 'elbow'];

/** Whether an arm carries something: it rests on or hangs from something, or holds a weight. */
function carries({ contacts, props }: Movement, names: readonly ContactName[], side: Side): boolean {
  const rests = contacts.some(
    (c) => c.side === side && c.on.kind !== 'body' && ARM_PARTS.includes(c.part) && names.includes(`${c.side} ${c.part}` as ContactName),
  );
  const holds = props?.some((p) => p.kind === 'weight' && (p.in === `${side} hand` || p.in === 'both hands')) ?? false;
  return rests || holds;
}

/**
 * The ranges that a movement asks for, per side: the peak of each over its way, and whether it is asked under load. Where both happen,
 * both are listed.
 *
 * @example rangesOf(prepare(pushUp, { stature: 1.7 })).find((r) => r.range === 'wrist extension' && r.loaded)?.degrees // 88
 */
export function rangesOf(prepared: Prepared): readonly AskedRange[] {
  const peaks = new Map<string, AskedRange>();
  const note = (range: RangeName, side: Side, degrees: number, loaded: boolean) => {
    if (degrees < WORTH_SAYING[range]) return;
    const key = `${range} ${side} ${loaded}`;
    if (degrees > (peaks.get(key)?.degrees ?? -Infinity)) peaks.set(key, { range, side, degrees, loaded });
  };
  for (let i = 0; i <= LOOKS; i += 1) {
    const figures = figuresAt(prepared, i / LOOKS);
    const names = contactsAt(prepared, i / LOOKS);
    for (const side of SIDES) {
      const q = (joint: PairedJoint) => valueAt(figures, pairedAt(side, joint));
      const loaded = carries(prepared.movement, names, side);
      const [plane, raise] = [q('plane'), q('raise')];
      if (raise >= RAISED) note(`shoulder ${elevationOf(plane)}`, side, elevationOf(plane) === 'across' ? plane - 90 : raise, loaded);
      note('shoulder external rotation', side, q('rotate'), loaded);
      note('shoulder internal rotation', side, -q('rotate'), loaded);
      if (loaded && q('elbow') < STRAIGHT) note('elbow extension', side, -q('elbow'), true);
      note('pronation', side, q('pronate'), loaded);
      note('supination', side, -q('pronate'), loaded);
      note('wrist extension', side, q('wrist'), loaded);
      note('wrist flexion', side, -q('wrist'), loaded);
      note('radial deviation', side, q('deviate'), loaded);
      note('ulnar deviation', side, -q('deviate'), loaded);
    }
  }
  return [...peaks.values()].sort(
    (a, b) => RANGES.indexOf(a.range) - RANGES.indexOf(b.range) || Number(b.loaded) - Number(a.loaded) || a.side.localeCompare(b.side),
  );
}

/** The checks that measure a range, unloaded and under load; a range that nobody measures has none. */
export const CHECK_OF_RANGE: Readonly<Record<RangeName, { readonly free?: string; readonly loaded?: string }>> = {
  'shoulder flexion': { free: 'shoulder-flexion' },
  'shoulder scaption': { free: 'scaption' },
  'shoulder abduction': { free: 'shoulder-abduction' },
  'shoulder extension': { free: 'shoulder-extension' },
  'shoulder across': {},
  'shoulder external rotation': { free: 'shoulder-external-rotation' },
  'shoulder internal rotation': { free: 'shoulder-internal-rotation' },
  'elbow extension': { free: 'elbow-extension' },
  pronation: { free: 'pronation' },
  supination: { free: 'supination' },
  'wrist extension': { free: 'wrist-extension', loaded: 'wrist-extension-loaded' },
  'wrist flexion': { free: 'wrist-flexion' },
  'radial deviation': { free: 'radial-deviation' },
  'ulnar deviation': { free: 'ulnar-deviation' },
};
