import type { Side } from '../anatomy/index.ts';
import type { Contact, ContactName } from './contact.ts';
import type { MiddleJoint, PairedJoint } from './joints.ts';
import type { Vec } from './space.ts';

/** From where a body is looked at. */
export const VIEWS = ['side', 'left side', 'front', 'back', 'three-quarter', 'behind at an angle', 'above'] as const;
export type View = (typeof VIEWS)[number];

/** Parts that are worth a look from near. */
export type CloseUp = 'right hand' | 'left hand' | 'blades';

type Side_ = Readonly<Partial<Record<PairedJoint, number>>>;

/** A pose by its joint angles in degrees; what is absent is as in the pose before, at first 0. */
export interface Pose extends Readonly<Partial<Record<MiddleJoint, number>>> {
  /** Where the pelvis is, metres as written for a stature of 1.7 m; contacts move it. */
  readonly at?: Vec;
  readonly both?: Side_;
  readonly right?: Side_;
  readonly left?: Side_;
}

/** A pose on the way. */
export interface KeyPose extends Pose {
  /** How far the pelvis goes from where it was at the start, metres. */
  readonly by?: Vec;
  /** Contacts that are let go. */
  readonly off?: readonly ContactName[];
  /** Contacts that have moved from where they were at the start, metres. */
  readonly shift?: Readonly<Partial<Record<ContactName, Vec>>>;
}

/** Where a band or strap ends. */
export type End =
  | 'right hand'
  | 'left hand'
  | 'right foot'
  | 'left foot'
  | 'right fingertips'
  | 'right elbow'
  | 'left elbow'
  | 'right shoulder'
  | 'left fingertips'
  | 'pelvis'
  | Vec;

/** What is moved or held besides what is leaned on. */
export type Prop =
  | { readonly kind: 'weight'; readonly in: 'right hand' | 'left hand' | 'both hands' | 'pelvis'; readonly heavy?: true }
  | { readonly kind: 'weight on the back' }
  | { readonly kind: 'band' | 'strap'; readonly from: End; readonly to: End }
  /** Held by both hands, or by the middle in one; what hangs from it. */
  | { readonly kind: 'stick'; readonly in: 'both hands' | 'right hand'; readonly hangs?: true }
  | { readonly kind: 'ball'; readonly in?: 'right hand' | 'left hand'; readonly at?: Vec }
  | { readonly kind: 'block'; readonly between: 'elbows' | 'hands' }
  | { readonly kind: 'towel'; readonly in: 'right hand' | 'both hands' }
  | { readonly kind: 'chair'; readonly z: number; readonly x: number }
  | { readonly kind: 'table'; readonly z: number; readonly from: number; readonly to: number }
  | { readonly kind: 'wall'; readonly x: number };

/** Where something is measured: an angle from one way to another at a joint, a gap, a weight on something. */
export type Mark =
  | {
      readonly kind: 'angle';
      readonly side: Side;
      readonly at: 'shoulder' | 'elbow' | 'wrist' | 'hip';
      readonly from: Way;
      readonly to: Way;
    }
  | { readonly kind: 'gap'; readonly from: End; readonly to: End }
  | { readonly kind: 'weight'; readonly on: End };

/** A way in which a part of the body points, or the room. */
export type Way =
  | 'trunk down'
  | 'trunk up'
  | 'upper arm'
  | 'upper arm on'
  | 'forearm'
  | 'forearm on'
  | 'forearm back'
  | 'hand'
  | 'fingers'
  | 'thumb'
  | 'thigh'
  | 'up'
  | 'forward'
  | 'outward'
  | Vec;

/** How a body moves: from a start through key poses and back, or round. */
export interface Movement {
  readonly start: Pose;
  readonly keys: readonly KeyPose[];
  readonly contacts: readonly Contact[];
  /** The pelvis stays where the start has it, as well as contacts let it. */
  readonly placed?: true;
  /** Contacts that stay on their support but move along it. */
  readonly slides?: readonly ContactName[];
  /** Goes on from the last pose to the first, as circles do. */
  readonly round?: true;
  /** Done on one side, then mirrored. */
  readonly sided?: true;
  readonly props?: readonly Prop[];
  /** What a check measures on it. */
  readonly marks?: readonly Mark[];
  readonly view: View;
  readonly second?: View;
  readonly closeUp?: CloseUp;
  /** From where it is looked at from near; absent: as the whole. */
  readonly closeFrom?: View;
}
