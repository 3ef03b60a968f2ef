import type { CaseloadRow, CheckReply } from '@myokinet/core/contracts';
import type { Browser } from '@playwright/test';
import { CLIP_PROMISE, type ClipCurve } from '@myokinet/core/landmarks';
import { drawClip, DRAWN_RANGE, type DrawnClip } from './drawnClip.ts';
import { Server } from './server.ts';
import { expect, type Page, test } from './test.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());
// A clip is read at half of its speed or less, beside whatever else the machine does.
test.setTimeout(300_000);

const READ = { timeout: 240_000 };
const idOf = (name: string) => crew.find((c) => c.name.startsWith(name))?.id ?? '';

async function openClip(
  page: Page,
  id: string,
  check: string,
  clip: { readonly name: string; readonly type?: string; readonly bytes: Buffer },
) {
  await page.goto(`${server.address}/trainees/${id}/battery?scope=${check}`);
  await page.getByRole('button', { name: 'Clip', exact: true }).click();
  await page
    .getByLabel('A clip, chosen or dropped here. It stays on this machine.')
    .setInputFiles({ name: clip.name, mimeType: clip.type ?? 'video/webm', buffer: clip.bytes });
}

async function film(browser: Browser, clip: DrawnClip): Promise<{ readonly name: string; readonly bytes: Buffer }> {
  return { name: 'drawn.webm', bytes: await drawClip(browser, clip) };
}

test('a clip of a drawn person is read beside the page, looked at, and only informs; nothing of it leaves the machine', async ({
  page,
  browser,
}) => {
  const id = idOf('Jory');
  const clip = await film(browser, { movement: 'arm raise', repetitions: 3, period: 2, still: 0.8 });
  const sent: string[] = [];
  page.on('request', (r) => r.method() !== 'GET' && sent.push(r.postData() ?? ''));
  await openClip(page, id, 'wall-slides-clean', clip);
  await expect(page.getByRole('group', { name: 'Part of the clip' })).toContainText(/s are read/);
  // Stopped in the middle, nothing is taken and the clip is still there.
  await page.getByRole('button', { name: 'Read the clip' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Read the clip' }).click();
  await expect(page.getByRole('button', { name: /^Use it: clean repetitions, [234] reps?$/ })).toBeVisible(READ);
  await expect(page.getByText(/^The right side, seen in \d+% of the frames/)).toBeVisible();
  // A clip has no shake and no speed.
  await expect(page.getByText('Shake, 4–12 Hz')).toHaveCount(0);
  await expect(page.getByRole('columnheader', { name: 'fastest' })).toHaveCount(0);
  const use = page.getByRole('button', { name: /^Use it/ });
  await expect(use).toBeDisabled();
  const before = await page.getByLabel('Clip', { exact: true }).evaluate((v: HTMLVideoElement) => v.currentTime);
  await page
    .getByRole('button', { name: /s: look$/ })
    .first()
    .click();
  await expect.poll(() => page.getByLabel('Clip', { exact: true }).evaluate((v: HTMLVideoElement) => v.currentTime)).not.toBe(before);
  await page.getByLabel('I have looked at each turn on the clip.').check();
  await use.click();
  await page.getByRole('button', { name: 'Close the clip' }).click();
  await page.getByRole('button', { name: 'End here' }).click();
  await page.getByRole('button', { name: 'Save the battery' }).click();
  await expect
    .poll(async () => (await server.api<readonly CheckReply[]>(`/api/trainees/${id}/checks`))[0]?.trials[0]?.reading?.trace?.ofClip)
    .toBe(true);
  const [check] = await server.api<readonly CheckReply[]>(`/api/trainees/${id}/checks`);
  expect(check?.capacities.map((c) => c.provisional)).toEqual(['suggested']);
  expect(check?.trials[0]?.reading?.instrument).toBe('angle of the arm to the trunk, right');
  expect(Math.max(...sent.map((body) => body.length))).toBeLessThan(20_000);
});

test('what is no clip, what cannot be played and a clip without anybody are told, and nothing is lost', async ({ page, browser }) => {
  const id = idOf('Jory');
  const panel = page.locator('section[aria-label^="Clip for"]');
  await openClip(page, id, 'push-ups-clean', { name: 'notes.txt', type: 'text/plain', bytes: Buffer.from('no video') });
  await expect(panel.getByText('“notes.txt” is no video.')).toBeVisible();
  await openClip(page, id, 'push-ups-clean', { name: 'broken.mp4', type: 'video/mp4', bytes: Buffer.from('broken '.repeat(500)) });
  await expect(panel.getByText('This browser cannot play the clip. Export it as MP4 (H.264) or WebM.')).toBeVisible();
  const nobody = await film(browser, { movement: 'push-up', repetitions: 1, period: 1, still: 0.8, people: 0 });
  await openClip(page, id, 'push-ups-clean', nobody);
  await page.getByRole('button', { name: 'Read the clip' }).click();
  await expect(panel.getByText(/was seen in \d+% of \d+ frames; at least half are needed/)).toBeVisible(READ);
  await panel.getByRole('button', { name: 'Back to the clip' }).click();
  await expect(page.getByRole('button', { name: 'Read the clip' })).toBeVisible();
});

const MEASURED: readonly (readonly [DrawnClip, string, ClipCurve, number | undefined])[] = [
  [{ movement: 'arm raise', repetitions: 5, period: 2.4, still: 1.2 }, 'wall-slides-clean', 'shoulder', 120],
  [{ movement: 'push-up', repetitions: 5, period: 2.4, still: 1.2 }, 'push-ups-clean', 'shoulder height', undefined],
  [{ movement: 'pull-up', repetitions: 5, period: 2.4, still: 1.2 }, 'rows-clean', 'shoulder height', undefined],
  [{ movement: 'hip sag', repetitions: 5, period: 2.4, still: 1.2 }, 'push-ups-clean', 'hip line', 8],
];

for (const [drawn, check, curve, range] of MEASURED)
  test(`${drawn.movement}: count, strokes and range within what is promised`, { tag: '@long' }, async ({ page, browser }) => {
    expect(DRAWN_RANGE[drawn.movement]).toHaveLength(2);
    const clip = await film(browser, drawn);
    await openClip(page, idOf('Jory'), check, clip);
    await page.getByLabel('Follow').selectOption(curve);
    await page.getByRole('button', { name: 'Read the clip' }).click();
    const rows = page.getByRole('region', { name: 'Repetitions' }).locator('tbody tr');
    await expect(rows.first()).toBeVisible(READ);
    const read = await rows.evaluateAll((all) => all.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent)));
    test.info().annotations.push({ type: 'read', description: JSON.stringify(read) });
    expect(Math.abs(read.length - drawn.repetitions)).toBeLessThanOrEqual(CLIP_PROMISE.count);
    // The first and last strokes run into the rest before and after.
    for (const [, , size, strokes] of read.slice(1, -1)) {
      const [out, back] = (strokes ?? '').split(',').map(Number.parseFloat);
      for (const seconds of [out, back])
        expect(Math.abs((seconds ?? 0) - drawn.period / 2)).toBeLessThanOrEqual(CLIP_PROMISE.strokeSeconds + 0.05);
      if (range !== undefined) expect(Math.abs(Number.parseFloat(size ?? '') - range)).toBeLessThanOrEqual(CLIP_PROMISE.range);
    }
  });

test('three people in a clip: it is told, or the one in front is read', { tag: '@long' }, async ({ page, browser }) => {
  const clip = await film(browser, { movement: 'arm raise', repetitions: 4, period: 2, still: 1, people: 3 });
  await openClip(page, idOf('Jory'), 'wall-slides-clean', clip);
  await page.getByRole('button', { name: 'Read the clip' }).click();
  const told = page.getByText(/somebody else may be in the picture|not sure enough|at least half are needed/).first();
  const read = page.getByRole('button', { name: /^Use it: clean repetitions, [345] reps$/ });
  await expect(told.or(read).first()).toBeVisible(READ);
});
