import type { GroupDto, GroupReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { GroupDay } from '@myokinet/core/groups';
import { instant } from '@myokinet/core/quantities';
import { type Actor, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { RoutineStore } from '../routines/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly routines: RoutineStore;
}

/** People who come together. */
export function groupStore(context: Context, { trainees, routines }: Neighbours) {
  const { db, studioId, now } = context;
  const groups = db.prepare<{ studioId: string }, Omit<GroupReply, 'days' | 'memberIds'> & { days: string; members: string }>(sql.GROUPS);
  const byId = db.prepare<{ id: string; studioId: string }, { revision: string; retiredAt: string | null }>(sql.GROUP_BY_ID);
  const put = db.prepare(sql.PUT_GROUP);
  const clearMembers = db.prepare(sql.CLEAR_MEMBERS);
  const putMember = db.prepare(sql.PUT_MEMBER);
  const retire = db.prepare(sql.RETIRE_GROUP);

  const list = (): readonly GroupReply[] =>
    groups.all({ studioId }).map(({ days, members, ...row }) => ({
      ...row,
      days: JSON.parse(days) as readonly GroupDay[],
      memberIds: JSON.parse(members) as readonly string[],
    }));

  return {
    all: list,

    /** Whoever saves over another's is told, and nothing is lost. */
    save(actor: Actor, id: string, dto: GroupDto): readonly GroupReply[] {
      mustMay(actor, 'plan');
      const { revision, basedOn = null, name, place, note, days, routineId = null, memberIds } = dto;
      acceptOnce(context, revision, { id, dto }, () => {
        const there = byId.get({ id, studioId });
        if (there?.retiredAt) throw new Refusal('group-missing');
        if ((there?.revision ?? null) !== basedOn) throw new Refusal(there ? 'edited-elsewhere' : 'group-missing');
        if (routineId !== null && !routines.all().some((r) => r.id === routineId)) throw new Refusal('routine-missing');
        for (const traineeId of memberIds) trainees.find(traineeId);
        const savedAt = instant(now());
        put.run({ id, studioId, coachId: actor.coachId, revision, name, place, note, routineId, days: JSON.stringify(days), savedAt });
        clearMembers.run({ id });
        for (const traineeId of memberIds) putMember.run({ id, traineeId });
      });
      return list();
    },

    /** Takes a group off the list; its classes stay on record. */
    retire(actor: Actor, id: string): readonly GroupReply[] {
      mustMay(actor, 'plan');
      if (retire.run({ id, studioId, at: instant(now()) }).changes === 0) throw new Refusal('group-missing');
      return list();
    },

    known: (id: string): boolean => byId.get({ id, studioId }) !== undefined,
  };
}

export type GroupStore = ReturnType<typeof groupStore>;
