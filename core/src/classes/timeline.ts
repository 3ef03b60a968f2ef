import { type BodySide, type Side, SIDES } from '../anatomy/index.ts';
import { type Drill, type Phase, takesTurns, unitSeconds } from '../drills/index.ts';
import type { RoutineMoment } from '../routines/index.ts';

/** What may be asked of a class at most, and at least; times in seconds (project default). */
export const CLASS_LIMITS = {
  members: 20,
  work: { min: 10, max: 300 },
  rest: { min: 0, max: 300 },
  change: { min: 0, max: 300 },
  rounds: { min: 1, max: 10 },
  slots: 40,
  moments: 800,
} as const;

/** The one clock of a class that has no routine: how long everybody works, rests and changes over, and how often. */
export interface ClassRhythm {
  readonly work: number;
  readonly rest: number;
  readonly change: number;
  readonly rounds: number;
  /** One set of each in turn, round by round; otherwise all sets of one before the next comes. */
  readonly circle: boolean;
}

export const USUAL_RHYTHM: ClassRhythm = { work: 40, rest: 20, change: 30, rounds: 3, circle: false };

/** What everybody does at one time; each has a drill of their own for it, or none. */
export interface ClassSlot {
  readonly id: string;
  /** The drill that it is called by. */
  readonly drillId: string;
  /** Where each has a drill of their own: what kind. */
  readonly phase?: Phase;
}

/** One stretch of a class as its clock runs. */
export interface ClassMoment {
  readonly kind: 'ready' | 'work' | 'rest' | 'pause' | 'change';
  readonly seconds: number;
  /** Of `work`. */
  readonly slotId?: string | undefined;
  readonly side?: Side | undefined;
  /** From 1; 0 rounds: as many as fit. */
  readonly round?: number | undefined;
  readonly rounds?: number | undefined;
  /** Of a change over, in the studio’s own words. */
  readonly text?: string | undefined;
}

/** Everybody finds their place before the first set (project default). */
const READY: ClassMoment = { kind: 'ready', seconds: 10 };

/**
 * A class by a rhythm: nothing rests at the very end, and nobody changes over after the last.
 *
 * @example rhythmMoments(['a'], { work: 40, rest: 20, change: 30, rounds: 2, circle: false }).map((m) => m.seconds) // [10, 40, 20, 40]
 */
export function rhythmMoments(slotIds: readonly string[], { work, rest, change, rounds, circle }: ClassRhythm): readonly ClassMoment[] {
  const all = Array.from({ length: rounds }, (_, i) => i + 1);
  const order = circle
    ? all.flatMap((round) => slotIds.map((slotId) => ({ slotId, round })))
    : slotIds.flatMap((slotId) => all.map((round) => ({ slotId, round })));
  const between = (from: { readonly slotId: string }, to: { readonly slotId: string } | undefined): readonly ClassMoment[] => {
    if (!to) return [];
    const over = from.slotId === to.slotId;
    const seconds = over ? rest : change;
    return seconds > 0 ? [{ kind: over ? 'rest' : 'change', seconds }] : [];
  };
  return [
    READY,
    ...order.flatMap(({ slotId, round }, i): readonly ClassMoment[] => [
      { kind: 'work', seconds: work, slotId, round, rounds },
      ...between({ slotId }, order[i + 1]),
    ]),
  ];
}

/**
 * A class by a routine’s own clock; each of its drills’ steps is a slot, and each place that is filled for each.
 *
 * @param calledBy the drill that a place of a phase is called by, where each has a drill of their own
 */
export function routineClass(
  moments: readonly RoutineMoment[],
  calledBy: (phase: Phase) => string | undefined,
): {
  readonly slots: readonly ClassSlot[];
  readonly moments: readonly ClassMoment[];
} {
  const slots = new Map<string, ClassSlot>();
  const own = moments.map(({ kind, seconds, stepId, drillId: named, side, round, rounds, text, phase }): ClassMoment => {
    const drillId = named ?? (phase && calledBy(phase));
    if (drillId !== undefined) {
      slots.set(stepId, { id: stepId, drillId, ...(phase ? { phase } : {}) });
      return { kind: 'work', seconds, slotId: stepId, round, rounds, ...(side ? { side } : {}) };
    }
    if (kind === 'transition') return { kind: 'change', seconds, ...(text === undefined ? {} : { text }) };
    return { kind: kind === 'rest' ? 'rest' : 'pause', seconds };
  });
  return { slots: [...slots.values()], moments: [READY, ...own.filter((m) => m.seconds > 0)] };
}

/** What one set of a class asks of somebody: as much as they were to do, and no more than the time has room for. */
export interface AskedSet {
  readonly sides: readonly BodySide[];
  /** In the drill’s unit, a side. */
  readonly amount: number;
}

/**
 * @param most the most of a set, in the drill’s unit, a side
 * @example askedSet({ kind: 'work', seconds: 40 }, plank, 60) // { sides: ['whole'], amount: 40 }
 */
export function askedSet({ seconds, side }: Pick<ClassMoment, 'seconds' | 'side'>, { dose }: Pick<Drill, 'dose'>, most: number): AskedSet {
  const sides: readonly BodySide[] = !dose.perSide || takesTurns(dose) ? ['whole'] : side ? [side] : SIDES;
  // Both sides in one stretch have half of it each; in turns one set does both.
  const each = takesTurns(dose) || sides.length > 1 ? seconds / 2 : seconds;
  const last = dose.unit === 'reps' ? (dose.course?.lastHold ?? 0) : 0;
  return { sides, amount: Math.max(1, Math.min(most, Math.floor((each - last) / unitSeconds(dose)))) };
}
