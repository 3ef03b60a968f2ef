import { defineConfig } from 'vitest/config';

// Calendar days are local: one fixed zone with summer time makes every machine judge alike.
process.env.TZ = 'Europe/Amsterdam';

/** `npm run test:long`: the same tests over many more made-up trainees, programmes and histories. */
const long = process.env.MYOKINET_LONG === '1';

const room = (name: string, include: string, own: object = {}) => ({
  test: {
    name,
    environment: 'node',
    // Generous: a busy machine is slow, not wrong.
    testTimeout: long ? 1_800_000 : 30_000,
    include: [include],
    provide: { long },
    // Modules are read once for all files of a room: nothing in them remembers a test.
    isolate: false,
    ...own,
  },
});

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      room('core', 'core/src/**/*.test.ts'),
      room('server', 'server/src/**/*.test.ts'),
      room('web', 'web/src/**/*.test.ts', { setupFiles: ['./web/vitest.setup.ts'] }),
      // What is drawn needs a document, a fresh one for each file.
      room('web-drawn', 'web/src/**/*.test.tsx', { environment: 'jsdom', isolate: true, setupFiles: ['./web/vitest.setup.ts'] }),
    ],
  },
});
