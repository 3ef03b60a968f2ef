import type { LinkOpenReply, NewLinkReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import Database from 'better-sqlite3';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { v7 } from 'uuid';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench, invited, PASSWORD } from '../studios/houseBench.ts';
import { type Route, routesOf } from './routesOf.ts';
import { drawnPicture } from '../drawnPicture.ts';
import { checkFor, screeningDto, sessionDto, symptomDto, traineeDto } from '../testBench.ts';

let bench: HouseBench;
let owner: Device;
let assistant: Device;
/** Owner of another studio on the same server. */
let other: Device;
let routes: readonly Route[];
/** Ids of the first studio, by the name that a route gives them. */
let ids: Readonly<Record<string, string>>;
let firstStudio: string;
let bodies: Readonly<Record<string, object>>;

const TRAINEE = 'Ysolde Marrow';
const JPEG = await drawnPicture();

beforeAll(async () => {
  bench = await houseBench();
  owner = await foundStudio(bench);
  assistant = await invited(bench, owner, 'assistant', 'cy.lark');
  other = await founderElsewhere();
  routes = routesOf(bench.app.printRoutes({ commonPrefix: false }));

  const past = (days: number) => new Date(addDays(bench.now(), -days));
  const trainee = traineeDto({ name: TRAINEE });
  await owner.post('/api/trainees', trainee);
  const at = `/api/trainees/${trainee.id}`;
  const check = checkFor('wall', past(0.5));
  const session = sessionDto(past(1));
  const symptom = symptomDto(past(0.5), { sessionId: session.id });
  const picture = {
    id: v7(),
    takenAt: instant(past(0.2)),
    measureId: 'shoulder-flexion',
    side: 'left',
    width: 100,
    height: 100,
    facing: 'left',
    points: ['hip', 'shoulder', 'elbow'].map((id, i) => ({ id, x: 30 * i, y: 40, placedBy: 'coach' })),
    value: 150,
    standardError: 3,
    image: JPEG,
  };
  const head = {
    id: v7(),
    plannedSessionId: null,
    startedAt: instant(past(0.1)),
    form: 'sets',
    progress: 'count',
    items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30 }],
  };
  for (const [path, body] of [
    [`${at}/screenings`, screeningDto(past(2))],
    [`${at}/checks`, check],
    [`${at}/sessions`, session],
    [`${at}/symptoms`, symptom],
  ] as const)
    expect((await owner.post(path, body)).status, path).toBe(201);
  expect((await owner.post(`${at}/pictures`, picture)).status).toBe(201);
  expect((await owner.put(`/api/floor/${head.id}`, { traineeId: trainee.id, head, events: [] })).status).toBe(200);
  const invitation = v7();
  await owner.post('/api/people/invitations', { id: invitation, role: 'coach' });
  const { accountId, studio } = await owner.look();
  firstStudio = studio?.id ?? '';
  ids = {
    ...{ id: trainee.id, runId: head.id, pictureId: picture.id, photoId: v7(), batteryId: v7(), weekStart: '2026-11-23' },
    ...{ drillId: 'plank', accountId, name: '2026-11-24T18-00-00Z', session: session.id, symptom: symptom.id },
  };
  bodies = {
    'POST /api/trainees/:id/checks': { ...checkFor('wall', past(0.4)), id: v7() },
    'POST /api/trainees/:id/sessions': sessionDto(past(0.3)),
    'POST /api/trainees/:id/symptoms': symptomDto(past(0.2)),
    'POST /api/trainees/:id/screenings': screeningDto(past(0.1)),
    'POST /api/trainees/:id/taken-back': { id: v7(), kind: 'session', factId: session.id, reason: 'never happened' },
    'POST /api/trainees/:id/emergencies': { id: v7(), at: instant(past(0.1)) },
    'PUT /api/trainees/:id': { ...trainee, revision: v7(), basedOn: trainee.revision, name: 'Somebody Else' },
    'PUT /api/trainees/:id/plans/:weekStart': {
      id: v7(),
      weekStart: '2026-11-23',
      revision: v7(),
      basedOn: null,
      sessions: [],
      notes: [],
      leftOut: [],
    },
  };
}, 60_000);
afterAll(() => bench.close());

/** An owner makes a second studio, and leaves the first. */
async function founderElsewhere(): Promise<Device> {
  const eve = await invited(bench, owner, 'owner', 'eve.crow');
  const { accountId } = await eve.look();
  expect((await eve.post('/api/studios', { name: 'South hall' })).status).toBe(201);
  await owner.put(`/api/people/${accountId}`, { role: null });
  expect((await eve.look()).studio).toMatchObject({ name: 'South hall', role: 'owner' });
  return eve;
}

const filled = (path: string) => path.replaceAll(/:(\w+)/g, (_, name: string) => ids[name] ?? v7());
const key = ([method, path]: Route) => `${method} ${path}`;
const bodyOf = (route: Route) => (route[0] === 'GET' || route[0] === 'DELETE' ? undefined : (bodies[key(route)] ?? {}));

/** Answered to whoever asks: how to come in, and whether the program runs. */
const FOR_ANYBODY = [
  'GET /api/health',
  'GET /api/me',
  'POST /api/first-run',
  'POST /api/sign-in',
  'POST /api/join',
  'POST /api/reset',
  'POST /api/sign-out',
  'POST /api/own/open',
];

/** Everything in the files of the first studio, but for the list of who did what. */
function contentOfStudio(): string {
  const db = new Database(join(bench.data, 'studios', `${firstStudio}.sqlite`), { readonly: true });
  const tables = db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name <> 'audit' ORDER BY name")
    .pluck()
    .all() as string[];
  const content = tables.map((t) => `${t}: ${JSON.stringify(db.prepare(`SELECT * FROM "${t}"`).all())}`).join('\n');
  db.close();
  return content;
}

describe('one studio', () => {
  it('has a file of its own, and the list of routes is whole', () => {
    expect(readdirSync(join(bench.data, 'studios')).filter((f) => f.endsWith('.sqlite'))).toHaveLength(2);
    expect(routes.length).toBeGreaterThan(90);
    expect(routes.map(key)).toEqual(
      expect.arrayContaining([
        'GET /api/trainees/:id/pictures/:pictureId/image',
        'DELETE /api/trainees/:id/battery/:batteryId',
        'PUT /api/people/:accountId',
      ]),
    );
  });

  it('answers its own owner: what others are refused is there', async () => {
    expect((await owner.get(filled('/api/trainees/:id'))).body).toMatchObject({ name: TRAINEE });
    expect((await owner.get(filled('/api/trainees/:id/record'))).status).toBe(200);
  });

  it('tells a stranger nothing on any route', async () => {
    const before = contentOfStudio();
    const stranger = bench.device();
    for (const route of routes) {
      if (FOR_ANYBODY.includes(key(route))) continue;
      const { status } = await stranger.send(route[0], filled(route[1]), bodyOf(route));
      expect([401, 403], key(route)).toContain(status);
    }
    expect(contentOfStudio()).toBe(before);
  });

  it('tells the owner of another nothing on any route, and takes nothing from them', async () => {
    const before = contentOfStudio();
    for (const route of routes) {
      if (FOR_ANYBODY.includes(key(route)) || /devices|me\/|enter$/.test(route[1])) continue;
      const { status, body } = await other.send(route[0], filled(route[1]), bodyOf(route));
      expect(status, key(route)).toBeLessThan(500);
      const said = JSON.stringify(body);
      for (const secret of [TRAINEE, ids.session, ids.symptom, 'North hall', 'Ada Finch']) expect(said, key(route)).not.toContain(secret);
      // What is there in the other studio and what is nowhere are told apart by nothing.
      const nowhere = await other.send(
        route[0],
        route[1].replaceAll(/:(\w+)/g, (_, name: string) => (name === 'weekStart' ? '2026-11-23' : v7())),
        bodyOf(route),
      );
      if (!route[1].includes(':kind') && !/drills|ladders|measures|faults|schools|bands/.test(route[1]))
        expect([key(route), status]).toEqual([key(route), nowhere.status]);
    }
    expect(contentOfStudio()).toBe(before);
  }, 60_000);

  it('lets a trainee’s link reach its own routes, and no other of any trainee or studio', async () => {
    const made = (await owner.post(filled('/api/trainees/:id/link'), { id: v7(), progress: true })).body as NewLinkReply;
    const phone = bench.device();
    const { key: shown, feed } = (await phone.post('/api/own/open', { link: made.secret })).body as LinkOpenReply;
    const before = contentOfStudio();
    const [, secret = ''] = shown.split('.');
    const elsewhere = `${Buffer.from(((await other.look()).studio?.id ?? '').replaceAll('-', ''), 'hex').toString('base64url')}.${secret}`;
    for (const route of routes) {
      if (FOR_ANYBODY.includes(key(route))) continue;
      const isOwn = route[1].startsWith('/api/own/');
      for (const link of [shown, elsewhere, feed]) {
        const reply = await phone.send(route[0], filled(route[1]), bodyOf(route), { 'x-myokinet-link': link });
        if (!isOwn || link !== shown || route[1].includes(':feed')) expect([401, 403], key(route)).toContain(reply.status);
      }
    }
    expect(contentOfStudio()).toBe(before);
    expect((await phone.get('/api/own/page', { 'x-myokinet-link': shown })).body).toMatchObject({ name: TRAINEE });
    await owner.delete(filled('/api/trainees/:id/link'));
  });

  it('lets an assistant read, measure and log, and nothing else', async () => {
    const refused = async ([method, path]: Route, body?: object) =>
      ((await assistant.send(method, filled(path), body)).body as { code?: string }).code === 'role-short';
    expect((await assistant.get(filled('/api/trainees/:id'))).status).toBe(200);
    expect((await assistant.post(filled('/api/trainees/:id/sessions'), sessionDto(bench.now()))).status).toBe(201);
    expect((await assistant.post(filled('/api/trainees/:id/checks'), checkFor('wall', bench.now()))).status).toBe(201);
    for (const [path, body] of [
      ['/api/trainees/:id/clearances', { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'CL' }],
      ['/api/trainees/:id/withdrawals', { id: v7(), clearanceId: v7(), reason: 'not right' }],
      ['/api/trainees/:id/stop-sign-closures', { id: v7(), symptomId: ids.symptom, ground: 'seen by a doctor' }],
      ['/api/trainees/:id/consents', { id: v7(), role: 'parent', givenOn: '2026-11-20', agreed: true }],
      ['/api/plan-templates', { id: v7(), name: 'Mine', note: '', sessions: [] }],
      ['/api/trainees', traineeDto()],
    ] as const)
      expect(await refused(['POST', path], body), path).toBe(true);
    expect(await refused(['PUT', '/api/trainees/:id/plans/:weekStart'], bodies['PUT /api/trainees/:id/plans/:weekStart'])).toBe(true);
    expect(
      await refused(['PUT', '/api/schools'], {
        ...{ revision: v7(), basedOn: null, ...DEFAULT_SCHOOLS },
      }),
    ).toBe(true);
    expect(await refused(['GET', '/api/people'])).toBe(true);
    expect(await refused(['POST', '/api/copies'], {})).toBe(true);
  });
});

describe('two coaches of one studio', () => {
  it('sign with their own initials, and with the password once more after twelve hours', async () => {
    const coach = await invited(bench, owner, 'coach', 'dee.rook');
    const body = { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'XX' };
    const at = filled('/api/trainees/:id/clearances');
    expect(((await coach.post(at, body)).body as { code: string }).code).toBe('gate-closed');
    bench.passDays(0.6);
    expect(((await coach.post(at, body)).body as { code: string }).code).toBe('confirm-first');
    expect(((await coach.post('/api/me/confirm', { password: 'not the password' })).body as { code: string }).code).toBe('password-wrong');
    expect((await coach.post('/api/me/confirm', { password: PASSWORD })).status).toBe(200);
    expect(((await coach.post(at, body)).body as { code: string }).code).toBe('gate-closed');
  });
});
