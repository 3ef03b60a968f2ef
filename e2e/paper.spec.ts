import { AxeBuilder } from '@axe-core/playwright';
import type { CaseloadRow, PlanDto, PlanReply } from '@myokinet/core/contracts';
import { readFileSync } from 'node:fs';
import { v7 } from 'uuid';
import { dayOf, now } from './clock.ts';
import { Server } from './server.ts';
import { expect, type Page, test } from './test.ts';

const server = new Server();
let id: string;
test.beforeAll(async () => {
  await server.start({ demo: true });
  const crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
  id = crew.find((r) => r.name.startsWith('Elke'))?.id ?? '';
  const today = dayOf(now());
  const monday = new Date(`${today}T12:00:00`);
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7));
  const weekStart = dayOf(monday);
  const before = await server.api<Partial<PlanReply>>(`/api/trainees/${id}/plans/${weekStart}`);
  const item = (drillId: string) => ({ id: v7(), drillId, sets: 2, min: 5, max: 8, restSeconds: 30, why: '' });
  const plan: PlanDto = {
    ...{ id: before.id ?? v7(), revision: v7(), basedOn: before.revision ?? null, weekStart, notes: [], leftOut: [] },
    sessions: [
      { id: v7(), day: today, place: 'home', items: ['wall-slides', 'neck-loosening', 'inverted-v'].map(item) },
      { id: v7(), day: today, place: 'home', items: ['wrist-circles'].map(item) },
    ],
  };
  await server.send('PUT', `/api/trainees/${id}/plans/${weekStart}`, plan);
});
test.afterAll(() => server.remove());

async function saved(page: Page): Promise<{ readonly name: string; readonly bytes: string }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const download = await waiting;
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path(), 'latin1') };
}
const pagesIn = (bytes: string) => bytes.match(/\/Type \/Page\b(?!s)/g)?.length ?? 0;

test('a week goes home on paper: looked at, saved as a file, printed', async ({ page }) => {
  await page.goto(`${server.address}/trainees/${id}/plan`);
  await page.getByRole('link', { name: 'Hand-out' }).click();
  await expect(page.getByRole('article')).toHaveCount(2);
  const first = page.getByRole('article').first();
  await expect(first.getByRole('heading', { name: 'Stop for today, and tell your coach' })).toBeVisible();
  await expect(first).toContainText('Not alone: somebody stands by for it.');
  await expect(page.getByRole('img', { name: /in stills$/ }).first()).toBeVisible();

  const whole = await saved(page);
  expect(whole.name).toMatch(/\.pdf$/);
  expect(pagesIn(whole.bytes)).toBeGreaterThanOrEqual(2);
  await page.getByLabel('Large type').check();
  expect(pagesIn((await saved(page)).bytes)).toBeGreaterThan(pagesIn(whole.bytes));

  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeHidden();
  await expect(page.getByRole('navigation').first()).toBeHidden();
  await expect(first).toBeVisible();
});

test('a report tells each reader what is theirs to read, on a phone too', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server.address}/trainees/${id}/paper?what=report`);
  const sheet = page.getByRole('article');
  await expect(sheet.getByText('Newest figures')).toBeVisible();
  await expect(sheet.getByText('How to read the figures')).toBeVisible();
  await page.getByLabel('For').selectOption('clinician');
  await expect(sheet.getByText('Symptoms of the last 12 weeks')).toBeVisible();
  await page.getByLabel('For').selectOption('club');
  await expect(sheet.getByText('Symptoms of the last 12 weeks')).toBeHidden();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});
