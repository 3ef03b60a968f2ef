import type { TraineeReply } from '@myokinet/core/contracts';
import { type KnownBody, traineeBody } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { useOutletContext } from 'react-router';

/** The body of the trainee whose pages are open, with what scale readings have taught about it. */
export function useCurrentBody(): KnownBody {
  const trainee = useCurrentTrainee();
  const { sex, stature, mass, armLength, legLength, belief } = trainee;
  return useMemo(
    () => traineeBody({ sex, stature, mass, armLength, legLength, belief }),
    [sex, stature, mass, armLength, legLength, belief],
  );
}

/** The trainee whose pages are open; the layout has loaded them. */
export function useCurrentTrainee(): TraineeReply {
  return useOutletContext<TraineeReply>();
}
