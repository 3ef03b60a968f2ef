import { Plus, X } from 'lucide-react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { STRENGTH_WORDS } from './words.ts';

export interface TrainsFieldProps {
  readonly trains: Readonly<Record<string, 1 | 2 | 3>>;
  readonly change: (trains: Record<string, 1 | 2 | 3>) => void;
}

/** Which checks a drill trains, and how strongly. */
export function TrainsField({ trains, change }: TrainsFieldProps) {
  const { measures, measure } = useLibrary();
  const free = measures.filter((m) => trains[m.id] === undefined);
  const without = (gone: string) => Object.fromEntries(Object.entries(trains).filter(([id]) => id !== gone));
  return (
    <fieldset>
      <legend className="text-sm font-semibold">Trains these checks</legend>
      <ul>
        {Object.entries(trains).map(([id, strength]) => (
          <li key={id} className="mt-1 flex items-center gap-2">
            <span className="flex-1 text-sm">{measure(id).name}</span>
            <select
              className="select select-xs w-28"
              aria-label={`How strongly it trains ${measure(id).name}`}
              value={strength}
              onChange={(e) => change({ ...trains, [id]: Number(e.target.value) as 1 | 2 | 3 })}
            >
              {([1, 2, 3] as const).map((s) => (
                <option key={s} value={s}>
                  {STRENGTH_WORDS[s]}
                </option>
              ))}
            </select>
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={`Does not train ${measure(id).name}`}
              onClick={() => change(without(id))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <label className="mt-1 flex items-center gap-2 text-sm">
        <Plus size={14} aria-hidden />
        <select
          className="select select-xs flex-1"
          aria-label="Add a check that it trains"
          value=""
          onChange={(e) => change({ ...trains, [e.target.value]: 2 })}
        >
          <option value="">another check…</option>
          {free.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
    </fieldset>
  );
}
