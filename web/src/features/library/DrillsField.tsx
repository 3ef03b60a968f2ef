import type { Drill } from '@myokinet/core/drills';
import { X } from 'lucide-react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { drillNameIn } from '../../client/drillName.ts';

export interface DrillsFieldProps {
  readonly label: string;
  /** What one more is called: "an easier neighbour". */
  readonly one: string;
  readonly chosen: readonly string[];
  /** Drills on offer. */
  readonly free: readonly Drill[];
  readonly change: (drillIds: string[]) => void;
}

/** A list of drills, each added by name and taken out again. */
export function DrillsField({ label, one, chosen, free, change }: DrillsFieldProps) {
  const library = useLibrary();
  const nameOf = (id: string) => drillNameIn(library, id);
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{label}</legend>
      <ul className="flex flex-wrap gap-2">
        {chosen.map((id) => (
          <li key={id} className="flex items-center gap-1 border-s-4 border-base-300 bg-base-200 ps-2 text-sm">
            {nameOf(id)}
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={`${nameOf(id)} is not ${one}`}
              onClick={() => change(chosen.filter((e) => e !== id))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <select
        className="select select-xs mt-1 w-full"
        aria-label={`Add ${one}`}
        value=""
        onChange={(e) => change([...chosen, e.target.value])}
      >
        <option value="">add {one}…</option>
        {free
          .filter((d) => !chosen.includes(d.id))
          .map((d) => (
            <option key={d.id} value={d.id}>
              {d.name}
            </option>
          ))}
      </select>
    </fieldset>
  );
}
