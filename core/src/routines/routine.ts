import type { Phase } from '../drills/index.ts';

/** When a block comes: warm-up before everything, cool-down after everything. */
export const ROUTINE_PARTS = ['warm-up', 'work', 'cool-down'] as const;
export type RoutinePart = (typeof ROUTINE_PARTS)[number];

/** How a block is gone through: once, so many rounds, against a clock, or as stations that each last so many breaths. */
export const BLOCK_WAYS = ['once', 'rounds', 'time', 'stations'] as const;
export type BlockWay = (typeof BLOCK_WAYS)[number];

/** What a routine is for. Only a session is one: a preparation and a short break count as light work, and toward no gate. */
export const ROUTINE_PURPOSES = ['session', 'preparation', 'short break'] as const;
export type RoutinePurpose = (typeof ROUTINE_PURPOSES)[number];

/** What may be written at most, and at least. */
export const ROUTINE_LIMITS = {
  rounds: { min: 1, max: 20 },
  /** Minutes of a block against a clock. */
  minutes: { min: 1, max: 60 },
  breaths: { min: 1, max: 60 },
  /** Seconds of a pause, a transition or a place to fill. */
  pause: { min: 1, max: 600 },
  amount: { min: 1, max: 600 },
  blocks: 12,
  steps: 40,
} as const;

/** One thing to do. A drill may come as often as wanted, each time with an amount of its own. */
export type RoutineStep =
  | {
      readonly id: string;
      readonly kind: 'drill';
      readonly drillId: string;
      /** In the unit of the drill’s dose, a side. */
      readonly amount: number;
      readonly restSeconds: number;
    }
  | { readonly id: string; readonly kind: 'pause'; readonly seconds: number }
  | { readonly id: string; readonly kind: 'breath'; readonly breaths: number }
  /** A place that is filled for each trainee: with a drill of this phase that trains what holds them back most. */
  | {
      readonly id: string;
      readonly kind: 'choice';
      readonly phase: Phase;
      /** For each side in turn where what fills it has sides. */
      readonly seconds: number;
      readonly restSeconds: number;
    }
  /** Getting from one place to another, with words of the studio’s own. */
  | { readonly id: string; readonly kind: 'transition'; readonly seconds: number; readonly text: string };

/** What counts as light work for something else; what is more counts as a session, and as none that is clean (project default). */
export const PREPARATION_LIMITS = { effort: 5, minutes: 30 } as const;

export interface RoutineBlock {
  readonly id: string;
  readonly name: string;
  readonly part: RoutinePart;
  readonly way: BlockWay;
  /** Of `rounds`. */
  readonly rounds?: number | undefined;
  /** Of `time`. */
  readonly minutes?: number | undefined;
  /** Of `stations`: how long each drill lasts. */
  readonly breaths?: number | undefined;
  /** The whole block on the left, then the whole of it on the right; otherwise each drill does both sides before the next comes. */
  readonly mirrored: boolean;
  readonly steps: readonly RoutineStep[];
}

export interface Routine {
  readonly name: string;
  readonly purpose: RoutinePurpose;
  readonly note: string;
  readonly blocks: readonly RoutineBlock[];
}
