import { defineConfig } from 'vitest/config';

process.env.TZ = 'Europe/Amsterdam';

/** The tests of one room of core, for the mutation run: with everything related, each mutant would take many seconds. */
export default defineConfig({
  test: {
    environment: 'node',
    include: [`core/src/${process.env.MYOKINET_ROOM ?? '*'}/**/*.test.ts`],
    provide: { long: false },
    testTimeout: 30_000,
    isolate: false,
  },
});
