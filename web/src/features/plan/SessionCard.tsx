import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import {
  isLoadedSession,
  minutesGiven,
  type Place,
  PLACES,
  type PlanFinding,
  SESSION_FORMS,
  type SessionForm,
  sessionMinutes,
  WEEKDAYS,
  whenIn,
} from '@myokinet/core/planning';
import { type CalendarDay, calendarDay, dayInWords } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { dragAnnouncements } from '../../kit/dragAnnouncements.ts';
import { DrillPicker } from './DrillPicker.tsx';
import { FindingList } from './FindingList.tsx';
import { PlannedDrill } from './PlannedDrill.tsx';
import { type SessionDraft, withDrill, withItem, withItemMoved, withoutItem, withManner, withOwnSetUp } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';

export interface SessionCardProps {
  readonly session: SessionDraft;
  readonly weekStart: string;
  readonly now: Date;
  readonly logged: boolean;
  /** Known to the server: only then can it be logged against. */
  readonly saved: boolean;
  readonly findings: readonly PlanFinding[];
  readonly edit: (change: (session: SessionDraft) => SessionDraft) => void;
  readonly remove: () => void;
}

/** One session as a stack of drills: time used, rules broken, and every drill open to change. */
export function SessionCard({ session, weekStart, now, logged, saved, findings, edit, remove }: SessionCardProps) {
  const rules = usePlanRules();
  const { library } = rules;
  const given = minutesGiven(session.day as CalendarDay, rules);
  const [picking, setPicking] = useState(false);
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }));
  const label = dayInWords(parseISO(session.day), now);
  const minutes = Math.round(sessionMinutes(session.items, library, session.form));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) edit((s) => withItemMoved(s, String(active.id), String(over.id)));
  };
  return (
    <section aria-label={`Session, ${label}`} className="sheet break-inside-avoid p-3">
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="sr-only print:not-sr-only">{label}</h3>
        <select
          className="select select-sm no-print w-auto font-semibold"
          aria-label={`Day of the session on ${label}`}
          value={session.day}
          disabled={logged}
          onChange={(e) => edit((s) => ({ ...s, day: e.target.value }))}
        >
          {WEEKDAYS.map((_, i) => {
            const day = new Date(parseISO(weekStart).getTime() + (i + 0.5) * 86_400_000);
            return (
              <option key={i} value={calendarDay(day)}>
                {format(day, 'EEE d MMM')}
              </option>
            );
          })}
        </select>
        <select
          className="select select-sm no-print w-auto"
          aria-label={`Place of the session on ${label}`}
          value={session.place ?? 'gym'}
          disabled={logged}
          onChange={(e) => edit((s) => ({ ...s, place: e.target.value as Place }))}
        >
          {Object.entries(PLACES).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <select
          className="select select-sm no-print w-auto"
          aria-label={`Form of the session on ${label}`}
          title={SESSION_FORMS[session.form ?? 'sets'].says}
          value={session.form ?? 'sets'}
          disabled={logged}
          onChange={(e) => edit((s) => ({ ...s, form: e.target.value as SessionForm }))}
        >
          {Object.entries(SESSION_FORMS).map(([id, { name }]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <span className={`text-sm ${given !== undefined && minutes > given ? 'state-short font-semibold' : ''}`}>
          {minutes}
          {given === undefined ? '' : ` of ${given}`} min, {isLoadedSession(session.items, library) ? 'loaded' : 'unloaded'}
        </span>
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square no-print ms-auto"
          aria-label={`Remove the session on ${label}`}
          onClick={remove}
          disabled={logged}
        >
          <Trash2 size={16} aria-hidden />
        </button>
      </div>
      <FindingList session={session} findings={findings} locked={logged} edit={edit} />
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{ announcements: dragAnnouncements(session.items.map((i) => ({ id: i.id, name: library.drill(i.drillId).name }))) }}
      >
        <SortableContext items={session.items.map((i) => i.id)} strategy={verticalListSortingStrategy}>
          <ol className="mt-2">
            {session.items.map((item) => (
              <PlannedDrill
                key={item.id}
                item={item}
                place={session.place ?? 'gym'}
                locked={logged}
                change={(change) => edit((s) => withItem(s, item.id, change))}
                setManner={(manner) => edit((s) => withManner(s, item.id, manner))}
                ownSetUp={() => edit((s) => withOwnSetUp(s, item.id))}
                remove={() => edit((s) => withoutItem(s, item.id))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <div className="no-print mt-2 flex flex-wrap items-center gap-2">
        {!logged && (
          <button type="button" className="btn btn-sm" onClick={() => setPicking(true)}>
            <Plus size={16} aria-hidden /> Add a drill
          </button>
        )}
        {logged ? (
          <span className="state-spare text-sm font-semibold">logged</span>
        ) : saved ? (
          <>
            <Link className="btn btn-sm btn-outline" to={`../floor?planned=${session.id}`} relative="path">
              Run this session
            </Link>
            <Link className="btn btn-sm" to={`../session?planned=${session.id}&week=${weekStart}`} relative="path">
              Log it
            </Link>
          </>
        ) : (
          <span className="aside text-sm">Save the week to run or log this session.</span>
        )}
      </div>
      {picking && (
        <DrillPicker
          taken={session.items.map((i) => i.drillId)}
          place={session.place ?? 'gym'}
          when={whenIn(session.day as CalendarDay, rules.brief.days)}
          pick={(drill, dose) => {
            edit((s) => withDrill(s, drill, dose, library));
            setPicking(false);
          }}
          overrule={(drill, dose, reason) => {
            edit((s) => withDrill(s, drill, dose, library, { overruled: reason }));
            setPicking(false);
          }}
          takeInstead={({ drillId, support, ...dose }, instead) => {
            edit((s) =>
              withDrill(s, library.drill(drillId), dose, library, { why: `In place of “${instead.name}”, by the coach.`, support }),
            );
            setPicking(false);
          }}
          close={() => setPicking(false)}
        />
      )}
    </section>
  );
}
