import { type BrowserContext, expect, type Page, test as plain } from '@playwright/test';
import { SHIFT_MS, shiftClock } from './clock.ts';

export { expect, type Page };

/** Every page of a context lives at the moment of the tests. Where a test holds the clock, it sets it to now: this is added to it. */
export async function atTheMoment<C extends BrowserContext>(context: C): Promise<C> {
  await context.addInitScript(shiftClock, SHIFT_MS);
  return context;
}

export const test = plain.extend({
  context: async ({ context }, use) => {
    await use(await atTheMoment(context));
  },
});
