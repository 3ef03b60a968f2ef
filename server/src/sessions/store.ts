import {
  type FaultSeenDto,
  type FloorPhotoReply,
  type MayBeUnreadable,
  readStored,
  type RecordReply,
  type Scope,
  type SessionCorrectionDto,
  type SessionDto,
  type SessionItemDto,
  type SessionReply,
  type SymptomReply,
  STORED,
  type WorkloadReply,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { addDays, instant } from '@myokinet/core/quantities';
import { type CleanFinding, practisedIn, RULES_VERSION, sessionCleanness, spoiledBy } from '@myokinet/core/readiness';
import { fittedTo } from '@myokinet/core/library';
import { traineeBody } from '@myokinet/core/statics';
import { type HandLoadBySide, loggedHandLoad, sessionLoad } from '@myokinet/core/workload';
import type { ClearanceStore } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type SessionRow = Omit<SessionDto, 'items' | 'symptoms' | 'preparation'> & {
  clean: number;
  cleanReason: string;
  cleanFinding: string | null;
  reason: string | null;
  push: number;
  pull: number;
  sideDoses: string | null;
  runId: string | null;
  replaces: string | null;
  originId: string;
  reportedBy: 'trainee' | null;
  preparation: string | null;
  inClass: string | null;
};
type ItemRow = Omit<SessionItemDto, 'sets' | 'support' | 'manner' | 'skipped'> & {
  sessionId: string;
  support: string | null;
  supportVersion: number;
  manner: string | null;
  mannerVersion: number;
  skipped: SessionItemDto['skipped'] | null;
};
type LoadRow = Omit<WorkloadReply['sessions'][number], 'byJoint' | 'bySide'> & { jointDoses: string | null; sideDoses: string | null };

/** Where a session came from, when it was not logged by hand for the first time. */
export interface FromRun {
  readonly runId: string | null;
  readonly classId?: string | null;
  /** The version that it replaces: more sets came in, or it was corrected. */
  readonly replaces: string | null;
  /** Why it was corrected. */
  readonly reason?: string;
}
interface ToCorrect extends Pick<SessionRow, 'preparation' | 'runId'> {
  readonly classId: string | null;
  readonly originId: string;
  readonly inForce: number;
}
type SetRow = {
  id: string;
  feeling: SessionDto['items'][number]['sets'][number]['feeling'] | null;
  itemId: string;
  side: SessionDto['items'][number]['sets'][number]['side'];
  amount: number;
  unconfirmed: number;
  faults: string;
};

/** Newest entries sent to a page at once. */
const PAGE = { sessions: 40 } as const;
/** How far back the workload goes. */
const LOAD_DAYS = 400;

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly clearances: ClearanceStore;
  readonly symptoms: SymptomStore;
  readonly library: LibraryStore;
  readonly scope: () => Scope;
}

export function sessionStore(context: Context, { trainees, clearances, symptoms, library, scope }: Neighbours) {
  const { db, studioId, now } = context;
  const insertSession = db.prepare(sql.INSERT_SESSION);
  const insertItem = db.prepare(sql.INSERT_ITEM);
  const insertSet = db.prepare(sql.INSERT_SET);
  const takenBackOfRun = db.prepare<{ runId: string }, unknown>(sql.RUN_TAKEN_BACK);
  const isOnRecord = db.prepare<{ id: string }, { id: string }>('SELECT id FROM session WHERE id = @id');
  const sessionsOf = db.prepare<{ traineeId: string; limit: number }, SessionRow>(sql.SESSIONS_OF_TRAINEE);
  const itemsOf = db.prepare<{ traineeId: string; limit: number }, ItemRow>(sql.ITEMS_OF_TRAINEE);
  const setsOf = db.prepare<{ traineeId: string; limit: number }, SetRow>(sql.SETS_OF_TRAINEE);
  const replacedOf = db.prepare<{ id: string }, NonNullable<SessionReply['replaced']>>(sql.REPLACED);
  const photosOf = db.prepare<{ traineeId: string }, Omit<FloorPhotoReply, 'kept'> & { kept: number }>(sql.PHOTOS_OF_TRAINEE);
  const ofRun = db.prepare<{ runId: string }, { id: string }>(sql.SESSION_OF_RUN);
  const ofClass = db.prepare<{ classId: string; traineeId: string }, { id: string }>(sql.SESSION_OF_CLASS);
  const takenBackOfClass = db.prepare<{ classId: string; traineeId: string }, unknown>(sql.CLASS_TAKEN_BACK);
  const loadsOf = db.prepare<{ traineeId: string; since: string }, LoadRow>(sql.LOADS_OF_TRAINEE);
  const toCorrect = db.prepare<{ id: string; traineeId: string }, ToCorrect>(sql.SESSION_TO_CORRECT);

  /** What was felt in a session on record; a correction of its sets leaves that as it was reported. */
  const feltIn = (traineeId: string, sessionId: string) => symptoms.list(traineeId).filter((s) => s.sessionId === sessionId);

  function record(traineeId: string): Omit<RecordReply, 'takenBack' | 'mornings'> {
    trainees.find(traineeId);
    const limit = PAGE.sessions;
    const items = groupRows(itemsOf.all({ traineeId, limit }), (i) => i.sessionId);
    const sets = groupRows(setsOf.all({ traineeId, limit }), (s) => s.itemId);
    const felt = symptoms.list(traineeId);
    const photos = groupRows(photoList(traineeId), (p) => p.runId);
    const sessions = sessionsOf
      .all({ traineeId, limit })
      .map(
        ({
          push,
          pull,
          sideDoses,
          clean,
          cleanFinding,
          reason,
          runId,
          replaces,
          reportedBy,
          preparation,
          inClass,
          ...row
        }): SessionReply => ({
          ...row,
          ...(cleanFinding === null ? {} : { finding: JSON.parse(cleanFinding) as CleanFinding }),
          ...(reason === null ? {} : { reason }),
          ...(reportedBy ? { reportedBy } : {}),
          ...(preparation === null ? {} : { preparation }),
          ...(inClass === null ? {} : { inClass }),
          ...(runId ? { runId, photos: photos.get(runId) ?? [] } : {}),
          ...replacedBy(replaces),
          clean: clean === 1,
          load: sessionLoad(row.effort, row.minutes),
          handLoad: { push, pull, ...(sideDoses === null ? {} : { bySide: JSON.parse(sideDoses) as HandLoadBySide }) },
          items: (items.get(row.id) ?? []).map(({ sessionId: _, support, supportVersion, manner, mannerVersion, skipped, ...item }) => ({
            ...item,
            ...(skipped ? { skipped } : {}),
            ...supportOf(support, supportVersion),
            ...mannerOf(manner, mannerVersion),
            sets: (sets.get(item.id) ?? []).map(({ itemId: _item, faults, feeling, unconfirmed, ...set }) => ({
              ...set,
              ...(feeling ? { feeling } : {}),
              ...(unconfirmed ? { unconfirmed: true } : {}),
              faults: JSON.parse(faults) as FaultSeenDto[],
            })),
          })),
          symptoms: felt.filter((s) => s.sessionId === row.id),
          ...spoiled(felt.filter((s) => s.sessionId === row.id)),
          ...unreadableIn(items.get(row.id) ?? []),
        }),
      );
    return {
      sessions,
      symptoms: felt.filter((s) => s.sessionId === null),
      stopSigns: symptoms.stopSigns(traineeId),
      clearances: clearances.list(traineeId),
    };
  }

  /** The set-up of a drill that was done, where it was another than the drill's. */
  function supportOf(support: string | null, version: number): Pick<SessionItemDto, 'support'> {
    const read = support === null ? undefined : readStored(STORED.support, support, version, scope());
    return read && 'value' in read ? { support: read.value } : {};
  }

  function mannerOf(manner: string | null, version: number): Pick<SessionItemDto, 'manner'> {
    const read = manner === null ? undefined : readStored(STORED.manner, manner, version, scope());
    return read && 'value' in read ? { manner: read.value } : {};
  }

  function unreadableIn(items: readonly ItemRow[]): MayBeUnreadable {
    for (const { support, supportVersion, manner, mannerVersion } of items) {
      const setUp = support === null ? undefined : readStored(STORED.support, support, supportVersion, scope());
      if (setUp && 'unreadable' in setUp) return setUp;
      const way = manner === null ? undefined : readStored(STORED.manner, manner, mannerVersion, scope());
      if (way && 'unreadable' in way) return way;
    }
    return {};
  }

  function photoList(traineeId: string): readonly FloorPhotoReply[] {
    return photosOf.all({ traineeId }).map((p) => ({ ...p, kept: p.kept === 1 }));
  }

  function replacedBy(id: string | null): Pick<SessionReply, 'replaced'> {
    const replaced = id && replacedOf.get({ id });
    return replaced ? { replaced } : {};
  }

  return {
    record,
    photos: photoList,

    /** Ids of the session that a run has become. */
    ofRun: (runId: string): string | undefined => ofRun.get({ runId })?.id,

    /** Whether the session that a run has become was taken back: what comes late makes no new one. */
    runTakenBack: (runId: string): boolean => takenBackOfRun.get({ runId }) !== undefined,

    /** The session that a class has become of somebody. */
    ofClass: (classId: string, traineeId: string): string | undefined => ofClass.get({ classId, traineeId })?.id,
    classTakenBack: (classId: string, traineeId: string): boolean => takenBackOfClass.get({ classId, traineeId }) !== undefined,
    workload(traineeId: string): WorkloadReply {
      trainees.find(traineeId);
      const since = addDays(now(), -LOAD_DAYS);
      return {
        sessions: loadsOf.all({ traineeId, since }).map(({ jointDoses, sideDoses, ...row }) => ({
          ...row,
          ...(jointDoses ? { byJoint: JSON.parse(jointDoses) as NonNullable<WorkloadReply['sessions'][number]['byJoint']> } : {}),
          ...(sideDoses ? { bySide: JSON.parse(sideDoses) as HandLoadBySide } : {}),
        })),
      };
    },

    /** Puts a session on record; of one that came from a run the symptoms are there already. */
    log(actor: Actor, traineeId: string, dto: SessionDto, from?: FromRun): SessionReply {
      mustMay(actor, 'log');
      const trainee = trainees.find(traineeId);
      const drills = library.current();
      const felt = from?.replaces ? feltIn(traineeId, from.replaces) : dto.symptoms.map((s) => symptoms.judged(trainee, s));
      // A correction makes no session of a preparation; of what was told a coach who saw it does.
      const was = from?.replaces ? toCorrect.get({ id: from.replaces, traineeId }) : undefined;
      const reported = actor.isTrainee ?? false;
      const preparation = was ? was.preparation : (dto.preparation ?? null);
      // Neither shows anything that a gate may rest on.
      const showsNothing = reported || preparation !== null;
      const { clean, finding } = sessionCleanness(
        { effort: dto.effort, symptoms: felt, items: dto.items, reported, preparation: preparation !== null },
        drills,
      );
      const fitted = fittedTo(drills, traineeBody(trainee));
      const handLoad = loggedHandLoad(
        dto.items.map((i) => ({
          drillId: i.drillId,
          sets: i.sets,
          ...(i.support ? { support: i.support } : {}),
          ...(i.manner ? { manner: i.manner } : {}),
        })),
        fitted,
      );
      const originId = from?.replaces ? (was?.originId ?? from.replaces) : dto.id;
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        insertSession.run({
          runId: from?.runId ?? null,
          classId: from?.classId ?? null,
          replaces: from?.replaces ?? null,
          id: dto.id,
          plannedSessionId: dto.plannedSessionId ?? null,
          performedAt: dto.performedAt,
          effort: dto.effort,
          minutes: dto.minutes,
          note: dto.note,
          traineeId,
          studioId,
          coachId: actor.coachId,
          clean: clean ? 1 : 0,
          cleanFinding: JSON.stringify(finding),
          practised: JSON.stringify(showsNothing ? [] : practisedIn(dto.items, fitted)),
          reportedBy: reported ? 'trainee' : null,
          preparation,
          rulesVersion: RULES_VERSION,
          originId: from?.replaces ? originId : null,
          reason: from?.reason ?? null,
          recordedAt: instant(now()),
          push: handLoad.push,
          pull: handLoad.pull,
          jointDoses: JSON.stringify(handLoad.byJoint),
          sideDoses: JSON.stringify(handLoad.bySide),
          drillIds: JSON.stringify([...new Set(dto.items.filter((i) => i.sets.length > 0).map((i) => i.drillId))]),
        });
        dto.items.forEach(({ sets, ...item }, position) => {
          insertItem.run({
            ...item,
            support: item.support ? JSON.stringify(item.support) : null,
            manner: item.manner ? JSON.stringify(item.manner) : null,
            skipped: item.skipped ?? null,
            sessionId: dto.id,
            position,
          });
          sets.forEach((set, at) =>
            insertSet.run({
              ...set,
              feeling: set.feeling ?? null,
              unconfirmed: showsNothing || set.unconfirmed ? 1 : 0,
              itemId: item.id,
              position: at,
              faults: JSON.stringify(set.faults),
            }),
          );
        });
        // Of a run the symptoms are there already, and of a session that is corrected.
        if (!from) for (const symptom of dto.symptoms) symptoms.write(actor, traineeId, symptom, { sessionId: dto.id });
      });
      return { ...dto, symptoms: felt, originId, clean, finding, cleanReason: '', load: sessionLoad(dto.effort, dto.minutes), handLoad };
    },

    /** Puts a session in the place of one on record; what was felt stays as it was reported. */
    correct(actor: Actor, traineeId: string, { replaces, reason, session }: SessionCorrectionDto): SessionReply {
      mustMay(actor, 'log');
      const old = toCorrect.get({ id: replaces, traineeId });
      if (!old) throw new Refusal('fact-missing');
      if (!old.inForce && !isOnRecord.get({ id: session.id })) throw new Refusal('fact-not-in-force');
      return this.log(actor, traineeId, { ...session, symptoms: [] }, { runId: old.runId, classId: old.classId, replaces, reason });
    },
  };
}

export type SessionStore = ReturnType<typeof sessionStore>;

/** A session that was clean until a symptom of it was reported later, or corrected. */
function spoiled(felt: readonly SymptomReply[]): Partial<Pick<SessionReply, 'clean' | 'finding'>> {
  const finding = spoiledBy(felt);
  return finding ? { clean: false, finding } : {};
}
