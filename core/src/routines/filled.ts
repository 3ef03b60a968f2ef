import { type Drill, type Phase, takesTurns, unitSeconds } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { mayDo, type MayDoFacts, type When } from '../planning/index.ts';
import { byUrgency, type Headroom } from '../readiness/index.ts';
import type { Routine, RoutineBlock, RoutineStep } from './routine.ts';

/** A routine with its places filled for one trainee. */
export interface Filled<R> {
  readonly routine: R;
  /** By step: what fills it. A place that nothing may fill is in none, and left out. */
  readonly chosen: ReadonlyMap<string, string>;
}

interface ForWhom {
  /** The library is fitted to them. */
  readonly facts: MayDoFacts;
  readonly headrooms: readonly Headroom[];
  readonly when?: When;
}

/**
 * A routine as it is for one trainee: each place to fill has a drill of its phase that they may do, the one that trains what holds them
 * back most, known ones first; no drill comes twice for it.
 *
 * @source project default: the order of preference
 * @example filledFor(routine, { facts, headrooms }).chosen.get(stepId) // 'plank-shoulder-tap'
 */
export function filledFor<R extends Pick<Routine, 'blocks'>>(routine: R, whom: ForWhom): Filled<R> {
  const taken = new Set(routine.blocks.flatMap((b) => b.steps).flatMap((s) => (s.kind === 'drill' ? [s.drillId] : [])));
  const chosen = new Map<string, string>();
  const fill = (step: RoutineStep): readonly RoutineStep[] => {
    if (step.kind !== 'choice') return [step];
    const drill = bestOf(step.phase, taken, whom);
    if (!drill) return [];
    taken.add(drill.id);
    chosen.set(step.id, drill.id);
    const { id, seconds, restSeconds } = step;
    return [{ id, kind: 'drill', drillId: drill.id, amount: amountIn(seconds, drill), restSeconds }];
  };
  const blocks = routine.blocks.map((block): RoutineBlock => ({ ...block, steps: block.steps.flatMap(fill) }));
  return { routine: { ...routine, blocks }, chosen };
}

/** As much as fits, and no more than is usual. */
function amountIn(seconds: number, { dose }: Pick<Drill, 'dose'>): number {
  const each = takesTurns(dose) ? seconds / 2 : seconds;
  return Math.max(1, Math.min(dose.max, Math.floor(each / unitSeconds(dose))));
}

function bestOf(phase: Phase, taken: ReadonlySet<string>, { facts, headrooms, when }: ForWhom): Drill | undefined {
  const limiters = [...new Set([...headrooms].sort(byUrgency).map((h) => h.demand.measureId))];
  const known = new Set(facts.knownDrills);
  const place = ({ trains }: Drill) => {
    const at = limiters.findIndex((m) => m in trains);
    return at < 0 ? limiters.length : at;
  };
  const strength = (drill: Drill) => drill.trains[limiters[place(drill)] ?? ''] ?? 0;
  const candidates = offeredIn(facts.library, phase)
    .filter((d) => !taken.has(d.id))
    .toSorted((a, b) => place(a) - place(b) || strength(b) - strength(a) || Number(known.has(b.id)) - Number(known.has(a.id)));
  return candidates.find((d) => mayDo(facts, { drillId: d.id, ...d.dose }, when).answer !== 'may not');
}

/** Drills that are offered without somebody choosing them by name. */
const offeredIn = ({ drills }: Pick<Library, 'drills'>, phase: Phase): readonly Drill[] =>
  drills.filter((d) => d.phase === phase && !d.rung && !d.byChoice);
