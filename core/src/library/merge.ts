import type { Drill } from '../drills/index.ts';
import type { Ladder } from '../ladders/index.ts';
import type { LibraryContent } from './library.ts';

/**
 * One library over another: entries of the upper one take the place of those with the same id, in
 * their place; new ones follow. Where the upper one has its own ladder without a rung of the lower one, the practice of that rung is no longer
 * offered. A drill of the upper one that says nothing of how it is taught, as those did that were written before lessons were, is taught
 * as the lower one of the same id.
 *
 * @example merged(BUILT_IN, { ...EMPTY_LIBRARY, drills: [myPlank] }).drills.length // unchanged
 */
export function merged(lower: LibraryContent, upper: LibraryContent): LibraryContent {
  const drills = over(lower.drills, taughtAs(lower.drills, upper.drills));
  const ladders = over(lower.ladders, upper.ladders);
  return {
    drills,
    ladders,
    measures: over(lower.measures, upper.measures),
    faults: over(lower.faults, upper.faults),
    setAside: [...new Set([...lower.setAside, ...upper.setAside, ...withoutRung(lower.drills, ladders, upper)])],
  };
}

function over<T extends { readonly id: string }>(lower: readonly T[], upper: readonly T[]): readonly T[] {
  const own = new Map(upper.map((entry) => [entry.id, entry]));
  const below = new Set(lower.map(({ id }) => id));
  return [...lower.map((entry) => own.get(entry.id) ?? entry), ...upper.filter(({ id }) => !below.has(id))];
}

function taughtAs(lower: readonly Drill[], upper: readonly Drill[]): readonly Drill[] {
  const below = new Map(lower.map((drill) => [drill.id, drill]));
  return upper.map((drill) => {
    const { teaching, faultNotes, bladeTravels } = below.get(drill.id) ?? {};
    if (drill.teaching || !teaching) return drill;
    return { teaching, ...(faultNotes ? { faultNotes } : {}), ...(bladeTravels ? { bladeTravels } : {}), ...drill };
  });
}

/** Practices of the lower library whose rung is not on the ladder that took the place of theirs. */
function withoutRung(drills: readonly Drill[], ladders: readonly Ladder[], upper: LibraryContent): readonly string[] {
  const replaced = new Set(upper.ladders.map(({ id }) => id));
  if (replaced.size === 0) return [];
  const own = new Set(upper.drills.map(({ id }) => id));
  return drills.flatMap(({ id, rung }) =>
    rung &&
    replaced.has(rung.ladderId) &&
    !own.has(id) &&
    !ladders.some((l) => l.id === rung.ladderId && l.rungs.some((r) => r.id === rung.rungId))
      ? [id]
      : [],
  );
}
