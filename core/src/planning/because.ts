import type { BodySide } from '../anatomy/index.ts';
import type { Focus } from './focus.ts';
import type { Need } from './needs.ts';

/** Why a drill is in a session; `words/because.ts` says it. */
export type Because =
  /** One of the openers before load: so many minutes in all. */
  | { readonly code: 'warm-up'; readonly minutes: number }
  | { readonly code: 'opens' }
  /** A long hold that a school allows before load. */
  | { readonly code: 'before load' }
  /** A long hold after load, for what is needed. */
  | { readonly code: 'long hold'; readonly need?: Need | undefined }
  | { readonly code: 'lets go' }
  /** The practice of the rung in hand, or what prepares for the first. */
  | { readonly code: 'practice'; readonly ofRung: boolean }
  | { readonly code: 'need'; readonly need: Need }
  /** What a check shows beside its number leads to it. */
  | { readonly code: 'finding'; readonly check: string; readonly side: BodySide; readonly reason: string }
  | { readonly code: 'always' }
  | { readonly code: 'focus'; readonly focus: Focus }
  | { readonly code: 'balance' }
  /** Stability beside a drill that wins range. */
  | { readonly code: 'pairs'; readonly withName: string }
  | { readonly code: 'template' }
  /** How its dose came about. */
  | { readonly code: 'new' }
  | { readonly code: 'rebuilding' }
  | { readonly code: 'light week' };

/** What a week would be without a drill. */
export type Without =
  | { readonly code: 'less'; readonly need: Need; readonly has: number; readonly had: number }
  | { readonly code: 'alone'; readonly name: string }
  | { readonly code: 'nothing' };

/** Whether a hold stands before load on purpose, and so stays among the openers. */
export function standsBeforeLoad(because: readonly Because[] | undefined): boolean {
  return because?.[0]?.code === 'before load';
}
