import type { CaseloadRow, RecheckReply, TodayItem } from '@myokinet/core/contracts';
import type { Library } from '@myokinet/core/library';
import { measureOf } from '@myokinet/core/measuring';
import { addDays, type CalendarDay, calendarDay, daysBetween, shortDay } from '@myokinet/core/quantities';
import { type Gate, rechecksOf } from '@myokinet/core/readiness';
import { sessionLoad } from '@myokinet/core/workload';
import type { Context } from '../context.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { Judged, ReadinessStore } from '../readiness/store.ts';

const PLANNED_DAYS = `
  SELECT p.trainee_id AS traineeId, d.value AS day
  FROM plan p, json_each(p.session_days) d
  WHERE p.studio_id = @studioId AND p.week_start > @weekAgo AND d.value >= @today
  ORDER BY d.value`;

const WEEKS_SHOWN = 4;
const DAYS_PER_WEEK = 7;
/** Mornings are asked about for this long; later the memory says little (project default). */
const MORNING_DAYS = 7;

export function caseloadStore({ db, who, now }: Context, readiness: ReadinessStore, library: LibraryStore) {
  const plannedDays = db.prepare<{ studioId: string; today: string; weekAgo: string }, { traineeId: string; day: CalendarDay }>(
    PLANNED_DAYS,
  );
  const upcoming = () => {
    const [today, weekAgo] = [calendarDay(now()), calendarDay(addDays(now(), -DAYS_PER_WEEK))];
    return groupRows(plannedDays.all({ studioId: who.studioId, today, weekAgo }), (d) => d.traineeId);
  };

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
        .flatMap(({ trainee: { id, name }, verdict }) =>
          rechecksOf(
            verdict.headrooms.flatMap((h) => h.capacity ?? []),
            now(),
          ).map((recheck) => ({ ...recheck, traineeId: id, name })),
        )
        .sort((a, b) => a.dueOn.localeCompare(b.dueOn));
    },

    today(): readonly TodayItem[] {
      const days = upcoming();
      const today = calendarDay(now());
      return readiness
        .all()
        .flatMap((judged) =>
          todayItems(judged, days.get(judged.trainee.id)?.[0]?.day === today, { now: now(), library: library.current() }),
        );
    },
  };
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
    ...(limiter
      ? { limiter: { measureId: limiter.demand.measureId, side: limiter.side, state: limiter.state, words: limiter.words } }
      : {}),
    gateOpen: gate?.open ?? false,
    unmet: gate?.unmet.length ?? 0,
    locked: gate?.lines.some((l) => l.kind === 'lock') ?? false,
    openStopSigns: openStopSigns.length,
    unknown: headrooms.filter((h) => h.state === 'unknown').length,
    ...(lastCheckAt ? { lastCheckAt } : {}),
    ...(lastSessionAt ? { lastSessionAt } : {}),
    ...(nextSessionOn ? { nextSessionOn } : {}),
    weekLoads,
  };
}

function todayItems(
  { trainee, verdict, sessions, symptoms, openStopSigns }: Judged,
  trainsToday: boolean,
  { now, library }: Moment,
): TodayItem[] {
  const { id: traineeId, name } = trainee;
  const { rung, gate, headrooms, standing } = verdict;
  const items: TodayItem[] = openStopSigns.map((reason) => ({ kind: 'stop sign', traineeId, name, sentence: reason }));
  if (trainee.screening.state !== 'fresh') items.push({ kind: 'screening', traineeId, name, sentence: trainee.screening.locks[0] ?? '' });
  if (gate?.open && rung) items.push({ kind: 'sign', traineeId, name, sentence: `“${rung.name}”: every line of the gate is met.` });

  const today = calendarDay(now);
  const answered = new Set(symptoms.filter((s) => s.moment === 'next morning').map((s) => s.sessionId));
  for (const session of sessions) {
    const days = daysBetween(session.performedAt, now);
    const open = days <= MORNING_DAYS && !answered.has(session.id);
    if (open && calendarDay(session.performedAt) < today)
      items.push({
        kind: 'morning',
        traineeId,
        name,
        sessionId: session.id,
        sentence: `How was the morning after ${shortDay(session.performedAt, now)}?`,
      });
  }

  const doneToday = trainsToday && sessions.some((s) => calendarDay(s.performedAt) === today);
  if (trainsToday && !doneToday)
    items.push({
      kind: 'session',
      traineeId,
      name,
      sentence: `Trains today on “${library.ladder(trainee.ladderId).name}”${careWords(openStopSigns, gate)}.`,
    });

  const due = [...new Set(headrooms.filter((h) => h.state === 'unknown').map((h) => h.demand.measureId))];
  const lapse = standing.rungs[standing.here]?.lapse;
  if (lapse) items.push({ kind: 're-check', traineeId, name, sentence: `Clearance lapsed: ${lapse.reason}` });
  else if (due.length > 0)
    items.push({
      kind: 're-check',
      traineeId,
      name,
      sentence: `${due.length === 1 ? 'Check' : `${due.length} checks`} due: ${due.map((id) => measureOf(id).name).join(', ')}.`,
    });
  return items;
}

/** What to think of before today's session starts. */
function careWords(openStopSigns: readonly string[], gate: Gate | undefined): string {
  if (openStopSigns.length > 0) return ': a stop sign is open, see to it first';
  return gate?.lines.some((l) => l.kind === 'lock') ? ': locked, look at the cautions first' : '';
}

export type CaseloadStore = ReturnType<typeof caseloadStore>;
