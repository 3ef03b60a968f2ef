import type { TraineeDto } from '@myokinet/core/contracts';
import { LADDERS } from '@myokinet/core/ladders';
import { newId } from '../app/newId.ts';

/** A form's values: a number field that is empty is not a number yet. */
export type TraineeValues = Omit<TraineeDto, 'birthYear' | 'stature' | 'mass' | 'sessionMinutes'> &
  Record<'birthYear' | 'stature' | 'mass' | 'sessionMinutes', number | null>;

export function blankTrainee(): TraineeValues {
  return {
    id: newId(),
    revision: newId(),
    basedOn: null,
    name: '',
    birthYear: null,
    sex: 'unstated',
    stature: null,
    mass: null,
    dominantHand: 'right',
    cautions: [],
    history: '',
    ladderId: LADDERS[0]?.id ?? '',
    trainingDays: ['Monday', 'Thursday'],
    sessionMinutes: 45,
    equipment: ['bar', 'step', 'wall', 'strap', 'band', 'bench'],
  };
}
