import type { PlanProposal } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { format } from 'date-fns';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { newId } from '../../client/newId.ts';
import { useSchools } from '../../client/LibraryContext.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { withProposal } from './planDraft.ts';
import { proposed } from './proposals.ts';
import type { PlanDesk } from './usePlanDesk.ts';
import { usePlanner } from './usePlanner.ts';
import { usePlanRequest } from './usePlanRequest.ts';

/** What a search that shall find better has, in seconds. */
export const LONGER_SECONDS = 30;

/** Runs the planner for the weeks on the desk and lays its proposal there, as one step that can be undone. */
export function usePlanning(desk: PlanDesk, { from, now }: { readonly from: CalendarDay; readonly now: Date }) {
  const dispatch = useDispatch();
  const trainee = useCurrentTrainee();
  const studio = useSchools();
  const planner = usePlanner();
  const requestFor = usePlanRequest(from);
  const [latest, setLatest] = useState<PlanProposal | undefined>();

  const plan = async (seconds?: number) => {
    setLatest(undefined);
    const request = requestFor(desk.weeks, { now });
    const proposal = await planner.propose(seconds ? { ...request, seconds, gap: 0 } : request, 'Planning');
    setLatest(proposal);
    if (!proposal || proposal.refusal) return;
    desk.edit(withProposal(desk.weeks, proposal, request.input));
    const schools = desk.weeks[0]?.schools ?? {};
    const { rhythm } = { ...studio, ...schools };
    const label = `${rhythm}, planned ${format(new Date(), 'HH:mm')}`;
    dispatch(
      proposed({
        id: newId(),
        traineeId: trainee.id,
        label,
        from,
        weeks: desk.weeks.length,
        schools,
        proposal,
        keeps: request.input.kept.map((s) => s.id),
      }),
    );
  };

  return { planner, latest, close: () => setLatest(undefined), plan };
}
