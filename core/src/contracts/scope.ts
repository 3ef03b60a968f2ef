import type { Library } from '../library/index.ts';
import type { ShapeLimits } from './shape.ts';

/** What a contract is judged against besides itself. */
export interface Scope {
  /** The moment against which "not in the future" is judged. */
  readonly now: Date;
  /** Where drills and ladders are looked up; needed by the contracts that name some. */
  readonly library?: Library;
  /** How large the document may be; that of a request where nothing is said. */
  readonly shape?: ShapeLimits;
  /** A stored document may say more than its contract asks: an older program knew less of what it wrote. */
  readonly mayHoldMore?: boolean;
}

/**
 * Decorators take no arguments at validation time, so the scope of the validation that is running is
 * kept here for its (synchronous) duration.
 */
let running: Scope | undefined;

export function withScope<T>(scope: Scope, run: () => T): T {
  running = scope;
  try {
    return run();
  } finally {
    running = undefined;
  }
}

export function nowInScope(): Date {
  return running?.now ?? new Date(0);
}

export function libraryInScope(): Library {
  if (!running?.library) throw new Error('This contract names drills or ladders: give its validation a library.');
  return running.library;
}
