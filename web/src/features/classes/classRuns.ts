import type { ClassEvent, ClassHead, ClassMember } from '@myokinet/core/classes';
import type { ClassPersonReply, ClassReply } from '@myokinet/core/contracts';
import type { LibraryContent } from '@myokinet/core/library';
import type { Instant } from '@myokinet/core/quantities';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Problem } from '../../client/problem.ts';

/** Everything a class needs, taken along so that it goes on without the server. */
export interface ClassPack {
  readonly id: string;
  readonly head: ClassHead;
  readonly members: readonly ClassMember[];
  readonly people: readonly ClassPersonReply[];
  readonly content: LibraryContent;
  readonly packedAt: Instant;
}

/** A class on this device. */
export interface ClassRun {
  readonly pack: ClassPack;
  readonly events: readonly ClassEvent[];
  /** Ids of events that the server has not got. */
  readonly unsent: readonly string[];
  /** How what happened gets to the server. */
  readonly link: 'kept' | 'sending' | 'offline' | 'refused';
  readonly problem?: Problem | undefined;
  /** Why this browser keeps nothing. */
  readonly keepsNothing?: string;
  /** Open stop signs, as the server last said. */
  readonly stopped: Readonly<Record<string, readonly string[]>>;
  readonly sessions: Readonly<Record<string, string>>;
  /** Who takes part, as far as the server knows. */
  readonly known: readonly string[];
  readonly unreadable: readonly string[];
}

type ClassRuns = Readonly<Record<string, ClassRun>>;

/** Where the store keeps them. */
export interface ClassesState {
  readonly classes: ClassRuns;
}

interface Of {
  readonly id: string;
}
type Kept = Pick<ClassRun, 'events' | 'unsent'>;

const slice = createSlice({
  name: 'classes',
  initialState: {} as ClassRuns,
  reducers: {
    opened: (runs, { payload: { pack, events, unsent } }: PayloadAction<{ pack: ClassPack } & Kept>): ClassRuns => {
      const known = runs[pack.id];
      return {
        ...runs,
        [pack.id]: {
          link: unsent.length > 0 ? 'sending' : 'kept',
          sessions: {},
          known: [],
          unreadable: [],
          stopped: Object.fromEntries(pack.people.flatMap((p) => (p.stopped.length > 0 ? [[p.traineeId, p.stopped]] : []))),
          ...known,
          pack,
          events: merged(known?.events ?? [], events),
          unsent: [...new Set([...(known?.unsent ?? []), ...unsent])],
        },
      };
    },
    happened: (runs, { payload: { id, event } }: PayloadAction<Of & { event: ClassEvent }>): ClassRuns =>
      changed(runs, id, (run) => ({ ...run, events: merged(run.events, [event]), unsent: [...run.unsent, event.id] })),
    /** Another page of this device has kept events, or let somebody in. */
    foundHere: (runs, { payload: { id, pack, events, unsent } }: PayloadAction<Of & { pack?: ClassPack | undefined } & Kept>): ClassRuns =>
      changed(runs, id, (run) => ({
        ...run,
        pack: pack ? { ...pack, head: run.pack.head, members: joined(run.pack.members, pack.members) } : run.pack,
        events: merged(run.events, events),
        unsent: [...new Set([...run.unsent, ...unsent])],
      })),
    /** Somebody came in late. */
    cameIn: (runs, { payload: { id, pack } }: PayloadAction<Of & { pack: ClassPack }>): ClassRuns =>
      changed(runs, id, (run) => ({ ...run, pack })),
    answered: (runs, { payload: { id, reply, sent } }: PayloadAction<Of & { reply: ClassReply; sent: readonly string[] }>): ClassRuns =>
      changed(runs, id, (run) => {
        const there = new Set([...sent, ...reply.events.map((e) => e.id)]);
        const unsent = run.unsent.filter((one) => !there.has(one));
        return {
          ...run,
          problem: undefined,
          pack: { ...run.pack, head: reply.head, members: joined(reply.members, run.pack.members) },
          events: merged(run.events, reply.events),
          unsent,
          link: unsent.length > 0 ? 'sending' : 'kept',
          stopped: reply.stopped,
          sessions: reply.sessions,
          known: reply.members.map((m) => m.traineeId),
          unreadable: reply.unreadable,
        };
      }),
    linked: (
      runs,
      { payload: { id, link, problem } }: PayloadAction<Of & { link: ClassRun['link']; problem?: Problem | undefined }>,
    ): ClassRuns => changed(runs, id, (run) => ({ ...run, link, problem })),
    refusesToKeep: (runs, { payload: { id, why } }: PayloadAction<Of & { why: string }>): ClassRuns =>
      changed(runs, id, (run) => ({ ...run, keepsNothing: why })),
  },
});

function changed(runs: ClassRuns, id: string, change: (run: ClassRun) => ClassRun): ClassRuns {
  const run = runs[id];
  return run ? { ...runs, [id]: change(run) } : runs;
}

function merged(known: readonly ClassEvent[], more: readonly ClassEvent[]): readonly ClassEvent[] {
  const ids = new Set(known.map((e) => e.id));
  const fresh = more.filter((e) => !ids.has(e.id));
  return fresh.length === 0 ? known : [...known, ...fresh];
}

/** Of each what was known first. */
function joined(first: readonly ClassMember[], more: readonly ClassMember[]): readonly ClassMember[] {
  const ids = new Set(first.map((m) => m.traineeId));
  return [...first, ...more.filter((m) => !ids.has(m.traineeId))];
}

export const classesReducer = slice.reducer;
export const classActions = slice.actions;
