import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import type { Bin, Drafts } from './drafts.ts';

/** What this folder keeps in the store; features that keep more name their own part beside it. */
export interface ClientState {
  readonly drafts: Drafts;
  readonly bin: Bin;
}

/** Dispatch of a store with any state: what features need to ask and send outside the hooks. */
export type Dispatch = ThunkDispatch<unknown, unknown, UnknownAction>;
