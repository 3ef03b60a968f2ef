import { JOINTS, MOTIONS } from '@myokinet/core/anatomy';
import { doseInWords, type Drill, EQUIPMENT, EQUIPMENT_IDS, handLoadInWords, PHASES, POSITIONS, QUALITIES } from '@myokinet/core/drills';
import { drillSearch } from '@myokinet/core/library';
import { BLADES } from '@myokinet/core/schools';
import { Plus } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { Empty } from '../../kit/Empty.tsx';
import type { Option } from '../../kit/EntryFields.tsx';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { useLibrary, useSchools, useStudioLibrary } from '../../client/LibraryContext.ts';
import { SetAsideList } from './SetAsideList.tsx';
import { AskedFields } from './AskedFields.tsx';
import { type FilterName, useDrillFilter } from './useDrillFilter.ts';
import { asOptions, BLADE_WORDS, capital, jointsInWords } from './words.ts';

const OPTIONS: Readonly<Record<FilterName, { readonly label: string; readonly options: readonly Option[] }>> = {
  joint: { label: 'Joint', options: asOptions(JOINTS) },
  motion: { label: 'Direction', options: asOptions(MOTIONS) },
  quality: { label: 'Quality', options: asOptions(QUALITIES) },
  position: { label: 'Position', options: asOptions(POSITIONS) },
  equipment: {
    label: 'Equipment',
    options: [{ value: 'none', label: 'None needed' }, ...EQUIPMENT_IDS.map((value) => ({ value, label: capital(EQUIPMENT[value]) }))],
  },
  blade: { label: 'Blade school', options: BLADES.map((value) => ({ value, label: BLADE_WORDS[value] })) },
};

/** Rows put on the page at once: more than anybody reads, and few enough to answer within a frame. */
const SHOWN_AT_FIRST = 30;

export function DrillsPage() {
  const library = useLibrary();
  const { text, filter, set, clear, narrowed } = useDrillFilter();
  // In the order of a session; the library itself keeps newcomers last.
  const search = useMemo(
    () => drillSearch(library.drills.toSorted((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase))),
    [library],
  );
  const found = useDeferredValue(useMemo(() => search(text, filter), [search, text, filter]));
  const [all, setAll] = useState(false);
  const shown = all ? found : found.slice(0, SHOWN_AT_FIRST);
  return (
    <section aria-label="Drills">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <label className="w-full sm:w-64">
          <span className="block text-sm font-semibold">Search</span>
          <input
            className="input input-sm w-full"
            type="search"
            placeholder="Name, joint, cue…"
            value={text}
            onChange={(e) => set('text', e.target.value)}
          />
        </label>
        {(Object.keys(OPTIONS) as FilterName[]).map((name) => (
          <label key={name} className="max-sm:w-[calc(50%-0.4rem)]">
            <span className="block text-sm font-semibold">{OPTIONS[name].label}</span>
            <select className="select select-sm w-full sm:w-36" value={filter[name] ?? ''} onChange={(e) => set(name, e.target.value)}>
              <option value="">any</option>
              {OPTIONS[name].options.map(({ value, label }) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
          </label>
        ))}
        <AskedFields asks={filter.asks} set={set} />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <p role="status">
          {found.length} of {library.drills.length} drills
        </p>
        {narrowed && (
          <button type="button" className="btn btn-ghost btn-xs" onClick={clear}>
            Show every drill
          </button>
        )}
        <Link className="link ms-auto text-sm" to="/library/movements">
          All movements at a glance
        </Link>
        <Link className="btn btn-sm" to={`/library/drills/${newId()}/edit?new=1`}>
          <Plus size={16} aria-hidden /> Write a drill
        </Link>
      </div>
      {found.length === 0 ? (
        <div className="mt-3">
          <Empty title="No drill matches">
            <button type="button" className="btn btn-primary" onClick={clear}>
              Show every drill
            </button>
          </Empty>
        </div>
      ) : (
        <ul className="mt-1">
          {shown.map((drill) => (
            <DrillRow key={drill.id} drill={drill} />
          ))}
        </ul>
      )}
      {shown.length < found.length && (
        <button type="button" className="btn btn-sm mt-3" onClick={() => setAll(true)}>
          Show the other {found.length - shown.length}
        </button>
      )}
      <SetAsideList kind="drill" />
    </section>
  );
}

const FIGURE = 64;

function DrillRow({ drill }: { readonly drill: Drill }) {
  const schools = useSchools();
  const { reply } = useStudioLibrary();
  const own = reply.own.find((e) => e.kind === 'drill' && e.id === drill.id && e.standing === 'own');
  return (
    <li className="border-b border-base-300">
      <Link
        to={`/library/drills/${drill.id}`}
        className="grid grid-cols-[4.25rem_1fr] items-center gap-x-3 py-1 hover:bg-base-200 md:grid-cols-[4.25rem_minmax(0,5fr)_minmax(0,5fr)_minmax(0,4fr)]"
      >
        <StillBody of={drill} size={FIGURE} />
        <span className="leading-tight">
          <span className="font-semibold">{drill.name}</span>
          {own && <span className="ms-2 border-s-4 border-primary bg-primary/10 px-1.5 text-sm">the studio’s</span>}
          {drill.rung && <span className="aside ms-2 text-sm">rung practice</span>}
          <span className="aside block text-sm">
            {drill.phase} · {drill.position}
          </span>
        </span>
        <span className="aside text-sm leading-tight max-md:col-start-2">
          {capital(jointsInWords(drill))}
          <span className="block">{drill.quality}</span>
        </span>
        <span className="text-sm leading-tight max-md:col-start-2">
          {doseInWords(drill.dose, drill.dose, schools.progress)}
          <span className="aside block">Hands: {handLoadInWords(drill)}</span>
        </span>
      </Link>
    </li>
  );
}
