import { tryAgain } from '@myokinet/core/safety';
import type { SymptomValues } from './SymptomFields.tsx';

/** What a report keeps of the form: whether it was tried again only where that says something. */
export function feltValues<V extends SymptomValues>({ retest, ...values }: V) {
  return { ...values, ...(retest && tryAgain(values) ? { retest } : {}) };
}
