import { useCallback, useState } from 'react';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { discarded, drafted, thrownAway } from './drafts.ts';
import type { ClientState } from './store.ts';

export interface Draft<T> {
  readonly value: T;
  readonly change: (value: T) => void;
  /** The same from what it is by then, for answers that arrive later. */
  readonly update: (change: (value: T) => T) => void;
  /** The same, but only while there is a draft: an answer that comes late must not bring back what is gone. */
  readonly amend: (change: (value: T) => T) => void;
  /** Lets go of what the server has taken. */
  readonly discard: () => void;
  /** Throws it away; the coach can take it back. */
  readonly throwAway: () => void;
  /** Changes when a draft was taken back, so that a form can start from it. */
  readonly returns: number;
  /** False while nothing has been typed. */
  readonly exists: boolean;
}

/**
 * A form's draft: its value, a way to change it, and a way to let it go.
 *
 * @param key name of the form
 * @param initial the value before anything is typed; it may hold new ids, so it is made once for each start
 * @param version of what the form starts from: another version makes another start
 */
export function useDraft<T>(key: string, initial: () => T, version = ''): Draft<T> {
  const dispatch = useDispatch();
  const stored = useSelector((state: ClientState) => state.drafts[key]) as T | undefined;
  const start = `${key} ${version} ${stored === undefined}`;
  const [untouched, setUntouched] = useState(() => ({ start, value: initial() }));
  if (untouched.start !== start) setUntouched({ start, value: initial() });
  const change = useCallback((value: T) => dispatch(drafted({ key, value })), [dispatch, key]);
  const store = useStore<ClientState>();
  const update = useCallback(
    (change: (value: T) => T) => {
      const current = store.getState().drafts[key] as T | undefined;
      dispatch(drafted({ key, value: change(current ?? untouched.value) }));
    },
    [dispatch, key, store, untouched.value],
  );
  const amend = useCallback(
    (change: (value: T) => T) => {
      const current = store.getState().drafts[key] as T | undefined;
      if (current !== undefined) dispatch(drafted({ key, value: change(current) }));
    },
    [dispatch, key, store],
  );
  const discard = useCallback(() => dispatch(discarded(key)), [dispatch, key]);
  const throwAway = useCallback(() => {
    if (stored !== undefined) dispatch(thrownAway({ key, value: stored }));
  }, [dispatch, key, stored]);
  const returns = useSelector((state: ClientState) => state.bin.returns);
  return { value: stored ?? untouched.value, change, update, amend, discard, throwAway, returns, exists: stored !== undefined };
}
