import type { BodySide } from '@myokinet/core/anatomy';
import type {
  MorningDto,
  OwnItem,
  OwnPageReply,
  OwnProgress,
  OwnSession,
  ReadinessReply,
  RecordReply,
  SessionDto,
  SymptomDto,
} from '@myokinet/core/contracts';
import { breathOf, EQUIPMENT, plannedDoseInWords } from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import { fittedTo, type Library } from '@myokinet/core/library';
import { type Capacity, formatReadingWithBand } from '@myokinet/core/measuring';
import {
  type Alone,
  aloneInWords,
  daysLater,
  isLoadedSession,
  isOn,
  practisedAlone,
  sessionMinutes,
  whenOf,
} from '@myokinet/core/planning';
import { addDays, type CalendarDay, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { dosesOf, filledFor } from '@myokinet/core/routines';
import { traineeBody } from '@myokinet/core/statics';
import { capacityInWords, demandInWords, headroomInWords, lockInWords, stopSignInWords } from '@myokinet/core/words';
import { v7 } from 'uuid';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { LibraryStore } from '../library/store.ts';
import type { BriefStore } from '../plans/briefStore.ts';
import type { DatedSession } from '../plans/calendar.ts';
import type { PlanStore } from '../plans/store.ts';
import type { ReadinessStore } from '../readiness/store.ts';
import type { RoutineStore } from '../routines/store.ts';
import type { SessionStore } from '../sessions/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import type { OwnSeat } from './linkStore.ts';
import type { NoteStore } from './noteStore.ts';
import * as sql from './statements.ts';

/** How far back practice can still be made up for, and how far ahead it is shown, in days. */
const SHOWN = { back: 7, ahead: 13 } as const;
const MORNINGS_SHOWN = 14;
/** Three months of figures. */
const TRAIL_DAYS = 92;
const TRAIL_MOST = 24;
/** Newest symptoms that the pain rule reads on the phone. */
const FELT_SHOWN = 40;

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly library: LibraryStore;
  readonly plans: PlanStore;
  readonly readiness: ReadinessStore;
  readonly sessions: SessionStore;
  readonly symptoms: SymptomStore;
  readonly notes: NoteStore;
  readonly routines: RoutineStore;
  readonly briefs: BriefStore;
}

type Planned = DatedSession['session'];
type Practice = ReturnType<typeof practisedAlone<Planned['items'][number]>>[number];

/** What a trainee’s own page shows, and what it is told. */
export function ownStore(
  context: Context,
  { trainees, library, plans, readiness, sessions, symptoms, notes, routines, briefs }: Neighbours,
) {
  const { db, now } = context;
  const donePlanned = db.prepare<{ traineeId: string; since: string }, { id: string }>(sql.DONE_PLANNED);
  const insertMorning = db.prepare(sql.INSERT_MORNING);
  const mornings = db.prepare<{ traineeId: string; limit: number }, RecordReply['mornings'][number]>(sql.MORNINGS_OF_TRAINEE);
  const toAsk = db.prepare<{ traineeId: string; from: string; until: string }, { sessionId: string }>(sql.MORNING_TO_ASK);
  const ownSession = db.prepare<{ sessionId: string; traineeId: string }, { id: string }>(sql.SESSION_OF_TRAINEE);

  const startOf = (day: CalendarDay): Instant => instant(new Date(`${day}T00:00:00`));
  const firstShown = () => daysLater(calendarDay(now()), -SHOWN.back);

  function morningToAsk(traineeId: string): OwnPageReply['morningOf'] {
    const today = calendarDay(now());
    const day = daysLater(today, -1);
    const asked = toAsk.get({ traineeId, from: startOf(day), until: startOf(today) });
    return asked && { ...asked, day };
  }

  return {
    page({ traineeId, progress, coach }: OwnSeat, studio: string): OwnPageReply {
      const trainee = trainees.find(traineeId);
      const verdict = readiness.reply(traineeId);
      const { standing, ladderId, planner, stopSigns } = verdict;
      const { cautions, locks } = trainee.screening;
      const fitted = fittedTo(library.current(), traineeBody(trainee));
      const today = calendarDay(now());
      const facts = {
        ...{ library: fitted, cautions, knownDrills: planner.knownDrills, lastLoaded: planner.lastLoaded },
        foothold: { ladderId, here: standing.here, shown: planner.shown },
      };
      const stopped = [...stopSigns.filter((s) => !s.closure).map((s) => s.reason), ...locks.map((lock) => lockInWords(lock, now()))];
      const done = new Set(donePlanned.all({ traineeId, since: startOf(firstShown()) }).map((d) => d.id));
      const shown = plans
        .dated(traineeId, firstShown())
        .filter(({ session, cancelled }) => !cancelled && session.items.length > 0 && session.day <= daysLater(today, SHOWN.ahead));
      const asOf = whenOf(instant(now()));
      const morningOf = morningToAsk(traineeId);
      const events = briefs.find(traineeId).events.filter((e) => isOn(e, today));
      return {
        id: traineeId,
        name: trainee.name,
        keptBy: { studio, coach },
        today,
        stopped,
        // Where something is stopped nothing is on offer: what is left of a session is for the coach to say.
        sessions: shown.map(({ session }) =>
          sessionReply(session, stopped.length > 0 ? [] : practisedAlone(session.items, facts, session.day === today ? asOf : undefined), {
            library: fitted,
            done: done.has(session.id),
          }),
        ),
        anytime:
          stopped.length > 0
            ? []
            : routines.all().flatMap((routine) => {
                if (routine.purpose === 'session' || routine.unreadable) return [];
                const { routine: filled } = filledFor(routine, {
                  facts: { ...facts, equipment: trainee.equipment },
                  headrooms: verdict.headrooms,
                  when: asOf,
                });
                const items = dosesOf(filled, (id) => (fitted.hasDrill(id) ? fitted.drill(id) : undefined)).map((d) => ({
                  ...{ ...d, id: v7(), why: '' },
                }));
                const practice = practisedAlone(items, facts, asOf);
                const reply = sessionReply({ id: routine.id, day: today, items }, practice, { library: fitted, done: false });
                const before = events.find((e) => e.prepareWith === routine.id)?.name;
                return reply.items.length > 0 ? [{ ...reply, preparation: routine.name, ...(before ? { before } : {}) }] : [];
              }),
        ...(morningOf ? { morningOf } : {}),
        ...(progress
          ? {
              progress: progressOf(verdict, library.current(), (measureId, side) =>
                readiness.trail(traineeId, measureId, side, TRAIL_MOST),
              ),
            }
          : {}),
        notes: notes.list(traineeId).map((note) => ({ ...note, ...drillNamed(note.drillId, library.current()) })),
        context: {
          history: symptoms.list(traineeId).slice(0, FELT_SHOWN),
          under18: cautions.some((c) => c.id === 'minor'),
          lasting: trainee.lastingPains,
        },
      };
    },

    /** Practice as the trainee tells it: on record as told by them, for the load and for no gate. */
    practise({ traineeId, actor }: OwnSeat, dto: SessionDto): null {
      if (dto.preparation) {
        const { drills, phases } = routines.taughtIn(dto.preparation);
        const { drill } = library.current();
        const isTaught = (id: string) => drills.has(id) || phases.has(drill(id).phase);
        if (dto.plannedSessionId || dto.items.some((i) => !isTaught(i.drillId))) throw new Refusal('practice-not-planned');
        sessions.log(actor, traineeId, dto);
        return null;
      }
      const known = plans.dated(traineeId, firstShown()).find(({ session }) => session.id === dto.plannedSessionId)?.session;
      const planned = new Set(known?.items.map((i) => i.drillId));
      if (!known || dto.items.some((i) => !planned.has(i.drillId))) throw new Refusal('practice-not-planned');
      sessions.log(actor, traineeId, dto);
      return null;
    },

    /** What the pain rule says to what is felt; a stop sign is on the coach’s Today from now on. */
    felt({ traineeId, actor }: OwnSeat, dto: SymptomDto): { readonly stop: string | null } {
      symptoms.report(actor, traineeId, dto);
      const judged = symptoms.list(traineeId).find((s) => s.id === dto.id);
      return { stop: (judged && stopSignInWords(judged)) ?? null };
    },

    morning({ traineeId }: OwnSeat, dto: MorningDto): null {
      if (!ownSession.get({ sessionId: dto.sessionId, traineeId })) throw new Refusal('session-missing');
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        insertMorning.run({ ...dto, traineeId, recordedAt: instant(now()) });
      });
      return null;
    },

    mornings: (traineeId: string): RecordReply['mornings'] => mornings.all({ traineeId, limit: MORNINGS_SHOWN }),
  };
}

function sessionReply(
  { id, day, place, form, items }: Planned,
  practice: readonly Practice[],
  { library, done }: { readonly library: Library; readonly done: boolean },
): OwnSession {
  const open = practice.flatMap((p) => ('not' in p ? [] : [{ ...p.item, ...p.dose }]));
  return {
    ...{ id, day, done },
    ...(place ? { place } : {}),
    loaded: isLoadedSession(items, library),
    minutes: Math.max(1, Math.round(sessionMinutes(open.length > 0 ? open : items, library, form))),
    items: practice.flatMap((p) => ('not' in p ? [] : [itemReply(p, library)])),
    leftOut: practice.flatMap((p) => ('not' in p ? [{ name: p.drill.name, why: aloneInWords(p, library) ?? '' }] : [])),
  };
}

const drillNamed = (id: string | undefined, library: Library): { readonly drill?: string } =>
  id !== undefined && library.hasDrill(id) ? { drill: library.drill(id).name } : {};

/** How far a trainee has come, in the words of the readiness page. */
function progressOf(
  { ladderId, standing, headrooms, judgedAt }: ReadinessReply,
  library: Library,
  trailOf: (measureId: string, side: BodySide) => readonly Capacity[],
): OwnProgress {
  const since = addDays(judgedAt, -TRAIL_DAYS);
  const { name, rungs } = library.ladder(ladderId);
  return {
    ladder: name,
    rungs: rungs.map((rung, i) => ({ name: rung.name, is: i <= standing.here ? 'signed' : i === standing.next ? 'next' : 'later' })),
    needs: headrooms.map((h) => {
      const measure = library.measure(h.demand.measureId);
      return {
        check: capacityInWords(h, measure),
        asks: demandInWords(h.demand, measure),
        stands: headroomInWords(h, measure),
        state: h.state,
        trail: [...trailOf(h.demand.measureId, h.side), ...(h.capacity ? [h.capacity] : [])]
          .filter((c) => c.takenAt >= since)
          .sort((a, b) => a.takenAt.localeCompare(b.takenAt))
          .map((c) => ({ at: c.takenAt, figure: formatReadingWithBand(measure, c.value, c.band), value: c.value, band: c.band })),
      };
    }),
  };
}

function itemReply(found: Extract<Practice, { readonly dose: unknown }>, library: Library): OwnItem {
  const { item, drill, dose } = found;
  const { support, manner } = item;
  const changed = aloneInWords(found satisfies Alone<unknown>, library);
  const { tempo, course } = drill.dose;
  return {
    ...{ id: item.id, drillId: drill.id, ...dose },
    ...(support ? { support } : {}),
    ...(manner ? { manner } : {}),
    name: drill.name,
    dose: plannedDoseInWords(dose, drill),
    unit: drill.dose.unit,
    perSide: drill.dose.perSide,
    cue: drill.cue,
    steps: drill.teaching?.steps ?? [],
    felt: drill.teaching?.felt ?? '',
    breath: breathOf(drill) ?? {},
    equipment: drill.equipment.map((e) => EQUIPMENT[e] + (drill.standIns[e] ? ` (or ${drill.standIns[e]})` : '')),
    ...(tempo ? { beat: tempo } : {}),
    ...(course ? { course } : {}),
    figure: { id: drill.id, pose: drill.pose, ...(drill.movement ? { movement: drill.movement } : {}) },
    ...(changed ? { changed } : {}),
  };
}

export type OwnStore = ReturnType<typeof ownStore>;
