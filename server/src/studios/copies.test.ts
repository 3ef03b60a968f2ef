import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CopiesReply, TraineeReply } from '@myokinet/core/contracts';
import { subDays, subHours } from 'date-fns';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { traineeDto } from '../testBench.ts';
import { type Device, foundStudio, type HouseBench, houseBench, invited, PASSWORD } from './houseBench.ts';
import { KEPT, keptOf } from './kept.ts';
import { SealBroken, sealFile, unsealFile } from './seal.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'myokinet-copies-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('copies that are kept', () => {
  const noon = new Date('2026-11-28T12:00:00Z');

  it('are the newest of 7 days, 5 weeks and 12 months, when one is made every day for three years', () => {
    // Thinned every day, as it happens, and not once at the end.
    let kept: readonly Date[] = [];
    for (let ago = 3 * 365; ago >= 0; ago--) kept = keptOf([...kept, subDays(noon, ago)]);
    const days = kept.map((d) => d.toISOString().slice(0, 10));
    expect(days.slice(0, 7)).toEqual(['2026-11-28', '2026-11-27', '2026-11-26', '2026-11-25', '2026-11-24', '2026-11-23', '2026-11-22']);
    // Ends of weeks (Sundays) before, then ends of months.
    expect(days).toEqual(expect.arrayContaining(['2026-11-15', '2026-11-08', '2026-11-01', '2026-10-31', '2026-06-30', '2025-12-31']));
    expect(days.at(-1)).toBe('2025-12-31');
    expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
  });

  it('always hold the newest, and of several a day only the last', () => {
    const hours = Array.from({ length: 10 }, (_, i) => subHours(noon, i));
    expect(keptOf(hours)).toEqual([noon]);
    expect(keptOf([])).toEqual([]);
  });
});

describe('a sealed file', () => {
  const paths = () => ({ plain: join(folder, 'a'), sealed: join(folder, 'b'), opened: join(folder, 'c') });

  it('opens with its passphrase, byte for byte, and holds nothing that can be read', () => {
    const { plain, sealed, opened } = paths();
    const bytes = Buffer.from('Ysolde Marrow '.repeat(5000));
    writeFileSync(plain, bytes);
    sealFile(plain, sealed, 'one long passphrase');
    unsealFile(sealed, opened, 'one long passphrase');
    expect(readFileSync(opened)).toEqual(bytes);
    expect(readFileSync(sealed).includes('Ysolde')).toBe(false);
  });

  it('does not open with another passphrase, nor with one bit changed anywhere', () => {
    const { plain, sealed, opened } = paths();
    writeFileSync(plain, 'what a trainee told');
    sealFile(plain, sealed, 'one long passphrase');
    expect(() => unsealFile(sealed, opened, 'another passphrase')).toThrow(SealBroken);
    const whole = readFileSync(sealed);
    for (let at = 0; at < whole.length; at += 7) {
      const bent = Buffer.from(whole);
      bent[at] = (bent[at] ?? 0) ^ 1;
      writeFileSync(sealed, bent);
      expect(() => unsealFile(sealed, opened, 'one long passphrase'), `byte ${at}`).toThrow(SealBroken);
    }
    expect(existsSync(opened)).toBe(false);
  });
});

describe.each([
  ['plain', undefined],
  ['sealed', 'one long passphrase'],
])('a studio with %s copies', (_kind, passphrase) => {
  let bench: HouseBench;
  let owner: Device;
  beforeEach(async () => {
    bench = await houseBench({ folder, ...(passphrase === undefined ? {} : { passphrase }) });
    owner = await foundStudio(bench);
  });
  afterEach(() => bench.close());

  const names = async () => ((await owner.get('/api/trainees')).body as TraineeReply[]).map((t) => t.name).sort();
  const add = (name: string) => owner.post('/api/trainees', traineeDto({ name }));
  const copy = async () => (await owner.post('/api/copies')).body as CopiesReply;

  it('comes back to what it was, sets aside what it is, and asks for the password', async () => {
    await add('Before');
    bench.passDays(0.2);
    const made = await copy();
    expect(made).toMatchObject({ overdue: false, sealed: passphrase !== undefined, lastGoodAt: made.copies[0]?.madeAt });
    await add('After');
    bench.passDays(0.4);
    const at = `/api/copies/${made.copies[0]?.name}/restore`;
    expect((await owner.post(at)).body).toMatchObject({ code: 'confirm-first' });
    expect(await names()).toEqual(['After', 'Before']);
    await owner.post('/api/me/confirm', { password: PASSWORD });
    expect((await owner.post(at)).status).toBe(200);
    expect(await names()).toEqual(['Before']);
    // Work goes on in the file that came back, by people who came since.
    await add('Later');
    expect(await names()).toEqual(['Before', 'Later']);
    expect(readdirSync(join(bench.data, 'set-aside')).filter((f) => f.endsWith('.sqlite'))).toHaveLength(1);
  });

  it('keeps people who came after the copy was made', async () => {
    const made = await copy();
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    expect((await owner.post(`/api/copies/${made.copies[0]?.name}/restore`)).status).toBe(200);
    expect((await coach.post('/api/trainees', traineeDto({ name: 'By the new one' }))).status).toBe(201);
  });

  it('refuses a copy that is damaged itself, and goes on as it was', async () => {
    await add('Here');
    const { copies } = await copy();
    const place = join(folder, 'copies', copies[0]?.name ?? '');
    const studio = (await owner.look()).studio?.id ?? '';
    const file = readdirSync(place).find((f) => f.startsWith(studio)) ?? '';
    spoil(join(place, file));
    expect((await owner.post(`/api/copies/${copies[0]?.name}/restore`)).body).toMatchObject({ code: 'copy-unusable' });
    expect(await names()).toEqual(['Here']);
    expect((await owner.post('/api/copies/2020-01-01T00-00-00Z/restore')).body).toMatchObject({ code: 'copy-missing' });
    expect((await owner.post('/api/copies/..%2F..%2Faccounts/restore')).body).toMatchObject({ code: 'copy-missing' });
  });
});

/** Overwrites the middle of a file. */
function spoil(file: string): void {
  const { size } = statSync(file);
  const open = openSync(file, 'r+');
  writeSync(open, Buffer.alloc(Math.floor(size / 2), 0x5a), 0, Math.floor(size / 2), Math.floor(size / 4));
  closeSync(open);
}

describe('a clock that was ahead', () => {
  it('leaves a copy that is none of today: the next is due all the same', async () => {
    const first = await houseBench({ folder });
    const owner = await foundStudio(first);
    await first.house.copyNow();
    first.passDays(2);
    await owner.post('/api/copies');
    first.passDays(-1.9);
    const state = (await owner.get('/api/copies')).body as CopiesReply;
    expect(state.copies.map((c) => c.madeAt > first.now().toISOString())).toContain(true);
    expect(state.lastGoodAt === null || state.lastGoodAt <= first.now().toISOString()).toBe(true);
    first.passDays(0.9);
    expect(((await owner.get('/api/copies')).body as CopiesReply).overdue).toBe(false);
    first.passDays(0.2);
    expect(((await owner.get('/api/copies')).body as CopiesReply).overdue).toBe(true);
    await first.close();
  });
});

describe('a damaged file of one studio', () => {
  it('is said to its people alone, takes nothing in, and is mended with the newest copy', async () => {
    const first = await houseBench({ folder });
    const owner = await foundStudio(first);
    await owner.post('/api/trainees', traineeDto({ name: 'Kept' }));
    const { copies } = (await owner.post('/api/copies')).body as CopiesReply;
    const north = (await owner.look()).studio?.id ?? '';
    await owner.post('/api/studios', { name: 'South hall' });
    await owner.post(`/api/me/studios/${north}/enter`);
    await first.close({ keep: true });
    const file = join(folder, 'data', 'studios', `${north}.sqlite`);
    spoil(file);
    const spoilt = readFileSync(file);

    const second = await houseBench({ folder });
    expect(second.damaged).toEqual(['North hall']);
    const back = second.device();
    await back.signIn('ada');
    await back.post(`/api/me/studios/${north}/enter`);
    expect((await back.look()).studio).toMatchObject({ name: 'North hall', damaged: true });
    expect(await back.get('/api/trainees')).toMatchObject({ status: 503, body: { code: 'studio-damaged' } });
    expect((await back.post('/api/trainees', traineeDto())).status).toBe(503);
    expect((await back.get('/api/health')).body).toMatchObject({ damaged: 1 });
    const south = (await back.look()).studios.find((s) => s.name === 'South hall')?.id;
    await back.post(`/api/me/studios/${south}/enter`);
    expect((await back.get('/api/trainees')).status).toBe(200);
    expect(readFileSync(file)).toEqual(spoilt);

    await back.post(`/api/me/studios/${north}/enter`);
    expect((await back.post(`/api/copies/${copies[0]?.name}/restore`)).status).toBe(200);
    expect(((await back.get('/api/trainees')).body as TraineeReply[]).map((t) => t.name)).toEqual(['Kept']);
    expect((await back.look()).studio).toMatchObject({ damaged: false });
    await second.close();
  });

  it('does not stop the copies of the others, and the copy says which is missing', async () => {
    const first = await houseBench({ folder });
    const owner = await foundStudio(first);
    const north = (await owner.look()).studio?.id ?? '';
    await first.close({ keep: true });
    spoil(join(folder, 'data', 'studios', `${north}.sqlite`));
    const second = await houseBench({ folder });
    await second.house.copyNow();
    const back = second.device();
    await back.signIn('ada');
    const state = (await back.get('/api/copies')).body as CopiesReply;
    expect(state.problem).toContain(north);
    await second.close();
  });
});

describe('an older database', () => {
  it('becomes the first studio, and stays as it was', async () => {
    const old = await houseBench({ folder: join(folder, 'old') });
    const owner = await foundStudio(old);
    await owner.post('/api/trainees', traineeDto({ name: 'Known for years' }));
    const file = join(folder, 'old.sqlite');
    const studio = (await owner.look()).studio?.id ?? '';
    await old.close({ keep: true });
    copyFileSync(join(folder, 'old', 'data', 'studios', `${studio}.sqlite`), file);
    const before = readFileSync(file);

    const fresh = await houseBench({ folder: join(folder, 'new'), adopt: file });
    const founder = await foundStudio(fresh);
    expect(((await founder.get('/api/trainees')).body as TraineeReply[]).map((t) => t.name)).toEqual(['Known for years']);
    expect(readFileSync(file)).toEqual(before);
    await fresh.close();
  });
});
