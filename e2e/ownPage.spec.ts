import { AxeBuilder } from '@axe-core/playwright';
import type { Browser, BrowserContext } from '@playwright/test';
import type { CaseloadRow, PlanDto, PlanReply, RecordReply, TraineeLinkReply } from '@myokinet/core/contracts';
import { v7 } from 'uuid';
import { dayOf, now } from './clock.ts';
import { Server } from './server.ts';
import { atTheMoment, expect, type Page, test } from './test.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());
test.describe.configure({ mode: 'serial' });

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
const recordOf = (name: string) => server.api<RecordReply>(`/api/trainees/${idOf(name)}/record`);

/** A week that asks for two light drills today. */
async function planToday(name: string): Promise<void> {
  const at = `/api/trainees/${idOf(name)}/plans`;
  const today = dayOf(now());
  const monday = new Date(`${today}T12:00:00`);
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7));
  const weekStart = dayOf(monday);
  const before = (await server.api<Partial<PlanReply>>(`${at}/${weekStart}`)) satisfies Partial<PlanReply>;
  const items = ['wall-slides', 'neck-loosening'].map((drillId) => ({
    id: v7(),
    drillId,
    sets: 1,
    min: 3,
    max: 3,
    restSeconds: 5,
    why: '',
  }));
  const plan: PlanDto = {
    ...{ id: before.id ?? v7(), revision: v7(), basedOn: before.revision ?? null, weekStart, notes: [], leftOut: [] },
    sessions: [{ id: v7(), day: today, place: 'home', items }],
  };
  await server.send('PUT', `${at}/${weekStart}`, plan);
}

/** The coach makes a link on the profile, and reads the address off it. */
async function linkOf(page: Page, name: string, pin = ''): Promise<string> {
  await page.goto(`${server.address}/trainees/${idOf(name)}/profile`);
  const form = page.getByRole('form', { name: /link/ });
  await form.getByLabel('PIN, if wanted').fill(pin);
  await form.getByRole('button').click();
  await expect(page.getByRole('img', { name: /^Code of the link/ })).toBeVisible();
  return page.getByLabel(/^Address of .* page$/).inputValue();
}

async function phone(browser: Browser): Promise<BrowserContext> {
  const context = await browser.newContext({
    ...{ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale: 'en-GB' },
    ...{ timezoneId: 'Europe/Amsterdam', serviceWorkers: 'allow' },
  });
  return atTheMoment(context);
}

const fits = async (page: Page) => {
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => [v.id, v.nodes.map((n) => n.html)])).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
};

test('a trainee opens the page by its link and PIN, practises without a network, and the coach has it once there is one', async ({
  page,
  browser,
}) => {
  await planToday('Elke');
  const address = await linkOf(page, 'Elke', '2580');
  const context = await phone(browser);
  const own = await context.newPage();
  await own.goto(address);
  await own.getByLabel('PIN').fill('1111');
  await own.getByRole('button', { name: 'Open my page' }).tap();
  await expect(own.getByText('This is not the PIN of this link.')).toBeVisible();
  await fits(own);
  await own.getByLabel('PIN').fill('2580');
  await own.getByRole('button', { name: 'Open my page' }).tap();
  await expect(own.getByRole('heading', { name: 'Elke Fender' })).toBeVisible();
  await expect(own.getByText('Wall slides').first()).toBeVisible();
  // The link is out of the address, and nobody else's page is to be had here.
  expect(new URL(own.url()).hash).toBe('');
  await fits(own);

  await test.step('without a network it opens, and practice is kept', async () => {
    await own.evaluate(async () => navigator.serviceWorker.ready);
    await context.setOffline(true);
    await own.reload();
    await expect(own.getByText(/Without a connection/)).toBeVisible();
    await own.getByRole('link', { name: 'Begin', exact: true }).tap();
    await expect(own.getByRole('heading', { name: 'Wall slides' })).toBeVisible();
    await own.getByRole('button', { name: 'Set 1 done' }).tap();
    await expect(own.getByText('1 of 1 set done')).toBeVisible();
    await own.reload();
    await expect(own.getByText('0 of 1 set done')).toBeVisible();
    await own.getByRole('button', { name: 'Drill before' }).tap();
    await expect(own.getByText('1 of 1 set done')).toBeVisible();
    await own.getByRole('button', { name: 'Next drill' }).tap();
    await own.getByText('Leave this drill out').tap();
    await own.getByRole('button', { name: 'No time' }).tap();
    await own.getByRole('button', { name: '4', exact: true }).tap();
    await expect(own.getByText('One thing that you told waits on this phone for a connection.')).toBeVisible();
    await expect(own.getByText('done', { exact: true })).toBeVisible();
  });

  await context.setOffline(false);
  await expect(own.getByText(/waits on this phone/)).toHaveCount(0);
  const told = async () => (await recordOf('Elke')).sessions.filter((s) => s.reportedBy);
  await expect.poll(async () => (await told()).length).toBe(1);
  const [session] = await told();
  expect(session).toMatchObject({ reportedBy: 'trainee', clean: false, effort: 4 });
  expect(session?.items.map((i) => [i.sets.length, i.skipped ?? ''])).toEqual([
    [1, ''],
    [0, 'out of time'],
  ]);
  await test.step('words go both ways, one for a double tap', async () => {
    await own.getByLabel('A note to your coach').fill('The slides are easy.');
    await own.getByRole('button', { name: 'Send' }).dblclick();
    await page.goto(server.address);
    await expect(page.getByText('Wrote: “The slides are easy.”', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Read and answer: Elke Fender' }).click();
    await page.getByRole('textbox', { name: 'Answer' }).fill('Two more, then.');
    await page.getByRole('button', { name: 'Send' }).click();
    await expect(page.getByText('not read yet')).toHaveCount(0);
    await own.reload();
    await expect(own.getByText('Two more, then.')).toBeVisible();
    await fits(own);
  });

  await page.goto(`${server.address}/trainees/${idOf('Elke')}/record`);
  await expect(page.getByText('Reported by the trainee: it counts as load, and toward no gate.').first()).toBeVisible();
  await context.close();
});

test('what hurts stops the page at once, is on the coach’s Today within seconds, and a link that was taken back opens nothing', async ({
  page,
  browser,
}) => {
  await planToday('Jory');
  const address = await linkOf(page, 'Jory');
  const context = await phone(browser);
  const own = await context.newPage();
  await own.goto(address);
  await own.getByRole('link', { name: 'Begin', exact: true }).tap();
  await own.getByRole('button', { name: 'Set 1 done' }).tap();
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: /^Training today/ })).toBeVisible();

  await own.getByRole('button', { name: 'Something hurts' }).tap();
  const sheet = own.getByRole('dialog', { name: 'Something hurts' });
  await sheet.getByRole('button', { name: 'left wrist' }).tap();
  await sheet.getByRole('button', { name: 'sharp', exact: true }).tap();
  await sheet.getByRole('button', { name: '8', exact: true }).tap();
  await fits(own);
  await sheet.getByRole('button', { name: 'Tell my coach' }).tap();
  await expect(sheet.getByText(/^Stop for today/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Understood' }).tap();
  await expect(own.getByRole('heading', { name: 'Stop here' })).toBeVisible();
  await own.getByRole('button', { name: '5', exact: true }).tap();
  await expect(own.getByRole('heading', { name: 'Nothing to practise for now' })).toBeVisible();
  await expect(own.getByRole('link', { name: 'Begin', exact: true })).toHaveCount(0);
  await fits(own);

  // Nobody reloads the coach's page.
  await expect(page.getByRole('link', { name: /See to the stop sign: Jory/ })).toBeVisible({ timeout: 30_000 });
  expect((await recordOf('Jory')).symptoms.find((s) => s.intensity === 8)?.reportedBy).toBe('trainee');

  await page.goto(`${server.address}/trainees/${idOf('Jory')}/profile`);
  await page.getByRole('button', { name: 'Take the link back' }).click();
  await expect(page.getByText('There is no link yet.')).toBeVisible();
  expect(await server.api<TraineeLinkReply | null>(`/api/trainees/${idOf('Jory')}/link`)).toBeNull();
  await own.reload();
  await expect(own.getByText('This link opens nothing. Ask your coach for a new one.')).toBeVisible();
  await own.goto('about:blank');
  await own.goto(address);
  await expect(own.getByText('This link opens nothing. Ask your coach for a new one.')).toBeVisible();
  await context.close();
});
