import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { cuesOf, type Manner, standInsFor, standInsInWords, UNIT_WORDS } from '@myokinet/core/drills';
import type { Place } from '@myokinet/core/planning';
import { GripVertical, Pin, PinOff, X } from 'lucide-react';
import { PaperBody } from '../../kit/body/PaperBody.tsx';
import { MannerFields } from '../../kit/MannerFields.tsx';
import { SetUpLine } from '../lab/index.ts';
import { buildOf, useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { NumberCell } from '../../kit/NumberCell.tsx';
import type { ItemDraft } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';

export interface PlannedDrillProps {
  readonly item: ItemDraft;
  readonly place: Place;
  readonly locked: boolean;
  readonly change: (change: Partial<ItemDraft>) => void;
  /** Back to the set-up of the drill itself. */
  readonly ownSetUp: () => void;
  /** With another weight, band or tempo, or none that is named. */
  readonly setManner: (manner: Manner | undefined) => void;
  readonly remove: () => void;
}

/** One drill of a session: dragged by its handle, its dose typed, its reason always said. */
export function PlannedDrill({ item, place, locked, change, ownSetUp, setManner, remove }: PlannedDrillProps) {
  const { library, schools, brief } = usePlanRules();
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const shown = buildOf(trainee);
  const drill = library.asPlanned(item);
  const standIn = standInsInWords(standInsFor(drill, brief.equipment[place]));
  const byFeel = schools.progress === 'feel';
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id, disabled: locked });
  const unit = UNIT_WORDS[drill.dose.unit];
  const bounds = (key: 'min' | 'max', value: number): Partial<ItemDraft> =>
    key === 'min' ? { min: value, max: Math.max(value, item.max) } : { max: value, min: Math.min(value, item.min) };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? '' }}
      className={`grid grid-cols-[auto_auto_1fr_auto] items-start gap-x-1.5 border-t border-base-300 py-1.5 ${isDragging ? 'relative z-10 bg-base-200' : ''}`}
    >
      <button
        type="button"
        className="btn btn-ghost btn-xs btn-square no-print cursor-grab"
        aria-label={`Move ${drill.name}`}
        disabled={locked}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <PaperBody of={drill} shown={shown} size={56} label={`${drill.name} in stills`} />
      <div className="min-w-0">
        <p className="leading-snug">
          <span className="font-semibold">{drill.name}</span> <span className="aside text-sm">{drill.phase}</span>
        </p>
        <div className="flex flex-wrap items-center gap-1 text-sm">
          <NumberCell label={`Sets of ${drill.name}`} value={item.sets} most={10} locked={locked} set={(sets) => change({ sets })} /> ×
          {byFeel ? (
            <span>by feel, up to</span>
          ) : (
            <>
              <NumberCell
                label={`Least ${unit} of ${drill.name}`}
                value={item.min}
                most={600}
                locked={locked}
                set={(v) => change(bounds('min', v))}
              />
              –
            </>
          )}
          <NumberCell
            label={`Most ${unit} of ${drill.name}`}
            value={item.max}
            most={600}
            locked={locked}
            set={(v) => change(bounds('max', v))}
          />
          <span>
            {unit}
            {drill.dose.perSide ? ' a side' : ''}, rest
          </span>
          <NumberCell
            label={`Rest after ${drill.name}, seconds`}
            value={item.restSeconds}
            least={0}
            most={600}
            locked={locked}
            set={(restSeconds) => change({ restSeconds })}
          />
          s
        </div>
        <MannerFields drill={drill} manner={item.manner} locked={locked} set={setManner} />
        {drill.support && <SetUpLine support={drill.support} body={body} traineeId={trainee.id} />}
        {standIn && <p className="text-sm leading-snug">{standIn}</p>}
        <p className="text-sm leading-snug">{cuesOf(drill, schools).join(' ')}</p>
        <p className="aside text-sm leading-snug">{item.why}</p>
        {item.without && (
          <details className="aside no-print text-sm leading-snug">
            <summary className="cursor-pointer">What it is worth to the plan</summary>
            {item.without}
          </details>
        )}
        {item.overruled && <p className="state-mark text-sm leading-snug">Planned all the same: {item.overruled}</p>}
        {item.support && !locked && (
          <button type="button" className="link no-print text-sm" onClick={ownSetUp}>
            Back to the drill’s own set-up
          </button>
        )}
      </div>
      <div className="flex flex-col">
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square no-print"
          aria-label={item.pinned ? `Unpin ${drill.name}` : `Pin ${drill.name}`}
          aria-pressed={item.pinned === true}
          disabled={locked}
          onClick={() => change({ pinned: !item.pinned })}
        >
          {item.pinned ? <PinOff size={16} aria-hidden /> : <Pin size={16} aria-hidden />}
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square no-print"
          aria-label={`Remove ${drill.name}`}
          disabled={locked}
          onClick={remove}
        >
          <X size={16} aria-hidden />
        </button>
      </div>
    </li>
  );
}
