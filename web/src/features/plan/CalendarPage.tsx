import type { PlanReply } from '@myokinet/core/contracts';
import { dayOfWeek, isLoadedSession, isOn, PAUSE_REASONS, WEEKDAYS, weekStartOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { schoolsOf } from '@myokinet/core/schools';
import { format, parseISO } from 'date-fns';
import { CalendarPlus, ChevronLeft, ChevronRight, Printer } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useRechecksQuery } from '../caseload/index.ts';
import { usePlansQuery } from './endpoints.ts';
import { useSchools } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { planRules } from './planRules.ts';
import { usePlanDesk } from './usePlanDesk.ts';

const WEEKS = 6;

/** Sessions, re-checks, other training and pauses on their dates, with what stands against each other. */
export function CalendarPage() {
  const trainee = useCurrentTrainee();
  const [search] = useSearchParams();
  const asked = search.get('from');
  const from = asked && /^\d{4}-\d\d-\d\d$/.test(asked) ? weekStartOf(new Date(`${asked}T12:00:00`)) : weekStartOf(new Date());
  const plans = usePlansQuery({ traineeId: trainee.id, from, weeks: WEEKS });
  if (plans.currentData) return <Calendar from={from} plans={plans.currentData} />;
  return plans.error ? <ProblemNote error={plans.error} retry={() => void plans.refetch()} /> : <Waiting />;
}

function Calendar({ from, plans }: { readonly from: CalendarDay; readonly plans: readonly PlanReply[] }) {
  const trainee = useCurrentTrainee();
  const { readiness, brief, done } = usePlanFacts();
  const { data: rechecks = [] } = useRechecksQuery();
  const library = useFittedLibrary();
  const schools = schoolsOf(useSchools(), plans[0]?.schools);
  const [, setSearch] = useSearchParams();
  const now = new Date();
  const today = calendarDay(now);
  const desk = usePlanDesk(trainee.id, { from, weeks: WEEKS }, plans);
  const sessions = desk.weeks.flatMap((p) => p.sessions);
  const findings = planRules(trainee, readiness, { weekStart: from, now, library, schools, brief }).review(sessions);
  const own = rechecks.filter((r) => r.traineeId === trainee.id);
  const go = (weeks: number) => setSearch({ from: weeksLater(from, weeks) });

  const entriesOn = (day: CalendarDay) => {
    const pause = brief.pauses.find((p) => p.from <= day && day <= p.to);
    return {
      sessions: sessions.filter((s) => s.day === day),
      due: own.filter((r) => r.dueOn === day || (day === today && r.dueOn < today)),
      events: brief.events.filter((e) => isOn(e, day)),
      pause: pause && PAUSE_REASONS[pause.reason],
    };
  };

  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="Earlier weeks" onClick={() => go(-WEEKS)}>
          <ChevronLeft size={18} aria-hidden />
        </button>
        <h2 className="min-w-56 text-center">
          {format(parseISO(from), 'd MMM')} to {format(parseISO(dayOfWeek(weeksLater(from, WEEKS - 1), 'Sunday')), 'd MMM yyyy')}
        </h2>
        <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="Later weeks" onClick={() => go(WEEKS)}>
          <ChevronRight size={18} aria-hidden />
        </button>
        <div className="no-print ms-auto flex gap-2">
          <button type="button" className="btn btn-sm btn-ghost" onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </button>
          <a className="btn btn-sm" href={`/api/trainees/${trainee.id}/calendar.ics`} download={`${trainee.name}.ics`}>
            <CalendarPlus size={16} aria-hidden /> Calendar file
          </a>
        </div>
      </div>
      <p className="aside no-print text-sm">
        The calendar file (iCalendar) holds the saved sessions and re-checks from today on; taken in again, it updates what a calendar has.
        {desk.unsaved && <span className="state-mark font-semibold"> Shown are weeks with changes that are not saved yet.</span>}
      </p>
      <div className="relative mt-2 overflow-x-auto">
        <table className="w-full min-w-[52rem] table-fixed border-collapse text-sm">
          <caption className="sr-only">Sessions and re-checks by day</caption>
          <thead>
            <tr>
              {WEEKDAYS.map((d) => (
                <th key={d} scope="col" className="border-b border-base-300 px-1.5 py-1">
                  {d}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: WEEKS }, (_, w) => weeksLater(from, w)).map((weekStart) => (
              <tr key={weekStart}>
                {WEEKDAYS.map((weekday) => {
                  const day = dayOfWeek(weekStart, weekday);
                  const { sessions: here, due, events, pause } = entriesOn(day);
                  return (
                    <td
                      key={day}
                      className={`h-20 border border-base-300 p-1 align-top ${day === today ? 'bg-primary/10' : ''} ${day < today ? 'text-base-content/80' : ''}`}
                    >
                      <p className="font-semibold">
                        {format(parseISO(day), day.endsWith('-01') || day === from ? 'd MMM' : 'd')}
                        {day === today && <span className="font-normal"> today</span>}
                      </p>
                      {pause && <p className="aside">{pause}</p>}
                      {events.map((e) => (
                        <p key={e.id} className="aside leading-snug">
                          {e.name}, effort {e.effort}
                          {e.prepareWith && (
                            <Link className="link block" to={`/routine/${e.prepareWith}?for=${trainee.id}`}>
                              prepare for it
                            </Link>
                          )}
                        </p>
                      ))}
                      {here.map((s) => {
                        const problems = findings.filter((f) => f.ofDay && f.sessionId === s.id);
                        return (
                          <p key={s.id} className={`leading-snug ${problems.length > 0 ? 'border-s-4 border-warning ps-1' : ''}`}>
                            <Link className="link" to={`../?week=${weekStart}`} relative="path">
                              {isLoadedSession(s.items, library) ? 'Loaded session' : 'Session'}
                            </Link>
                            , {s.items.length} drills{done.has(s.id) ? ', logged' : day < today ? ', missed' : ''}
                            {problems.map((f) => (
                              <span key={f.sentence} className="block">
                                {f.sentence}
                              </span>
                            ))}
                          </p>
                        );
                      })}
                      {due.map((r) => (
                        <p
                          key={r.dueOn}
                          className="state-mark leading-snug"
                          title={r.measureIds.map((m) => library.measure(m).name).join(', ')}
                        >
                          {r.measureIds.length === 1
                            ? `Re-check: ${library.measure(r.measureIds[0] ?? '').phrase}`
                            : `${r.measureIds.length} re-checks`}
                        </p>
                      ))}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
