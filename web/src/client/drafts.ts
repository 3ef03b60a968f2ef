import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/**
 * What has been typed but not yet saved, by the name of the form. It outlives a reload and a closed
 * tab, and goes only when the server has said that it is saved, or when the coach throws it away.
 */
export type Drafts = Readonly<Record<string, unknown>>;

const STORAGE_KEY = 'myokinet.drafts.1';

const slice = createSlice({
  name: 'drafts',
  initialState: {} as Drafts,
  reducers: {
    drafted: (state, { payload }: PayloadAction<{ key: string; value: unknown }>) => ({ ...state, [payload.key]: payload.value }),
    /** The server has it. */
    discarded: (state, { payload }: PayloadAction<string>) => without(state, payload),
    /** The coach wants it gone; it waits in the bin until something else is thrown away. */
    thrownAway: (state, { payload }: PayloadAction<Draft>) => without(state, payload.key),
    takenBack: (state, { payload }: PayloadAction<Draft>) => ({ ...state, [payload.key]: payload.value }),
  },
});

interface Draft {
  readonly key: string;
  readonly value: unknown;
}

function without(drafts: Drafts, gone: string): Drafts {
  return Object.fromEntries(Object.entries(drafts).filter(([key]) => key !== gone));
}

export const draftsReducer = slice.reducer;
export const { drafted, discarded, thrownAway, takenBack } = slice.actions;

/** What was thrown away last, and how often something came back (forms start anew then). */
export interface Bin {
  readonly thrown?: Draft;
  readonly returns: number;
}

const bin = createSlice({
  name: 'bin',
  initialState: { returns: 0 } as Bin,
  reducers: { binEmptied: ({ returns }) => ({ returns }) },
  extraReducers: (build) => {
    build.addCase(slice.actions.thrownAway, ({ returns }, { payload }) => ({ returns, thrown: payload }));
    build.addCase(slice.actions.takenBack, ({ returns }) => ({ returns: returns + 1 }));
    // Whoever types anew in the same form has moved on.
    build.addCase(slice.actions.drafted, (state, { payload }) => (state.thrown?.key === payload.key ? { returns: state.returns } : state));
  },
});

export const binReducer = bin.reducer;
export const { binEmptied } = bin.actions;

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
