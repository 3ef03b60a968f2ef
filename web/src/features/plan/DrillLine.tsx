import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { plannedDoseInWords, isLoaded } from '@myokinet/core/drills';
import { Pin } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import type { ItemDraft } from './planDraft.ts';
import { followed } from './useDeskMoves.ts';
import { usePlanRules } from './planRules.ts';

interface DrillLineProps {
  readonly item: ItemDraft;
  readonly locked: boolean;
  readonly open: () => void;
  /** Moves it by one step: `ArrowUp`, `ArrowDown` inside its session, `ArrowLeft`, `ArrowRight` to the next one. */
  readonly move: (key: string) => void;
  readonly remove: () => void;
  readonly pin: () => void;
}

/** One drill in a stack. Dragged anywhere, or by keys: Alt and arrows move it, P pins it, Delete takes it out. */
export function DrillLine({ item, locked, open, move, remove, pin }: DrillLineProps) {
  const { library, schools } = usePlanRules();
  const drill = library.asPlanned(item);
  const { attributes, listeners, setNodeRef, transform, transition, isDragging, isOver, activeIndex } = useSortable({
    id: item.id,
    disabled: locked,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    if (locked) return;
    const act =
      event.altKey && event.key.startsWith('Arrow')
        ? () => move(event.key)
        : event.key === 'Delete'
          ? remove
          : event.key.toLowerCase() === 'p'
            ? pin
            : undefined;
    if (act) {
      event.preventDefault();
      act();
    } else if (event.key === ' ') listeners?.['onKeyDown']?.(event);
  };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? '' }}
      // From another session nothing makes room: a line says where it would land.
      className={`border-t ${isOver && !isDragging && activeIndex < 0 ? 'border-t-4 border-primary' : 'border-base-300'} ${isDragging ? 'opacity-40' : ''}`}
    >
      <button
        type="button"
        className="block w-full cursor-pointer py-0.5 text-start text-sm leading-snug hover:bg-base-200"
        title={item.why}
        {...(locked ? {} : { ...attributes, ...listeners })}
        {...followed(item.id)}
        aria-roledescription="drill of the plan"
        aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown Alt+ArrowLeft Alt+ArrowRight P Delete"
        onClick={open}
        onKeyDown={onKeyDown}
      >
        <span className={isLoaded(drill) ? 'font-semibold' : ''}>{drill.name}</span>{' '}
        <span className="aside whitespace-nowrap">{plannedDoseInWords(item, drill, schools.progress)}</span>
        {item.pinned && (
          <span className="ms-1 inline-flex items-center text-primary">
            <Pin size={12} aria-hidden />
            <span className="sr-only">pinned</span>
          </span>
        )}
      </button>
    </li>
  );
}
