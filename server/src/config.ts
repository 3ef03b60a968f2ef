/** Everything that differs from one start to the next; nothing else reads the environment. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly databaseFile: string;
  /** Folder of the built pages; absent in development, where another server brings them. */
  readonly pages: string | undefined;
  readonly log: boolean;
  /** How far this server's clock is ahead of the machine's, in milliseconds: for tests, which choose their day. */
  readonly clockShift: number;
  /** The built program that judges library files in a thread of its own; absent in development. */
  readonly judge: URL | undefined;
}

const DEFAULT_PORT = 4170;

export function configFrom(env: NodeJS.ProcessEnv): Config {
  const port = Number(env.MYOKINET_PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`MYOKINET_PORT must be a port from 0 to 65535, not "${env.MYOKINET_PORT}".`);
  return {
    // Only this machine: there are no accounts yet.
    host: '127.0.0.1',
    port,
    databaseFile: env.MYOKINET_DB ?? '.data/myokinet.sqlite',
    pages: env.MYOKINET_PAGES,
    log: env.MYOKINET_LOG === '1',
    clockShift: shiftFrom(env),
    judge: env.NODE_ENV === 'production' ? new URL('./judgeThread.js', import.meta.url) : undefined,
  };
}

/** How far the clock is shifted, in milliseconds; not at all where nothing is said. */
export function shiftFrom(env: NodeJS.ProcessEnv): number {
  const shift = Number(env.MYOKINET_CLOCK_SHIFT ?? 0);
  if (!Number.isFinite(shift)) throw new Error(`MYOKINET_CLOCK_SHIFT must be a number of milliseconds, not "${env.MYOKINET_CLOCK_SHIFT}".`);
  return shift;
}
