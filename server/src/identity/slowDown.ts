import { Refusal } from '@myokinet/core/errors';

/** Wrong attempts that are nobody's business yet. */
const FREE = 5;
/** The first wait after that; each further one doubles it. */
const FIRST_WAIT_MS = 15_000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** After so long without an attempt everything is forgotten. */
const FORGOTTEN_MS = 60 * 60_000;
const MOST_KEYS = 10_000;

interface Failures {
  readonly count: number;
  readonly last: number;
}

/**
 * Makes guessing slow: after five wrong attempts for a name, or from an address, each further one has to wait, and longer each time.
 * Kept in memory: a restart forgives, and guessing through restarts is the worse trade.
 */
export function slowDown(now: () => Date) {
  const failures = new Map<string, Failures>();
  const waitOf = ({ count, last }: Failures) =>
    count < FREE ? 0 : last + Math.min(FIRST_WAIT_MS * 2 ** (count - FREE), LONGEST_WAIT_MS) - now().getTime();

  return {
    /** @throws Refusal `try-later` */
    mayTry(...keys: readonly string[]): void {
      const wait = Math.max(0, ...keys.map((key) => failures.get(key)).map((f) => (f ? waitOf(f) : 0)));
      if (wait > 0) throw new Refusal('try-later', `Too many wrong attempts. Try again in ${inWords(wait)}.`);
    },
    failed(...keys: readonly string[]): void {
      const moment = now().getTime();
      if (failures.size > MOST_KEYS) for (const [key, { last }] of failures) if (moment - last > FORGOTTEN_MS / 2) failures.delete(key);
      for (const key of keys) {
        const before = failures.get(key);
        const count = before && moment - before.last < FORGOTTEN_MS ? before.count : 0;
        failures.set(key, { count: count + 1, last: moment });
      }
    },
    worked(...keys: readonly string[]): void {
      for (const key of keys) failures.delete(key);
    },
  };
}

function inWords(ms: number): string {
  const seconds = Math.ceil(ms / 1000);
  return seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}

export type SlowDown = ReturnType<typeof slowDown>;
