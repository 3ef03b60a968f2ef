import { useDroppable } from '@dnd-kit/core';
import type { PlanDto } from '@myokinet/core/contracts';
import { lightBecause, type PlanFinding, plannedHandLoad, sessionMinutes, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { freeDay } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';
import { SessionStack } from './SessionStack.tsx';
import type { DeskMoves } from './useDeskMoves.ts';
import type { PlanDesk } from './usePlanDesk.ts';
import { weekInWords } from './week.ts';

interface WeekColumnProps {
  readonly week: PlanDto;
  readonly desk: PlanDesk;
  readonly now: Date;
  readonly findings: readonly PlanFinding[];
  readonly moves: DeskMoves;
  readonly open: (sessionId: string) => void;
}

/** One week: its totals, and its sessions by day. */
export function WeekColumn({ week, desk, now, findings, moves, open }: WeekColumnProps) {
  const weekStart = week.weekStart as CalendarDay;
  const { setNodeRef, isOver } = useDroppable({ id: `week:${weekStart}` });
  const over = calendarDay(now) >= weeksLater(weekStart, 1);
  const sessions = [...week.sessions].sort((a, b) => a.day.localeCompare(b.day));
  return (
    <section
      ref={setNodeRef}
      aria-label={weekInWords(weekStart, now)}
      className={`min-w-0 rounded border-t-2 bg-base-200/60 p-2 ${isOver ? 'border-primary' : 'border-base-300'}`}
    >
      <h3 className="leading-tight">
        <Link className="link-hover" to={`?week=${weekStart}`}>
          {weekInWords(weekStart, now)}
        </Link>
      </h3>
      <WeekTotals week={week} earlier={desk.weeks.slice(0, desk.weeks.indexOf(week))} />
      <div className="mt-2 grid gap-2">
        {sessions.map((session) => (
          <SessionStack
            key={session.id}
            session={session}
            week={week}
            desk={desk}
            now={now}
            moves={moves}
            findings={findings.filter((f) => f.sessionId === session.id)}
            open={() => open(session.id)}
          />
        ))}
      </div>
      {!over && (
        <button
          type="button"
          className="btn btn-xs btn-ghost no-print mt-2"
          onClick={() => desk.edit([{ ...week, sessions: [...week.sessions, { id: newId(), day: freeDay(week, now), items: [] }] }])}
        >
          <Plus size={14} aria-hidden /> Add a session
        </button>
      )}
    </section>
  );
}

/** Minutes, push and pull, and how the hands' load grows against the last week that was no light one. */
function WeekTotals({ week, earlier }: { readonly week: PlanDto; readonly earlier: readonly PlanDto[] }) {
  const { library, buildOn, brief, weeksIn } = usePlanRules();
  const load = (w: PlanDto) =>
    plannedHandLoad(
      w.sessions.flatMap((s) => s.items),
      library,
    );
  const lightAt = (w: PlanDto, i: number) => lightBecause(i, w.weekStart as CalendarDay, { brief, weeksIn });
  const light = lightAt(week, earlier.length);
  if (week.sessions.length === 0) return <p className="aside text-sm">No session{light ? '; a light week' : ''}.</p>;
  const minutes = week.sessions.reduce((sum, s) => sum + sessionMinutes(s.items, library, s.form), 0);
  const { push, pull } = load(week);
  const full = earlier.filter((w, i) => w.sessions.length > 0 && !lightAt(w, i)).at(-1);
  const before = full ? load(full) : undefined;
  const base = before ? before.push + before.pull : buildOn?.dose;
  const growth = base ? ((push + pull) / base - 1) * 100 : undefined;
  return (
    <p className="text-sm leading-snug">
      {light && <span className="font-semibold">Light week. </span>}
      {Math.round(minutes)} min · push {Math.round(push)}, pull {Math.round(pull)}
      {growth !== undefined && ` · hands ${growth >= 0 ? '+' : '−'}${Math.abs(Math.round(growth))}%`}
    </p>
  );
}
