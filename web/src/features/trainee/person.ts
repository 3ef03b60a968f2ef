import type { TraineeDto } from '@myokinet/core/contracts';
import type { Person } from '@myokinet/core/reference';

/** Whom published tables must describe. Only the birth year is known, so the age is the one reached this year. */
export function personOf({ sex, birthYear }: Pick<TraineeDto, 'sex' | 'birthYear'>, now: Date): Person {
  const age = now.getFullYear() - birthYear;
  return sex === 'unstated' ? { age } : { age, sex };
}
