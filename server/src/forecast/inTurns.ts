import { setImmediate } from 'node:timers/promises';

/** Lets whatever else waits have its turn. */
export type Turn = () => Promise<void>;

/**
 * Long work on the thread that answers requests: it gives way between its steps, and never runs twice at a time. It ends quietly when it
 * fails, as when a studio's file is closed under it; whoever asks next begins it anew.
 */
export function inTurns(work: (turn: Turn) => Promise<void>) {
  let running: Promise<void> | undefined;
  return {
    begin: (): Promise<void> =>
      (running ??= setImmediate()
        .then(() => work(() => setImmediate()))
        .catch(() => undefined)
        .finally(() => {
          running = undefined;
        })),
  };
}
