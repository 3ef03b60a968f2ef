import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from './test.ts';
import { Server } from './server.ts';

const server = new Server();
test.describe.configure({ mode: 'serial' });
test.beforeAll(() => server.start({ demo: true }));
test.afterAll(() => server.remove());

const figure = (page: Page) => page.getByRole('img', { name: 'Scapular push-up, plank, shown' });
const drawing = (page: Page) =>
  figure(page)
    .first()
    .evaluate((node) => node.innerHTML);

test('a drill moves, is stopped, set by keys, and seen from elsewhere', async ({ page }) => {
  await page.goto(`${server.address}/library/drills/plank-scapular-push-up`);
  await expect(figure(page).first()).toBeVisible();
  const before = await drawing(page);
  await expect.poll(() => drawing(page)).not.toBe(before);
  await page.getByRole('button', { name: 'Stop' }).click();
  const still = await drawing(page);
  await page.waitForTimeout(400);
  expect(await drawing(page)).toBe(still);
  const slider = page.getByRole('slider', { name: 'Point of the movement' });
  await slider.focus();
  await page.keyboard.press('Home');
  const start = await drawing(page);
  await page.keyboard.press('End');
  expect(await drawing(page)).not.toBe(start);
  const seen = page.getByRole('group', { name: 'Seen from' });
  await seen.getByRole('button', { name: 'Blades' }).click();
  await expect(seen.getByRole('button', { name: 'Blades' })).toHaveAttribute('aria-pressed', 'true');
  expect(await drawing(page)).not.toBe(start);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test('a drill is taught in steps, each with its figure, and its faults stand beside the right', async ({ page }) => {
  await page.goto(`${server.address}/library/drills/practice-floor-push-up`);
  const steps = page.getByRole('region', { name: 'How it is done' });
  await expect(steps.getByRole('listitem')).toHaveCount(3);
  await expect(steps.getByRole('listitem').nth(1)).toContainText('Out, breathe inLower as one piece');
  await expect(steps.locator('svg')).toHaveCount(3);
  const faults = page.getByRole('region', { name: 'Faults it invites' });
  await expect(faults.getByRole('img', { name: 'Floor push-up, right' }).first()).toBeVisible();
  const flare = faults.getByRole('img', { name: 'Floor push-up, with the fault: elbow flares out' });
  await flare.scrollIntoViewIfNeeded();
  await expect(flare).toBeVisible();
  // No bent elbow is a fault of a push-up, and no cue asks for straight arms.
  await expect(faults).not.toContainText(/elbow bends|straight and not forced/i);
});

test('who asks for less motion sees stills, and may still play', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`${server.address}/library/drills/plank-scapular-push-up`);
  await expect(figure(page).first().locator('svg')).toHaveCount(2);
  const still = await drawing(page);
  await page.waitForTimeout(400);
  expect(await drawing(page)).toBe(still);
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
});

test('on paper it is a strip of stills without controls', async ({ page }) => {
  await page.goto(`${server.address}/library/drills/plank-scapular-push-up`);
  await expect(figure(page).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('slider')).toBeHidden();
  await expect(figure(page).filter({ visible: true }).locator('svg')).toHaveCount(2);
});

test('a side is mirrored, and what is asked of the joints stands beside it', async ({ page }) => {
  await page.goto(`${server.address}/library/drills/raised-arm-plank`);
  const asked = page.getByRole('region', { name: 'What the movement asks of the joints' });
  await expect(asked.getByRole('row', { name: /Wrist extension under load .*8\d°/ })).toBeVisible();
  await page.getByRole('button', { name: 'On the right' }).click();
  await expect(page.getByRole('button', { name: 'On the left' })).toBeVisible();
  await page.getByLabel('Trainee').selectOption({ index: 3 });
  await expect(asked.getByRole('columnheader', { name: 'Has, left' })).toBeVisible();
  await expect(asked.getByRole('row', { name: /Wrist extension under load/ })).toContainText(
    /enough|too close to call|short|checked too long ago|never checked/,
  );
});

test('every movement is on one page', async ({ page }) => {
  await page.goto(`${server.address}/library/movements`);
  await expect(page.getByRole('img', { name: 'Wrist circles, forearm still in stills', exact: true })).toBeVisible();
  expect(await page.getByRole('listitem').count()).toBeGreaterThan(200);
});
