import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

/** Everything that differs from one start to the next; nothing else reads the environment. */
export interface Config {
  readonly host: string;
  readonly port: number;
  /** One database whose coach needs no account: the demo, a test. Absent for a real studio. */
  readonly demoFile: string | undefined;
  /** The data folder of a real studio. */
  readonly data: string;
  readonly copies: string;
  /** An older database that becomes the first studio of an empty data folder. */
  readonly adopt: string | undefined;
  /** What copies are sealed with. */
  readonly passphrase: string | undefined;
  /** Where the program is reached from elsewhere, over TLS. */
  readonly origin: URL | undefined;
  /** Folder of the built pages; absent in development, where another server brings them. */
  readonly pages: string | undefined;
  readonly log: boolean;
  /** How far this server's clock is ahead of the machine's, in milliseconds: for tests, which choose their day. */
  readonly clockShift: number;
  /** Where the built programs of threads lie; absent in development. */
  readonly threads: URL | undefined;
}

const DEFAULT_PORT = 4170;

/** A setting that cannot be used; the message names it. */
export class SettingProblem extends Error {}

export function configFrom(env: NodeJS.ProcessEnv): Config {
  const port = Number(env.MYOKINET_PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new SettingProblem(`MYOKINET_PORT must be a port from 0 to 65535, not "${env.MYOKINET_PORT}".`);
  const data = resolve(env.MYOKINET_DATA ?? join(env.XDG_DATA_HOME ?? join(homedir(), '.local', 'share'), 'myokinet'));
  return {
    // Other machines come through a proxy that speaks TLS: phones ask for it.
    host: '127.0.0.1',
    port,
    demoFile: env.MYOKINET_DB,
    data,
    copies: resolve(env.MYOKINET_COPIES ?? `${data}-copies`),
    adopt: env.MYOKINET_ADOPT === undefined ? undefined : resolve(env.MYOKINET_ADOPT),
    passphrase: env.MYOKINET_PASSPHRASE === '' ? undefined : env.MYOKINET_PASSPHRASE,
    origin: originFrom(env.MYOKINET_ORIGIN),
    pages: env.MYOKINET_PAGES,
    log: env.MYOKINET_LOG === '1',
    clockShift: shiftFrom(env),
    threads: env.NODE_ENV === 'production' ? new URL('.', import.meta.url) : undefined,
  };
}

function originFrom(text: string | undefined): URL | undefined {
  if (text === undefined || text === '') return undefined;
  const url = URL.canParse(text) ? new URL(text) : undefined;
  if (url?.protocol !== 'https:' || url.pathname !== '/')
    throw new SettingProblem(`MYOKINET_ORIGIN must be an address like https://studio.example, not "${text}".`);
  return url;
}

/** How far the clock is shifted, in milliseconds; not at all where nothing is said. */
export function shiftFrom(env: NodeJS.ProcessEnv): number {
  const shift = Number(env.MYOKINET_CLOCK_SHIFT ?? 0);
  if (!Number.isFinite(shift))
    throw new SettingProblem(`MYOKINET_CLOCK_SHIFT must be a number of milliseconds, not "${env.MYOKINET_CLOCK_SHIFT}".`);
  return shift;
}
