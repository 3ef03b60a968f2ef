import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/**
 * What has been typed but not yet saved, by the name of the form. It outlives a reload and a closed
 * tab, and goes only when the server has said that it is saved, or when the coach throws it away.
 */
export type Drafts = Readonly<Record<string, unknown>>;

/** Each draft under a key of its own: two tabs never write over each other's. */
const PREFIX = 'myokinet.draft.';
/** Where an older program kept all of them together. */
const TOGETHER = 'myokinet.drafts.1';

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

/** Takes away what was typed about somebody, by the id that the names of such forms carry. */
export const forgetDraftsOf =
  (id: string) =>
  (dispatch: (action: unknown) => unknown, getState: () => unknown): void => {
    const { drafts } = getState() as { readonly drafts: Drafts };
    for (const key of Object.keys(drafts)) if (key.includes(id)) dispatch(slice.actions.discarded(key));
  };

/** Drafts that outlive the page, each written only where it changed. */
export function draftKeeper(storage: Storage) {
  let kept: Drafts = {};
  const write = (key: string, value: unknown) => {
    try {
      if (value === undefined) storage.removeItem(PREFIX + key);
      else storage.setItem(PREFIX + key, JSON.stringify(value));
    } catch {
      // Storage refused or full: the draft lives on in memory until the page closes.
    }
  };
  return {
    load(): Drafts {
      const together = parsed(storage.getItem(TOGETHER));
      for (const [key, value] of Object.entries((together ?? {}) as Drafts)) write(key, value);
      storage.removeItem(TOGETHER);
      const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '').filter((key) => key.startsWith(PREFIX));
      kept = Object.fromEntries(
        keys.flatMap((key) => {
          const value = parsed(storage.getItem(key));
          return value === undefined ? [] : [[key.slice(PREFIX.length), value]];
        }),
      );
      return kept;
    },
    keep(drafts: Drafts): void {
      if (drafts === kept) return;
      const before = kept;
      kept = drafts;
      for (const key of new Set([...Object.keys(before), ...Object.keys(drafts)])) if (before[key] !== drafts[key]) write(key, drafts[key]);
    },
  };
}

function parsed(text: string | null): unknown {
  try {
    return text === null ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
}
