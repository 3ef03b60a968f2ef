import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

describe('a trainee', () => {
  it('is added, listed, read and edited', async () => {
    const dto = traineeDto();
    expect(await bench.post('/api/trainees', dto)).toMatchObject({ status: 201, body: { ...dto, screening: { state: 'missing' } } });
    expect(await bench.get('/api/trainees')).toMatchObject({ status: 200, body: [{ id: dto.id, name: 'Ada Spar' }] });
    const edited = { ...dto, name: 'Ada Mast', basedOn: dto.revision, revision: v7() };
    expect(await bench.put(`/api/trainees/${dto.id}`, edited)).toMatchObject({ status: 200, body: { name: 'Ada Mast' } });
    expect(await bench.get(`/api/trainees/${dto.id}`)).toMatchObject({ body: { name: 'Ada Mast', revision: edited.revision } });
  });

  it('keeps every earlier revision', async () => {
    const dto = traineeDto();
    await bench.post('/api/trainees', dto);
    await bench.put(`/api/trainees/${dto.id}`, { ...dto, mass: 72, basedOn: dto.revision, revision: v7() });
    expect(bench.db.prepare('SELECT mass_kg FROM trainee_revision ORDER BY saved_at, id').pluck().all()).toEqual([70, 72]);
  });

  it('is the same when the request comes twice, and refused when its id means something else', async () => {
    const dto = traineeDto();
    await bench.post('/api/trainees', dto);
    expect(await bench.post('/api/trainees', dto)).toMatchObject({ status: 201 });
    expect(bench.db.prepare('SELECT count(*) FROM trainee_revision').pluck().get()).toBe(1);
    expect(await bench.post('/api/trainees', { ...dto, name: 'Somebody Else' })).toMatchObject({
      status: 409,
      body: { code: 'id-reused' },
    });
    expect(await bench.get(`/api/trainees/${dto.id}`)).toMatchObject({ body: { name: 'Ada Spar' } });
  });

  it('is not overwritten by somebody who edits an older version', async () => {
    const dto = traineeDto();
    await bench.post('/api/trainees', dto);
    const edit = (name: string) => bench.put(`/api/trainees/${dto.id}`, { ...dto, name, basedOn: dto.revision, revision: v7() });
    expect((await edit('First Tab')).status).toBe(200);
    expect(await edit('Second Tab')).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect(await bench.get(`/api/trainees/${dto.id}`)).toMatchObject({ body: { name: 'First Tab' } });
  });

  it('that nobody knows is missing, on every page', async () => {
    for (const path of ['', '/readiness', '/checks', '/record', '/plans/2026-11-23'])
      expect(await bench.get(`/api/trainees/${v7()}${path}`)).toMatchObject({
        status: 404,
        type: 'application/problem+json; charset=utf-8',
        body: { code: 'trainee-missing' },
      });
  });

  it('under 18 carries the caution by itself, and only while it lasts', async () => {
    const dto = traineeDto({ birthYear: 2009 });
    expect(await bench.post('/api/trainees', dto)).toMatchObject({
      body: {
        screening: { cautions: [{ id: 'unscreened' }, { id: 'no-consent' }, { id: 'minor', because: [{ code: 'born', on: '2009' }] }] },
      },
    });
    bench.passDays(2 * 366);
    expect(await bench.get(`/api/trainees/${dto.id}`)).toMatchObject({ body: { screening: { cautions: [{ id: 'unscreened' }] } } });
  });

  it('a known day of birth tells the age to the day, and must lie in the birth year', async () => {
    // The bench lives on 24 and 25 November 2026.
    const born = (birthDate: string) => traineeDto({ birthYear: 2008, birthDate });
    const cautions = async (dto: ReturnType<typeof traineeDto>) =>
      ((await bench.post('/api/trainees', dto)).body as { screening: { cautions: { id: string }[] } }).screening.cautions.map((c) => c.id);
    expect(await cautions(born('2008-11-20'))).toEqual(['unscreened']);
    expect(await cautions(born('2008-12-20'))).toEqual(['unscreened', 'no-consent', 'minor']);
    expect(await bench.post('/api/trainees', born('2007-12-20'))).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/birthDate' }] },
    });
    expect(await bench.post('/api/trainees', born('2008-02-30'))).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/birthDate' }] },
    });
  });
});
