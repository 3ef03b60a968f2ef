import {
  closestCenter,
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { dayShort, weekdayOf, dayOfWeek, weeksLater } from '@myokinet/core/planning';
import { calendarDay, type CalendarDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { dragAnnouncements } from '../../kit/dragAnnouncements.ts';
import { freeDay, withItemInto, withItemMoved, withSession, withSessionOn } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';
import { useDeskMoves } from './useDeskMoves.ts';
import type { PlanDesk } from './usePlanDesk.ts';
import { WeekColumn } from './WeekColumn.tsx';

interface WeekColumnsProps {
  readonly desk: PlanDesk;
  readonly now: Date;
  readonly done: ReadonlySet<string>;
  readonly open: (sessionId: string) => void;
}

/** Sessions fall into weeks; drills fall beside drills or into sessions. */
const collisions: CollisionDetection = (args) => {
  const session = String(args.active.id).startsWith('session:');
  const droppableContainers = args.droppableContainers.filter(({ id }) => String(id).startsWith('week:') === session);
  const under = pointerWithin({ ...args, droppableContainers });
  const drill = under.find(({ id }) => !String(id).startsWith('into:'));
  return drill ? [drill] : under.length > 0 ? under : closestCenter({ ...args, droppableContainers });
};

export function WeekColumns({ desk, now, done, open }: WeekColumnsProps) {
  const rules = usePlanRules();
  const { library } = rules;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const findings = rules.review(desk.weeks.flatMap((w) => w.sessions));
  const sessions = desk.weeks.flatMap((w) => w.sessions);
  const named = [
    ...sessions.map((s) => ({ id: `session:${s.id}`, name: `the session of ${dayShort(s.day as CalendarDay)}` })),
    ...sessions.flatMap((s) => s.items.map((i) => ({ id: i.id, name: library.drill(i.drillId).name }))),
  ];
  const moves = useDeskMoves(desk.weeks, { now, done });
  const [carried, setCarried] = useState<string | undefined>();

  const nameOf = (id: string) => named.find((n) => n.id === id)?.name ?? '';

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    setCarried(undefined);
    if (!over || active.id === over.id) return;
    const [what, target] = [String(active.id), String(over.id)];
    if (what.startsWith('session:')) {
      const session = sessions.find((s) => s.id === what.slice('session:'.length));
      const week = desk.weeks.find((w) => `week:${w.weekStart}` === target);
      if (!session || !week || week.sessions.includes(session)) return;
      if (weeksLater(week.weekStart as CalendarDay, 1) <= calendarDay(now)) {
        moves.refuse(`That week is over: ${nameOf(what)} stays where it was.`);
        return;
      }
      const same = dayOfWeek(week.weekStart as CalendarDay, weekdayOf(session.day as CalendarDay));
      const taken = same < calendarDay(now) || week.sessions.some((s) => s.day === same);
      desk.edit(withSessionOn(desk.weeks, session, taken ? freeDay(week, now) : same));
      return;
    }
    const into = target.startsWith('into:') ? target.slice('into:'.length) : sessions.find((s) => s.items.some((i) => i.id === target))?.id;
    const from = sessions.find((s) => s.items.some((i) => i.id === what));
    if (!into || !from) return;
    const why = moves.lockedBecause(into);
    if (why) {
      moves.refuse(`${why} “${nameOf(what)}” stays where it was.`);
      return;
    }
    const week = desk.weeks.find((w) => w.sessions.some((s) => s.id === into));
    if (from.id === into && week) desk.edit([withSession(week, into, (s) => withItemMoved(s, what, target))]);
    else desk.edit(withItemInto(desk.weeks, what, { sessionId: into, before: target.startsWith('into:') ? undefined : target }));
  };

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collisions}
      onDragStart={({ active }) => {
        moves.refuse(undefined);
        setCarried(String(active.id));
      }}
      onDragCancel={() => setCarried(undefined)}
      onDragEnd={onDragEnd}
      accessibility={{ announcements: dragAnnouncements(named) }}
    >
      <p role="status" className={moves.refused ? 'mt-2 border-s-4 border-warning bg-warning/10 px-3 py-1.5' : 'sr-only'}>
        {moves.refused}
      </p>
      <div className="relative mt-3 grid items-start gap-3 overflow-x-auto pb-1 md:auto-cols-[minmax(15.5rem,1fr)] md:grid-flow-col">
        {desk.weeks.map((week) => (
          <WeekColumn key={week.weekStart} week={week} desk={desk} now={now} findings={findings} moves={moves} open={open} />
        ))}
      </div>
      <DragOverlay dropAnimation={null}>
        {carried && (
          <div className="sheet cursor-grabbing border-2 border-primary px-3 py-2 font-semibold shadow-lg">{nameOf(carried)}</div>
        )}
      </DragOverlay>
    </DndContext>
  );
}
