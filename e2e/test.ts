import { type BrowserContext, expect, type Page, test as plain } from '@playwright/test';
import { SHIFT_MS, shiftClock } from './clock.ts';

export { expect, type Page };

/** Every page of a context lives at the moment of the tests. */
export async function atTheMoment<C extends BrowserContext>(context: C): Promise<C> {
  await context.addInitScript(shiftClock, SHIFT_MS);
  return context;
}

export const test = plain.extend<{ heldClock: boolean }>({
  heldClock: [false, { option: true }],
  context: async ({ context, heldClock }, use) => {
    await use(heldClock ? context : await atTheMoment(context));
  },
});

/** A test that holds the page's clock itself, from the moment of the tests on: two clocks in one page would not agree. */
export const held = test.extend({ heldClock: true });
