import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ERROR_CATALOGUE } from '@myokinet/core/errors';
import { BUILT_IN_COACH } from './actor.ts';
import { buildApp } from './app.ts';
import { openSeat } from './seat.ts';
import { type TestBench, testBench, traineeDto } from './testBench.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

describe('whatever goes wrong', () => {
  it('is told as problem details (RFC 9457)', async () => {
    const { status, type, body } = await bench.post('/api/trainees', { ...traineeDto(), stature: 400 });
    expect(status).toBe(422);
    expect(type).toMatch(/^application\/problem\+json/);
    expect(body).toEqual({
      type: 'urn:myokinet:problem:contract-broken',
      title: 'Some fields need another look.',
      status: 422,
      detail: 'Stature must be at most 230 cm.',
      code: 'contract-broken',
      fields: [{ field: '/stature', limit: 'max', message: 'Stature must be at most 230 cm.' }],
    });
  });

  const raw = (payload: string, headers: Record<string, string> = {}) =>
    bench.app.inject({
      method: 'POST',
      url: '/api/trainees',
      payload,
      headers: { host: 'localhost:4170', 'content-type': 'application/json', ...headers },
    });

  it('a note of ten megabytes meets the limit of the server', async () => {
    const reply = await raw(JSON.stringify({ ...traineeDto(), history: 'x'.repeat(10_000_000) }));
    expect(reply.statusCode).toBe(413);
    expect(reply.json()).toMatchObject({ code: 'body-too-large', detail: 'The request is larger than the limit of 512 kB.' });
  });

  it('a note of ten kilobytes meets the limit of the field', async () => {
    const reply = await raw(JSON.stringify({ ...traineeDto(), history: 'x'.repeat(10_000) }));
    expect(reply.json()).toMatchObject({
      status: 422,
      fields: [{ field: '/history', message: 'Injuries and notes must be at most 2000 characters.' }],
    });
  });

  it.each(['{"name":', 'NaN', '{"mass": NaN}'])('%s is not readable', async (payload) => {
    const reply = await raw(payload);
    expect([reply.statusCode, reply.json<{ code: string }>().code]).toEqual([400, 'body-unreadable']);
  });

  it('an address that is none', async () => {
    expect(await bench.get('/api/nowhere')).toMatchObject({ status: 404, body: { code: 'route-missing' } });
  });

  it('a page elsewhere that reaches in under another name gets nothing', async () => {
    const reply = await bench.app.inject({ method: 'GET', url: '/api/trainees', headers: { host: 'evil.example' } });
    expect([reply.statusCode, reply.json<{ code: string }>().code]).toEqual([404, 'route-missing']);
  });
});

it('the catalogue and its uses hold each other', () => {
  const root = fileURLToPath(new URL('../..', import.meta.url));
  const sources = ['core/src', 'server/src'].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && f !== 'errors.ts')
      .map((f) => readFileSync(join(root, folder, f), 'utf8')),
  );
  const server = readFileSync(join(root, 'server/src/errors.ts'), 'utf8');
  const thrown = new Set([...sources, server].flatMap((text) => [...text.matchAll(/new Refusal\(\s*'([a-z-]+)'/g)].map((m) => m[1])));
  expect([...thrown].filter((code) => !(code && code in ERROR_CATALOGUE))).toEqual([]);
  expect(Object.keys(ERROR_CATALOGUE).filter((code) => !thrown.has(code))).toEqual([]);
});

it('an address that cannot be read is answered as carefully as the rest', async () => {
  const reply = await bench.app.inject({ method: 'GET', url: '/api/%E0%A4%A', headers: { host: '127.0.0.1' } });
  expect(reply.statusCode).toBe(400);
  expect(reply.json()).toMatchObject({ code: 'body-unreadable' });
  expect(reply.headers).toMatchObject({ 'content-security-policy': "default-src 'none'", 'x-content-type-options': 'nosniff' });
});

it('more requests in a minute than are allowed have to wait, whatever cookie they bring', async () => {
  const app = await buildApp(openSeat(bench.services, BUILT_IN_COACH), bench.now, { perMinute: 3 });
  const ask = (url: string) => app.inject({ method: 'GET', url, headers: { host: '127.0.0.1', cookie: `a=${Math.random()}` } });
  for (let i = 0; i < 3; i++) expect((await ask('/api/trainees')).statusCode).toBe(200);
  const late = await ask('/api/trainees');
  expect(late.statusCode).toBe(429);
  expect(late.json()).toMatchObject({ code: 'try-later' });
  expect(late.headers['retry-after']).toBeDefined();
  await app.close();
});
