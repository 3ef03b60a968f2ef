import {
  closestCenter,
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { dayShort, weekdayOf, dayOfWeek } from '@myokinet/core/planning';
import { calendarDay, type CalendarDay } from '@myokinet/core/quantities';
import { dragAnnouncements } from '../../kit/dragAnnouncements.ts';
import { freeDay, withItemInto, withItemMoved, withSession, withSessionOn } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';
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
  const locked = (sessionId: string) => {
    const session = sessions.find((s) => s.id === sessionId);
    return !session || done.has(sessionId) || session.day < calendarDay(now);
  };

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [what, target] = [String(active.id), String(over.id)];
    if (what.startsWith('session:')) {
      const session = sessions.find((s) => s.id === what.slice('session:'.length));
      const week = desk.weeks.find((w) => `week:${w.weekStart}` === target);
      if (!session || !week || week.sessions.includes(session)) return;
      const same = dayOfWeek(week.weekStart as CalendarDay, weekdayOf(session.day as CalendarDay));
      const taken = same < calendarDay(now) || week.sessions.some((s) => s.day === same);
      desk.edit(withSessionOn(desk.weeks, session, taken ? freeDay(week, now) : same));
      return;
    }
    const into = target.startsWith('into:') ? target.slice('into:'.length) : sessions.find((s) => s.items.some((i) => i.id === target))?.id;
    const from = sessions.find((s) => s.items.some((i) => i.id === what));
    if (!into || !from || locked(into)) return;
    const week = desk.weeks.find((w) => w.sessions.some((s) => s.id === into));
    if (from.id === into && week) desk.edit([withSession(week, into, (s) => withItemMoved(s, what, target))]);
    else desk.edit(withItemInto(desk.weeks, what, { sessionId: into, before: target.startsWith('into:') ? undefined : target }));
  };

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collisions}
      onDragEnd={onDragEnd}
      accessibility={{ announcements: dragAnnouncements(named) }}
    >
      <div className="relative mt-3 grid items-start gap-3 overflow-x-auto pb-1 md:auto-cols-[minmax(15.5rem,1fr)] md:grid-flow-col">
        {desk.weeks.map((week) => (
          <WeekColumn key={week.weekStart} week={week} desk={desk} now={now} findings={findings} locked={locked} open={open} />
        ))}
      </div>
    </DndContext>
  );
}
