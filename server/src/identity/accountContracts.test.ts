import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench, PASSWORD } from '../studios/houseBench.ts';
import { type Body, placesIn, put, WRONG } from '../wrongBodies.ts';

let bench: HouseBench;
let owner: Device;
beforeAll(async () => {
  bench = await houseBench();
  owner = await foundStudio(bench);
});
afterAll(() => bench.close());

const CODE = 'BCDF-GHJK-MNPQ-RSTV';
const person = { name: 'Bo Wren', initials: 'bw' };
const account = { ...person, signInName: 'bo.wren', password: PASSWORD };

/** Every write about accounts, with a body that fits its contract. */
const WRITES: readonly (readonly ['POST' | 'PUT', string, () => Body])[] = [
  ['POST', '/api/first-run', () => ({ ...account, code: CODE, studio: 'South' })],
  ['POST', '/api/sign-in', () => ({ signInName: 'ada', password: PASSWORD })],
  ['POST', '/api/join', () => ({ ...account, code: CODE })],
  ['POST', '/api/reset', () => ({ code: CODE, password: PASSWORD })],
  ['POST', '/api/me/confirm', () => ({ password: PASSWORD })],
  ['PUT', '/api/me', () => ({ ...person })],
  ['PUT', '/api/me/password', () => ({ old: 'x', password: PASSWORD })],
  ['POST', '/api/me/studios', () => ({ code: CODE })],
  ['POST', '/api/people/invitations', () => ({ id: v7(), role: 'coach' })],
  ['PUT', `/api/people/${v7()}`, () => ({ role: 'coach' })],
  ['PUT', '/api/studio', () => ({ name: 'North hall' })],
  ['POST', '/api/studios', () => ({ name: 'West hall' })],
];

describe.each(WRITES)('%s %s', (method, path, body) => {
  it('takes no wrong field: no failure inside, the field named', async () => {
    const wrong: unknown[] = [];
    for (const place of placesIn(body()))
      for (const [what, value] of WRONG) {
        const bent = structuredClone(body());
        put(bent, place, value);
        const reply = await owner.send(method, path, bent);
        const said = reply.body as { code?: string; fields?: readonly { field: string }[] };
        if (reply.status >= 500) wrong.push([place.join('/'), what, reply.status]);
        if (said.code === 'contract-broken' && !said.fields?.[0]?.field.startsWith(`/${String(place[0])}`))
          wrong.push([place.join('/'), what, said]);
        // A name may be any text, and nothing else may be what it is not.
        if (reply.status < 400 && value !== body()[String(place[0])] && typeof value !== 'string' && place[0] !== 'role')
          wrong.push([place.join('/'), what, 'taken']);
      }
    expect(wrong).toEqual([]);
  });
});
