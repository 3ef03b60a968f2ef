import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { BLOCK_WAYS, ROUTINE_LIMITS, ROUTINE_PARTS, type RoutineBlock, type RoutineStep, routineSeconds } from '@myokinet/core/routines';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { dragAnnouncements } from '../../kit/dragAnnouncements.ts';
import { NumberCell } from '../../kit/NumberCell.tsx';
import { AddDrill } from './AddDrill.tsx';
import { moved, stepFor, withWay } from './routineDraft.ts';
import { StepRow } from './StepRow.tsx';
import { useDrillOf } from './useDrillOf.ts';
import { lastsInWords, PART_WORDS, WAY_WORDS } from './words.ts';
import { drillNameIn } from '../../client/drillName.ts';

interface BlockCardProps {
  readonly block: RoutineBlock;
  /** From 1. */
  readonly place: number;
  readonly of: number;
  readonly verdictOf: (drillId: string) => string | undefined;
  /** What fills a place for the trainee who is looked at. */
  readonly chosenIn: (stepId: string) => string | undefined;
  readonly change: (change: (block: RoutineBlock) => RoutineBlock) => void;
  readonly shift: (by: 1 | -1) => void;
  readonly remove: () => void;
}

/** What a step that is no drill starts with. */
const OTHERS: Readonly<Record<'choice' | 'pause' | 'breath' | 'transition', { readonly label: string; readonly make: () => RoutineStep }>> =
  {
    choice: {
      label: 'Place to fill',
      make: () => ({ id: newId(), kind: 'choice', phase: 'stability', seconds: 40, restSeconds: 20 }),
    },
    pause: { label: 'Pause', make: () => ({ id: newId(), kind: 'pause', seconds: 30 }) },
    breath: { label: 'Breaths', make: () => ({ id: newId(), kind: 'breath', breaths: 5 }) },
    transition: { label: 'Transition', make: () => ({ id: newId(), kind: 'transition', seconds: 10, text: '' }) },
  };

/** One block: how it is gone through, and its steps in their order. */
export function BlockCard({ block, place, of, verdictOf, chosenIn, change, shift, remove }: BlockCardProps) {
  const library = useLibrary();
  const drillOf = useDrillOf(library);
  const [adding, setAdding] = useState(false);
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }));
  const nameOf = (step: RoutineStep) => (step.kind === 'drill' ? drillNameIn(library, step.drillId) : OTHERS[step.kind].label);
  const append = (step: RoutineStep) => change((b) => ({ ...b, steps: [...b.steps, step] }));
  const put = (id: string, next: RoutineStep) => change((b) => ({ ...b, steps: b.steps.map((s) => (s.id === id ? next : s)) }));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) change((b) => ({ ...b, steps: moved(b.steps, String(active.id), String(over.id)) }));
  };
  const label = block.name || `Block ${place}`;
  return (
    <section aria-label={label} className="sheet p-3">
      <div className="flex flex-wrap items-center gap-2">
        <input
          className="input input-sm w-44 font-semibold"
          aria-label={`Name of block ${place}`}
          placeholder={`Block ${place}`}
          maxLength={80}
          value={block.name}
          onChange={(e) => change((b) => ({ ...b, name: e.target.value }))}
        />
        <select
          className="select select-sm w-auto"
          aria-label={`Part of ${label}`}
          value={block.part}
          onChange={(e) => change((b) => ({ ...b, part: ROUTINE_PARTS.find((p) => p === e.target.value) ?? b.part }))}
        >
          {ROUTINE_PARTS.map((part) => (
            <option key={part} value={part}>
              {PART_WORDS[part]}
            </option>
          ))}
        </select>
        <select
          className="select select-sm w-auto"
          aria-label={`How ${label} is done`}
          value={block.way}
          onChange={(e) => change((b) => withWay(b, BLOCK_WAYS.find((w) => w === e.target.value) ?? b.way))}
        >
          {BLOCK_WAYS.map((way) => (
            <option key={way} value={way}>
              {WAY_WORDS[way]}
            </option>
          ))}
        </select>
        <WayNumber block={block} label={label} change={change} />
        <label className="flex items-center gap-1.5 text-sm" title="The whole block on the left, then the whole of it on the right">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={block.mirrored}
            onChange={(e) => change((b) => ({ ...b, mirrored: e.target.checked }))}
          />
          left, then mirrored
        </label>
        <span className="text-sm">{lastsInWords(routineSeconds({ blocks: [block] }, drillOf))}</span>
        <span className="ms-auto flex">
          <button
            type="button"
            className="btn btn-ghost btn-sm btn-square"
            aria-label={`Move ${label} up`}
            disabled={place === 1}
            onClick={() => shift(-1)}
          >
            <ArrowUp size={16} aria-hidden />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-sm btn-square"
            aria-label={`Move ${label} down`}
            disabled={place === of}
            onClick={() => shift(1)}
          >
            <ArrowDown size={16} aria-hidden />
          </button>
          <button type="button" className="btn btn-ghost btn-sm btn-square" aria-label={`Remove ${label}`} onClick={remove}>
            <Trash2 size={16} aria-hidden />
          </button>
        </span>
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{ announcements: dragAnnouncements(block.steps.map((s) => ({ id: s.id, name: nameOf(s) }))) }}
      >
        <SortableContext items={block.steps.map((s) => s.id)} strategy={verticalListSortingStrategy}>
          <ol className="mt-2">
            {block.steps.map((step) => (
              <StepRow
                key={step.id}
                step={step}
                block={block}
                name={nameOf(step)}
                verdict={step.kind === 'drill' ? verdictOf(step.drillId) : step.kind === 'choice' ? chosenIn(step.id) : undefined}
                change={(next) => put(step.id, next)}
                remove={() => change((b) => ({ ...b, steps: b.steps.filter((s) => s.id !== step.id) }))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => setAdding(true)}>
          <Plus size={16} aria-hidden /> Add a drill
        </button>
        {Object.entries(OTHERS).map(([kind, { label: name, make }]) => (
          <button key={kind} type="button" className="btn btn-sm btn-ghost" onClick={() => append(make())}>
            <Plus size={16} aria-hidden /> {name}
          </button>
        ))}
      </div>
      {adding && (
        <AddDrill
          add={(drill) => {
            append(stepFor(drill));
            setAdding(false);
          }}
          close={() => setAdding(false)}
        />
      )}
    </section>
  );
}

function WayNumber({ block, label, change }: Pick<BlockCardProps, 'block' | 'change'> & { readonly label: string }) {
  switch (block.way) {
    case 'once':
      return null;
    case 'rounds':
      return (
        <NumberCell
          label={`Rounds of ${label}`}
          value={block.rounds ?? 1}
          most={ROUTINE_LIMITS.rounds.max}
          set={(rounds) => change((b) => ({ ...b, rounds }))}
        />
      );
    case 'time':
      return (
        <span className="flex items-center gap-1 text-sm">
          <NumberCell
            label={`Minutes of ${label}`}
            value={block.minutes ?? 1}
            most={ROUTINE_LIMITS.minutes.max}
            set={(minutes) => change((b) => ({ ...b, minutes }))}
          />
          min
        </span>
      );
    case 'stations':
      return (
        <NumberCell
          label={`Breaths at each station of ${label}`}
          value={block.breaths ?? 1}
          most={ROUTINE_LIMITS.breaths.max}
          set={(breaths) => change((b) => ({ ...b, breaths }))}
        />
      );
  }
}
