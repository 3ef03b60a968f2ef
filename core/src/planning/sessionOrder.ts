import { type Drill, type Phase, PHASES } from '../drills/index.ts';
import type { Library } from '../library/index.ts';

/** Above this many drills in one phase the exact search is given up for the given order. */
const EXACT_UP_TO = 6;

/**
 * Orders a session: phases as practice has them, and inside a phase the order with the fewest
 * changes of position and equipment (exact).
 *
 * @param items anything with a drill
 * @param phases in the order in which they are done; a hang day opens with shoulders
 * @throws Refusal `drill-unknown`
 * @example orderSession([coolDown, plank, wristCircles], library) // [wristCircles, plank, coolDown]
 */
export function orderSession<T extends { readonly drillId: string }>(
  items: readonly T[],
  library: Library,
  phases: readonly Phase[] = PHASES,
): readonly T[] {
  let previous: Drill | undefined;
  return phases.flatMap((phase) => {
    const inPhase = items.filter((item) => library.drill(item.drillId).phase === phase);
    const ordered = inPhase.length <= EXACT_UP_TO ? fewestChanges(inPhase, previous, library) : inPhase;
    const last = ordered.at(-1);
    if (last) previous = library.drill(last.drillId);
    return ordered;
  });
}

/** Phases of a day for pulling: shoulders are opened before the wrists (common practice, no source). */
export const PULLING_PHASES: readonly Phase[] = [
  'pulse',
  'warm-up',
  'wrists and forearms',
  ...PHASES.filter((p) => !['pulse', 'warm-up', 'wrists and forearms'].includes(p)),
];

/** Changes of position and newly fetched equipment along a sequence. */
export function changesAlong(drills: readonly Drill[], before?: Drill): number {
  let changes = 0;
  let previous = before;
  for (const drill of drills) {
    if (previous && previous.position !== drill.position) changes++;
    changes += drill.equipment.filter((e) => !previous?.equipment.includes(e)).length;
    previous = drill;
  }
  return changes;
}

function fewestChanges<T extends { readonly drillId: string }>(
  items: readonly T[],
  before: Drill | undefined,
  library: Library,
): readonly T[] {
  let best = items;
  let fewest = Number.POSITIVE_INFINITY;
  for (const candidate of permutations(items)) {
    const changes = changesAlong(
      candidate.map((i) => library.drill(i.drillId)),
      before,
    );
    if (changes < fewest) [best, fewest] = [candidate, changes];
  }
  return best;
}

function* permutations<T>(items: readonly T[]): Generator<readonly T[]> {
  if (items.length <= 1) {
    yield items;
    return;
  }
  for (const [i, first] of items.entries()) {
    for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)])) yield [first, ...rest];
  }
}
