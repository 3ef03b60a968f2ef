import type { TraineeDto } from '@myokinet/core/contracts';
import { ageOn } from '@myokinet/core/quantities';
import type { Person } from '@myokinet/core/reference';

/** Whom published tables must describe. Where only the birth year is known, the age is the one reached this year. */
export function personOf({ sex, birthYear, birthDate }: Pick<TraineeDto, 'sex' | 'birthYear' | 'birthDate'>, now: Date): Person {
  const age = ageOn({ birthYear, birthDate: birthDate ?? null }, now).years;
  return sex === 'unstated' ? { age } : { age, sex };
}
