import type { TraineeReply } from '@myokinet/core/contracts';
import { useOutletContext } from 'react-router';

/** The trainee whose pages are open; the layout has loaded them. */
export function useCurrentTrainee(): TraineeReply {
  return useOutletContext<TraineeReply>();
}
