import type { Joint } from '../anatomy/index.ts';
import type { Dose, Drill } from '../drills/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { Pause } from './brief.ts';
import type { ClosedBy } from './closedJoints.ts';
import type { DoseFinding, DoseShortfall } from './doseLimits.ts';
import type { MayDo } from './mayDo.ts';
import type { LightBecause } from './planNote.ts';

/** A rule that a session breaks; `words/findings.ts` says it. */
export type Broken =
  | { readonly code: 'minutes'; readonly has: number; readonly given: number }
  | { readonly code: 'pause'; readonly pause: Pause }
  | { readonly code: 'second session' }
  | { readonly code: 'long hold first'; readonly before: Drill }
  | { readonly code: 'order'; readonly drill: Drill; readonly before: Drill }
  | { readonly code: 'never'; readonly drill: Drill }
  | { readonly code: 'may'; readonly drill: Drill; readonly may: MayDo; readonly overruled?: string | undefined }
  | { readonly code: 'near session'; readonly joints: readonly Joint[] }
  | { readonly code: 'near record'; readonly joints: readonly Joint[]; readonly day: CalendarDay }
  | { readonly code: 'near event'; readonly joints: readonly Joint[]; readonly by: ClosedBy }
  | { readonly code: 'third day'; readonly joints: readonly Joint[]; readonly most: number }
  | { readonly code: 'focus'; readonly drill: Drill }
  /** Hand load of a light week, as a share of the last full one. */
  | { readonly code: 'light week'; readonly share: number; readonly most: number; readonly because: LightBecause }
  /** Growth of the hand load against the week before, as a share. */
  | { readonly code: 'growth'; readonly by: number; readonly most: number }
  /** Body-weight seconds of the week, and how far they may lie apart, as a share of the larger. */
  | { readonly code: 'balance'; readonly push: number; readonly pull: number; readonly most: number }
  | { readonly code: 'dose beyond'; readonly finding: DoseFinding }
  | { readonly code: 'dose short'; readonly short: DoseShortfall };

/** A rule that is broken, with where and what would mend it. */
export interface Found {
  readonly sessionId: string;
  /** It is about the day of the session, and another day would mend it. */
  readonly ofDay?: true;
  readonly itemId?: string;
  /** No rule is broken, or the coach has overruled it: something to know. */
  readonly advice?: true;
  /** The dose that would be within the rule. */
  readonly dose?: Dose;
  /** The drill may not be done at all: something may be in its place. */
  readonly closed?: true;
  /** The coach may plan it all the same, with a reason. */
  readonly overrulable?: true;
  readonly broken: Broken;
}

/** The same, said. */
export interface PlanFinding extends Found {
  readonly sentence: string;
}
