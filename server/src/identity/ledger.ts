import { type Instant, instant } from '@myokinet/core/quantities';
import type { AuditRow } from '@myokinet/core/contracts';
import type { Database } from 'better-sqlite3';
import * as sql from './statements.ts';

interface Happened {
  readonly accountId?: string | null;
  readonly studioId?: string | null;
  readonly about?: string | null;
  readonly address: string;
}

/** What the parts of the accounts share: their file, the time, and the list of what happened. */
export function ledgerOf(db: Database, now: () => Date) {
  const insertEvent = db.prepare(sql.INSERT_EVENT);
  const events = db.prepare<{ studioId: string; limit: number }, AuditRow>(sql.EVENTS_OF_STUDIO);
  const at = (): Instant => instant(now());
  return {
    db,
    now,
    at,
    /** @param what a code, and behind a colon what it is about */
    note(what: string, { accountId = null, studioId = null, about = null, address }: Happened): void {
      insertEvent.run({ at: at(), what, accountId, studioId, about, address });
    },
    eventsOf: (studioId: string, limit: number): readonly AuditRow[] => events.all({ studioId, limit }),
  };
}

export type Ledger = ReturnType<typeof ledgerOf>;
