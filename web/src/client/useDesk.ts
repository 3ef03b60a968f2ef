import { useState } from 'react';
import { newId } from './newId.ts';
import { problemFrom } from './problem.ts';
import { NO_STEPS, stepFrom, type Steps, travel } from './steps.ts';
import { useDraft } from './useDraft.ts';

/** Something saved in revisions, each naming the one it edits. */
interface Revised {
  readonly revision: string;
  readonly basedOn?: string | null;
}

export interface DeskOptions<T> {
  /** Name of the draft. */
  readonly key: string;
  readonly initial: () => T;
  /** The revision it starts from; another one makes another start. */
  readonly version: string | undefined;
  readonly send: (value: T) => Promise<{ readonly data?: unknown }>;
  readonly sending: { readonly isLoading: boolean; readonly error?: unknown; readonly reset: () => void };
  /** Puts this version on top of the one that was saved elsewhere. */
  readonly rebase: (value: T) => T;
}

/** A document under the coach's hands: edits with undo and redo, kept on the device until saved. */
export function useDesk<T extends Revised>({ key, initial, version, send, sending, rebase }: DeskOptions<T>) {
  const draft = useDraft<T>(key, initial, version);
  const [history, setHistory] = useState<Steps<T>>(NO_STEPS);
  const { value } = draft;

  // Other content is another revision, even when an earlier try may have reached the server.
  const put = (next: T) => draft.change({ ...next, revision: newId() });

  const edit = (next: T) => {
    setHistory(stepFrom(history, value));
    put(next);
  };

  const step = (way: 'undo' | 'redo') => {
    const travelled = travel(history, way, value);
    if (!travelled) return;
    setHistory(travelled.steps);
    put({ ...travelled.to, basedOn: value.basedOn });
  };

  const settle = () => {
    setHistory(NO_STEPS);
    sending.reset();
  };

  return {
    value,
    edit,
    unsaved: draft.exists,
    saving: sending.isLoading,
    error: sending.error,
    conflict: problemFrom(sending.error)?.code === 'edited-elsewhere',
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    undo: () => step('undo'),
    redo: () => step('redo'),
    startOver: () => {
      draft.throwAway();
      settle();
    },
    keepMine: () => {
      put(rebase(value));
      sending.reset();
    },
    save: async () => {
      const result = await send(value);
      if (!result.data) return false;
      draft.discard();
      settle();
      return true;
    },
  };
}
