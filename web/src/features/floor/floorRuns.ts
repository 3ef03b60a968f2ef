import type { FloorPhotoReply, FloorRunReply } from '@myokinet/core/contracts';
import type { FloorEvent } from '@myokinet/core/floor';
import type { CautionInForce } from '@myokinet/core/safety';
import { lockInWords } from '@myokinet/core/words';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Problem } from '../../client/problem.ts';
import type { FloorPack, KeptPhoto } from './keep.ts';

/** How what happened gets to the server: all there, on its way, no answer, or refused. */
export type Link = 'kept' | 'sending' | 'offline' | 'refused';

/** A run on this device. */
export interface FloorRun {
  readonly pack: FloorPack;
  readonly events: readonly FloorEvent[];
  /** Ids of events that the server has not got. */
  readonly unsent: readonly string[];
  readonly unsentPhotos: readonly KeptPhoto[];
  readonly photos: readonly FloorPhotoReply[];
  readonly link: Link;
  readonly problem?: Problem;
  /** The browser refuses to keep sets: each goes to the server before it counts. */
  readonly keepsNothing?: string;
  /** Why loaded work pauses, as the server last said. */
  readonly holds: readonly string[];
  /** In force, as the server last said: each closes what it closes. */
  readonly cautions: readonly CautionInForce[];
  readonly sessionId?: string;
  /** What the server could not read of it. */
  readonly unreadable?: readonly string[];
}

type FloorRuns = Readonly<Record<string, FloorRun>>;

/** Where the store keeps them. */
export interface FloorState {
  readonly floor: FloorRuns;
}

interface Of {
  readonly runId: string;
}

/** What the pack itself says, until the server answers. */
function holdsOf({ trainee, history, packedAt }: FloorPack): readonly string[] {
  return [
    ...history.stopSigns.filter((s) => !s.closure).map((s) => s.reason),
    ...trainee.screening.locks.map((lock) => lockInWords(lock, new Date(packedAt))),
  ];
}

const slice = createSlice({
  name: 'floor',
  initialState: {} as FloorRuns,
  reducers: {
    opened: (
      runs,
      { payload }: PayloadAction<{ pack: FloorPack } & Pick<FloorRun, 'events' | 'unsent'> & { photos: readonly KeptPhoto[] }>,
    ): FloorRuns => {
      const { pack, events, unsent, photos } = payload;
      const known = runs[pack.id];
      return {
        ...runs,
        [pack.id]: {
          photos: [],
          link: unsent.length > 0 ? 'sending' : 'kept',
          holds: holdsOf(pack),
          cautions: pack.trainee.screening.cautions,
          ...known,
          pack,
          events: merged(known?.events ?? [], events),
          unsent: [...new Set([...(known?.unsent ?? []), ...unsent])],
          unsentPhotos: photos,
        },
      };
    },
    happened: (runs, { payload: { runId, event } }: PayloadAction<Of & { event: FloorEvent }>): FloorRuns =>
      changed(runs, runId, (run) => ({ ...run, events: merged(run.events, [event]), unsent: [...run.unsent, event.id] })),
    /** Another page of this device has kept events. */
    foundHere: (runs, { payload: { runId, events, unsent } }: PayloadAction<Of & Pick<FloorRun, 'events' | 'unsent'>>): FloorRuns =>
      changed(runs, runId, (run) => ({
        ...run,
        events: merged(run.events, events),
        unsent: [...new Set([...run.unsent, ...unsent])],
      })),
    answered: (
      runs,
      { payload: { runId, reply, sent } }: PayloadAction<Of & { reply: FloorRunReply; sent: readonly string[] }>,
    ): FloorRuns =>
      changed(runs, runId, ({ problem: _, ...run }) => {
        const there = new Set([...sent, ...reply.events.map((e) => e.id)]);
        const unsent = run.unsent.filter((id) => !there.has(id));
        return {
          ...run,
          pack: { ...run.pack, head: reply.head },
          events: merged(run.events, reply.events),
          unsent,
          link: unsent.length > 0 ? 'sending' : 'kept',
          holds: reply.holds,
          cautions: reply.cautions,
          photos: reply.photos,
          unreadable: reply.unreadable,
          ...(reply.sessionId ? { sessionId: reply.sessionId } : {}),
        };
      }),
    linked: (runs, { payload: { runId, link, problem } }: PayloadAction<Of & { link: Link; problem?: Problem | undefined }>): FloorRuns =>
      changed(runs, runId, (run) => ({ ...run, link, ...(problem ? { problem } : {}) })),
    refusesToKeep: (runs, { payload: { runId, why } }: PayloadAction<Of & { why: string }>): FloorRuns =>
      changed(runs, runId, (run) => ({ ...run, keepsNothing: why })),
    photoKept: (runs, { payload: { runId, photo } }: PayloadAction<Of & { photo: KeptPhoto }>): FloorRuns =>
      changed(runs, runId, (run) => ({ ...run, unsentPhotos: [...run.unsentPhotos.filter((p) => p.id !== photo.id), photo] })),
    photoSent: (runs, { payload: { runId, id } }: PayloadAction<Of & { id: string }>): FloorRuns =>
      changed(runs, runId, (run) => ({ ...run, unsentPhotos: run.unsentPhotos.filter((p) => p.id !== id) })),
  },
});

function changed(runs: FloorRuns, runId: string, change: (run: FloorRun) => FloorRun): FloorRuns {
  const run = runs[runId];
  return run ? { ...runs, [runId]: change(run) } : runs;
}

function merged(known: readonly FloorEvent[], more: readonly FloorEvent[]): readonly FloorEvent[] {
  const ids = new Set(known.map((e) => e.id));
  const fresh = more.filter((e) => !ids.has(e.id));
  return fresh.length === 0 ? known : [...known, ...fresh];
}

export const floorReducer = slice.reducer;
export const floorActions = slice.actions;
