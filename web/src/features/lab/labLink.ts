import type { SetUp } from '@myokinet/core/statics';

/** The address of a set-up in a trainee's lab. */
export function labLink(traineeId: string, setUp: SetUp): string {
  return `/trainees/${traineeId}/lab?setUp=${encodeURIComponent(JSON.stringify(setUp))}`;
}
