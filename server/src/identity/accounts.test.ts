import type { DeviceReply, MeHere, OneTimeReply, PeopleReply } from '@myokinet/core/contracts';
import { traineeDto } from '../testBench.ts';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench, invited, PASSWORD } from '../studios/houseBench.ts';

let bench: HouseBench;
let owner: Device;
beforeEach(async () => {
  bench = await houseBench();
  owner = await foundStudio(bench);
});
afterEach(() => bench.close());

const codeOf = (reply: { body: unknown }) => (reply.body as { code?: string }).code;

describe('the first run', () => {
  it('makes one owner, with the code of the console and only once', async () => {
    const fresh = await houseBench();
    const somebody = fresh.device();
    const about = { studio: 'South', name: 'Eve Crow', initials: 'ec', signInName: 'eve', password: PASSWORD };
    expect((await somebody.get('/api/me')).body).toEqual({ state: 'first run' });
    expect(codeOf(await somebody.post('/api/first-run', { ...about, code: 'BBBB-CCCC-DDDD-FFFF' }))).toBe('code-wrong');
    expect((await somebody.post('/api/first-run', { ...about, code: fresh.house.firstCode?.toLowerCase() })).status).toBe(200);
    expect(await somebody.look()).toMatchObject({ name: 'Eve Crow', initials: 'EC', studio: { name: 'South', role: 'owner' } });
    expect(codeOf(await somebody.post('/api/first-run', { ...about, code: fresh.house.firstCode }))).toBe('not-first-run');
    await fresh.close();
  });

  it.each([
    ['short', { password: 'eleven chrs' }, '/password'],
    ['made of few characters', { password: 'aaaaaaaaaaaabb' }, '/password'],
    ['with the sign-in name in it', { password: 'my name is eve ok' }, '/password'],
    ['long', { password: 'x'.repeat(201) }, '/password'],
  ])('refuses a password that is %s', async (_what, own, field) => {
    const fresh = await houseBench();
    const reply = await fresh.device().post('/api/first-run', {
      ...{ code: fresh.house.firstCode, studio: 'South', name: 'Eve Crow', initials: 'ec', signInName: 'eve' },
      ...own,
    });
    expect(reply.body).toMatchObject({ status: 422, fields: [{ field }] });
    await fresh.close();
  });
});

describe('a sign-in', () => {
  it('is a cookie that scripts cannot read and other sites cannot send', async () => {
    const { cookies } = await bench.device().post('/api/sign-in', { signInName: 'ada', password: PASSWORD });
    expect(cookies).toMatchObject([{ httpOnly: true, sameSite: 'Strict', path: '/' }]);
  });

  it('tells nobody whether a name is known', async () => {
    const [wrong, unknown] = [
      await bench.device().post('/api/sign-in', { signInName: 'ada', password: 'not the password' }),
      await bench.device().post('/api/sign-in', { signInName: 'nobody', password: 'not the password' }),
    ];
    expect(wrong.body).toEqual(unknown.body);
    expect(codeOf(wrong)).toBe('sign-in-wrong');
  });

  it('takes the name in capitals and with spaces around, as phones write it', async () => {
    expect((await bench.device().post('/api/sign-in', { signInName: ' Ada ', password: PASSWORD })).status).toBe(200);
  });

  it('slows down after five wrong attempts, even with the right password, and lets in later', async () => {
    const guesser = bench.device();
    for (let i = 0; i < 5; i++) await guesser.post('/api/sign-in', { signInName: 'ada', password: `guess ${i}` });
    const sixth = await guesser.post('/api/sign-in', { signInName: 'ada', password: PASSWORD });
    expect(sixth).toMatchObject({ status: 429, headers: { 'retry-after': expect.any(String) as string } });
    bench.passDays(1 / 24);
    expect((await guesser.signIn('ada')).status).toBe(200);
  });

  it('lasts three days without use and thirty with it', async () => {
    const idle = bench.device();
    await idle.signIn('ada');
    for (let day = 0; day < 29; day++) {
      bench.passDays(1);
      expect((await owner.get('/api/trainees')).status, `day ${day}`).toBe(200);
    }
    expect((await idle.get('/api/trainees')).status).toBe(401);
    bench.passDays(1.1);
    expect((await owner.get('/api/trainees')).status).toBe(401);
  });

  it('ends on the device that signs out, and on another when asked', async () => {
    const phone = bench.device();
    await phone.signIn('ada');
    const devices = (await owner.get('/api/me/devices')).body as DeviceReply[];
    expect(devices.map((d) => [d.device, d.here])).toEqual(
      expect.arrayContaining([
        ['Firefox on Linux', true],
        ['Firefox on Linux', false],
      ]),
    );
    await owner.delete(`/api/me/devices/${devices.find((d) => !d.here)?.id}`);
    expect((await phone.get('/api/trainees')).status).toBe(401);
    await owner.post('/api/sign-out');
    expect((await owner.get('/api/me')).body).toEqual({ state: 'signed out' });
  });

  it('ends everywhere else with a new password', async () => {
    const phone = bench.device();
    await phone.signIn('ada');
    expect(codeOf(await owner.put('/api/me/password', { old: 'not this one', password: 'another row of words' }))).toBe('password-wrong');
    expect((await owner.put('/api/me/password', { old: PASSWORD, password: 'another row of words' })).status).toBe(200);
    expect((await phone.get('/api/trainees')).status).toBe(401);
    expect((await owner.get('/api/trainees')).status).toBe(200);
    expect((await phone.signIn('ada', 'another row of words')).status).toBe(200);
  });
});

describe('a request that changes something', () => {
  const add = () => ({ name: 'North hall of fame' });

  it.each([
    ['without what the own pages know', { 'x-myokinet-page': '' }],
    ['with another token', { 'x-myokinet-page': 'f'.repeat(64) }],
    ['from another site', { origin: 'https://elsewhere.example' }],
    ['from a page without an address', { origin: 'null' }],
    ['from another site, as the browser says', { 'sec-fetch-site': 'cross-site' }],
    ['from a neighbour site', { 'sec-fetch-site': 'same-site' }],
  ])('%s is refused', async (_what, headers) => {
    expect(codeOf(await owner.put('/api/studio', add(), headers))).toBe('from-elsewhere');
    expect((await owner.look()).studio?.name).toBe('North hall');
  });

  it('from a page that still shows another studio lands nowhere', async () => {
    const tab: Device = owner.tab();
    await tab.post('/api/studios', { name: 'South hall' });
    expect(codeOf(await owner.post('/api/trainees', traineeDto()))).toBe('from-elsewhere');
    expect((await tab.get('/api/trainees')).body).toEqual([]);
    expect((await owner.look()).studio?.name).toBe('South hall');
    expect((await owner.post('/api/trainees', traineeDto())).status).toBe(201);
  });

  it('from the own page is taken', async () => {
    const own = { origin: 'http://127.0.0.1:4170', 'sec-fetch-site': 'same-origin' };
    expect((await owner.put('/api/studio', add(), own)).status).toBe(200);
  });

  it('that asks for a machine by another name finds nothing', async () => {
    expect((await owner.get('/api/trainees', { host: 'elsewhere.example' })).status).toBe(404);
  });
});

describe('people', () => {
  it('come in once on an invitation, within three days', async () => {
    const invite = async () => (await owner.post('/api/people/invitations', { id: v7(), role: 'coach' })).body as OneTimeReply;
    const about = { name: 'Bo Wren', initials: 'bw', password: PASSWORD };
    const { code } = await invite();
    expect((await bench.device().post('/api/join', { ...about, code, signInName: 'bo.wren' })).status).toBe(200);
    expect(codeOf(await bench.device().post('/api/join', { ...about, code, signInName: 'eve' }))).toBe('code-wrong');
    const late = await invite();
    bench.passDays(3.01);
    await owner.signIn('ada');
    expect(codeOf(await bench.device().post('/api/join', { ...about, code: late.code, signInName: 'eve' }))).toBe('code-wrong');
    const taken = await invite();
    expect(codeOf(await bench.device().post('/api/join', { ...about, code: taken.code, signInName: 'ada' }))).toBe('name-taken');
    expect((await bench.device().post('/api/join', { ...about, code: taken.code, signInName: 'eve' })).status).toBe(200);
  });

  it('are out at once when taken out, and the last owner stays', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    const { accountId } = await coach.look();
    const self = (await owner.look()).accountId;
    expect(codeOf(await owner.put(`/api/people/${self}`, { role: 'coach' }))).toBe('last-owner');
    expect((await owner.put(`/api/people/${accountId}`, { role: null })).status).toBe(200);
    expect((await coach.get('/api/trainees')).status).toBe(401);
    expect((await coach.look()).studio).toBeNull();
    expect(((await owner.get('/api/people')).body as PeopleReply).members.map((m) => m.name)).toEqual(['Ada Finch']);
  });

  it('who are here already change no role by an invitation', async () => {
    const { code } = (await owner.post('/api/people/invitations', { id: v7(), role: 'assistant' })).body as OneTimeReply;
    expect(codeOf(await owner.post('/api/me/studios', { code }))).toBe('already-here');
    expect((await owner.look()).studio?.role).toBe('owner');
    // The code is still good for whom it is meant.
    const about = { code, name: 'Cy Lark', initials: 'cl', signInName: 'cy.lark', password: PASSWORD };
    expect((await bench.device().post('/api/join', about)).status).toBe(200);
  });

  it('come into another studio with the account they have, and then get no new password from either', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    const { accountId } = await coach.look();
    const other = await invited(bench, owner, 'owner', 'eve.crow');
    await other.post('/api/studios', { name: 'South hall' });
    const { code } = (await other.post('/api/people/invitations', { id: v7(), role: 'assistant' })).body as OneTimeReply;
    expect((await coach.post('/api/me/studios', { code })).body).toMatchObject({ studio: { name: 'South hall', role: 'assistant' } });
    expect((await coach.look()).studios.map((s) => [s.name, s.role])).toEqual([
      ['North hall', 'coach'],
      ['South hall', 'assistant'],
    ]);
    expect(codeOf(await owner.post(`/api/people/${accountId}/reset-code`))).toBe('works-elsewhere');
  });

  it('get a new password by an owner’s code, which works once; whoever works elsewhere too gets none', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    const { accountId } = await coach.look();
    const { code } = (await owner.post(`/api/people/${accountId}/reset-code`)).body as OneTimeReply;
    const phone = bench.device();
    expect((await phone.post('/api/reset', { code, password: 'a new row of words' })).status).toBe(200);
    expect(codeOf(await phone.post('/api/reset', { code, password: 'a new row of words' }))).toBe('code-wrong');
    expect((await coach.get('/api/trainees')).status).toBe(401);
    expect((await coach.signIn('bo.wren', 'a new row of words')).status).toBe(200);
  });

  it('are run by owners alone', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    const { accountId } = await coach.look();
    for (const reply of [
      await coach.get('/api/people'),
      await coach.post('/api/people/invitations', { id: v7(), role: 'owner' }),
      await coach.put(`/api/people/${accountId}`, { role: 'owner' }),
      await coach.post(`/api/people/${(await owner.look()).accountId}/reset-code`),
      await coach.put('/api/studio', { name: 'Mine' }),
      await coach.get('/api/copies'),
      await coach.post('/api/copies'),
    ])
      expect(codeOf(reply)).toBe('role-short');
  });

  it('leave a trace of what they did: who, what, about whom, when, from where', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    await coach.put('/api/me', { name: 'Bo Wren', initials: 'wr' });
    const { audit } = (await owner.get('/api/people')).body as PeopleReply;
    const [joined] = audit.filter((a) => a.what === 'joined');
    expect(joined).toMatchObject({ name: 'Bo Wren', about: 'Ada Finch', address: '127.0.0.1', at: '2026-11-24T18:00:00.000Z' });
    expect(audit.map((a) => a.what)).toEqual(expect.arrayContaining(['made-studio', 'signed-in', 'invited:coach']));
    expect((await coach.look()) satisfies MeHere).toMatchObject({
      name: 'Bo Wren',
      initials: 'WR',
      may: expect.not.arrayContaining(['run-studio']) as string[],
    });
  });
});
