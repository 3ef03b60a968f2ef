import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { PlanProposal } from '@myokinet/core/planning';
import type { Schools } from '@myokinet/core/schools';

/** A proposal that can be laid beside others. */
export interface KeptProposal {
  readonly id: string;
  readonly traineeId: string;
  readonly label: string;
  /** Monday of its first week, and how many weeks it has. */
  readonly from: string;
  readonly weeks: number;
  /** What it does otherwise than the studio. */
  readonly schools: Partial<Schools>;
  readonly proposal: PlanProposal;
  /** Sessions that it was planned around, and that stay when it is put on the desk. */
  readonly keeps: readonly string[];
}

/** Where the store keeps them. */
export interface ProposalState {
  readonly proposals: readonly KeptProposal[];
}

/** So many are kept for each trainee; the oldest goes first. */
const MOST_KEPT = 4;

/** Proposals of this sitting, to be compared; what is put on the desk is a draft and outlives a reload. */
const slice = createSlice({
  name: 'proposals',
  initialState: [] as readonly KeptProposal[],
  reducers: {
    proposed: (state, { payload }: PayloadAction<KeptProposal>) => {
      const own = [...state.filter((p) => p.traineeId === payload.traineeId && p.label !== payload.label), payload].slice(-MOST_KEPT);
      return [...state.filter((p) => p.traineeId !== payload.traineeId), ...own];
    },
    letGo: (state, { payload }: PayloadAction<string>) => state.filter((p) => p.id !== payload),
  },
});

export const proposalsReducer = slice.reducer;
export const { proposed, letGo } = slice.actions;
