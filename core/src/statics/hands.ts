import type { Assumed } from './assumptions.ts';
import { along, bend, direction, type Point } from './plane.ts';
import type { Build } from './stance.ts';

/** How a hand meets a level surface. */
export const HAND_CHOICE = { label: 'Hands', options: ['flat', 'fists or handles', 'fingertips'], usual: 'flat' } as const;
export type HandKind = (typeof HAND_CHOICE)['options'][number];

interface Placement {
  /** Wrist over the surface, in metres. */
  readonly rise: number;
  /** Pressure centre beyond the wrist, in metres. */
  readonly beyond: number;
}

/** Palm and wrist, or a forearm, raise the joint so far over the surface, in metres (project default). */
export const RISE_M = 0.03;

/** Fists and tips raise the wrist by what is under them (project defaults). */
export function placement(kind: HandKind, { pressureCentreM }: Pick<Assumed, 'pressureCentreM'>): Placement {
  switch (kind) {
    case 'flat':
      return { rise: RISE_M, beyond: pressureCentreM };
    case 'fists or handles':
      return { rise: 0.08, beyond: pressureCentreM - 0.04 };
    case 'fingertips':
      return { rise: 0.11, beyond: pressureCentreM + 0.01 };
  }
}

/** A hand on a surface, and the angle it makes with the forearm. */
interface Hand {
  readonly knuckles: Point;
  readonly wristExtensionDeg: number;
}

/** Bend of the wrist over domed fingertips, in degrees (project default: it differs much between hands). */
const TIPS_EXTENSION = 50;

/** The hand from a wrist on a level surface, and the angle it makes with the forearm. */
export function handFrom(kind: HandKind, wrist: Point, forearm: number, length: number, wedgeDeg = 0): Hand {
  if (kind === 'fists or handles') return { knuckles: along(wrist, forearm, length), wristExtensionDeg: 0 };
  const extension = kind === 'fingertips' ? TIPS_EXTENSION : -wedgeDeg - forearm;
  return { knuckles: along(wrist, forearm + extension, length), wristExtensionDeg: extension };
}

/** The hand as it is drawn, with the larger bend of the two: a push-up passes through both ends of its way. */
export function widest(hand: Hand, other: Hand): Hand {
  return { knuckles: hand.knuckles, wristExtensionDeg: Math.max(hand.wristExtensionDeg, other.wristExtensionDeg) };
}

/** What a side view can not show of bent arms. */
export const ELBOWS_BACK =
  'The elbows are drawn straight back. Elbows that go out to the side leave the forearms upright: the wrist figure is that of the straight arms, where it is largest, and the moments at elbow and wrist are a guide.';

/** A straight arm down from the shoulder, leaning back by so much at the hand (the shoulder is ahead of the wrist). */
export function straightArm(
  b: Build,
  shoulder: Point,
  ahead: number,
): { readonly elbow: Point; readonly wrist: Point; readonly forearm: number } {
  const forearm = -90 - ahead;
  const elbow = along(shoulder, forearm, b.upperArm);
  return { elbow, wrist: along(elbow, forearm, b.forearm), forearm };
}

/** A bent arm between shoulder and wrist, the elbow toward the feet. */
export function bentArm(
  b: Build,
  shoulder: Point,
  wrist: Point,
): { readonly elbow: Point; readonly wrist: Point; readonly forearm: number } | undefined {
  const elbow = bend(shoulder, wrist, b.upperArm, b.forearm, -1);
  return elbow && { elbow, wrist, forearm: direction(elbow, wrist) };
}
