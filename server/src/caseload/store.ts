import type { CaseloadRow, RecheckReply, TodayItem, TraineeReply } from '@myokinet/core/contracts';
import type { Library } from '@myokinet/core/library';
import { addDays, type CalendarDay, calendarDay, daysBetween } from '@myokinet/core/quantities';
import type { Morning } from '@myokinet/core/safety';
import { mainDrill, type PlannedBriefly, weekdayOf } from '@myokinet/core/planning';
import { dueToday, type Headroom, rechecksOf, type TodayFacts, type Verdict } from '@myokinet/core/readiness';
import { sessionLoad } from '@myokinet/core/workload';
import type { Context } from '../context.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { OutcomeStore } from '../outcomes/store.ts';
import type { Judged, ReadinessStore } from '../readiness/store.ts';

const PLANNED_DAYS = `
  SELECT p.trainee_id AS traineeId, d.value AS day
  FROM plan p, json_each(p.session_days) d
  WHERE p.studio_id = @studioId AND p.week_start > @weekAgo AND d.value >= @today
  ORDER BY d.value`;

/** What is planned today: read as it lies there, since only a picture comes of it. */
const PLANNED_TODAY = `
  SELECT p.trainee_id AS traineeId, json_extract(s.value, '$.items') AS items, json_extract(s.value, '$.place') AS place,
    (SELECT json_extract(d.value, '$.at')
     FROM plan_brief_revision b, json_each(b.document, '$.days') d
     WHERE b.trainee_id = p.trainee_id AND json_extract(d.value, '$.weekday') = @weekday
       AND NOT EXISTS (SELECT 1 FROM plan_brief_revision n WHERE n.based_on = b.id)) AS startsAt
  FROM plan p
  JOIN plan_revision r ON r.id = p.current_revision, json_each(CASE WHEN json_valid(r.document) THEN r.document ELSE '{}' END, '$.sessions') s
  WHERE p.studio_id = @studioId AND p.week_start > @weekAgo AND p.week_start <= @today AND json_extract(s.value, '$.day') = @today`;

/** How mornings were, as trainees told it on their own pages. */
const TOLD_MORNINGS = `
  SELECT session_id AS sessionId, how
  FROM morning
  WHERE at >= @since`;

const UNREAD_NOTES = `
  SELECT trainee_id AS traineeId, text
  FROM note
  WHERE seen_at IS NULL AND coach_id IS NULL
  ORDER BY at, id`;

interface PlannedTodayRow {
  readonly traineeId: string;
  readonly items: string | null;
  readonly place: string | null;
  readonly startsAt: string | null;
}

const WEEKS_SHOWN = 4;
const DAYS_PER_WEEK = 7;

export function caseloadStore({ db, studioId, now }: Context, readiness: ReadinessStore, library: LibraryStore, outcomes: OutcomeStore) {
  const plannedDays = db.prepare<{ studioId: string; today: string; weekAgo: string }, { traineeId: string; day: CalendarDay }>(
    PLANNED_DAYS,
  );
  const plannedToday = db.prepare<{ studioId: string; today: string; weekAgo: string; weekday: string }, PlannedTodayRow>(PLANNED_TODAY);
  const toldMornings = db.prepare<{ since: string }, { sessionId: string; how: Morning }>(TOLD_MORNINGS);
  const unreadNotes = db.prepare<[], { traineeId: string; text: string }>(UNREAD_NOTES);
  const upcoming = () => {
    const [today, weekAgo] = [calendarDay(now()), calendarDay(addDays(now(), -DAYS_PER_WEEK))];
    return groupRows(plannedDays.all({ studioId, today, weekAgo }), (d) => d.traineeId);
  };

  const dated = ({ headrooms }: Verdict) =>
    rechecksOf(
      headrooms.flatMap((h) => h.capacity ?? []),
      library.current().measure,
      now(),
    );

  return {
    rows(): readonly CaseloadRow[] {
      const days = upcoming();
      return readiness
        .all()
        .map((judged) => row(judged, days.get(judged.trainee.id)?.[0]?.day, { now: now(), library: library.current() }));
    },

    /** What the next gates ask for, by the day on which it falls due; earliest first. */
    rechecks(): readonly RecheckReply[] {
      return readiness
        .all()
        .flatMap(({ trainee: { id, name }, verdict }) => dated(verdict).map((recheck) => ({ ...recheck, traineeId: id, name })))
        .sort((a, b) => a.dueOn.localeCompare(b.dueOn));
    },

    /** Of one trainee, who alone is judged. */
    rechecksOf({ id, name, ladderId }: Pick<TraineeReply, 'id' | 'name' | 'ladderId'>): readonly RecheckReply[] {
      return dated(readiness.verdict(id, ladderId)).map((recheck) => ({ ...recheck, traineeId: id, name }));
    },

    today(): readonly TodayItem[] {
      const days = upcoming();
      const [today, weekAgo] = [calendarDay(now()), calendarDay(addDays(now(), -DAYS_PER_WEEK))];
      const planned = new Map(plannedToday.all({ studioId, today, weekAgo, weekday: weekdayOf(today) }).map((row) => [row.traineeId, row]));
      const since = addDays(now(), -2 * DAYS_PER_WEEK);
      const told = new Map(toldMornings.all({ since }).map((m) => [m.sessionId, m.how]));
      const due = outcomes.due();
      const unread = groupRows(unreadNotes.all(), (n) => n.traineeId);
      return readiness.all().flatMap((judged) => {
        const { id } = judged.trainee;
        const training = {
          trainsToday: days.get(id)?.[0]?.day === today,
          ...plannedFor(planned.get(id), library.current()),
          told,
          unread: unread.get(id)?.map((n) => n.text),
          outcomes: due.get(id),
        };
        return todayItems(judged, training, { now: now(), library: library.current() });
      });
    },
  };
}

/** What today's session is for, when and where, as far as a plan that lies there says it. */
function plannedFor(row: PlannedTodayRow | undefined, library: Library): Pick<TodayFacts, 'mainDrillId' | 'appointment'> {
  if (!row) return {};
  const { items, place, startsAt } = row;
  return { mainDrillId: mainDrill(itemsIn(items), library), appointment: { startsAt: startsAt ?? undefined, place: place ?? undefined } };
}

/** What a document lists, as far as it can be read: one that cannot shows no picture, and stops nothing. */
function itemsIn(json: string | null): readonly PlannedBriefly[] {
  const read: unknown = json === null ? [] : JSON.parse(json);
  return Array.isArray(read) ? read.filter((item): item is PlannedBriefly => typeof item === 'object' && item !== null) : [];
}

interface Moment {
  readonly now: Date;
  readonly library: Library;
}

function row(
  { trainee, verdict, sessions, openStopSigns, lastCheckAt }: Judged,
  nextSessionOn: CalendarDay | undefined,
  { now, library }: Moment,
): CaseloadRow {
  const ladder = library.ladder(trainee.ladderId);
  const { standing, rung, gate, headrooms } = verdict;
  const limiter = gate?.limiter;
  const inHand = ladder.rungs[standing.here];
  const lastSessionAt = sessions
    .map((s) => s.performedAt)
    .sort()
    .at(-1);
  const weekLoads = Array.from({ length: WEEKS_SHOWN }, (_, i) => {
    const age = WEEKS_SHOWN - i;
    return sessions
      .filter((s) => Math.floor(daysBetween(s.performedAt, now) / DAYS_PER_WEEK) === age - 1)
      .reduce((sum, s) => sum + sessionLoad(s.effort, s.minutes), 0);
  });
  return {
    id: trainee.id,
    name: trainee.name,
    ladderId: trainee.ladderId,
    ladderName: ladder.name,
    rungs: ladder.rungs.length,
    ...(inHand ? { rungName: inHand.name } : {}),
    here: standing.here,
    lapsed: standing.rungs[standing.here]?.state === 'lapsed',
    ...(rung ? { nextRungName: rung.name } : {}),
    ...(limiter ? { limiter: limiterOf(limiter) } : {}),
    gateOpen: gate?.open ?? false,
    unmet: gate?.unmet.length ?? 0,
    locked: gate?.unmet.some(({ rule }) => rule === 'screening' || rule === 'rung-open') ?? false,
    openStopSigns: openStopSigns.length,
    unknown: headrooms.filter((h) => h.state === 'unknown').length,
    ...(lastCheckAt ? { lastCheckAt } : {}),
    ...(lastSessionAt ? { lastSessionAt } : {}),
    ...(nextSessionOn ? { nextSessionOn } : {}),
    weekLoads,
  };
}

function todayItems(
  { trainee, verdict, sessions, symptoms, openStopSigns, withdrawn }: Judged,
  training: Pick<TodayFacts, 'trainsToday' | 'mainDrillId' | 'appointment' | 'told' | 'unread' | 'outcomes'>,
  { now, library }: Moment,
): readonly TodayItem[] {
  const { id: traineeId, name, screening } = trainee;
  const screeningWaits = screening.state === 'fresh' ? undefined : screening.locks[0];
  const ladder = library.ladder(trainee.ladderId);
  return dueToday({ verdict, withdrawn, screeningWaits, openStopSigns, sessions, symptoms, ...training, ladder, now }).map((due) => ({
    ...due,
    traineeId,
    name,
  }));
}

/** As much of the limiter as a list says of it. */
function limiterOf({ demand, side, state, amount, ageDays, inFuture, skipped }: Headroom): NonNullable<CaseloadRow['limiter']> {
  return {
    measureId: demand.measureId,
    side,
    state,
    ...(amount === undefined ? {} : { amount }),
    ...(ageDays === undefined ? {} : { ageDays }),
    ...(inFuture ? { inFuture } : {}),
    ...(skipped ? { skipped } : {}),
  };
}

export type CaseloadStore = ReturnType<typeof caseloadStore>;
