import {
  type ClassDeed,
  classItems,
  type ClassEvent,
  type ClassHead,
  type ClassMember,
  classOf,
  type ClassState,
  memberMinutes,
  type MemberState,
} from '@myokinet/core/classes';
import {
  type ClassPatchDto,
  type ClassPersonReply,
  type ClassSheetDto,
  type ClassSheetReply,
  type ClassReply,
  type ClassRow,
  LIMITS,
  readStored,
  type Scope,
  type SessionDto,
  STORED,
  type SymptomDto,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { fittedTo } from '@myokinet/core/library';
import { addDays, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { traineeBody } from '@myokinet/core/statics';
import { v7 } from 'uuid';
import { type Actor, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import type { GroupStore } from '../groups/store.ts';
import { digestOf } from '../identity/secrets.ts';
import type { SessionStore } from '../sessions/store.ts';
import { classSheets, type SheetNeighbours } from './sheet.ts';
import * as sql from './statements.ts';

type ListRow = Omit<ClassRow, 'ended' | 'members' | 'trained' | 'day'> & { ended: number; members: string; trained: string };

/** Classes that ended are listed for this long. */
const LISTED_DAYS = 56;

interface Neighbours extends SheetNeighbours {
  readonly sessions: SessionStore;
  readonly groups: GroupStore;
  readonly scope: () => Scope;
}

/**
 * Classes under one clock. Devices send who takes part and what happened, as often as they like; a class is the sum of it, so two devices
 * never lose each other’s marks. One that is closed becomes a session of each who did something; what comes in later makes the next
 * version of those that it changes.
 */
export function classStore(context: Context, neighbours: Neighbours) {
  const { trainees, library, symptoms, sessions, groups, scope } = neighbours;
  const { db, studioId, now } = context;
  const classById = db.prepare<{ id: string; studioId: string }, { id: string } & StoredDocument>(sql.CLASS_BY_ID);
  const insertClass = db.prepare(sql.INSERT_CLASS);
  const endClass = db.prepare(sql.END_CLASS);
  const insertMember = db.prepare(sql.INSERT_MEMBER);
  const membersOf = db.prepare<{ id: string }, StoredDocument>(sql.MEMBERS_OF_CLASS);
  const eventsOf = db.prepare<{ id: string }, StoredDocument>(sql.EVENTS_OF_CLASS);
  const eventById = db.prepare<{ id: string }, { classId: string; event: string }>(sql.EVENT_BY_ID);
  const insertEvent = db.prepare(sql.INSERT_EVENT);
  const classes = db.prepare<{ studioId: string; since: string }, ListRow>(sql.CLASSES);
  const wasErased = db.prepare<{ digest: string }, unknown>(sql.WAS_ERASED);

  const sheets = classSheets(neighbours, now);

  const find = (id: string) => {
    const row = classById.get({ id, studioId });
    if (!row) throw new Refusal('class-missing');
    return row;
  };

  function headOf({ document, version }: StoredDocument): ClassHead {
    const head = readStored(STORED.classHead, document, version, scope());
    if ('value' in head) return head.value;
    throw new Refusal('document-unreadable', head.unreadable);
  }

  /** All that is known of a class, and what of it could not be read. */
  function known(id: string): {
    readonly state: ClassState;
    readonly events: readonly ClassEvent[];
    readonly unreadable: readonly string[];
  } {
    const head = headOf(find(id));
    const members = membersOf.all({ id }).map(({ document, version }) => readStored(STORED.classMember, document, version, scope()));
    const events = eventsOf.all({ id }).map(({ document, version }) => readStored(STORED.classEvent, document, version, scope()));
    const readable = events.flatMap((e) => ('value' in e ? [e.value] : []));
    return {
      state: classOf(
        head,
        members.flatMap((m) => ('value' in m ? [m.value] : [])),
        readable,
      ),
      events: readable,
      unreadable: [...members, ...events].flatMap((r) => ('unreadable' in r ? [r.unreadable] : [])),
    };
  }

  function stoppedNow(traineeId: string): readonly string[] {
    return symptoms
      .stopSigns(traineeId)
      .filter((s) => !s.closure)
      .map((s) => s.reason);
  }

  function reply(id: string): ClassReply {
    const { state, events, unreadable } = known(id);
    const ids = state.members.map((m) => m.member.traineeId);
    return {
      head: state.head,
      members: state.members.map((m) => m.member),
      events,
      stopped: Object.fromEntries(
        ids.flatMap((who) => {
          const stopped = stoppedNow(who);
          return stopped.length > 0 ? [[who, stopped]] : [];
        }),
      ),
      sessions: Object.fromEntries(
        ids.flatMap((who) => {
          const session = sessions.ofClass(id, who);
          return session ? [[who, session]] : [];
        }),
      ),
      now: instant(now()),
      unreadable,
    };
  }

  /** A device's clock may be ahead: nothing on record lies in the future. */
  const notAfterNow = (at: string): Instant => (at > instant(now()) ? instant(now()) : (at as Instant));
  /** Of somebody who was erased nothing is taken in again; the rest of the class is. */
  const isErased = (traineeId: string) => wasErased.get({ digest: digestOf(traineeId) }) !== undefined;
  const whoOf = (event: ClassDeed): string | null => ('who' in event ? event.who : null);

  function takeInEvent(actor: Actor, classId: string, event: ClassEvent): void {
    const who = whoOf(event);
    if (who !== null && isErased(who)) return;
    const content = JSON.stringify(event);
    const there = eventById.get({ id: event.id });
    if (there?.classId === classId && there.event === content) return;
    if (there) throw new Refusal('id-reused', `The id ${event.id} already stands for something else.`);
    if (who !== null) trainees.find(who);
    insertEvent.run({ id: event.id, classId, traineeId: who, order: event.order, receivedAt: instant(now()), event: content });
    if (event.kind !== 'symptom') return;
    const dto: SymptomDto = { ...event.symptom, id: event.id, sessionId: null, at: notAfterNow(event.at), note: '' };
    symptoms.write(actor, event.who, dto, { classId });
  }

  /** Puts on record what each did, or the next version of it where that has changed. */
  function log(actor: Actor, before: ClassState, state: ClassState): void {
    if (!state.closed) return;
    for (const member of state.members) {
      const { traineeId } = member.member;
      const was = before.members.find((m) => m.member.traineeId === traineeId);
      const did = didOf(state, member);
      if (before.closed && was && JSON.stringify(didOf(before, was)) === JSON.stringify(did)) continue;
      if (sessions.classTakenBack(state.head.id, traineeId)) continue;
      const replaces = sessions.ofClass(state.head.id, traineeId);
      if (did.items.length === 0 && !replaces) continue;
      const id = v7();
      const dto: SessionDto = {
        ...{ id, performedAt: notAfterNow(state.head.startedAt), note: state.closed.note },
        plannedSessionId: member.member.plannedSessionId,
        effort: did.effort,
        minutes: did.minutes,
        ...(state.head.preparation === null ? {} : { preparation: state.head.preparation }),
        items: did.items.map((item) => ({ ...item, id: v7(), sets: item.sets.map((set) => ({ ...set, id: v7() })) })),
        symptoms: member.symptoms.map(({ during: _, ...s }) => ({ ...s, sessionId: id, note: '' })),
      };
      sessions.log(actor, traineeId, dto, { runId: null, classId: state.head.id, replaces: replaces ?? null });
    }
  }

  /** What one has done, as it goes on record. */
  function didOf(state: ClassState, member: MemberState) {
    const fitted = fittedTo(library.current(), traineeBody(trainees.find(member.member.traineeId)));
    const { effort = 0, minutes = 1 } = state.closed ?? {};
    return {
      effort: member.effort ?? effort,
      minutes: memberMinutes(state, member, minutes),
      items: classItems(state, member, fitted).map(({ skipped: _, ...item }) => item),
    };
  }

  return {
    sheet: (dto: ClassSheetDto): ClassSheetReply => sheets.sheet(dto, dto.classId ? known(dto.classId).state : undefined),
    of: reply,

    /** Those who take part, as a device needs to know them. */
    people: (id: string): readonly ClassPersonReply[] =>
      known(id).state.members.map(({ member }) => sheets.person(member.traineeId, member.items)),

    list(): readonly ClassRow[] {
      return classes.all({ studioId, since: addDays(now(), -LISTED_DAYS) }).map(({ ended, members, trained, ...row }) => ({
        ...row,
        day: calendarDay(new Date(row.openedAt)),
        ended: ended === 1,
        members: JSON.parse(members) as readonly string[],
        trained: JSON.parse(trained) as readonly string[],
      }));
    },

    /** Takes in what a device knows. The head of whoever came first stands, and of each person what was known first. */
    takeIn(actor: Actor, id: string, { head, members, events: sent }: ClassPatchDto): ClassReply {
      mustMay(actor, 'log');
      // Looking whether there is news writes nothing.
      if (members.length === 0 && sent.length === 0 && classById.get({ id, studioId })) return reply(id);
      db.transaction(() => {
        if (!classById.get({ id, studioId })) {
          if (head.groupId && !groups.known(head.groupId)) throw new Refusal('group-missing');
          insertClass.run({
            ...{ id, studioId, coachId: actor.coachId, groupId: head.groupId ?? null, name: head.name },
            openedAt: notAfterNow(head.startedAt),
            head: JSON.stringify({ ...head, id, groupId: head.groupId ?? null, preparation: head.preparation ?? null }),
          });
        }
        const before = known(id);
        const ids = new Set(before.events.map((e) => e.id));
        if (ids.size + sent.length > LIMITS.eventsPerRun)
          throw new Refusal('contract-broken', `A class holds at most ${LIMITS.eventsPerRun} events.`);
        for (const member of members as unknown as ClassMember[]) {
          if (isErased(member.traineeId)) continue;
          trainees.find(member.traineeId);
          insertMember.run({ id, traineeId: member.traineeId, document: JSON.stringify(member) });
        }
        for (const event of sent as unknown as ClassEvent[]) takeInEvent(actor, id, event);
        const { state } = known(id);
        if (state.closed || state.givenUp) endClass.run({ id });
        log(actor, before.state, state);
      }).immediate();
      return reply(id);
    },
  };
}

export type ClassStore = ReturnType<typeof classStore>;
