import {
  type FloorPatchDto,
  type FloorPhotoDto,
  type FloorRunReply,
  type FloorRunRow,
  LIMITS,
  readStored,
  type Scope,
  type SessionDto,
  STORED,
  type SymptomDto,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { lockInWords } from '@myokinet/core/words';
import { type FloorEvent, type FloorHead, loggedItems, runOf, type RunState } from '@myokinet/core/floor';
import type { Library } from '@myokinet/core/library';
import { addDays, type Instant, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import { reencoded } from '../pictures/reencoded.ts';
import type { LibraryStore } from '../library/store.ts';
import type { SessionStore } from '../sessions/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type RunRow = { id: string; traineeId: string; openedAt: Instant } & StoredDocument;
type ListRow = Omit<FloorRunRow, 'plannedSessionId' | 'ended'> & StoredDocument & { ended: number };

/** Runs that ended are listed for this long. */
const LISTED_DAYS = 7;

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly sessions: SessionStore;
  readonly symptoms: SymptomStore;
  readonly library: LibraryStore;
  readonly scope: () => Scope;
}

/**
 * Sessions that are being run. Devices send what happened, event by event, as often as they like; a run is the sum of its events, so
 * two devices never lose each other's sets. A run that is closed becomes a session; what comes in later makes a second version of it.
 */
export function floorStore(context: Context, { trainees, sessions, symptoms, library, scope }: Neighbours) {
  const { db, studioId, now } = context;
  const runById = db.prepare<{ id: string; studioId: string }, RunRow>(sql.RUN_BY_ID);
  const runsOf = db.prepare<{ traineeId: string; studioId: string; since: string }, ListRow>(sql.RUNS_OF_TRAINEE);
  const insertRun = db.prepare(sql.INSERT_RUN);
  const endRun = db.prepare(sql.END_RUN);
  const eventsOf = db.prepare<{ runId: string }, StoredDocument>(sql.EVENTS_OF_RUN);
  const eventById = db.prepare<{ id: string }, { runId: string; event: string }>(sql.EVENT_BY_ID);
  const insertEvent = db.prepare(sql.INSERT_EVENT);
  const insertPhoto = db.prepare(sql.INSERT_PHOTO);
  const photo = db.prepare<{ id: string; runId: string }, { image: Buffer | null }>(sql.PHOTO);
  const takeOff = db.prepare(sql.TAKE_OFF_PHOTO);

  function find(id: string): RunRow {
    const run = runById.get({ id, studioId });
    if (!run) throw new Refusal('floor-run-missing');
    return run;
  }

  /** What happened in a run, and what could not be read of it. */
  function happened(runId: string): { readonly events: readonly FloorEvent[]; readonly unreadable: readonly string[] } {
    const read = eventsOf.all({ runId }).map(({ document, version }) => readStored(STORED.floorEvent, document, version, scope()));
    return {
      events: read.flatMap((r) => ('value' in r ? [r.value] : [])),
      unreadable: read.flatMap((r) => ('value' in r ? [] : [r.unreadable])),
    };
  }

  function headOf({ document, version }: StoredDocument): FloorHead {
    const head = readStored(STORED.floorHead, document, version, scope());
    if ('value' in head) return head.value;
    throw new Refusal('document-unreadable', head.unreadable);
  }

  function reply(id: string): FloorRunReply {
    const run = find(id);
    const { traineeId } = run;
    const trainee = trainees.find(traineeId);
    const sessionId = sessions.ofRun(id);
    const open = symptoms.stopSigns(traineeId).filter((s) => !s.closure);
    return {
      traineeId,
      head: headOf(run),
      ...happened(id),
      holds: [...open.map((s) => s.reason), ...trainee.screening.locks.map((lock) => lockInWords(lock, now()))],
      cautions: trainee.screening.cautions,
      ...(sessionId ? { sessionId } : {}),
      photos: sessions.photos(traineeId).filter((p) => p.runId === id),
    };
  }

  /** A device's clock may be ahead: nothing on record lies in the future. */
  const notAfterNow = (at: string): Instant => (at > instant(now()) ? instant(now()) : (at as Instant));

  function takeIn(actor: Actor, run: RunRow, event: FloorEvent): void {
    const content = JSON.stringify(event);
    const known = eventById.get({ id: event.id });
    if (known?.runId === run.id && known.event === content) return;
    if (known) throw new Refusal('id-reused', `The id ${event.id} already stands for something else.`);
    insertEvent.run({ id: event.id, runId: run.id, order: event.order, receivedAt: instant(now()), event: content });
    if (event.kind !== 'symptom') return;
    const dto: SymptomDto = { ...event.symptom, id: event.id, sessionId: null, at: notAfterNow(event.at), note: '' };
    symptoms.write(actor, run.traineeId, dto, { runId: run.id });
  }

  /** Puts a closed run on record, or its next version where the first lacks something. */
  function log(actor: Actor, run: RunRow, state: RunState): void {
    if (!state.closed || sessions.runTakenBack(run.id)) return;
    const before = sessions.ofRun(run.id);
    // The first version has the id of what closed the run; ids inside must be new in each.
    const id = before ? v7() : state.closed.id;
    const fresh = (own: string | undefined) => (before || own === undefined ? v7() : own);
    const performedAt = notAfterNow(firstSetAt(state));
    sessions.log(actor, run.traineeId, sessionFrom(state, { id, fresh, performedAt, library: library.current() }), {
      runId: run.id,
      replaces: before ?? null,
    });
  }

  return {
    of: reply,

    listOf(traineeId: string): readonly FloorRunRow[] {
      trainees.find(traineeId);
      const since = addDays(now(), -LISTED_DAYS);
      return runsOf.all({ traineeId, studioId, since }).map(({ document, version, ended, ...row }) => {
        const head = readStored(STORED.floorHead, document, version, scope());
        return {
          ...row,
          ended: ended === 1,
          ...('value' in head ? { plannedSessionId: head.value.plannedSessionId } : { plannedSessionId: null, ...head }),
        };
      });
    },

    /** Takes in what a device knows. The head of whoever came first stands. */
    takeIn(actor: Actor, id: string, { traineeId, head, events: sent }: FloorPatchDto): FloorRunReply {
      mustMay(actor, 'log');
      trainees.find(traineeId);
      db.transaction(() => {
        if (!runById.get({ id, studioId }))
          insertRun.run({
            id,
            traineeId,
            studioId,
            coachId: actor.coachId,
            openedAt: notAfterNow(head.startedAt),
            head: JSON.stringify({ ...head, id }),
          });
        const run = find(id);
        if (run.traineeId !== traineeId) throw new Refusal('floor-run-missing', 'This run is another trainee’s.');
        const known = new Set(happened(id).events.map((e) => e.id));
        if (known.size + sent.length > LIMITS.eventsPerRun)
          throw new Refusal('contract-broken', `A run holds at most ${LIMITS.eventsPerRun} events.`);
        for (const event of sent as unknown as FloorEvent[]) takeIn(actor, run, event);
        if (sent.every((e) => known.has(e.id))) return;
        const state = runOf(headOf(run), happened(id).events);
        if (state.closed || state.givenUp) endRun.run({ id });
        log(actor, run, state);
      }).immediate();
      return reply(id);
    },

    async keepPhoto(actor: Actor, id: string, dto: FloorPhotoDto): Promise<FloorRunReply> {
      mustMay(actor, 'log');
      const run = find(id);
      const image = await reencoded(dto.image);
      acceptOnce(context, dto.id, { id, dto }, () =>
        insertPhoto.run({ id: dto.id, runId: run.id, takenAt: notAfterNow(dto.takenAt), image }),
      );
      return reply(id);
    },

    photo(id: string, photoId: string): Buffer {
      const image = photo.get({ id: photoId, runId: find(id).id })?.image;
      if (!image) throw new Refusal('picture-missing');
      return image;
    },

    takeOffPhoto(actor: Actor, id: string, photoId: string): FloorRunReply {
      mustMay(actor, 'log');
      if (takeOff.run({ id: photoId, runId: find(id).id }).changes === 0) throw new Refusal('picture-missing');
      return reply(id);
    },
  };
}

export type FloorStore = ReturnType<typeof floorStore>;

/** When work began: a run may have been put onto a device long before. */
function firstSetAt({ head, items }: RunState): string {
  const [first] = items.flatMap((i) => i.done).sort((a, b) => a.order - b.order);
  return first?.at ?? head.startedAt;
}

/** The session that a closed run stands for. */
function sessionFrom(
  state: RunState,
  {
    id,
    fresh,
    performedAt,
    library,
  }: {
    readonly id: string;
    readonly fresh: (own: string | undefined) => string;
    readonly performedAt: Instant;
    readonly library: Library;
  },
): SessionDto {
  const { head, closed, symptoms } = state;
  if (!closed) throw new Error('Only a closed run becomes a session.');
  return {
    id,
    plannedSessionId: head.plannedSessionId,
    performedAt,
    effort: closed.effort,
    minutes: closed.minutes,
    note: closed.note,
    items: loggedItems(state, library).map((item) => ({ ...item, id: v7(), sets: item.sets.map((s) => ({ ...s, id: fresh(s.id) })) })),
    symptoms: symptoms.map((s) => ({ ...s, sessionId: id, note: '' })),
  };
}
