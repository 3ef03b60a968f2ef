import type { PlanReply, TraineeReply } from '@myokinet/core/contracts';
import { plannedDoseInWords } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { isLoadedSession, PLACES, type PlanBrief, SESSION_FORMS, sessionMinutes, weekdayOf } from '@myokinet/core/planning';
import type { CalendarDay, Instant } from '@myokinet/core/quantities';
import { addMinutes } from 'date-fns';
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus, ICalEventTransparency } from 'ical-generator';

/** A session as a calendar has it. */
export interface DatedSession {
  readonly session: PlanReply['sessions'][number];
  /** Grows with every save of its week, so that a calendar takes the newer one. */
  readonly sequence: number;
  readonly savedAt: Instant;
  /** It stood in an earlier version of its week and is gone. */
  readonly cancelled: boolean;
}

export interface CalendarContent {
  readonly trainee: TraineeReply;
  readonly library: Library;
  readonly brief: PlanBrief;
  readonly sessions: readonly DatedSession[];
  readonly rechecks: readonly { readonly dueOn: string; readonly measureIds: readonly string[] }[];
  readonly now: Date;
  /** A reminder with each session that is still to be done: for the trainee’s own calendar. */
  readonly reminds?: boolean;
}

const DOMAIN = 'myokinet';
/** Seconds before a session with an hour; into the day of one without (project defaults). */
const REMINDED_BEFORE_S = 1800;
const MORNING_S = 8 * 3600;

/**
 * Sessions and re-checks as an iCalendar file (RFC 5545). Every event keeps its UID from one export to the next: a session the one
 * of its id, a re-check the one of its check; what was taken out of the plan is cancelled.
 */
export function calendarFile({ trainee, library, brief, sessions, rechecks, now, reminds = false }: CalendarContent): string {
  const calendar = ical({
    name: `${trainee.name}, training`,
    prodId: { company: 'Myokinet', product: 'Plan', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { session, sequence, savedAt, cancelled } of sessions) {
    const at = brief.days.find((d) => d.weekday === weekdayOf(session.day as CalendarDay))?.at;
    const minutes = Math.max(1, Math.round(sessionMinutes(session.items, library, session.form)));
    const start = onPaper(session.day, at);
    const event = calendar.createEvent({
      id: `session-${session.id}@${DOMAIN}`,
      sequence,
      stamp: new Date(savedAt),
      summary: `${isLoadedSession(session.items, library) ? 'Loaded session' : 'Session'}, ${minutes} min`,
      start,
      // Without a zone the hour is the one of whoever looks at it, as training hours are meant.
      floating: true,
      ...(at ? { end: addMinutes(start, minutes) } : { allDay: true }),
      ...(session.place ? { location: PLACES[session.place] } : {}),
      description: described(session, library),
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
    if (reminds && !cancelled)
      event.createAlarm({ type: ICalAlarmType.display, trigger: at ? REMINDED_BEFORE_S : -MORNING_S, description: event.summary() });
  }
  for (const { dueOn, measureIds } of rechecks)
    for (const measureId of measureIds)
      calendar.createEvent({
        id: `recheck-${trainee.id}-${measureId}@${DOMAIN}`,
        stamp: now,
        // A due date only moves on: days since 1970 grow with it.
        sequence: Math.floor(onPaper(dueOn).getTime() / 86_400_000),
        summary: `Re-check: ${library.measure(measureId).name}`,
        start: onPaper(dueOn),
        allDay: true,
        floating: true,
        transparency: ICalEventTransparency.TRANSPARENT,
      });
  return calendar.toString();
}

/** A day, and an hour of it, as they stand in the file: without a zone, they are written as the parts of a moment in UTC. */
function onPaper(day: string, at = '00:00'): Date {
  return new Date(`${day}T${at}:00Z`);
}

function described({ items, form }: PlanReply['sessions'][number], library: Library): string {
  const drills = items.map((item) => `${library.drill(item.drillId).name}: ${plannedDoseInWords(item, library.asPlanned(item))}`);
  const how = form && form !== 'sets' ? [`${SESSION_FORMS[form].name}: ${SESSION_FORMS[form].says}`] : [];
  return [...how, ...drills, 'Coaching aid, not medical advice.'].join('\n');
}
