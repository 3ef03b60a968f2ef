import type { FaultEntry, FaultId } from '@myokinet/core/drills';

/**
 * One letter for each fault of a drill: the first of its name that no other has taken.
 *
 * `hips sag` → H, `neck leads the movement` → N.
 */
export function faultKeys(faults: readonly FaultEntry[]): ReadonlyMap<FaultId, string> {
  const taken = new Set<string>();
  return new Map(
    faults.map(({ id, name }) => {
      const words = name.toUpperCase().replace(/[^A-Z ]/g, '');
      const candidates = [...words.split(' ').flatMap((w) => w.slice(0, 1)), ...words.replaceAll(' ', ''), ...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
      const letter = candidates.find((c) => !taken.has(c)) ?? '';
      taken.add(letter);
      return [id, letter];
    }),
  );
}
