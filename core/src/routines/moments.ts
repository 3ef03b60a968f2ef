import { type Side, SIDES } from '../anatomy/index.ts';
import { BREATH_SECONDS, type Drill, type DoseUnit, type Phase, setSeconds, takesTurns } from '../drills/index.ts';
import { ROUTINE_PARTS, type Routine, type RoutineBlock, type RoutineStep } from './routine.ts';

/** One stretch of a routine as it runs by the clock. */
export interface RoutineMoment {
  readonly stepId: string;
  readonly blockId: string;
  /** From 1. */
  readonly round: number;
  readonly rounds: number;
  readonly kind: 'drill' | 'rest' | 'pause' | 'breath' | 'transition' | 'choice';
  readonly seconds: number;
  readonly drillId?: string;
  readonly side?: Side;
  /** What is asked for, in the drill’s unit; at a station the breaths. */
  readonly amount?: number;
  readonly unit?: DoseUnit;
  readonly text?: string;
  /** Of a place that nobody has filled. */
  readonly phase?: Phase;
}

type Of = (drillId: string) => Pick<Drill, 'dose'> | undefined;

/**
 * A routine as it runs: every step in its order, warm-up first and cool-down last, both sides of what has sides, round by round. Nothing
 * rests at the very end. A drill that is no longer in the library is left out; `routineFindings` names it.
 *
 * @param drillOf a drill of the library; nothing where there is none of that id
 * @example momentsOf(routine, drillOf).map((m) => m.seconds) // [20, 15, 20, 15, 60]
 */
export function momentsOf({ blocks }: Pick<Routine, 'blocks'>, drillOf: Of): readonly RoutineMoment[] {
  const inOrder = ROUTINE_PARTS.flatMap((part) => blocks.filter((b) => b.part === part));
  const moments = inOrder.flatMap((block) => blockMoments(block, drillOf));
  return moments.at(-1)?.kind === 'rest' ? moments.slice(0, -1) : moments;
}

/** Seconds of the whole, which is the sum of its moments. */
export function routineSeconds(routine: Pick<Routine, 'blocks'>, drillOf: Of): number {
  return momentsOf(routine, drillOf).reduce((sum, m) => sum + m.seconds, 0);
}

function blockMoments(block: RoutineBlock, drillOf: Of): readonly RoutineMoment[] {
  const once = (round: number, rounds: number) => {
    const each = block.mirrored ? SIDES.map((side) => [side]) : [SIDES];
    return each.flatMap((sides) => block.steps.flatMap((step) => stepMoments(step, { block, round, rounds, sides, drillOf })));
  };
  switch (block.way) {
    case 'once':
    case 'stations':
      return once(1, 1);
    case 'rounds': {
      const rounds = block.rounds ?? 1;
      return Array.from({ length: rounds }, (_, i) => once(i + 1, rounds)).flat();
    }
    case 'time':
      return within((block.minutes ?? 1) * 60, (round) => once(round, 0));
  }
}

/** Rounds one after another until the time is over; the last moment ends with it. */
function within(seconds: number, round: (n: number) => readonly RoutineMoment[]): readonly RoutineMoment[] {
  const moments: RoutineMoment[] = [];
  let left = seconds;
  for (let n = 1; left > 0; n++) {
    const next = round(n);
    // Nothing to do: the time is not filled with nothing.
    if (next.every((m) => m.seconds === 0)) break;
    for (const moment of next) {
      if (left <= 0) break;
      moments.push(moment.seconds > left ? cut(moment, left) : moment);
      left -= moment.seconds;
    }
  }
  return moments;
}

/** What is left of a moment that the time ends: no more is asked for than fits. */
function cut({ amount, ...moment }: RoutineMoment, seconds: number): RoutineMoment {
  const fits = amount === undefined ? {} : { amount: Math.max(1, Math.floor((amount * seconds) / moment.seconds)) };
  return { ...moment, ...fits, seconds };
}

interface Within {
  readonly block: RoutineBlock;
  readonly round: number;
  readonly rounds: number;
  readonly sides: readonly Side[];
  readonly drillOf: Of;
}

function stepMoments(step: RoutineStep, { block, round, rounds, sides, drillOf }: Within): readonly RoutineMoment[] {
  const head = { stepId: step.id, blockId: block.id, round, rounds };
  switch (step.kind) {
    case 'pause':
      return [{ ...head, kind: 'pause', seconds: step.seconds }];
    case 'breath':
      return [{ ...head, kind: 'breath', seconds: step.breaths * BREATH_SECONDS, amount: step.breaths, unit: 'breaths' }];
    case 'transition':
      return [{ ...head, kind: 'transition', seconds: step.seconds, text: step.text }];
    case 'choice': {
      const rest = step.restSeconds > 0 ? [{ ...head, kind: 'rest', seconds: step.restSeconds } as const] : [];
      return [{ ...head, kind: 'choice', seconds: step.seconds, phase: step.phase }, ...rest];
    }
    case 'drill': {
      const { drillId, restSeconds } = step;
      const drill = drillOf(drillId);
      if (!drill) return [];
      const station = block.way === 'stations';
      const [amount, unit] = station ? [block.breaths ?? 1, 'breaths' as const] : [step.amount, drill.dose.unit];
      const seconds = station ? amount * BREATH_SECONDS : Math.ceil(setSeconds(drill.dose, amount));
      const work = { ...head, kind: 'drill', drillId, amount, unit } as const;
      const rest = restSeconds > 0 ? [{ ...head, kind: 'rest', seconds: restSeconds } as const] : [];
      // Where the sides take turns inside a set, one set does both.
      if (takesTurns(drill.dose)) return [{ ...work, seconds: 2 * seconds }, ...rest];
      if (!drill.dose.perSide) return [{ ...work, seconds }, ...rest];
      return [...sides.map((side) => ({ ...work, seconds, side })), ...rest];
    }
  }
}
