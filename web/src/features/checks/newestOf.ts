import type { CheckReply } from '@myokinet/core/contracts';
import type { Capacity } from '@myokinet/core/measuring';
import { checkKey } from '@myokinet/core/readiness';

/** The newest capacity of each check and side. */
export function newestOf(checks: readonly Pick<CheckReply, 'capacities'>[]): readonly Capacity[] {
  const newest = new Map<string, Capacity>();
  for (const c of checks.flatMap((check) => check.capacities)) {
    const key = checkKey(c.measureId, c.side);
    if (!newest.has(key)) newest.set(key, c);
  }
  return [...newest.values()];
}
