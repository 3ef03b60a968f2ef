/** When the browser tests happen, in local time. Chosen, so that they do not depend on the day on which they are run. */
export const AT = process.env.MYOKINET_E2E_AT ?? '2026-11-24T09:30:00';

/** How far server, demo data, browser and tests are ahead of this machine’s clock, in milliseconds; set once for all of them. */
export const SHIFT_MS = Number(process.env.MYOKINET_CLOCK_SHIFT ?? 0);

/** The moment in which the tests live. */
export const now = (): Date => new Date(Date.now() + SHIFT_MS);

/** The local calendar day of a moment. */
export const dayOf = (moment: Date): string => moment.toLocaleDateString('sv');

/** Runs in a page before anything else: its clock goes as the server’s does. */
export function shiftClock(shift: number): void {
  const Real = Date;
  class Shifted extends Real {
    constructor(...given: readonly unknown[]) {
      if (given.length === 0) super(Real.now() + shift);
      else super(...(given as [number]));
    }
    static override now(): number {
      return Real.now() + shift;
    }
  }
  globalThis.Date = Shifted as DateConstructor;
}
