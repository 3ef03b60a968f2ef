import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import type { PictureReply } from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import sharp from 'sharp';
import { drawnPicture } from '../drawnPicture.ts';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}/pictures`;
});
afterEach(() => bench.close());

const JPEG = Buffer.from(await drawnPicture(), 'base64');
const picture = (own: object = {}) => ({
  id: v7(),
  takenAt: instant(bench.now()),
  measureId: 'shoulder-flexion',
  side: 'left',
  width: 800,
  height: 600,
  facing: 'right',
  points: ['hip', 'shoulder', 'elbow'].map((id, i) => ({ id, x: 100.5 * i, y: 40, placedBy: 'coach' })),
  value: 161.5,
  standardError: 2.4,
  image: JPEG.toString('base64'),
  ...own,
});
const list = async () => (await bench.get(at)) as { body: PictureReply[] };

it('is kept with its landmarks, and comes back as it was', async () => {
  const dto = picture();
  expect((await bench.post(at, dto)).status).toBe(201);
  await bench.post(at, dto);
  const { image: _, ...told } = dto;
  expect((await list()).body).toEqual([{ ...told, kept: true, coach: 'Built-in coach' }]);
  const reply = await bench.app.inject({ url: `${at}/${dto.id}/image`, headers: { host: '127.0.0.1' } });
  expect(reply.headers['content-type']).toBe('image/jpeg');
  // Drawn anew: what it shows, and nothing else that came in its file.
  expect(await sharp(reply.rawPayload).metadata()).toMatchObject({ format: 'jpeg', width: 40, height: 30 });
  expect(JPEG.includes('Invented')).toBe(true);
  expect(reply.rawPayload.includes('Invented')).toBe(false);
});

it('may be taken off the record; what was read from it stays', async () => {
  const dto = picture();
  await bench.post(at, dto);
  expect(await bench.delete(`${at}/${dto.id}/image`)).toMatchObject({ status: 200, body: [{ id: dto.id, kept: false, value: 161.5 }] });
  expect(await bench.get(`${at}/${dto.id}/image`)).toMatchObject({ status: 404, body: { code: 'picture-missing' } });
  expect(() => bench.db.prepare('DELETE FROM picture').run()).toThrow('pictures are facts');
  expect(() => bench.db.prepare("UPDATE picture SET image = x'00'").run()).toThrow('pictures are facts');
});

it('of somebody else is not shown', async () => {
  const dto = picture();
  await bench.post(at, dto);
  const other = traineeDto();
  await bench.post('/api/trainees', other);
  expect((await bench.get(`/api/trainees/${other.id}/pictures/${dto.id}/image`)).status).toBe(404);
  expect((await bench.delete(`/api/trainees/${other.id}/pictures/${dto.id}/image`)).status).toBe(404);
});

it('is refused when it is no picture, or too large, and nothing is kept', async () => {
  expect(await bench.post(at, picture({ image: Buffer.from('GIF89a picture').toString('base64') }))).toMatchObject({
    status: 422,
    body: { code: 'picture-unreadable' },
  });
  expect(await bench.post(at, picture({ image: Buffer.alloc(1_060_000, 1).toString('base64') }))).toMatchObject({
    status: 422,
    body: { fields: [{ field: '/image', message: 'The picture is larger than the limit of 1025 kB.' }] },
  });
  expect(await bench.post(at, picture({ image: Buffer.alloc(1_500_000, 1).toString('base64') }))).toMatchObject({
    status: 413,
    body: { code: 'body-too-large' },
  });
  expect(await bench.post(at, picture({ points: [] }))).toMatchObject({ status: 422 });
  expect((await list()).body).toEqual([]);
});

it('is refused where its content is no JPEG, whatever it calls itself', async () => {
  const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: 'red' } })
    .png()
    .toBuffer();
  const cut = JPEG.subarray(0, 40);
  const mask = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('<script>alert(1)</script>')]);
  for (const image of [png, cut, mask, Buffer.alloc(0)])
    expect((await bench.post(at, picture({ image: image.toString('base64') || 'AAAA' }))).status).toBe(422);
  expect((await list()).body).toEqual([]);
});
