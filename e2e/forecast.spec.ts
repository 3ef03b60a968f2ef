import { AxeBuilder } from '@axe-core/playwright';
import type { CaseloadRow, ForecastsReply } from '@myokinet/core/contracts';
import { Server } from './server.ts';
import { expect, test } from './test.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

/** Somebody whose gate is likely to open some day. */
async function someoneForeseen(): Promise<string> {
  let found: string | undefined;
  await expect
    .poll(
      async () => {
        const { forecasts } = await server.api<ForecastsReply>('/api/forecasts');
        found = forecasts.find((f) => f.forecast.kind === 'range')?.traineeId;
        return found;
      },
      { timeout: 30_000 },
    )
    .toBeDefined();
  return found ?? '';
}

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';

test('what other weeks would change is drawn beside the forecast, by sliders and by keys', async ({ page }) => {
  await page.goto(`${server.address}/trainees/${await someoneForeseen()}`);
  await expect(page.getByRole('region', { name: 'Forecast' })).toContainText(/Likely (between|after)/);
  const ahead = page.getByRole('region', { name: 'The weeks ahead' });
  await expect(ahead.getByText('Move a slider.')).toBeVisible();
  const days = ahead.getByRole('slider', { name: /^Sessions a week/ });
  const before = Number(await days.inputValue());
  await days.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect(ahead.getByText(/Likely .* Compared: /)).toBeVisible();
  await expect(days).toHaveAttribute('aria-valuetext', String(before + 2));
  await ahead.getByLabel('Twice the work on, taken from the rest').selectOption({ index: 1 });
  await ahead.getByRole('checkbox').first().check();
  const missed = ahead.getByRole('slider', { name: /^Days missed from today/ });
  await missed.fill('14');
  await expect(missed).toHaveAttribute('aria-valuetext', '14 days');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => v.id)).toEqual([]);
  await ahead.getByRole('button', { name: 'As they have been' }).click();
  await expect(ahead.getByText('Move a slider.')).toBeVisible();
  // Nobody’s gate has moved by it.
  await expect(page.getByRole('heading', { name: 'Gate closed' })).toBeVisible();
});

test('who is stopped gets no forecast, and the caseload says so of everybody', async ({ page }) => {
  await page.goto(`${server.address}/trainees/${idOf('Linus')}`);
  await expect(page.getByRole('region', { name: 'Forecast' })).toContainText('Nothing can be foreseen while a stop sign is open');
  await page.goto(`${server.address}/caseload`);
  const row = page.getByRole('row', { name: /Linus Gaff/ });
  await expect(row.getByText('has to be seen to first')).toBeVisible({ timeout: 30_000 });
  await expect.poll(async () => (await server.api<ForecastsReply>('/api/forecasts')).pending, { timeout: 60_000 }).toBe(0);
  const free = crew.find((r) => r.openStopSigns === 0 && !r.locked);
  await page.getByLabel('State').selectOption('stop sign or lock');
  await expect(page.getByRole('row', { name: new RegExp(free?.name ?? 'nobody') })).toHaveCount(0);
  await expect(row).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('State')).toHaveValue('stopped');
});

test('what became of a clearance is asked on Today, answered there, and stands on Looking back', async ({ page }) => {
  await page.goto(server.address);
  const section = page.locator('section').filter({ has: page.getByRole('heading', { name: /^What became of it/ }) });
  const before = Number(await section.getByRole('heading').locator('span').textContent());
  const unfold = section.getByRole('button', { name: /^Show all/ });
  if (await unfold.isVisible()) await unfold.click();
  const choice = section.getByLabel(/^What became of it: /).first();
  await choice.selectOption('flared up');
  await section
    .getByRole('button', { name: /^Record what became of it: / })
    .first()
    .click();
  await expect(async () => {
    const now = (await section.count()) === 0 ? 0 : Number(await section.getByRole('heading').locator('span').textContent());
    expect(now).toBe(before - 1);
  }).toPass();
  await page.goto(`${server.address}/looking-back`);
  const outcomes = page.getByRole('region', { name: 'Outcomes' });
  await expect(outcomes.getByRole('paragraph').filter({ hasText: /flared up or stepped back: .* truly anything from/ })).toBeVisible();
  const newest = outcomes
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Change the answer/ }) })
    .first();
  await expect(newest).toContainText('flared up');
  await newest.getByRole('button', { name: /^Change the answer/ }).click();
  await newest.getByRole('combobox').selectOption('went well');
  await newest.getByRole('button', { name: /^Record what became of it/ }).click();
  await expect(newest).toContainText('went well');
  await expect(
    page.getByRole('region', { name: 'Calibration' }).getByRole('paragraph').filter({ hasText: 'lay inside their range' }),
  ).toBeVisible({ timeout: 60_000 });
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => v.id)).toEqual([]);
});
