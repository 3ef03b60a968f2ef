import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

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
