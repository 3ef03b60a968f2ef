import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { useState } from 'react';
import { useDraft } from '../app/useDraft.ts';
import { newId } from '../app/newId.ts';
import { problemFrom } from '../app/problem.ts';
import { useSavePlanMutation } from '../trainee/endpoints.ts';
import { nextPlan } from './planDraft.ts';

const MOST_STEPS = 100;

interface History {
  readonly past: readonly PlanDto[];
  readonly future: readonly PlanDto[];
}

const NO_HISTORY: History = { past: [], future: [] };

/** One week under the coach's hands: edits with undo and redo, kept on the device until saved. */
export function usePlanDesk(traineeId: string, weekStart: string, saved: PlanReply | null) {
  const draft = useDraft<PlanDto>(`plan:${traineeId}:${weekStart}`, () => nextPlan(weekStart, saved), saved?.revision);
  const [history, setHistory] = useState<History>(NO_HISTORY);
  const [send, { isLoading: saving, error, reset }] = useSavePlanMutation();
  const plan = draft.value;

  const edit = (next: PlanDto) => {
    setHistory({ past: [...history.past, plan].slice(-MOST_STEPS), future: [] });
    // Other content is another revision, even when an earlier try may have reached the server.
    draft.change({ ...next, revision: newId() });
  };

  const step = (from: keyof History, to: keyof History) => {
    const target = history[from].at(-1);
    if (!target) return;
    setHistory({ ...history, [from]: history[from].slice(0, -1), [to]: [...history[to], plan] });
    draft.change({ ...target, basedOn: plan.basedOn, revision: newId() });
  };

  const settle = () => {
    setHistory(NO_HISTORY);
    reset();
  };

  return {
    plan,
    edit,
    unsaved: draft.exists,
    saving,
    error,
    conflict: problemFrom(error)?.code === 'edited-elsewhere',
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    undo: () => step('past', 'future'),
    redo: () => step('future', 'past'),
    startOver: () => {
      draft.throwAway();
      settle();
    },
    /** Puts this version on top of the one that was saved elsewhere. */
    keepMine: () => {
      draft.change({ ...plan, id: saved?.id ?? plan.id, basedOn: saved?.revision ?? null, revision: newId() });
      reset();
    },
    save: async () => {
      const result = await send({ traineeId, body: plan });
      if (!result.data) return false;
      draft.discard();
      settle();
      return true;
    },
  };
}
