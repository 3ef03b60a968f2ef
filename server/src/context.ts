import type { Database } from 'better-sqlite3';

/** Who is signed in. For now the one built-in coach; accounts take this place. */
export interface Identity {
  readonly studioId: string;
  readonly coachId: string;
}

export const BUILT_IN_COACH: Identity = {
  studioId: '0190d0a0-0000-7000-8000-000000000001',
  coachId: '0190d0a0-0000-7000-8000-000000000002',
};

/** What every store works with. */
export interface Context {
  readonly db: Database;
  readonly who: Identity;
  readonly now: () => Date;
}
