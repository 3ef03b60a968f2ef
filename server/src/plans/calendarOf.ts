import { fittedTo } from '@myokinet/core/library';
import { calendarDay } from '@myokinet/core/quantities';
import { traineeBody } from '@myokinet/core/statics';
import type { Services } from '../services.ts';
import { calendarFile } from './calendar.ts';

/** A trainee’s sessions and re-checks from today on, as a calendar reads them. */
export function calendarOf(
  { trainees, library, briefs, plans, caseload, now }: Services,
  traineeId: string,
  { reminds = false }: { readonly reminds?: boolean } = {},
): string {
  const trainee = trainees.find(traineeId);
  const moment = now();
  return calendarFile({
    trainee,
    library: fittedTo(library.current(), traineeBody(trainee)),
    brief: briefs.find(traineeId),
    sessions: plans.dated(traineeId, calendarDay(moment)),
    rechecks: caseload.rechecksOf(trainee),
    now: moment,
    reminds,
  });
}
