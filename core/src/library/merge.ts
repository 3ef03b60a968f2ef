import type { LibraryContent } from './library.ts';

/**
 * One library over another: entries of the upper one take the place of those with the same id, in
 * their place; new ones follow.
 *
 * @example merged(BUILT_IN, { ...EMPTY_LIBRARY, drills: [myPlank] }).drills.length // unchanged
 */
export function merged(lower: LibraryContent, upper: LibraryContent): LibraryContent {
  return {
    drills: over(lower.drills, upper.drills),
    ladders: over(lower.ladders, upper.ladders),
    measures: over(lower.measures, upper.measures),
    faults: over(lower.faults, upper.faults),
    setAside: [...new Set([...lower.setAside, ...upper.setAside])],
  };
}

function over<T extends { readonly id: string }>(lower: readonly T[], upper: readonly T[]): readonly T[] {
  const own = new Map(upper.map((entry) => [entry.id, entry]));
  const below = new Set(lower.map(({ id }) => id));
  return [...lower.map((entry) => own.get(entry.id) ?? entry), ...upper.filter(({ id }) => !below.has(id))];
}
