import { AxeBuilder } from '@axe-core/playwright';
import type { ConsoleMessage } from '@playwright/test';
import { expect, type Page, test } from './test.ts';
import { dayOf, now } from './clock.ts';
import type { CaseloadRow } from '@myokinet/core/contracts';
import { Server } from './server.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
  for (const kind of [
    (r: CaseloadRow) => r.gateOpen,
    (r: CaseloadRow) => r.openStopSigns > 0,
    (r: CaseloadRow) => r.limiter?.state === 'short',
  ])
    expect(crew.some(kind)).toBe(true);
});
test.afterAll(() => server.remove());

const idOf = (wanted: (row: CaseloadRow) => boolean) => crew.find(wanted)?.id ?? crew[0]?.id;

/** Every page, with the trainee that shows most on it. */
const PAGES: readonly (readonly [string, () => string])[] = [
  ['today', () => '/'],
  ['caseload', () => '/caseload'],
  ['add a trainee', () => '/trainees/new'],
  ['readiness, gate closed', () => `/trainees/${idOf((r) => r.limiter?.state === 'short')}`],
  ['readiness, gate open', () => `/trainees/${idOf((r) => r.gateOpen)}`],
  ['readiness, stop sign', () => `/trainees/${idOf((r) => r.openStopSigns > 0)}`],
  ['checks', () => `/trainees/${crew[0]?.id}/checks`],
  ['take a check', () => `/trainees/${crew[0]?.id}/checks/new?scope=all`],
  ['battery run', () => `/trainees/${crew[1]?.id}/battery?scope=all`],
  ['history', () => `/trainees/${crew[2]?.id}/history`],
  ['pictures', () => `/trainees/${crew[0]?.id}/pictures`],
  ['measuring', () => '/measuring'],
  ['re-check calendar', () => '/rechecks'],
  ['looking back', () => '/looking-back'],
  ['set-up lab', () => `/trainees/${idOf((r) => r.name.startsWith('Ines'))}/lab`],
  ['loads of a ladder', () => `/trainees/${crew[0]?.id}/lab/ladder`],
  ['library, bands', () => '/library/bands'],
  ['plan, weeks', () => `/trainees/${crew[0]?.id}/plan`],
  ['plan, one week', () => `/trainees/${crew[0]?.id}/plan?week=${dayOf(now())}`],
  ['plan, calendar', () => `/trainees/${crew[0]?.id}/plan/calendar`],
  ['plan, brief', () => `/trainees/${crew[0]?.id}/plan/brief`],
  ['plan, compare', () => `/trainees/${crew[0]?.id}/plan/compare`],
  ['run a session, before it starts', () => `/trainees/${crew[0]?.id}/floor`],
  ['workload', () => `/trainees/${crew[0]?.id}/workload`],
  ['log a session', () => `/trainees/${crew[0]?.id}/session?free=1`],
  ['screen', () => `/trainees/${idOf((r) => r.name.startsWith('Maren'))}/screening`],
  ['library, drills', () => '/library'],
  ['library, a drill', () => '/library/drills/supported-one-shoulder-pack'],
  ['library, a drill being edited', () => '/library/drills/plank/edit'],
  ['library, ladders', () => '/library/ladders'],
  ['library, a ladder', () => '/library/ladders/hand-support'],
  ['library, a ladder being edited', () => '/library/ladders/dip/edit'],
  ['library, faults', () => '/library/faults'],
  ['library, cautions', () => '/library/cautions'],
  ['library, schools', () => '/library/schools'],
  ['library, export and import', () => '/library/exchange'],
  ['record', () => `/trainees/${idOf((r) => r.openStopSigns > 0)}/record`],
  ['profile', () => `/trainees/${crew[0]?.id}/profile`],
  ['emergency', () => `/emergency/${idOf((r) => r.gateOpen)}/01900000-0000-7000-8000-000000000001`],
  ['an address that is none', () => '/nowhere'],
];

async function open(page: Page, path: string): Promise<void> {
  await page.goto(server.address + path);
  await expect(page.locator('h1, h2').first()).toBeVisible();
  await expect(page.getByText('Loading…')).toHaveCount(0);
}

/** @param only what a change of theme alone can break */
async function faultsFound(page: Page, only?: readonly string[]): Promise<readonly string[]> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (only ? axe.withRules([...only]) : axe).analyze();
  return violations.map((v) => `${v.impact}: ${v.help} ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
}

/** Pages that axe visits on every run; the others in the long suite. */
const OFTEN = ['emergency', 'today', 'caseload', 'readiness, gate closed', 'battery run', 'screen', 'record'];

/** What is written to the console, and how far a page spills over its window, on a laptop and on a phone. */
async function fitsAndIsQuiet(page: Page, name: string, path: string): Promise<void> {
  const errors: string[] = [];
  const onConsole = (m: ConsoleMessage) => m.type() === 'error' && errors.push(m.text());
  const onError = (e: Error) => errors.push(e.message);
  page.on('console', onConsole);
  page.on('pageerror', onError);
  const spills = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, path);
  expect.soft(await spills(), name).toBeLessThanOrEqual(0);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.soft.poll(spills, { message: name }).toBeLessThanOrEqual(0);
  expect.soft(errors, name).toEqual([]);
  page.off('console', onConsole);
  page.off('pageerror', onError);
}

async function axeFindsNothing(page: Page): Promise<void> {
  await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'bench'));
  expect(await faultsFound(page)).toEqual([]);
  await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'lamp'));
  expect(await faultsFound(page, ['color-contrast'])).toEqual([]);
}

for (const [name, path] of PAGES) {
  const often = OFTEN.includes(name);
  test(
    `${name}: ${often ? 'fits, writes no error, and ' : ''}axe finds no fault on either theme`,
    often ? {} : { tag: '@long' },
    async ({ page }) => {
      // Colours change at once with the theme, so that none is judged half way.
      await page.emulateMedia({ reducedMotion: 'reduce' });
      if (often) await fitsAndIsQuiet(page, name, path());
      await page.setViewportSize({ width: 1280, height: 800 });
      if (!often) await open(page, path());
      await axeFindsNothing(page);
    },
  );
}

// One page after the other in one window: to open a window for each takes longer than to look.
for (const part of [0, 1]) {
  test(`every other page fits and writes no error, part ${part + 1}`, async ({ page }) => {
    const seldom = PAGES.filter(([name]) => !OFTEN.includes(name));
    for (const [name, path] of seldom.filter((_, i) => i % 2 === part)) await fitsAndIsQuiet(page, name, path());
  });
}

test('the verdict and the signature stand on the first screen, on a laptop and on a phone', async ({ page }) => {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    await open(page, `/trainees/${idOf((r) => r.gateOpen)}`);
    await expect(page.getByRole('heading', { name: 'Gate open' })).toBeInViewport();
    await expect(page.getByRole('button', { name: 'Sign clearance' })).toBeInViewport();
  }
});

test('a strong stop sign is closed on a professional’s word only, by role and on a ground, in place', async ({ page }) => {
  await open(page, `/trainees/${idOf((r) => r.openStopSigns > 0)}`);
  await expect(page.getByText(/For this a licensed professional has to be heard first/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Close this stop sign…' })).toHaveCount(0);
  await page.getByRole('button', { name: 'A licensed professional was heard…' }).click();
  await page.getByLabel('What was seen and said').fill('Healed, may be loaded again.');
  await expect(page.getByRole('button', { name: 'Close the stop sign', exact: true })).toBeDisabled();
  await page.getByLabel('Who, by role').selectOption('physiotherapist');
  await page.getByRole('button', { name: 'Close the stop sign', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Open stop signs' })).toHaveCount(0);
});

test('the caseload sorts, filters and opens by keyboard', async ({ page }) => {
  await open(page, '/caseload');
  const names = page.locator('tbody tr td:first-child');
  const byName = await names.allTextContents();
  await page.getByRole('button', { name: 'Trainee', exact: true }).press('Enter');
  await expect(names.first()).toHaveText(byName.at(-1) ?? '');
  await page.getByLabel('Filter').fill(byName[0] ?? '');
  await expect(names).toHaveCount(1);
  await page.getByLabel('Filter').fill('nobody of that name');
  await expect(page.getByText('Nobody matches “nobody of that name”.')).toBeVisible();
});

test('the command box finds a trainee, and ? lists the keys', async ({ page }) => {
  await open(page, '/');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await expect(page.getByRole('option', { name: crew[0]?.name ?? '', exact: true })).toBeVisible();
  await page.keyboard.type((crew[0]?.name ?? '').slice(0, 6));
  await expect(page.getByRole('option', { name: 'Add a trainee' })).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: crew[0]?.name ?? '' })).toBeVisible();
});

test('a mistyped trial is corrected by a new one, and both stay', async ({ page }) => {
  await open(page, `/trainees/${crew[1]?.id}/checks`);
  await page.getByRole('region', { name: 'Occasions' }).getByRole('button').first().click();
  await page
    .getByRole('button', { name: /^Correct / })
    .first()
    .click();
  await page.getByLabel('Why').fill('mistyped');
  await page.getByRole('button', { name: 'Correct', exact: true }).click();
  await expect(page.getByText('(corrected)')).toHaveCount(1);
  await expect(page.locator('s')).toHaveCount(1);
});

test('a check left unfinished is found again, and taken back when thrown away by mistake', async ({ page }) => {
  await open(page, `/trainees/${crew[0]?.id}/checks/new`);
  const first = page.locator('input[data-figure]').first();
  await first.fill('58');
  await page.goto(`${server.address}/caseload`);
  await page.getByRole('button', { name: '1 unsaved draft, kept here' }).click();
  await page.getByRole('link', { name: `Check, ${crew[0]?.name}` }).click();
  await expect(first).toHaveValue('58');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(first).toHaveValue('');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(first).toHaveValue('58');
  await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
});

test('a profile thrown away by mistake is taken back, and saved', async ({ page }) => {
  await open(page, `/trainees/${crew[2]?.id}/profile`);
  const mass = page.getByLabel('Mass');
  const before = await mass.inputValue();
  await mass.fill('77.5');
  await page.getByRole('button', { name: 'Throw my changes away' }).click();
  await expect(mass).toHaveValue(before);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(mass).toHaveValue('77.5');
  await page.getByRole('button', { name: 'Save profile' }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  await mass.fill('500');
  await page.getByRole('button', { name: 'Save profile' }).click();
  await expect(page.getByText('Mass must be at most 250 kg.')).toBeVisible();
  await page.reload();
  await expect(mass).toHaveValue('500');
});
