import { useDraggable, useDroppable } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { PlanDto } from '@myokinet/core/contracts';
import type { Phase } from '@myokinet/core/drills';
import {
  dayShort,
  FRAME_PHASES,
  isLoadedSession,
  minutesGiven,
  type PlanFinding,
  PLACES,
  SESSION_FORMS,
  sessionMinutes,
  weeksLater,
} from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { GripVertical, Pin, PinOff } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { DrillLine } from './DrillLine.tsx';
import { freeDay, type SessionDraft, withItem, withItemInto, withItemMoved, withoutItem, withSession, withSessionOn } from './planDraft.ts';
import { type DeskMoves, followed } from './useDeskMoves.ts';
import { usePlanRules } from './planRules.ts';
import type { PlanDesk } from './usePlanDesk.ts';

interface SessionStackProps {
  readonly session: SessionDraft;
  readonly week: PlanDto;
  readonly desk: PlanDesk;
  readonly now: Date;
  readonly moves: DeskMoves;
  readonly findings: readonly PlanFinding[];
  readonly open: () => void;
}

/** A session as a stack of drills; dragged to another week by its handle or with Alt and the arrows. */
export function SessionStack({ session, week, desk, now, moves, findings, open }: SessionStackProps) {
  const locked = moves.lockedBecause(session.id) !== undefined;
  const rules = usePlanRules();
  const { library } = rules;
  const { setNodeRef: setInto, isOver } = useDroppable({ id: `into:${session.id}` });
  const { setNodeRef, isDragging, attributes, listeners } = useDraggable({ id: `session:${session.id}`, disabled: locked });
  const day = session.day as CalendarDay;
  const minutes = Math.round(sessionMinutes(session.items, library, session.form));
  const given = minutesGiven(day, rules);
  const pinned = session.items.length > 0 && session.items.every((i) => i.pinned);
  const main = session.items.filter((i) => !FRAME_PHASES.includes(library.drill(i.drillId).phase));
  const change = (edit: (s: SessionDraft) => SessionDraft) => desk.edit([withSession(week, session.id, edit)]);

  const moveSession = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (!event.altKey || by === 0 || locked) return;
    const other = desk.weeks.find((w) => w.weekStart === weeksLater(week.weekStart as CalendarDay, by));
    if (!other) return;
    event.preventDefault();
    const same = weeksLater(day, by);
    moves.follow(session.id);
    desk.edit(withSessionOn(desk.weeks, session, other.sessions.some((s) => s.day === same) ? freeDay(other, now) : same));
  };

  const moveDrill = (itemId: string, key: string) => {
    moves.refuse(undefined);
    moves.follow(itemId);
    const at = main.findIndex((i) => i.id === itemId);
    if (key === 'ArrowUp' || key === 'ArrowDown') {
      const neighbour = main[at + (key === 'ArrowUp' ? -1 : 1)];
      if (neighbour) change((s) => withItemMoved(s, itemId, neighbour.id));
      return;
    }
    const all = desk.weeks.flatMap((w) => w.sessions).sort((a, b) => a.day.localeCompare(b.day));
    const next = all[all.findIndex((s) => s.id === session.id) + (key === 'ArrowLeft' ? -1 : 1)];
    const why = next && moves.lockedBecause(next.id);
    if (why) moves.refuse(`${why} The drill stays where it was.`);
    else if (next) desk.edit(withItemInto(desk.weeks, itemId, { sessionId: next.id }));
  };

  return (
    <article
      ref={setNodeRef}
      className={`sheet p-2 ${isDragging ? 'opacity-50' : ''} ${isOver && !locked ? 'outline-2 outline-primary' : ''}`}
      aria-label={`Session, ${dayShort(day)}`}
    >
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square no-print cursor-grab"
          aria-label={`Move the session of ${dayShort(day)}; Alt with left or right moves it to another week`}
          disabled={locked}
          {...attributes}
          {...listeners}
          {...followed(session.id)}
          onKeyDown={(event) => {
            moveSession(event);
            if (!event.defaultPrevented) listeners?.['onKeyDown']?.(event);
          }}
        >
          <GripVertical size={14} aria-hidden />
        </button>
        <button type="button" className="link-hover flex-1 cursor-pointer text-start font-semibold" onClick={open}>
          {dayShort(day)}
          <span className="sr-only">: open the session</span>
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square no-print"
          aria-label={pinned ? `Unpin the session of ${dayShort(day)}` : `Pin the session of ${dayShort(day)}`}
          aria-pressed={pinned}
          disabled={locked || session.items.length === 0}
          onClick={() => change((s) => ({ ...s, items: s.items.map((i) => ({ ...i, pinned: !pinned })) }))}
        >
          {pinned ? <PinOff size={14} aria-hidden /> : <Pin size={14} aria-hidden />}
        </button>
      </div>
      <p className="text-sm leading-snug">
        <span className={given !== undefined && minutes > given ? 'state-short font-semibold' : ''}>
          {minutes}
          {given === undefined ? '' : ` of ${given}`} min
        </span>
        , {isLoadedSession(session.items, library) ? 'loaded' : 'unloaded'}
        {session.place && session.place !== 'gym' && `, ${PLACES[session.place].toLowerCase()}`}
        {session.form && session.form !== 'sets' && `, ${SESSION_FORMS[session.form].name.toLowerCase()}`}
      </p>
      {findings.map((f) => (
        <p key={f.sentence} className={`mt-1 border-s-4 ps-1.5 text-sm leading-snug ${f.advice ? 'border-base-300' : 'border-warning'}`}>
          {f.sentence}
        </p>
      ))}
      <SortableContext items={main.map((i) => i.id)} strategy={verticalListSortingStrategy}>
        <ol ref={setInto} className="mt-1 min-h-4">
          <FrameLine items={session.items} phases={['pulse', 'wrists and forearms', 'warm-up']} name="Warm-up" />
          {main.map((item) => (
            <DrillLine
              key={item.id}
              item={item}
              locked={locked}
              open={open}
              move={(key) => moveDrill(item.id, key)}
              remove={() => change((s) => withoutItem(s, item.id))}
              pin={() => change((s) => withItem(s, item.id, { pinned: !item.pinned }))}
            />
          ))}
          <FrameLine items={session.items} phases={['cool-down']} name="Cool-down" />
        </ol>
      </SortableContext>
    </article>
  );
}

/** Warm-up or cool-down in one line; the session, opened, shows each drill. */
function FrameLine({
  items,
  phases,
  name,
}: {
  readonly items: SessionDraft['items'];
  readonly phases: readonly Phase[];
  readonly name: string;
}) {
  const { library } = usePlanRules();
  const drills = items.map((i) => library.drill(i.drillId)).filter((d) => phases.includes(d.phase));
  if (drills.length === 0) return null;
  return (
    <li className="aside border-t border-base-300 py-0.5 text-sm leading-snug" title={drills.map((d) => d.name).join(', ')}>
      {name}, {drills.length} {drills.length === 1 ? 'drill' : 'drills'}
    </li>
  );
}
