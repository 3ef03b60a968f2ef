import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { useDesk } from '../app/useDesk.ts';
import { useSavePlanMutation } from '../trainee/endpoints.ts';
import { nextPlan } from './planDraft.ts';

/** One week under the coach's hands. */
export function usePlanDesk(traineeId: string, weekStart: string, saved: PlanReply | null) {
  const [send, sending] = useSavePlanMutation();
  const { value: plan, ...desk } = useDesk<PlanDto>({
    key: `plan:${traineeId}:${weekStart}`,
    initial: () => nextPlan(weekStart, saved),
    version: saved?.revision,
    send: (body) => send({ traineeId, body }),
    sending,
    rebase: (mine) => ({ ...mine, id: saved?.id ?? mine.id, basedOn: saved?.revision ?? null }),
  });
  return { plan, ...desk };
}
