import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MeHere, OneTimeReply } from '@myokinet/core/contracts';
import type { Role } from '@myokinet/core/accounts';
import { addDays } from '@myokinet/core/quantities';
import type { FastifyInstance } from 'fastify';
import { v7 } from 'uuid';
import { buildApp } from '../app.ts';
import { openHouse } from './house.ts';

const START = new Date('2026-11-24T18:00:00Z');
export const PASSWORD = 'four plain words in line';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
type Headers = Readonly<Record<string, string>>;

interface Given {
  readonly passphrase?: string;
  readonly adopt?: string;
  readonly folder?: string;
}

/** A real studio in a folder of its own, with a clock that the test moves. */
export async function houseBench({ passphrase, adopt, folder = mkdtempSync(join(tmpdir(), 'myokinet-house-')) }: Given = {}) {
  let clock = START;
  const now = () => clock;
  const data = join(folder, 'data');
  const house = openHouse({ data, copiesFolder: join(folder, 'copies'), passphrase, adopt, now, secure: false });
  const damaged = house.openAll();
  const app = await buildApp(house.seatOf, now, {
    more: house.routes,
    changed: house.changed,
    health: house.health,
    studioOf: house.studioOf,
  });
  return {
    ...{ folder, data, house, app, now, damaged },
    passDays: (days: number) => {
      clock = new Date(addDays(clock, days));
    },
    device: () => device(app),
    async close({ keep = false } = {}) {
      await app.close();
      await house.close();
      if (!keep) rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type HouseBench = Awaited<ReturnType<typeof houseBench>>;

/** A browser: it keeps the cookie, and sends along what its own pages know. */
export function device(app: FastifyInstance, has = { cookie: '', pageToken: '' }) {
  let { cookie, pageToken } = has;

  async function send(method: Method, url: string, body?: object, headers: Headers = {}) {
    const reply = await app.inject({
      method,
      url,
      headers: {
        host: '127.0.0.1:4170',
        cookie,
        'x-myokinet-page': pageToken,
        'user-agent': 'Mozilla/5.0 (X11; Linux) Firefox/130',
        ...headers,
      },
      ...(body ? { payload: body } : {}),
    });
    const set = reply.cookies.find((c) => c.name === 'myokinet-sign-in');
    if (set) cookie = set.value === '' ? '' : `myokinet-sign-in=${set.value}`;
    const json = reply.headers['content-type']?.toString().includes('json') ?? false;
    const read: unknown = json ? reply.json() : reply.body;
    // Whatever tells who is here tells the page's token.
    const told = (read as { pageToken?: unknown } | null)?.pageToken;
    if (typeof told === 'string') pageToken = told;
    return { status: reply.statusCode, body: read as never, headers: reply.headers, cookies: reply.cookies };
  }

  /** Asks who is here, as a page does first. */
  async function look(): Promise<MeHere> {
    return (await send('GET', '/api/me')).body as MeHere;
  }

  return {
    cookie: () => cookie,
    /** Another tab of the same browser. */
    tab: () => device(app, { cookie, pageToken }),
    get: (url: string, headers?: Headers) => send('GET', url, undefined, headers),
    post: (url: string, body: object = {}, headers?: Headers) => send('POST', url, body, headers),
    put: (url: string, body: object, headers?: Headers) => send('PUT', url, body, headers),
    delete: (url: string) => send('DELETE', url),
    send,
    look,
    async signIn(signInName: string, password = PASSWORD) {
      const reply = await send('POST', '/api/sign-in', { signInName, password });
      await look();
      return reply;
    },
  };
}

export type Device = ReturnType<typeof device>;

/** The owner of a new studio, signed in. */
export async function foundStudio({ house, app }: Pick<HouseBench, 'house' | 'app'>): Promise<Device> {
  const owner = device(app);
  const reply = await owner.post('/api/first-run', {
    ...{ code: house.firstCode ?? '', studio: 'North hall', name: 'Ada Finch', initials: 'af' },
    ...{ signInName: 'ada', password: PASSWORD },
  });
  if (reply.status !== 200) throw new Error(JSON.stringify(reply.body));
  await owner.look();
  return owner;
}

/** Somebody new, come in on an invitation. */
export async function invited({ app }: Pick<HouseBench, 'app'>, owner: Device, role: Role, signInName: string): Promise<Device> {
  const { code } = (await owner.post('/api/people/invitations', { id: v7(), role })).body as OneTimeReply;
  const one = device(app);
  const reply = await one.post('/api/join', { code, name: `Bo ${signInName}`, initials: 'bw', signInName, password: PASSWORD });
  if (reply.status !== 200) throw new Error(JSON.stringify(reply.body));
  await one.look();
  return one;
}
