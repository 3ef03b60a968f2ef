import type { Drill } from '@myokinet/core/drills';
import { X } from 'lucide-react';
import { useLibrary } from '../../client/LibraryContext.ts';

export interface NeighboursFieldProps {
  readonly drill: Drill;
  readonly change: (easier: string[]) => void;
}

/** The drills that are a step easier; those that lead back to this one are not on offer. */
export function NeighboursField({ drill, change }: NeighboursFieldProps) {
  const library = useLibrary();
  const harder = harderAll(drill.id, library.harderThan);
  const free = library.drills.filter((d) => d.id !== drill.id && !drill.easier.includes(d.id) && !harder.has(d.id));
  const nameOf = (id: string) => (library.hasDrill(id) ? library.drill(id).name : id);
  return (
    <fieldset>
      <legend className="text-sm font-semibold">Easier neighbours</legend>
      <ul className="flex flex-wrap gap-2">
        {drill.easier.map((id) => (
          <li key={id} className="flex items-center gap-1 border-s-4 border-base-300 bg-base-200 ps-2 text-sm">
            {nameOf(id)}
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={`${nameOf(id)} is no neighbour`}
              onClick={() => change(drill.easier.filter((e) => e !== id))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <select
        className="select select-xs mt-1 w-full"
        aria-label="Add an easier neighbour"
        value=""
        onChange={(e) => change([...drill.easier, e.target.value])}
      >
        <option value="">another easier drill…</option>
        {free.map((d) => (
          <option key={d.id} value={d.id}>
            {d.name}
          </option>
        ))}
      </select>
    </fieldset>
  );
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
