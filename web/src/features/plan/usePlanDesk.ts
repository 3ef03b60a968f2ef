import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { weeksLater } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { useMemo } from 'react';
import { useDesk } from '../../client/useDesk.ts';
import { useSavePlansMutation } from './endpoints.ts';
import { type BlockDraft, emptyDraft, nextPlan, rebased, withWeeks } from './planDraft.ts';

/** The weeks of a trainee under the coach's hands: edits of any of them are one draft, saved together. */
export function usePlanDesk(
  traineeId: string,
  { from, weeks }: { readonly from: CalendarDay; readonly weeks: number },
  saved: readonly PlanReply[],
) {
  const [send, sending] = useSavePlansMutation();
  const { value, edit, ...desk } = useDesk<BlockDraft>({
    key: `plan:${traineeId}`,
    initial: emptyDraft,
    version: undefined,
    send: ({ revision, weeks: changed }) => send({ traineeId, body: { revision, plans: Object.values(changed) } }),
    sending,
    rebase: (mine) => rebased(mine, saved),
  });
  // A week without a plan gets its ids once, so that what is shown stays what it is.
  const fresh = useMemo(
    () =>
      Array.from({ length: weeks }, (_, i) => {
        const weekStart = weeksLater(from, i);
        return nextPlan(weekStart, saved.find((s) => s.weekStart === weekStart) ?? null);
      }),
    [from, weeks, saved],
  );
  const shown = fresh.map((week) => value.weeks[week.weekStart] ?? week);
  return { ...desk, weeks: shown, edit: (changed: readonly PlanDto[]) => changed.length > 0 && edit(withWeeks(value, changed)) };
}

export type PlanDesk = ReturnType<typeof usePlanDesk>;
