import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { doseInWords, PHASES } from '@myokinet/core/drills';
import { CLIMBS, type Rung } from '@myokinet/core/ladders';
import { POSES } from '@myokinet/core/statics';
import { CLIMBS_WORDS } from '@myokinet/core/words';
import { ChevronDown, ChevronRight, Copy, GripVertical, Trash2 } from 'lucide-react';
import { asBegun, shownOf } from '../../kit/body/shownOf.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { DemandRows } from './DemandRows.tsx';
import { SupportNote } from './SupportNote.tsx';
import { SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { asOptions } from './words.ts';

export interface RungEditorProps {
  readonly rung: Rung;
  readonly place: number;
  readonly open: boolean;
  readonly toggle: () => void;
  readonly problemOf: (field: string) => string | undefined;
  /** What the model of the body holds against it. */
  readonly findings: readonly string[];
  readonly change: (rung: Rung) => void;
  readonly copy: () => void;
  /** Absent for the last rung left. */
  readonly remove: (() => void) | undefined;
}

/** One rung: moved by its handle, opened by its name, its demands each with their own unit. */
export function RungEditor({ rung, place, open, toggle, problemOf, findings, change, copy, remove }: RungEditorProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: rung.id });
  const name = rung.name || 'new rung';
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? '' }}
      className={`border-t border-base-300 py-1.5 ${isDragging ? 'relative z-10 bg-base-200' : ''}`}
    >
      <div className="flex items-center gap-2">
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square cursor-grab"
          aria-label={`Move ${name}`}
          {...attributes}
          {...listeners}
        >
          <GripVertical size={16} aria-hidden />
        </button>
        <StillBody at={asBegun} of={shownOf(rung)} size={36} />
        <button type="button" className="flex flex-1 cursor-pointer items-center gap-1.5 text-start" aria-expanded={open} onClick={toggle}>
          {open ? <ChevronDown size={16} aria-hidden /> : <ChevronRight size={16} aria-hidden />}
          <span>
            <span className="font-semibold">
              {place}. {name}
            </span>{' '}
            <span className="aside text-sm">
              {rung.demands.length} {rung.demands.length === 1 ? 'demand' : 'demands'}
            </span>
          </span>
        </button>
        <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label={`Copy ${name}`} onClick={copy}>
          <Copy size={15} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square"
          aria-label={`Remove ${name}`}
          disabled={!remove}
          onClick={() => remove?.()}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </div>
      {findings.map((finding) => (
        <p key={finding} className="state-mark ps-8 text-sm leading-snug">
          {finding}
        </p>
      ))}
      {open && <RungFields rung={rung} problemOf={problemOf} change={change} />}
    </li>
  );
}

function RungFields({ rung, problemOf, change }: Pick<RungEditorProps, 'rung' | 'problemOf' | 'change'>) {
  const library = useLibrary();
  const edit = (part: Partial<Rung>) => change({ ...rung, ...part });
  const practice = library.hasDrill(rung.practice) ? library.drill(rung.practice) : undefined;
  const drills = PHASES.flatMap((phase) => library.drills.filter((d) => d.phase === phase));
  return (
    <div className="mt-2 mb-3 grid gap-x-6 gap-y-3 ps-8 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <div className="grid content-start gap-3">
        <TextField label="Name of the rung" value={rung.name} problem={problemOf('name')} change={(name) => edit({ name })} />
        <TextField label="Set-up, in a sentence" long value={rung.setUp} problem={problemOf('setUp')} change={(setUp) => edit({ setUp })} />
        <SelectField
          label="Figure"
          value={rung.pose}
          options={asOptions(Object.keys(POSES))}
          change={(v) => edit({ pose: v as Rung['pose'] })}
        />
        <SupportNote support={rung.support} takeOff={() => edit({ support: undefined as never })} />
        <SelectField
          label="Climbs, where not by load"
          value={rung.climbs ?? ''}
          options={[{ value: '', label: 'by load' }, ...CLIMBS.map((value) => ({ value, label: CLIMBS_WORDS[value] }))]}
          change={(v) => edit({ climbs: (v === '' ? undefined : v) as never })}
        />
        <SelectField
          label="Practised in"
          value={rung.practice}
          problem={problemOf('practice')}
          options={[
            ...(practice ? [] : [{ value: rung.practice, label: 'choose a drill…' }]),
            ...drills.map((d) => ({ value: d.id, label: `${d.name} (${d.phase})` })),
          ]}
          change={(value) => edit({ practice: value })}
        />
        {practice && <p className="aside text-sm">Dose: {doseInWords(practice.dose, practice.dose)}, changed on the drill’s own page.</p>}
      </div>
      <DemandRows demands={rung.demands} problemOf={problemOf} change={(demands) => edit({ demands })} />
    </div>
  );
}
