import type { Drill } from '@myokinet/core/drills';
import { useLibrary } from '../../client/LibraryContext.ts';
import { DrillsField } from './DrillsField.tsx';

export interface NeighboursFieldProps {
  readonly drill: Drill;
  readonly change: (easier: string[]) => void;
}

/** The drills that are a step easier; those that lead back to this one are not on offer. */
export function NeighboursField({ drill, change }: NeighboursFieldProps) {
  const library = useLibrary();
  const harder = harderAll(drill.id, library.harderThan);
  const free = library.drills.filter((d) => d.id !== drill.id && !harder.has(d.id));
  return <DrillsField label="Easier neighbours" one="an easier neighbour" chosen={drill.easier} free={free} change={change} />;
}

/** Everything above a drill: choosing one of these as easier would close a ring. */
function harderAll(id: string, harderThan: (id: string) => readonly Drill[]): ReadonlySet<string> {
  const seen = new Set<string>();
  const open = [id];
  for (let next = open.pop(); next !== undefined; next = open.pop())
    for (const { id: above } of harderThan(next))
      if (!seen.has(above)) {
        seen.add(above);
        open.push(above);
      }
  return seen;
}
