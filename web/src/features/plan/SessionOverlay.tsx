import type { PlanReply } from '@myokinet/core/contracts';
import { dayShort } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { X } from 'lucide-react';
import { Overlay } from '../../kit/Overlay.tsx';
import { withSession } from './planDraft.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { usePlanRules } from './planRules.ts';
import { SessionCard } from './SessionCard.tsx';
import type { PlanDesk } from './usePlanDesk.ts';

interface SessionOverlayProps {
  readonly sessionId: string;
  readonly desk: PlanDesk;
  readonly saved: readonly PlanReply[];
  readonly now: Date;
  readonly close: () => void;
}

/** One session of the desk near, over the weeks. */
export function SessionOverlay({ sessionId, desk, saved, now, close }: SessionOverlayProps) {
  const { done } = usePlanFacts();
  const rules = usePlanRules();
  const week = desk.weeks.find((w) => w.sessions.some((s) => s.id === sessionId));
  const session = week?.sessions.find((s) => s.id === sessionId);
  if (!week || !session) return null;
  return (
    <Overlay label={`Session, ${dayShort(session.day as CalendarDay)}`} close={close}>
      <div className="flex items-center px-3 pt-2">
        <h2>{dayShort(session.day as CalendarDay)}</h2>
        <button type="button" className="btn btn-ghost btn-sm btn-square ms-auto" aria-label="Close the session" onClick={close}>
          <X size={16} aria-hidden />
        </button>
      </div>
      <SessionCard
        session={session}
        weekStart={week.weekStart}
        now={now}
        logged={done.has(session.id)}
        saved={saved.some((p) => p.sessions.some((s) => s.id === session.id))}
        findings={rules.review(desk.weeks.flatMap((w) => w.sessions)).filter((f) => f.sessionId === session.id)}
        edit={(change) => desk.edit([withSession(week, session.id, change)])}
        remove={() => {
          desk.edit([{ ...week, sessions: week.sessions.filter((s) => s.id !== session.id) }]);
          close();
        }}
      />
    </Overlay>
  );
}
