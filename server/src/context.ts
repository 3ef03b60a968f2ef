import type { Database } from 'better-sqlite3';

/** A studio is a file: inside it every row names the same studio. */
export const STUDIO_ID = '0190d0a0-0000-7000-8000-000000000001';

/** What the studio of the demo is called. */
export const DEMO_STUDIO = 'Demo studio';

/** What every store of a studio works with; who does something is an argument of what it does. */
export interface Context {
  readonly db: Database;
  readonly studioId: string;
  /** Under which the file is found from outside; absent: the studio's own. */
  readonly fileId?: string;
  readonly now: () => Date;
}
