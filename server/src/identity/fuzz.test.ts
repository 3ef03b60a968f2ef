import seedrandom from 'seedrandom';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench } from '../studios/houseBench.ts';
import { checkFor, sessionDto, symptomDto, traineeDto } from '../testBench.ts';
import { WRONG } from '../wrongBodies.ts';
import { type Route, routesOf } from './routesOf.ts';

const REQUESTS = process.env.MYOKINET_LONG ? 20_000 : 1000;

let bench: HouseBench;
let owner: Device;
let routes: readonly Route[];
let traineeId: string;
beforeAll(async () => {
  bench = await houseBench();
  owner = await foundStudio(bench);
  // Leaving, erasing and bringing back would end the run: each has tests of its own.
  routes = routesOf(bench.app.printRoutes({ commonPrefix: false })).filter(
    ([method, path]) =>
      !/sign-out|erasure|restore|devices|copies|records\.zip|enter$/.test(path) && !(method === 'PUT' && path.startsWith('/api/people')),
  );
  const trainee = traineeDto();
  traineeId = trainee.id;
  await owner.post('/api/trainees', trainee);
  await owner.post(`/api/trainees/${traineeId}/checks`, checkFor('wall', bench.now()));
}, 60_000);
afterAll(() => bench.close());

const random = seedrandom('requests of any kind');
const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

const ADDRESSES = [
  '',
  '..',
  '%00',
  '%2e%2e%2f',
  'null',
  '-1',
  '1e9',
  '💪',
  'a'.repeat(300),
  "' OR 1=1 --",
  '__proto__',
  '2026-11-30',
  '2026-02-31',
];
const KEYS = [
  'id',
  'name',
  'trials',
  'items',
  'takenAt',
  'revision',
  'basedOn',
  'entry',
  'events',
  'head',
  'sets',
  'constructor',
  'traineeId',
  'text',
  'apply',
];

/** Anything that JSON can say, and bodies that are nearly right. */
function anything(depth = 0): unknown {
  const kind = random();
  if (depth > 4 || kind < 0.35) return one(WRONG.map(([, value]) => value).filter((value) => typeof value !== 'symbol'));
  if (kind < 0.5) return Array.from({ length: Math.floor(random() * 4) }, () => anything(depth + 1));
  if (kind < 0.7) return Object.fromEntries(Array.from({ length: Math.floor(random() * 6) }, () => [one(KEYS), anything(depth + 1)]));
  const near: Record<string, unknown> = {
    ...one<object>([traineeDto(), checkFor('wall', bench.now()), sessionDto(bench.now()), symptomDto(bench.now())]),
  };
  for (let i = 0; i < 2; i++) near[one(Object.keys(near))] = anything(depth + 2);
  return near;
}

it(
  `${REQUESTS} requests of any kind: each is answered, none breaks anything inside`,
  async () => {
    const broken: unknown[] = [];
    const statuses = new Map<number, number>();
    for (let i = 0; i < REQUESTS; i++) {
      const [method, path] = one(routes);
      const url = path.replaceAll(/:(\w+)/g, (_, name: string) =>
        random() < 0.7
          ? name === 'id'
            ? traineeId
            : name === 'weekStart'
              ? '2026-11-30'
              : name === 'drillId'
                ? 'plank'
                : v7()
          : encodeURI(one(ADDRESSES)).replaceAll('%25', '%'),
      );
      const query = random() < 0.2 ? `?${one(['from', 'weeks', 'all', 'scope'])}=${encodeURIComponent(one(ADDRESSES))}` : '';
      const body = method === 'GET' || method === 'DELETE' ? undefined : anything();
      const reply = await owner.send(method, url + query, (typeof body === 'object' && body !== null ? body : { body }) as object);
      statuses.set(reply.status, (statuses.get(reply.status) ?? 0) + 1);
      if (reply.status >= 500) broken.push([method, url, reply.body, body]);
    }
    expect(broken).toEqual([]);
    // It went somewhere: some were taken, some named their fields, some found nothing.
    for (const status of [200, 404, 422]) expect(statuses.get(status) ?? 0, String(status)).toBeGreaterThan(REQUESTS / 100);
    expect((await owner.get('/api/caseload')).status).toBe(200);
  },
  process.env.MYOKINET_LONG ? 900_000 : 120_000,
);
