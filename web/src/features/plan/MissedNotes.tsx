import { dayShort, missedInWords, shiftMissed, weekStartOf } from '@myokinet/core/planning';
import { calendarDay } from '@myokinet/core/quantities';
import { asPlanned, usePlanRules } from './planRules.ts';
import { withSessionOn } from './planDraft.ts';
import { usePlanFacts } from './PlanGate.tsx';
import type { PlanDesk } from './usePlanDesk.ts';

/** Sessions of the running week that were not done, each with the day it can go to. */
export function MissedNotes({ desk, now }: { readonly desk: PlanDesk; readonly now: Date }) {
  const { done } = usePlanFacts();
  const { brief, library } = usePlanRules();
  const today = calendarDay(now);
  const week = desk.weeks.find((w) => w.weekStart === weekStartOf(now));
  const shifts = week ? shiftMissed(asPlanned(week.sessions), { today, done, brief, library }) : [];
  if (!week || shifts.length === 0) return null;
  return (
    <ul aria-label="Missed sessions" className="no-print my-2 space-y-1">
      {shifts.map((shift) => {
        const { sessionId, to } = shift;
        const session = week.sessions.find((s) => s.id === sessionId);
        if (!session) return null;
        return (
          <li key={sessionId} className="flex flex-wrap items-center gap-2 border-s-4 border-warning ps-3">
            <span>{missedInWords(shift)}</span>
            {to && (
              <button type="button" className="btn btn-xs" onClick={() => desk.edit(withSessionOn(desk.weeks, session, to))}>
                Move it to {dayShort(to)}
              </button>
            )}
            <button
              type="button"
              className="btn btn-xs btn-ghost"
              onClick={() => desk.edit([{ ...week, sessions: week.sessions.filter((s) => s.id !== sessionId) }])}
            >
              Let it go
            </button>
          </li>
        );
      })}
    </ul>
  );
}
