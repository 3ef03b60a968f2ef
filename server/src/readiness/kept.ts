import type { Library } from '@myokinet/core/library';
import type { Database } from 'better-sqlite3';
import { writeWatch } from '../database/writeWatch.ts';

/** So long a verdict of the lists may be as it was, when nothing was written: time alone opens and closes gates too. */
const KEPT_MS = 60_000;
/** More of them are judged together. */
const ONE_BY_ONE = 20;

interface Judge<Judged> {
  /** Who is in the lists, in their order. */
  readonly listed: () => readonly string[];
  readonly all: () => ReadonlyMap<string, Judged>;
  readonly one: (traineeId: string) => Judged;
}

/**
 * Everybody's verdict for the lists, judged anew for those about whom something was written, and for all when the library changed or a
 * minute has gone by. A signature never rests on it.
 */
export function keptVerdicts<Judged>(db: Database, judge: Judge<Judged>) {
  const watch = writeWatch(db);
  let kept: { readonly at: number; readonly library: Library; readonly rows: Map<string, Judged> } | undefined;

  const about = { everybody: 0, each: new Map<string, number>() };

  function renewed(now: Date, library: Library): Map<string, Judged> {
    const stale = watch.take();
    if (stale === 'everybody') about.everybody++;
    else for (const id of stale) about.each.set(id, (about.each.get(id) ?? 0) + 1);
    const age = kept ? now.getTime() - kept.at : Infinity;
    if (!kept || stale === 'everybody' || stale.length > ONE_BY_ONE || kept.library !== library || age < 0 || age >= KEPT_MS) {
      kept = { at: now.getTime(), library, rows: new Map(judge.all()) };
      return kept.rows;
    }
    for (const id of stale) kept.rows.delete(id);
    return kept.rows;
  }

  return {
    all(now: Date, library: Library): readonly Judged[] {
      const rows = renewed(now, library);
      return judge.listed().map((id) => {
        const known = rows.get(id) ?? judge.one(id);
        rows.set(id, known);
        return known;
      });
    },
    /** Changes with every write about a trainee that the lists have seen. */
    writesAbout: (traineeId: string): number => about.everybody + (about.each.get(traineeId) ?? 0),
  };
}
