import type { TraineeDto } from '@myokinet/core/contracts';
import { newId } from '../../client/newId.ts';

/** A form's values: a number field that is empty is not a number yet. */
export type TraineeValues = Omit<TraineeDto, 'birthYear' | 'stature' | 'mass' | 'sessionMinutes'> &
  Record<'birthYear' | 'stature' | 'mass' | 'sessionMinutes', number | null>;

export function blankTrainee(ladderId: string): TraineeValues {
  return {
    id: newId(),
    revision: newId(),
    basedOn: null,
    name: '',
    birthYear: null,
    birthDate: null,
    sex: 'unstated',
    stature: null,
    mass: null,
    dominantHand: 'right',
    history: '',
    ladderId,
    trainingDays: ['Monday', 'Thursday'],
    sessionMinutes: 45,
    equipment: ['bar', 'step', 'wall', 'strap', 'band', 'bench'],
  };
}
