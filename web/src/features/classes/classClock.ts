import { clock } from '../../client/clock.ts';

/**
 * The time of a class, on which its devices agree: the server’s, as it was first heard, and from there on the page’s own steady seconds.
 * A clock of the device that is set meanwhile changes nothing.
 */
export function steadyTime(device: () => number, steady: () => number) {
  let base = { at: device(), steady: steady() };
  let heard = false;
  return {
    now: (): number => base.at + steady() - base.steady,
    /** The server said what time it is. */
    hear(server: string): void {
      const at = Date.parse(server);
      if (heard || Number.isNaN(at)) return;
      heard = true;
      base = { at, steady: steady() };
    },
  };
}

/** The one of this page. */
export const classTimeNow = steadyTime(
  () => clock.now().getTime(),
  () => performance.now(),
);
