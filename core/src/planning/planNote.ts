import type { Joint } from '../anatomy/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { CautionInForce } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import type { BlockRule } from './block/rules.ts';
import type { Pause } from './brief.ts';
import type { LeftOutBecause } from './candidates.ts';
import type { ClosedBy } from './closedJoints.ts';
import type { Need } from './needs.ts';
import type { Direction, ShownLoad } from './shown.ts';

/** Why a week is a light one. */
export type LightBecause =
  { readonly code: 'after pause'; readonly reason: Pause['reason'] } | { readonly code: 'every'; readonly every: number };

/** Why minutes of a session stay free. */
export type SpareBecause =
  /** What is needed and may be done is all in it. */
  | 'all in it'
  /** More of what may stand there would add next to nothing this week. */
  | 'served'
  /** It holds as many drills of a kind as a session should. */
  | 'kinds'
  /** What else would help loads the hands, and the rules of load leave no room. */
  | 'load';

/** Why a need gets nothing in a whole block. */
export type UnservedBecause =
  | { readonly code: 'no drill' }
  | { readonly code: 'left out'; readonly drills: number; readonly mostly: LeftOutBecause }
  | { readonly code: 'no loaded day' }
  | { readonly code: 'minutes' };

/** What shaped the weeks; `words/notes.ts` says it. */
export type PlanNote =
  | { readonly code: 'stopped'; readonly sign: string }
  /** What a rhythm did to the week: `minutes` of each day, or `days` of those that were chosen. */
  | { readonly code: 'rhythm'; readonly rhythm: Schools['rhythm']; readonly minutes: number }
  | { readonly code: 'building up'; readonly month: number; readonly days: number; readonly chosen: number }
  | { readonly code: 'light'; readonly weekStart: CalendarDay; readonly because: LightBecause; readonly most: number }
  | { readonly code: 'pause'; readonly pause: Pause }
  | {
      readonly code: 'caution';
      readonly caution: CautionInForce;
      readonly out: number;
      readonly reduced: number;
      readonly stabilityFirst: boolean;
    }
  /** The hands are held back in a direction. */
  | {
      readonly code: 'held back';
      readonly direction: Direction;
      readonly shown: ShownLoad;
      readonly waiting: number;
      readonly check?: string | undefined;
    }
  | { readonly code: 'days unloaded'; readonly days: readonly CalendarDay[]; readonly joints: readonly Joint[]; readonly by: ClosedBy }
  | { readonly code: 'days empty'; readonly days: readonly CalendarDay[] }
  | { readonly code: 'days apart'; readonly loaded: number; readonly of: number; readonly unloaded: readonly CalendarDay[] }
  | { readonly code: 'spare'; readonly days: readonly CalendarDay[]; readonly minutes: number; readonly because: SpareBecause }
  | { readonly code: 'binding'; readonly rule: BlockRule; readonly gain: number; readonly growth: number; readonly moreMinutes: number }
  /** Of a week by rules: sets were taken until the hands carry no more than they may, or none is left to take. */
  | { readonly code: 'sets taken'; readonly kept: boolean; readonly growth: number; readonly lastWeek: number; readonly more: number }
  | {
      readonly code: 'loaded days';
      readonly loaded: number;
      readonly of: number;
      readonly done: number;
      readonly lastLoadedDay?: CalendarDay | undefined;
    }
  | { readonly code: 'unserved'; readonly need: Need; readonly because: UnservedBecause };

/** Why there is no plan; `words/refusals.ts` says it with the smallest change that helps. */
export type PlanRefusal =
  | { readonly code: 'weeks'; readonly asked: number; readonly min: number; readonly max: number }
  | { readonly code: 'no day' }
  | { readonly code: 'wanted and not'; readonly name: string }
  | { readonly code: 'wanted but closed'; readonly name: string; readonly because: LeftOutBecause }
  | { readonly code: 'all in pauses' }
  | { readonly code: 'days over' }
  | { readonly code: 'too short'; readonly minutes: number; readonly needed: number; readonly warmUp?: number }
  | { readonly code: 'nothing allowed'; readonly kind: KeptOut; readonly drills: number }
  | { readonly code: 'changes'; readonly changes: readonly SmallestChange[] }
  | { readonly code: 'out of time'; readonly seconds: number };

/** What can keep every drill out. */
export type KeptOut = 'never' | 'equipment' | 'beyond' | 'caution';

/** A change that makes an impossible brief possible. */
export type SmallestChange =
  | { readonly code: 'minutes'; readonly day: CalendarDay; readonly minutes: number }
  | { readonly code: 'always'; readonly name: string }
  | { readonly code: 'unpin'; readonly name: string }
  | { readonly code: 'unpin load'; readonly joint: string }
  | { readonly code: 'pair'; readonly name: string }
  | { readonly code: 'growth'; readonly week: string; readonly seconds: number };

/** What a template lost on its way to a trainee. */
export type TemplateNote =
  | { readonly code: 'left out'; readonly drillId: string; readonly because: LeftOutBecause }
  | { readonly code: 'day empty'; readonly day: CalendarDay };
