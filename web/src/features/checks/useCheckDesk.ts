import type { BatteryPatchDto } from '@myokinet/core/contracts';
import {
  batteryAfter,
  type BatteryEvent,
  type BatteryStep,
  blankCheck,
  type Cell,
  type CheckDraft,
  checkFrom,
  isEmpty,
  patchOf,
  type Skips,
} from '@myokinet/core/checking';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { problemFrom } from '../../client/problem.ts';
import { thrownAway } from '../../client/drafts.ts';
import { NO_STEPS, stepFrom, type Steps, travel } from '../../client/steps.ts';
import { useDraft } from '../../client/useDraft.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useBatteryQuery, useDropBatteryMutation, usePatchBatteryMutation, useRecordCheckMutation } from './endpoints.ts';

/** Typing goes out in gulps, so that a figure of three digits is one message. */
const GULP = 400;
const LOOK_AGAIN = 8000;

const FINISHED = 'This battery was saved on another device. What it did not have yet is kept here, as a check of its own.';
const SAVED_ELSEWHERE = 'This battery was saved on another device.';
const GIVEN_UP_ELSEWHERE = 'This battery was given up on another device. What this one has is kept here, as a battery of its own.';

/** A battery under the coach's hands: on this device at once, on the server soon after, with undo. The scope is what it is about, where the page knows. */
export function useCheckDesk(traineeId: string, scope?: string) {
  const key = `check:${traineeId}`;
  const draft = useDraft<CheckDraft>(key, () => blankCheck(newId, nowInstant()));
  const dispatch = useDispatch();
  const { measure: measureOf } = useLibrary();
  const value = whole(draft.value);
  const battery = useBatteryQuery(traineeId, {
    refetchOnMountOrArgChange: true,
    pollingInterval: LOOK_AGAIN,
    skipPollingIfUnfocused: true,
  });
  const [patch] = usePatchBatteryMutation();
  const [drop] = useDropBatteryMutation();
  const [record, recording] = useRecordCheckMutation();
  const [history, setHistory] = useState<Steps<BatteryStep>>(NO_STEPS);
  const [notice, setNotice] = useState('');
  const [failure, setFailure] = useState<unknown>();
  const [heardFirst, setHeardFirst] = useState(false);
  const theirs = battery.data?.battery;
  // Once what the server knew at first is in the draft; what comes later goes in beside the work.
  if (
    !heardFirst &&
    battery.data &&
    (!theirs || JSON.stringify(after(value, { kind: 'heard', battery: theirs })) === JSON.stringify(value))
  )
    setHeardFirst(true);
  const sentAt = useRef(0);
  const typedIn = useRef<string | undefined>(undefined);
  /** Batteries that this page has saved or given up. */
  const gone = useRef<ReadonlySet<string>>(new Set());

  const ended = (words: string, isSaved: boolean) => {
    const rest = after(value, { kind: 'ended elsewhere', saved: isSaved });
    setHistory(NO_STEPS);
    if (isEmpty(rest)) draft.discard();
    else draft.change(rest);
    setNotice(words);
  };

  const sent = useEffectEvent((body: BatteryPatchDto) => draft.amend((now) => after(whole(now), { kind: 'sent', patch: body })));
  const over = useEffectEvent(() => ended(FINISHED, true));
  const send = useEffectEvent(async (body: BatteryPatchDto) => {
    const result = await patch({ traineeId, body });
    sentAt.current = Date.now();
    if (result.data) sent(body);
    else if (problemFrom(result.error)?.code === 'battery-finished') over();
    setFailure(result.error);
  });

  // Goes out a moment after the last change; a device that was offline tries again when the battery is looked at anew.
  const outstanding = draft.exists && !recording.isLoading ? patchOf(value) : undefined;
  const pending = JSON.stringify(outstanding ?? null);
  useEffect(() => {
    const body = JSON.parse(pending) as BatteryPatchDto | null;
    if (!body) return undefined;
    const timer = setTimeout(() => void send(body), GULP);
    return () => clearTimeout(timer);
  }, [pending, battery.fulfilledTimeStamp]);

  const take = useEffectEvent((theirs: typeof battery.data, askedAt: number) => {
    if (!theirs) return;
    if (theirs.battery) {
      const { battery: open } = theirs;
      // Asked for before it was saved or given up, answered after.
      if (gone.current.has(open.id)) return;
      const heard = (now: CheckDraft) => after(now, { kind: 'heard', battery: open });
      if (JSON.stringify(heard(value)) !== JSON.stringify(value)) draft.update((now) => heard(whole(now)));
    } else if (Object.keys(value.synced).length > 0 && askedAt > sentAt.current) {
      const isSaved = theirs.saved.includes(value.id);
      ended(isSaved ? SAVED_ELSEWHERE : GIVEN_UP_ELSEWHERE, isSaved);
    }
  });
  useEffect(() => take(battery.data, battery.startedTimeStamp ?? 0), [battery.data, battery.startedTimeStamp]);

  const put = (event: BatteryEvent) => {
    const now = after(value, event);
    draft.change(scope === undefined ? now : after(now, { kind: 'scope', scope }));
  };
  /** One step of undo for each figure, not for each of its digits. */
  const edit = (event: BatteryEvent, typing?: string) => {
    if (typing === undefined || typing !== typedIn.current) setHistory(stepFrom(history, { cells: value.cells, skips: value.skips }));
    typedIn.current = typing;
    put(event);
  };
  const step = (way: 'undo' | 'redo') => {
    const travelled = travel(history, way, { cells: value.cells, skips: value.skips });
    if (!travelled) return;
    typedIn.current = undefined;
    setHistory(travelled.steps);
    put({ kind: 'travel', to: travelled.to });
  };

  return {
    value,
    exists: draft.exists,
    /** Whether it is still unknown if another device is at it, or what it knows has not been taken over yet. */
    isLoading: battery.isLoading || (battery.data !== undefined && !heardFirst),
    notice,
    /** Whether everything is on the server, so that another device can go on. */
    synced: outstanding === undefined,
    failure,
    error: recording.error,
    saving: recording.isLoading,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    undo: () => step('undo'),
    redo: () => step('redo'),
    setTakenAt: (at: string | null) => draft.change(after(value, { kind: 'dated', at })),
    setNote: (note: string) => draft.change(after(value, { kind: 'note', note })),
    setCell: (cell: string, figure: Pick<Cell, 'text' | 'reading'>) =>
      edit({ kind: 'figure', cell, figure }, figure.reading ? undefined : cell),
    setSkip: (measureId: string, reason: Skips[string] | undefined) => edit({ kind: 'skip', measureId, reason }),
    giveUp: () => {
      // Taken back, it is a battery of its own.
      dispatch(thrownAway({ key, value: { ...value, id: newId(), synced: {} } }));
      setHistory(NO_STEPS);
      gone.current = new Set([...gone.current, value.id]);
      void drop({ traineeId, batteryId: value.id });
    },
    save: async () => {
      const saving = after(value, { kind: 'saving', at: nowInstant() });
      draft.change(saving);
      const result = await record({ traineeId, body: checkFrom(saving, saving.takenAt ?? nowInstant(), measureOf) });
      if (!result.data) return false;
      sentAt.current = Date.now();
      gone.current = new Set([...gone.current, value.id]);
      draft.discard();
      return true;
    },
  };
}

const after = (draft: CheckDraft, event: BatteryEvent) => batteryAfter(draft, event, newId);

/** A draft that was kept by an older version of the app lacks the newer parts. */
function whole(draft: Partial<CheckDraft> & Pick<CheckDraft, 'id'>): CheckDraft {
  return { takenAt: null, startedAt: nowInstant(), scope: 'gate', note: '', cells: {}, skips: {}, synced: {}, ...draft };
}

export type CheckDesk = ReturnType<typeof useCheckDesk>;
