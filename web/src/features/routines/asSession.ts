import { LIMITS, type SessionDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import type { RoutineDone, RoutinePurpose } from '@myokinet/core/routines';
import { newId } from '../../client/newId.ts';

const MOST_PLANNED = 20;

interface Ran {
  readonly id: string;
  readonly at: Instant;
  readonly name: string;
  readonly purpose: RoutinePurpose;
  readonly items: SessionDto['items'];
  /** Seconds that ran. */
  readonly seconds: number;
  readonly effort: number;
}

/** What was gone through, as it goes on record: its sets ran by the clock, and nobody counted them. */
export function asSession({ id, at, name, purpose, items, seconds, effort }: Ran): SessionDto {
  const minutes = Math.max(1, Math.round(seconds / 60));
  const light = purpose !== 'session';
  return {
    id,
    plannedSessionId: null,
    performedAt: at,
    effort,
    minutes,
    note: light ? '' : name,
    ...(light ? { preparation: name } : {}),
    items,
    symptoms: [],
  };
}

/** What ran of each drill, with ids of its own: made once, so that sending it again is the same. */
export const asItems = (done: readonly RoutineDone[]): SessionDto['items'] =>
  done
    .filter((d) => d.sets.length > 0)
    .map(({ drillId, planned, max, sets }) => ({
      ...{ id: newId(), drillId, plannedSets: Math.min(MOST_PLANNED, Math.max(1, planned)), min: 1, max },
      sets: sets.slice(0, LIMITS.setsPerDrill).map((s) => ({ ...s, id: newId(), unconfirmed: true, faults: [] })),
    }));
