import type { ClassPersonReply, ClassSheetDto, ClassSheetMember, ClassSheetReply } from '@myokinet/core/contracts';
import {
  choicesOf,
  CLASS_LIMITS,
  type ClassMoment,
  type ClassSlot,
  type ClassState,
  memberSheet,
  rhythmMoments,
  routineClass,
  type SlotItem,
  USUAL_RHYTHM,
  type WantedInSlot,
} from '@myokinet/core/classes';
import { Refusal } from '@myokinet/core/errors';
import { fittedTo, type Library } from '@myokinet/core/library';
import { type MayDoFacts, mayInWords, whenOf } from '@myokinet/core/planning';
import { calendarDay, instant } from '@myokinet/core/quantities';
import { filledFor, momentsOf, type Routine } from '@myokinet/core/routines';
import { traineeBody } from '@myokinet/core/statics';
import { lockInWords } from '@myokinet/core/words';
import { v7 } from 'uuid';
import type { LibraryStore } from '../library/store.ts';
import type { BriefStore } from '../plans/briefStore.ts';
import type { PlanStore } from '../plans/store.ts';
import type { ReadinessStore } from '../readiness/store.ts';
import type { RoutineStore } from '../routines/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';

export interface SheetNeighbours {
  readonly trainees: TraineeStore;
  readonly library: LibraryStore;
  readonly plans: PlanStore;
  readonly briefs: BriefStore;
  readonly readiness: ReadinessStore;
  readonly symptoms: SymptomStore;
  readonly routines: RoutineStore;
}

/** Newest symptoms that the pain rule reads on the device. */
const FELT_SHOWN = 40;

/** The clock of a class, and what each in it is asked to do. */
interface Frame {
  readonly slots: readonly ClassSlot[];
  readonly moments: readonly ClassMoment[];
  readonly preparation: string | null;
  /** By trainee, in the order of their names in the request. */
  readonly wanted: ReadonlyMap<string, Wanted>;
}

interface Wanted {
  readonly plannedSessionId: string | null;
  readonly slots: readonly WantedInSlot[];
}

/** What everybody of a class would do, each within what they may. */
export function classSheets({ trainees, library, plans, briefs, readiness, symptoms, routines }: SheetNeighbours, now: () => Date) {
  function byRoutine(routine: Routine, studio: Library, ids: readonly string[], look: typeof known): Frame {
    const drillOf = (id: string) => (studio.hasDrill(id) ? studio.drill(id) : undefined);
    const moments = momentsOf(routine, drillOf);
    const class_ = routineClass(moments, (phase) => studio.drills.find((d) => d.phase === phase)?.id);
    const wantedBy = (id: string): readonly WantedInSlot[] => {
      const { facts, headrooms } = look(id);
      const { routine: own } = filledFor(routine, { facts, headrooms, when: whenOf(instant(now())) });
      const theirs = momentsOf(own, drillOf);
      return class_.slots.flatMap(({ id: slotId }): readonly WantedInSlot[] => {
        const [first, ...more] = theirs.filter((m) => m.kind === 'drill' && m.stepId === slotId);
        if (first?.drillId === undefined) return [];
        const { unit, max: usual } = studio.drill(first.drillId).dose;
        // At a station the breaths are the clock’s: as much as fits is asked.
        const max = first.unit === unit ? (first.amount ?? 1) : usual;
        const sets = [first, ...more].filter((m) => m.side !== 'right').length;
        return [{ slotId, planned: { drillId: first.drillId, sets, min: max, max, restSeconds: 0 } }];
      });
    };
    return {
      ...class_,
      preparation: routine.purpose === 'session' ? null : routine.name,
      wanted: new Map(ids.map((id) => [id, { plannedSessionId: null, slots: wantedBy(id) }])),
    };
  }

  /** Everybody’s own session of today: the first drill of each in the first slot, and so on. */
  function byPlans(ids: readonly string[], rhythm = USUAL_RHYTHM): Frame {
    const today = calendarDay(now());
    const sessions = new Map(
      ids.map((id) => [id, plans.dated(id, today).find(({ session, cancelled }) => !cancelled && session.day === today)?.session]),
    );
    const longest = Math.max(0, ...[...sessions.values()].map((s) => s?.items.length ?? 0));
    const slots = Array.from({ length: longest }, (_, i): ClassSlot => ({
      id: v7(),
      drillId: [...sessions.values()].flatMap((s) => s?.items[i]?.drillId ?? [])[0] ?? '',
    }));
    return {
      slots,
      moments:
        slots.length > 0
          ? rhythmMoments(
              slots.map((s) => s.id),
              rhythm,
            )
          : [],
      preparation: null,
      wanted: new Map(
        ids.map((id) => {
          const session = sessions.get(id);
          const own = slots.flatMap((slot, i): readonly WantedInSlot[] => {
            const item = session?.items[i];
            return item ? [{ slotId: slot.id, planned: item, overruled: item.overruled !== undefined }] : [];
          });
          return [id, { plannedSessionId: session?.id ?? null, slots: own }];
        }),
      ),
    };
  }

  /** A class that is on, for somebody who comes in late: their own plan where it goes by plans, what it is called by elsewhere. */
  function asItIs(class_: ClassState, studio: Library, ids: readonly string[]): Frame {
    const { slots, moments, preparation } = class_.head;
    const byPlan = class_.members.some((m) => m.member.plannedSessionId !== null);
    const planned = byPlan ? byPlans(ids) : undefined;
    const own = (slot: ClassSlot): WantedInSlot => {
      const { dose } = studio.drill(slot.drillId);
      const sets = moments.filter((m) => m.slotId === slot.id && m.side !== 'right').length;
      return { slotId: slot.id, planned: { drillId: slot.drillId, sets: Math.max(1, sets), min: dose.min, max: dose.max, restSeconds: 0 } };
    };
    return {
      slots,
      moments,
      preparation,
      wanted: new Map(
        ids.map((id) => {
          const theirs = planned?.wanted.get(id);
          if (!theirs?.plannedSessionId) return [id, { plannedSessionId: null, slots: byPlan ? [] : slots.map(own) }];
          const fitted = theirs.slots.flatMap((want, i) => (slots[i] ? [{ ...want, slotId: slots[i].id }] : []));
          return [id, { ...theirs, slots: fitted }];
        }),
      ),
    };
  }

  /** What decides what somebody may do now, and what a device must know of them. */
  function known(traineeId: string) {
    const trainee = trainees.find(traineeId);
    const { standing, ladderId, planner, stopSigns, headrooms } = readiness.reply(traineeId);
    const { cautions, locks } = trainee.screening;
    const fitted = fittedTo(library.current(), traineeBody(trainee));
    const brief = briefs.find(traineeId);
    const facts: MayDoFacts = {
      ...{ library: fitted, cautions, knownDrills: planner.knownDrills, lastLoaded: planner.lastLoaded, brief },
      equipment: brief.equipment.gym,
      foothold: { ladderId, here: standing.here, shown: planner.shown },
    };
    const person = {
      traineeId,
      name: trainee.name,
      stopped: stopSigns.filter((s) => !s.closure).map((s) => s.reason),
      felt: {
        history: symptoms.list(traineeId).slice(0, FELT_SHOWN),
        under18: cautions.some((c) => c.id === 'minor'),
        lasting: trainee.lastingPains,
      },
    };
    return { facts, headrooms, person, locks: locks.map((lock) => lockInWords(lock, now())) };
  }

  function member(traineeId: string, { plannedSessionId, slots }: Wanted, look: typeof known): ClassSheetMember {
    const { facts, person, locks } = look(traineeId);
    // Behind a stop sign nothing is done in a class: what is left is for the coach to say, one to one.
    const sheet = person.stopped.length > 0 ? { items: [], less: [], choices: [] } : memberSheet(facts, slots, whenOf(instant(now())));
    return {
      ...person,
      ...{ plannedSessionId, locks, items: sheet.items, choices: sheet.choices },
      less: sheet.less.map(({ slotId, drill, may, instead }) => ({
        ...{ slotId, drillId: drill.id, says: mayInWords(may, drill, facts.library) },
        ...(instead ? { instead: instead.id } : {}),
      })),
    };
  }

  function frameOf({ traineeIds, routineId, rhythm }: ClassSheetDto, studio: Library, look: typeof known): Frame {
    if (!routineId) return byPlans(traineeIds, rhythm);
    const routine = routines.all().find((r) => r.id === routineId);
    if (!routine) throw new Refusal('routine-missing');
    if (routine.unreadable) throw new Refusal('document-unreadable', routine.unreadable);
    return byRoutine(routine, studio, traineeIds, look);
  }

  return {
    person(traineeId: string, items: readonly SlotItem[]): ClassPersonReply {
      const { facts, person } = known(traineeId);
      return { ...person, choices: person.stopped.length > 0 ? [] : choicesOf(facts, items, whenOf(instant(now()))) };
    },

    /** @param class_ the one that somebody comes into */
    sheet(dto: ClassSheetDto, class_: ClassState | undefined): ClassSheetReply {
      const ids = dto.traineeIds;
      for (const id of ids) trainees.find(id);
      const studio = library.current();
      const look = once(known);
      const { wanted, ...frame } = class_ ? asItIs(class_, studio, ids) : frameOf(dto, studio, look);
      const { slots, moments } = CLASS_LIMITS;
      if (frame.slots.length > slots || frame.moments.length > moments)
        throw new Refusal('class-too-long', `A class has room for ${slots} drills and ${moments} stretches of work and rest.`);
      return { ...frame, members: [...wanted].map(([id, own]) => member(id, own, look)) };
    },
  };
}

/** Asked once for each. */
function once<T>(ask: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>();
  return (id) => {
    const there = known.get(id) ?? ask(id);
    known.set(id, there);
    return there;
  };
}
