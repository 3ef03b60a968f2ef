import type { ImportReply, LibraryPictureReply } from '@myokinet/core/contracts';
import { PICTURED_LIMITS } from '@myokinet/core/contracts';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { drawnPicture } from '../drawnPicture.ts';
import { type TestBench, testBench } from '../testBench.ts';

const JPEG = await drawnPicture();
const PNG = (
  await sharp({ create: { width: 9, height: 9, channels: 3, background: 'red' } })
    .png()
    .toBuffer()
).toString('base64');

/** A frame with a square that has gone so far across it, and a place in its hidden data. */
async function frame(at: number, size = 200): Promise<string> {
  const dot = { create: { width: 40, height: 40, channels: 3 as const, background: '#a33' } };
  const square = await sharp(dot).png().toBuffer();
  const jpeg = await sharp({ create: { width: size, height: 150, channels: 3, background: '#eee' } })
    .composite([{ input: square, left: at, top: 50 }])
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 0/1 0/1' } })
    .jpeg()
    .toBuffer();
  return jpeg.toString('base64');
}

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const pictures = async (): Promise<LibraryPictureReply[]> => (await bench.get('/api/library/pictures')).body;
const image = (id: string, still = '') =>
  bench.app.inject({ url: `/api/library/pictures/${id}/image${still}`, headers: { host: '127.0.0.1' } });
/** A refusal, its words and the fields' together. */
const said = (body: unknown) => JSON.stringify(body);
const picture = async (own: object = {}) => ({
  id: v7(),
  kind: 'drill',
  entry: 'plank',
  shows: 'A plank',
  frames: [await frame(10)],
  ...own,
});

describe('a studio’s own pictures', () => {
  it('are drawn anew as WebP, without what their file hid, and lie beside their drill', async () => {
    const dto = await picture();
    expect((await bench.post('/api/library/pictures', dto)).status).toBe(201);
    expect(await pictures()).toMatchObject([{ id: dto.id, kind: 'drill', entry: 'plank', shows: 'A plank', moving: false }]);
    const reply = await image(dto.id);
    expect(reply.headers['content-type']).toBe('image/webp');
    const told = await sharp(reply.rawPayload).metadata();
    expect([told.format, told.width, told.height, told.exif]).toEqual(['webp', 200, 150, undefined]);
    // The original held a place.
    expect((await sharp(Buffer.from(dto.frames[0] ?? '', 'base64')).metadata()).exif).toBeDefined();
  });

  it('a clip is its frames in order at its rate, with a still', async () => {
    const dto = await picture({ frames: await Promise.all([0, 40, 80, 120].map((at) => frame(at))), rate: 8 });
    expect((await bench.post('/api/library/pictures', dto)).status).toBe(201);
    const told = await sharp((await image(dto.id)).rawPayload, { animated: true }).metadata();
    expect([told.pages, told.delay, (await pictures())[0]?.moving]).toEqual([4, [125, 125, 125, 125], true]);
    const still = await sharp((await image(dto.id, '?still')).rawPayload).metadata();
    expect([still.pages ?? 1, still.width]).toEqual([1, 200]);
    // The square is where the last frame had it.
    const last = await sharp((await image(dto.id)).rawPayload, { page: 3 })
      .removeAlpha()
      .raw()
      .toBuffer();
    const at = (x: number, y: number) => [...last.subarray((y * 200 + x) * 3, (y * 200 + x) * 3 + 3)];
    expect((at(140, 70)[0] ?? 0) - (at(140, 70)[1] ?? 0)).toBeGreaterThan(60);
    expect((at(60, 70)[0] ?? 0) - (at(60, 70)[1] ?? 0)).toBeLessThan(30);
  });

  it('frames of several sizes are brought to that of the first', async () => {
    const dto = await picture({ frames: [await frame(0), await frame(0, 90)], rate: 2 });
    expect((await bench.post('/api/library/pictures', dto)).status).toBe(201);
    expect((await sharp((await image(dto.id)).rawPayload, { animated: true }).metadata()).pages).toBe(2);
  });

  it.each([
    ['an executable', { frames: [Buffer.from('MZ\u0090 this program cannot be run').toString('base64')] }, 422, /no JPEG/],
    ['a PNG', { frames: [PNG] }, 422, /no JPEG/],
    ['a broken second frame', { frames: [JPEG, 'AAAA'], rate: 8 }, 422, /Frame 2 of the clip/],
    ['too many frames', { frames: Array.from({ length: PICTURED_LIMITS.frames + 1 }, () => 'AAAA'), rate: 8 }, 422, /at most 48 frames/],
    ['none', { frames: [] }, 422, /no picture/],
    ['a drill that is not there', { entry: 'nothing' }, 422, /no such entry/],
    ['a check called as a drill is', { kind: 'measure' }, 422, /no such entry/],
    ['a ladder', { kind: 'ladder' }, 422, /Drills and checks/],
    ['no words', { shows: '' }, 422, /What it shows/],
    ['marks that are no words', { shows: '<b>plank</b>' }, 422, /< or >/],
    ['a rate of nothing', { rate: 0 }, 422, /frames a second/],
  ])('%s is refused, and nothing is kept', async (_what, own, status, says) => {
    const reply = await bench.post('/api/library/pictures', await picture(own));
    expect([reply.status, said(reply.body)]).toEqual([status, expect.stringMatching(says)]);
    expect(await pictures()).toEqual([]);
  });

  it('are so many and no more; sent twice they are one; taken off they are gone', async () => {
    const first = await picture();
    for (let i = 0; i < PICTURED_LIMITS.ofEntry; i++) await bench.post('/api/library/pictures', i === 0 ? first : await picture());
    const full = await bench.post('/api/library/pictures', await picture());
    expect([full.status, said(full.body)]).toEqual([409, expect.stringMatching(/6 pictures, the most/)]);
    expect((await bench.post('/api/library/pictures', first)).status).toBe(201);
    expect((await bench.post('/api/library/pictures', { ...first, shows: 'Another' })).status).toBe(409);
    const off = await bench.delete(`/api/library/pictures/${first.id}`);
    expect([off.status, (await pictures()).length]).toEqual([200, PICTURED_LIMITS.ofEntry - 1]);
    expect((await image(first.id)).statusCode).toBe(404);
    expect(bench.db.prepare('SELECT image, still FROM library_picture WHERE id = ?').get(first.id)).toEqual({ image: null, still: null });
    expect((await bench.post('/api/library/pictures', await picture())).status).toBe(201);
  });
});

describe('in a library file', () => {
  const importing = async (text: string, apply: boolean): Promise<{ status: number; body: ImportReply }> => {
    const { state } = (await bench.get('/api/library')).body as { state: string };
    return bench.post('/api/library/imports', { id: v7(), format: 'json', text, apply, state });
  };
  const file = async (how = ''): Promise<string> =>
    JSON.stringify(((await bench.get(`/api/library/file.json${how}`)) as { readonly body: object }).body);

  it('they travel as themselves to another studio, moving or not, and come once', async () => {
    const clip = await picture({ kind: 'measure', entry: 'grip', frames: [await frame(0), await frame(50)], rate: 4 });
    const still = await picture();
    for (const dto of [clip, still]) await bench.post('/api/library/pictures', dto);
    const text = await file('?pictures=embedded');
    await bench.close();
    bench = await testBench();
    expect((await importing(text, false)).body).toMatchObject({ problems: [], pictures: 2, applied: false });
    expect(await pictures()).toEqual([]);
    expect((await importing(text, true)).body).toMatchObject({ pictures: 2, applied: true });
    expect((await pictures()).map((p) => [p.id, p.moving])).toEqual([
      [clip.id, true],
      [still.id, false],
    ]);
    expect((await sharp((await image(clip.id)).rawPayload, { animated: true }).metadata()).delay).toEqual([250, 250]);
    expect((await importing(text, true)).body).toMatchObject({ pictures: 0 });
    expect(await pictures()).toHaveLength(2);
  });

  it('or as addresses, which nobody fetches, or not at all', async () => {
    const dto = await picture();
    await bench.post('/api/library/pictures', dto);
    const links = await file('?pictures=links');
    expect(JSON.parse(links)).toMatchObject({ pictures: [{ id: dto.id, href: `/api/library/pictures/${dto.id}/image` }] });
    expect(links).not.toContain('"image":');
    expect((await importing(links, false)).body).toMatchObject({ problems: [], pictures: 0 });
    expect(JSON.parse(await file())).not.toHaveProperty('pictures');
  });

  it('one that is no picture, or of nothing in the library, stops the whole file', async () => {
    const plain = JSON.parse(await file()) as object;
    const entry = { id: v7(), kind: 'drill', entry: 'plank', shows: 'A plank', moving: false };
    const broken = await importing(JSON.stringify({ ...plain, pictures: [{ ...entry, image: 'AAAA' }] }), true);
    expect([broken.status, said(broken.body)]).toEqual([422, expect.stringMatching(/no WebP/)]);
    const stray = await importing(JSON.stringify({ ...plain, pictures: [{ ...entry, entry: 'nothing', image: 'AAAA' }] }), true);
    expect(stray.body.problems).toMatchObject([{ field: '/pictures/0/entry' }]);
    expect(await pictures()).toEqual([]);
  });
});
