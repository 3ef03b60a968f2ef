import { type Locator } from '@playwright/test';
import { expect, type Page, test } from './test.ts';
import type { BandReply, CalibrationReply, CaseloadRow, LibraryReply, TraineeReply } from '@myokinet/core/contracts';
import { Server } from './server.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
const lab = (name: string, setUp: object) =>
  `${server.address}/trainees/${idOf(name)}/lab?setUp=${encodeURIComponent(JSON.stringify(setUp))}`;

/** The first row of the readings: how much weight is in the hands. */
const loadRow = (page: Page, title = 'Readings, Set-up'): Locator => page.getByRole('table', { name: title }).getByRole('row').nth(1);
async function loadOf(page: Page): Promise<number> {
  return Number(/(\d+)% of body weight/.exec((await loadRow(page).textContent()) ?? '')?.[1]);
}

test('a handle that is dragged, nudged or typed turns the dial, and the readings follow', async ({ page }) => {
  await page.goto(lab('Jory', { position: 'push-up', handHeightM: 0.3 }));
  const handle = page.getByRole('slider', { name: 'Height under the hands', exact: true });
  await expect(handle).toHaveAttribute('aria-valuetext', '30 cm');
  const before = await loadOf(page);
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 60, { steps: 12 });
  await page.mouse.up();
  await expect.poll(() => loadOf(page)).toBeLessThan(before - 5);
  const raised = Number(await handle.getAttribute('aria-valuenow'));
  expect(raised).toBeGreaterThan(0.4);
  await handle.press('ArrowDown');
  expect(Number(await handle.getAttribute('aria-valuenow'))).toBeCloseTo(raised - 0.01, 6);
  await page.getByRole('spinbutton', { name: /Height under the hands/ }).fill('0');
  await expect(loadRow(page)).toContainText(/6[789]% of body weight/);
  // What is on the bench survives a reload.
  await expect.poll(() => page.url()).toContain(encodeURIComponent('"handHeightM":0}'));
  await page.reload();
  await expect(handle).toHaveAttribute('aria-valuetext', '0 cm');
});

test('a set-up that can not be says its limit, and keeps the last one that stood', async ({ page }) => {
  await page.goto(lab('Jory', { position: 'push-up', handHeightM: 0.3 }));
  await page.getByRole('spinbutton', { name: /Height under the hands/ }).fill('130');
  await expect(page.getByRole('alert')).toContainText('out of reach of a straight body of 182 cm');
  await expect(page.getByRole('group', { name: /side view/ })).toBeVisible();
  await page.getByRole('spinbutton', { name: /Height under the hands/ }).fill('60');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('backwards: a wanted load becomes a set-up, a wrist limit binds, an impossible one is refused with the nearest', async ({ page }) => {
  await page.goto(lab('Ines', { position: 'plank' }));
  const panel = page.getByRole('region', { name: 'From a load to its set-up' });
  await expect(panel).toContainText(/Wrist: \d+° less its error band of \d+°, checked \d+ days? ago/);
  await panel.getByLabel('Wanted').fill('72');
  await panel.getByLabel('Wrist at most').fill('');
  await expect(panel.getByRole('status')).toContainText('No limit binds.');
  await panel.getByRole('button', { name: 'Set it up' }).click();
  await expect(loadRow(page)).toContainText('72% of body weight');
  await panel.getByLabel('Wanted').fill('80');
  await panel.getByLabel('Wrist at most').fill('97');
  await expect(panel.getByRole('status')).toContainText(/and a wedge of \d+° under the hands gives 80%/);
  await panel.getByLabel('Wrist at most').fill('72');
  await expect(panel.getByRole('status')).toContainText('The wrist binds.');
  await panel.getByLabel('Wanted').fill('20');
  await expect(panel.getByRole('status')).toContainText(/gives at least 6\d\.\d% of body weight/);
});

test('two set-ups side by side, swapped and put away', async ({ page }) => {
  await page.goto(lab('Jory', { position: 'push-up', handHeightM: 0.45 }));
  await page.getByRole('button', { name: 'Compare with a second set-up' }).click();
  await page.getByRole('region', { name: 'Second set-up', exact: true }).getByLabel('Position').selectOption('plank');
  await expect(loadRow(page, 'Readings, Second set-up')).toContainText(/6\d% of body weight/);
  await expect(loadRow(page)).toContainText(/5\d% of body weight/);
  await page.getByRole('button', { name: 'Swap the two' }).click();
  await expect(loadRow(page)).toContainText(/6\d% of body weight/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(loadRow(page)).toContainText(/5\d% of body weight/);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(loadRow(page)).toContainText(/6\d% of body weight/);
  await page.getByRole('button', { name: 'Take the second away' }).click();
  await expect(page.getByRole('region', { name: 'Second set-up', exact: true })).toHaveCount(0);
});

test('a set-up is put on a rung, and the ladder, its demand and the library follow', async ({ page }) => {
  const id = idOf('Petra');
  await page.goto(lab('Petra', { position: 'push-up', handHeightM: 0.5 }));
  await page.getByRole('button', { name: 'Use this set-up…' }).click();
  await page.getByLabel('On', { exact: true }).selectOption('rung push-up surface-45');
  await page.getByRole('button', { name: 'Save it there' }).click();
  await expect(page.getByText('Saved as the studio’s own.')).toBeVisible();
  const { content } = await server.api<LibraryReply>('/api/library');
  const rung = content.ladders.find((l) => l.id === 'push-up')?.rungs.find((r) => r.id === 'surface-45');
  expect(rung?.support?.setUp).toEqual({ position: 'push-up', handHeightM: 0.5 });
  const load = await loadOf(page);
  await page.goto(`${server.address}/trainees/${id}/lab/ladder?ladder=push-up`);
  const row = page.getByRole('row', { name: /Surface at 45 cm/ });
  await expect(row).toContainText('height under the hands 50 cm');
  await expect(row).toContainText(`${load}%`);
  await expect(page.getByText('step between').first()).toBeVisible();
  await row.getByRole('link').click();
  await expect(loadRow(page)).toContainText(`${load}% of body weight`);
  await page.goto(`${server.address}/library/ladders/push-up`);
  await expect(page.getByText('Set-up of the lab: push-up, height under the hands 50 cm.')).toBeVisible();
});

test('a scale teaches the model; a reading that contradicts it is questioned and not swallowed', async ({ page }) => {
  const id = idOf('Wilma');
  const trainee = await server.api<TraineeReply>(`/api/trainees/${id}`);
  await page.goto(lab('Wilma', { position: 'push-up' }));
  const panel = page.getByRole('region', { name: 'Calibrate with a scale' });
  const band = () => loadRow(page).getByRole('cell').last().textContent();
  const before = await band();
  await panel.getByLabel('It shows').fill(String(trainee.mass - 5));
  await expect(panel.getByRole('status')).toContainText('It contradicts the model by more than its band.');
  await expect(panel.getByRole('button', { name: 'Record the reading' })).toBeDisabled();
  await panel.getByRole('button', { name: 'Keep it as a question' }).click();
  await expect(panel.getByText('contradicts the model; teaches nothing')).toBeVisible();
  expect(await band()).toBe(before);
  await panel.getByLabel('It shows').fill((trainee.mass * 0.32).toFixed(1));
  await panel.getByRole('button', { name: 'Record the reading' }).click();
  await expect(panel.getByText('The model has learned from 1 reading of this trainee.')).toBeVisible();
  await expect.poll(band).not.toBe(before);
  const { readings } = await server.api<CalibrationReply>(`/api/trainees/${id}/calibration`);
  expect(readings.map((r) => r.judged.state)).toEqual(['used', 'questioned']);
  await panel.getByRole('button', { name: 'Set it aside…' }).first().click();
  await panel.getByLabel('Why shall it no longer count?').fill('The scale stood on a mat.');
  await panel.getByRole('button', { name: 'Set it aside', exact: true }).click();
  await expect(panel.getByText('Two or three readings in different set-ups')).toBeVisible();
});

test('a band is read, nonsense is refused with its reason, and its help in a pull-up is shown', async ({ page }) => {
  await page.goto(`${server.address}/library/bands`);
  await page.getByRole('button', { name: 'Add a band' }).click();
  await page.getByLabel('Name').fill('Rowan');
  await page.getByLabel('Slack length').fill('100');
  for (const [i, stretch, pull] of [
    [1, '50', '20'],
    [2, '110', '14'],
  ] as const) {
    await page.getByLabel(`Stretch ${i}`).fill(stretch);
    await page.getByLabel(`Pull ${i}`).fill(pull);
  }
  await page.getByRole('button', { name: 'Save the band' }).click();
  await expect(page.getByRole('alert')).toContainText('At 110 cm the band pulls 14 kg, no more than at 50 cm');
  await page.getByLabel('Pull 2').fill('38');
  await page.getByRole('button', { name: 'Save the band' }).click();
  await expect(page.getByRole('heading', { name: 'Rowan' })).toBeVisible();
  expect((await server.api<readonly BandReply[]>('/api/bands')).map((b) => b.name)).toContain('Rowan');
  await page.goto(lab('Tobias', { position: 'pull-up' }));
  await page.getByRole('region', { name: 'From a load to its set-up' }).getByLabel('Wanted').fill('60');
  await page.getByRole('listitem').filter({ hasText: 'Rowan under the feet' }).getByRole('button', { name: 'Take it' }).click();
  const bottom = await loadOf(page);
  expect(bottom).toBeLessThan(75);
  await page.getByLabel('At the').selectOption('top');
  await expect.poll(() => loadOf(page)).toBeGreaterThan(bottom);
});

test('a swing says its period, its pull and what it asks of the grip', async ({ page }) => {
  await page.goto(lab('Tamsin', { position: 'swing', amplitudeDeg: 40 }));
  const readings = page.getByRole('region', { name: 'Readings, Set-up' });
  await expect(readings).toContainText(/One swing there and back takes 2\.\d s/);
  await expect(readings).toContainText(/a point mass on a string would pull 1\.47 times/);
  await expect(readings).toContainText(/This asks \d+ kg of each hand; the weaker hand closes with \d+ ± \d+ kg/);
});
