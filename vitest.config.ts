import { defineConfig } from 'vitest/config';

const rooms = [
  { name: 'core', environment: 'node' },
  { name: 'server', environment: 'node' },
  { name: 'web', environment: 'jsdom' },
] as const;

// Calendar days are local: one fixed zone with summer time makes every machine judge alike.
process.env.TZ = 'Europe/Amsterdam';

export default defineConfig({
  test: {
    projects: rooms.map(({ name, environment }) => ({
      test: {
        name,
        environment,
        // Generous: a busy machine is slow, not wrong.
        testTimeout: 30_000,
        include: [`${name}/src/**/*.test.{ts,tsx}`],
        ...(name === 'web' ? { setupFiles: ['./web/vitest.setup.ts'] } : {}),
      },
    })),
  },
});
