import { calendarDay, type CalendarDay } from '@myokinet/core/quantities';
import { proposePlan, weekStartOf, weeksLater } from '@myokinet/core/planning';
import { schoolsOf } from '@myokinet/core/schools';
import type { PlanReply, ReadinessReply } from '@myokinet/core/contracts';
import { ChevronLeft, ChevronRight, Printer, WandSparkles } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { newId } from '../app/newId.ts';
import { useSchools } from '../library/LibraryContext.ts';
import { useFittedLibrary } from '../trainee/useFittedLibrary.ts';
import { ConflictNote } from '../pieces/ConflictNote.tsx';
import { Empty } from '../pieces/Empty.tsx';
import { ProblemNote } from '../pieces/ProblemNote.tsx';
import { UndoRedo } from '../pieces/UndoRedo.tsx';
import { Waiting } from '../pieces/Waiting.tsx';
import { usePlanQuery, useReadinessQuery, useRecordQuery } from '../trainee/endpoints.ts';
import { useCurrentTrainee } from '../trainee/useCurrentTrainee.ts';
import { PlanSchools } from './PlanSchools.tsx';
import { PlanNotes } from './PlanNotes.tsx';
import { PlanRulesContext, planRules } from './planRules.ts';
import { SessionCard } from './SessionCard.tsx';
import { usePlanDesk } from './usePlanDesk.ts';
import { weekInWords } from './week.ts';
import { withSchools, withSession } from './planDraft.ts';

/** Loads what a week's plan rests on, then hands over to the desk. */
export function PlanPage() {
  const trainee = useCurrentTrainee();
  const [search] = useSearchParams();
  const weekStart = mondayFrom(search.get('week')) ?? weekStartOf(new Date());
  const plan = usePlanQuery({ traineeId: trainee.id, weekStart });
  const readiness = useReadinessQuery(trainee.id);
  const failed = plan.error ?? readiness.error;
  const retry = () => {
    void plan.refetch();
    void readiness.refetch();
  };
  return (
    <div className="px-4 py-3 sm:px-6">
      {plan.currentData !== undefined && readiness.data ? (
        <PlanDesk key={weekStart} weekStart={weekStart} saved={plan.currentData} readiness={readiness.data} />
      ) : failed ? (
        <ProblemNote error={failed} retry={retry} />
      ) : (
        <Waiting />
      )}
    </div>
  );
}

function mondayFrom(text: string | null): CalendarDay | undefined {
  return text && /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text)) ? weekStartOf(new Date(`${text}T12:00:00`)) : undefined;
}

interface PlanDeskProps {
  readonly weekStart: CalendarDay;
  readonly saved: PlanReply | null;
  readonly readiness: ReadinessReply;
}

function PlanDesk({ weekStart, saved, readiness }: PlanDeskProps) {
  const trainee = useCurrentTrainee();
  const desk = usePlanDesk(trainee.id, weekStart, saved);
  const record = useRecordQuery(trainee.id);
  const [refusal, setRefusal] = useState<string | undefined>();
  const { plan } = desk;
  const now = new Date();
  const library = useFittedLibrary();
  const studio = useSchools();
  const schools = schoolsOf(studio, plan.schools);
  const rules = planRules(trainee, readiness, { weekStart, now, library, schools });
  const done = new Set(record.data?.sessions.map((s) => s.plannedSessionId) ?? []);

  const propose = () => {
    const kept = plan.sessions.filter((s) => done.has(s.id));
    const proposal = proposePlan({
      ...rules,
      knownDrills: readiness.planner.knownDrills,
      lastLoadedDay: readiness.planner.lastLoadedDay,
      weekStart,
      notBefore: calendarDay(now),
      done: kept.map((s) => ({ ...s, day: s.day as CalendarDay })),
      headrooms: readiness.headrooms,
      newId,
    });
    setRefusal(proposal.refusal);
    if (!proposal.refusal)
      desk.edit({
        ...plan,
        sessions: [...kept, ...proposal.sessions.map((s) => ({ ...s, items: [...s.items] }))],
        notes: [...proposal.notes],
        leftOut: [...proposal.leftOut],
      });
  };

  return (
    <PlanRulesContext value={rules}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <WeekSwitch weekStart={weekStart} now={now} />
        <div className="no-print ms-auto flex flex-wrap items-center gap-2">
          <UndoRedo desk={desk} />
          <button type="button" className="btn btn-sm btn-ghost" disabled={plan.sessions.length === 0} onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </button>
          <button type="button" className={`btn btn-sm ${plan.sessions.length === 0 ? 'btn-primary' : ''}`} onClick={propose}>
            <WandSparkles size={16} aria-hidden /> {plan.sessions.length === 0 ? 'Propose the week' : 'Propose again'}
          </button>
          {desk.unsaved && (
            <>
              <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
                Throw changes away
              </button>
              <button type="button" className="btn btn-sm btn-primary" disabled={desk.saving} onClick={() => void desk.save()}>
                {desk.saving ? 'Saving…' : 'Save the week'}
              </button>
            </>
          )}
        </div>
      </div>
      {desk.conflict ? (
        <ConflictNote what="this week" takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} retry={() => void desk.save()} />
      )}
      {refusal && (
        <p role="alert" className="my-3 border-s-4 border-warning bg-warning/10 px-4 py-2.5">
          {refusal} Nothing of the plan was changed.
        </p>
      )}
      <PlanSchools plan={plan} studio={studio} change={(own) => desk.edit(withSchools(plan, own))} />
      {plan.sessions.length === 0 ? (
        <div className="mt-4">
          <Empty title="Nothing is planned for this week">
            <p>A proposal aims at the limiter and the other short demands, and says why each drill is there. You change what you like.</p>
          </Empty>
        </div>
      ) : (
        <>
          <PlanNotes plan={plan} />
          <div className="mt-3 grid items-start gap-4 md:grid-cols-2 xl:grid-cols-3">
            {[...plan.sessions]
              .sort((a, b) => a.day.localeCompare(b.day))
              .map((session) => (
                <SessionCard
                  key={session.id}
                  session={session}
                  weekStart={weekStart}
                  now={now}
                  logged={done.has(session.id)}
                  saved={saved?.sessions.some((s) => s.id === session.id) ?? false}
                  findings={rules.review(plan.sessions).filter((f) => f.sessionId === session.id)}
                  edit={(change) => desk.edit(withSession(plan, session.id, change))}
                  remove={() => desk.edit({ ...plan, sessions: plan.sessions.filter((s) => s.id !== session.id) })}
                />
              ))}
          </div>
        </>
      )}
      <button
        type="button"
        className="btn btn-sm no-print mt-4"
        onClick={() =>
          desk.edit({ ...plan, sessions: [...plan.sessions, { id: newId(), day: freeDay(weekStart, plan.sessions, now), items: [] }] })
        }
      >
        Add an empty session
      </button>
      <p className="aside mt-4 text-sm">Coaching aid, not medical advice. Check bar, band and anchor before use.</p>
    </PlanRulesContext>
  );
}

function WeekSwitch({ weekStart, now }: { readonly weekStart: CalendarDay; readonly now: Date }) {
  const [, setSearch] = useSearchParams();
  const go = (weeks: number) => setSearch({ week: weeksLater(weekStart, weeks) });
  return (
    <div className="flex items-center gap-1">
      <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="The week before" onClick={() => go(-1)}>
        <ChevronLeft size={18} aria-hidden />
      </button>
      <h2 className="min-w-60 text-center">{weekInWords(weekStart, now)}</h2>
      <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="The week after" onClick={() => go(1)}>
        <ChevronRight size={18} aria-hidden />
      </button>
    </div>
  );
}

/** The first day of the week, from today on, without a session; else the last day. */
function freeDay(weekStart: CalendarDay, sessions: readonly { readonly day: string }[], now: Date): CalendarDay {
  const days = Array.from({ length: 7 }, (_, i) => calendarDay(new Date(new Date(`${weekStart}T12:00:00`).getTime() + i * 86_400_000)));
  return days.find((d) => d >= calendarDay(now) && !sessions.some((s) => s.day === d)) ?? days[6] ?? weekStart;
}
