import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import type { CalendarDay } from '@myokinet/core/quantities';
import { WandSparkles } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useSchools } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { DeskBar } from './DeskBar.tsx';
import { freeDay, withSchools, withSession } from './planDraft.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { PlanNotes } from './PlanNotes.tsx';
import { PlanSchools } from './PlanSchools.tsx';
import { usePlanRules } from './planRules.ts';
import { ProposalNote } from './ProposalNote.tsx';
import { SearchNote } from './SearchNote.tsx';
import { SessionCard } from './SessionCard.tsx';
import type { PlanDesk } from './usePlanDesk.ts';
import { LONGER_SECONDS, usePlanning } from './usePlanning.ts';
import { weekInWords } from './week.ts';

interface WeekViewProps {
  readonly desk: PlanDesk;
  readonly saved: readonly PlanReply[];
  readonly now: Date;
  readonly note: ReactNode;
}

/** One week near: every drill with its dose, set-up, cues and reasons; the page that is printed. */
export function WeekView(props: WeekViewProps) {
  const [plan] = props.desk.weeks;
  return plan ? <NearWeek {...props} plan={plan} /> : null;
}

function NearWeek({ desk, saved, now, note, plan }: WeekViewProps & { readonly plan: PlanDto }) {
  const rules = usePlanRules();
  const { done } = usePlanFacts();
  const studio = useSchools();
  const weekStart = plan.weekStart as CalendarDay;
  const { planner, latest, close, plan: propose } = usePlanning(desk, { from: weekStart, now });
  const findings = rules.review(plan.sessions);
  const sessions = [...plan.sessions].sort((a, b) => a.day.localeCompare(b.day));
  return (
    <>
      <DeskBar desk={desk} from={weekStart} title={weekInWords(weekStart, now)} by="week">
        <Link className="btn btn-sm btn-ghost" to={`?from=${weekStart}`}>
          All weeks
        </Link>
        <button
          type="button"
          className={`btn btn-sm ${plan.sessions.length === 0 ? 'btn-primary' : ''}`}
          disabled={planner.running !== undefined}
          onClick={() => void propose()}
        >
          <WandSparkles size={16} aria-hidden /> {plan.sessions.length === 0 ? 'Plan this week' : 'Plan the rest again'}
        </button>
      </DeskBar>
      {note}
      <SearchNote planner={planner} />
      {latest && !planner.running && <ProposalNote proposal={latest} close={close} longer={() => void propose(LONGER_SECONDS)} />}
      <PlanSchools plan={plan} studio={studio} change={(own) => desk.edit([withSchools(plan, own)])} />
      {plan.sessions.length === 0 ? (
        <div className="mt-4">
          <Empty title="Nothing is planned for this week">
            <p>A proposal aims at the limiter and the other short demands, and says why each drill is there. You change what you like.</p>
          </Empty>
        </div>
      ) : (
        <>
          <PlanNotes plan={latest ? { ...plan, notes: [] } : plan} />
          <div className="mt-3 grid items-start gap-4 md:grid-cols-2 xl:grid-cols-3">
            {sessions.map((session) => (
              <SessionCard
                key={session.id}
                session={session}
                weekStart={weekStart}
                now={now}
                logged={done.has(session.id)}
                saved={saved.some((p) => p.sessions.some((s) => s.id === session.id))}
                findings={findings.filter((f) => f.sessionId === session.id)}
                edit={(change) => desk.edit([withSession(plan, session.id, change)])}
                remove={() => desk.edit([{ ...plan, sessions: plan.sessions.filter((s) => s.id !== session.id) }])}
              />
            ))}
          </div>
        </>
      )}
      <button
        type="button"
        className="btn btn-sm no-print mt-4"
        onClick={() => desk.edit([{ ...plan, sessions: [...plan.sessions, { id: newId(), day: freeDay(plan, now), items: [] }] }])}
      >
        Add an empty session
      </button>
    </>
  );
}
