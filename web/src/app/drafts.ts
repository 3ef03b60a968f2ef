import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { RootState } from './store.ts';

/**
 * What has been typed but not yet saved, by the name of the form. It outlives a reload and a closed
 * tab, and goes only when the server has said that it is saved, or when the coach throws it away.
 */
type Drafts = Readonly<Record<string, unknown>>;

const STORAGE_KEY = 'myokinet.drafts.1';

const slice = createSlice({
  name: 'drafts',
  initialState: {} as Drafts,
  reducers: {
    drafted: (state, { payload }: PayloadAction<{ key: string; value: unknown }>) => ({ ...state, [payload.key]: payload.value }),
    discarded: (state, { payload }: PayloadAction<string>) => Object.fromEntries(Object.entries(state).filter(([key]) => key !== payload)),
  },
});

export const draftsReducer = slice.reducer;
export const { drafted, discarded } = slice.actions;

export function loadDrafts(storage: Storage): Drafts {
  try {
    return JSON.parse(storage.getItem(STORAGE_KEY) ?? '{}') as Drafts;
  } catch {
    return {};
  }
}

let kept: Drafts | undefined;

export function keepDrafts(storage: Storage, drafts: Drafts): void {
  if (drafts === kept) return;
  kept = drafts;
  try {
    storage.setItem(STORAGE_KEY, JSON.stringify(drafts));
  } catch {
    // Storage refused or full: the draft lives on in memory until the page closes.
  }
}

export interface Draft<T> {
  readonly value: T;
  readonly change: (value: T) => void;
  readonly discard: () => void;
  /** False while nothing has been typed. */
  readonly exists: boolean;
}

/**
 * A form's draft: its value, a way to change it, and a way to let it go.
 *
 * @param key name of the form
 * @param initial the value before anything is typed; it may hold new ids, so it is made once
 * @param version of what the form starts from: another version makes another start
 */
export function useDraft<T>(key: string, initial: () => T, version = ''): Draft<T> {
  const dispatch = useDispatch();
  const stored = useSelector((state: RootState) => state.drafts[key]) as T | undefined;
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const fallback = useMemo(initial, [key, version, stored === undefined]);
  const change = useCallback((value: T) => dispatch(drafted({ key, value })), [dispatch, key]);
  const discard = useCallback(() => dispatch(discarded(key)), [dispatch, key]);
  return { value: stored ?? fallback, change, discard, exists: stored !== undefined };
}
