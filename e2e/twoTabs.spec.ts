import { atTheMoment, expect, test } from './test.ts';
import type { CaseloadRow } from '@myokinet/core/contracts';
import { Server } from './server.ts';

const server = new Server();
test.beforeAll(async () => {
  await server.start();
});
test.afterAll(() => server.remove());

test('two tabs edit the same week: the second is told, keeps its version, and chooses', async ({ browser }) => {
  // two devices, so that the tabs do not share their drafts
  const [one, two] = await Promise.all([1, 2].map(async () => (await atTheMoment(await browser.newContext())).newPage()));
  if (!one || !two) throw new Error('no pages');
  await one.goto(`${server.address}/trainees/new`);
  await one.getByLabel('Name').fill('Ada Spar');
  await one.getByLabel('Birth year').fill('1990');
  await one.getByLabel('Stature').fill('170');
  await one.getByLabel('Mass').fill('64');
  await one.getByRole('button', { name: /Save and ask/ }).click();
  await expect(one.getByRole('heading', { name: 'Screening before training' })).toBeVisible();
  const [row] = await server.api<readonly CaseloadRow[]>('/api/caseload');

  for (const page of [one, two]) {
    await page.goto(`${server.address}/trainees/${row?.id}/plan?week=2031-01-06`);
    await page.getByRole('button', { name: 'Add an empty session' }).click();
  }
  await one.getByRole('button', { name: 'Save the plan' }).click();
  await expect(one.getByText('all saved')).toBeVisible();

  await two.getByRole('button', { name: 'Add an empty session' }).click();
  await two.getByRole('button', { name: 'Save the plan' }).click();
  await expect(two.getByText(/A newer version of these weeks was saved elsewhere/)).toBeVisible();
  await expect(two.getByRole('region', { name: /^Session/ })).toHaveCount(2);
  await two.getByRole('button', { name: 'Keep mine on top' }).click();
  await two.getByRole('button', { name: 'Save the plan' }).click();
  await expect(two.getByText('all saved')).toBeVisible();
  await one.reload();
  await expect(one.getByRole('region', { name: /^Session/ })).toHaveCount(2);

  await one.getByRole('button', { name: 'Add an empty session' }).click();
  await two
    .getByRole('button', { name: /^Remove the session/ })
    .first()
    .click();
  await one.getByRole('button', { name: 'Save the plan' }).click();
  await expect(one.getByText('all saved')).toBeVisible();
  await two.getByRole('button', { name: 'Save the plan' }).click();
  await two.getByRole('button', { name: 'Take the newer one' }).click();
  await expect(two.getByRole('region', { name: /^Session/ })).toHaveCount(3);
});

test('two tabs correct the same session: the second is told, and keeps what it typed', { tag: '@long' }, async ({ browser }) => {
  const demo = await new Server().start({ demo: true });
  const [row] = (await demo.api<readonly CaseloadRow[]>('/api/caseload')).filter((r) => r.lastSessionAt);
  const pages = await Promise.all([1, 2].map(async () => (await atTheMoment(await browser.newContext())).newPage()));
  for (const page of pages) {
    await page.goto(`${demo.address}/trainees/${row?.id}/record`);
    await page.getByRole('region', { name: 'Sessions' }).getByRole('listitem').first().getByRole('button').first().click();
    await page.getByRole('button', { name: 'Correct this session…' }).click();
  }
  const [one, two] = pages;
  if (!one || !two) throw new Error('no pages');
  for (const [page, effort] of [
    [one, '3'],
    [two, '9'],
  ] as const) {
    const form = page.getByRole('dialog', { name: /^Correct: session of/ });
    await form.getByLabel(/^Effort/).fill(effort);
    await form.getByLabel('Why').fill(`it was ${effort}`);
    await form.getByRole('button', { name: 'Put it right' }).click();
  }
  await expect(one.getByRole('dialog')).toHaveCount(0);
  await expect(one.getByText('Corrected: it was 3.', { exact: false })).toBeVisible();
  const second = two.getByRole('dialog');
  await expect(second.getByRole('alert')).toBeVisible();
  await expect(second.getByLabel(/^Effort/)).toHaveValue('9');
  await expect(second.getByLabel('Why')).toHaveValue('it was 9');
  // What the other one saved stands beneath.
  await second.getByRole('button', { name: 'Leave it' }).click();
  await expect(two.getByText('Corrected: it was 3.', { exact: false })).toBeVisible();
  await demo.remove();
});
