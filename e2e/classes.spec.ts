import { AxeBuilder } from '@axe-core/playwright';
import type { CaseloadRow, ClassRow, GroupReply, ReadinessReply, RecordReply } from '@myokinet/core/contracts';
import { v7 } from 'uuid';
import { withoutSound } from './floorRuns.ts';
import { Server } from './server.ts';
import { expect, held, type Page, test } from './test.ts';

// One server and one group for all: one test after the other.
test.describe.configure({ mode: 'serial' });
const server = new Server();
let crew: readonly CaseloadRow[];
let group: GroupReply;
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
  const [id, routineId] = [v7(), v7()];
  const step = (drillId: string, amount: number) => ({ id: v7(), kind: 'drill', drillId, amount, restSeconds: 5 });
  await server.send('PUT', `/api/routines/${routineId}`, {
    ...{ revision: v7(), basedOn: null, name: 'Warm hands', purpose: 'preparation', note: '' },
    blocks: [{ id: v7(), name: '', part: 'work', way: 'once', mirrored: false, steps: [step('wrist-circles', 6), step('arm-circles', 6)] }],
  });
  const memberIds = ['Tamsin', 'Jory', 'Petra', 'Wilma', 'Ines', 'Anselm', 'Elke', 'Bram'].map(idOf);
  await server.send('PUT', `/api/groups/${id}`, {
    ...{ revision: v7(), basedOn: null, name: 'Evening eight', place: 'loft', note: '', routineId, memberIds },
    days: [{ weekday: 2, time: '18:30' }],
  });
  group = (await server.api<readonly GroupReply[]>('/api/groups')).find((g) => g.id === id) as GroupReply;
});
test.afterAll(() => server.remove());

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
const record = (name: string) => server.api<RecordReply>(`/api/trainees/${idOf(name)}/record`);
const tile = (page: Page, name: string) => page.getByRole('listitem', { name: new RegExp(`^${name}`) });
const axe = async (page: Page) => expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

async function begin(page: Page): Promise<string> {
  await withoutSound(page);
  await page.goto(`${server.address}/class/new?group=${group.id}`);
  await page.getByRole('button', { name: 'Lay out what each does' }).click();
  await page.getByRole('button', { name: 'Begin the class' }).click();
  await expect(page.getByRole('button', { name: 'Somebody comes late' })).toBeVisible();
  return page.url();
}

test('a group is written down, changed elsewhere, kept, and taken off the list', async ({ page }) => {
  await page.goto(`${server.address}/groups`);
  await page.getByRole('link', { name: 'New group' }).click();
  await page.getByLabel('Name of the group').fill('Dawn watch');
  await page.getByRole('button', { name: 'Add a day' }).click();
  await page.getByLabel('Day 1', { exact: true }).selectOption('Thursday');
  await page.getByLabel('Elke Fender').check();
  await page.getByLabel('Odo Ratline').check();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Odo Ratline')).not.toBeChecked();
  await page.reload();
  await expect(page.getByLabel('Name of the group')).toHaveValue('Dawn watch');
  await page.getByRole('button', { name: 'Save the group' }).click();
  await expect(page.getByText('No class of this group in the last eight weeks.')).toBeVisible();
  await axe(page);
  const saved = (await server.api<readonly GroupReply[]>('/api/groups')).find((g) => g.name === 'Dawn watch');
  expect(saved).toMatchObject({ days: [{ weekday: 4, time: '18:00' }], memberIds: [idOf('Elke')] });
  await page.getByRole('button', { name: 'Take the group off the list' }).click();
  await expect(page.getByRole('link', { name: 'Evening eight', exact: true })).toBeVisible();
  await expect(page.getByText('Dawn watch')).toHaveCount(0);
});

held('a class of eight on two devices: the marks of both count once, and nothing that nobody counted opens a gate', async ({ browser }) => {
  const device = async () => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.clock.install({ time: new Date() });
    return { context, page };
  };
  const one = await device();
  const gates = async () => {
    const open = await Promise.all(
      group.memberIds.map(async (id) => (await server.api<ReadinessReply>(`/api/trainees/${id}/readiness`)).gate?.open),
    );
    return JSON.stringify(open);
  };
  const stood = await gates();
  const url = await begin(one.page);
  await expect(one.page.getByRole('listitem')).toHaveCount(8);
  await axe(one.page);
  await one.page.getByRole('button', { name: 'Begin' }).click();
  await one.page.getByRole('button', { name: 'On to the next' }).click();
  await expect(one.page.getByRole('status').filter({ hasText: 'Wrist circles' })).toBeVisible();
  await one.page.waitForTimeout(500);
  await tile(one.page, 'Elke').getByRole('button', { name: 'Fault' }).click();
  // A double tap names no fault: what has come under the thumb is not pressed by it.
  await tile(one.page, 'Elke').getByRole('button', { name: 'forearm moves along' }).click();
  await expect(tile(one.page, 'Elke').getByRole('button', { name: 'forearm moves along' })).toBeVisible();
  await one.page.clock.runFor(700);
  await tile(one.page, 'Elke').getByRole('button', { name: 'forearm moves along' }).click();
  await tile(one.page, 'Jory').getByRole('button', { name: 'Sits out' }).click();
  await tile(one.page, 'Petra').getByRole('button', { name: 'Count' }).click();

  const two = await device();
  await two.page.goto(url);
  await expect(tile(two.page, 'Elke').getByRole('button', { name: 'Fault (1)' })).toBeVisible();
  await two.context.setOffline(true);
  await tile(two.page, 'Tamsin').getByRole('button', { name: 'Sits out' }).click();
  await expect(tile(two.page, 'Tamsin').getByText('Sits out.')).toBeVisible();
  await two.context.setOffline(false);
  await two.page.clock.runFor(5000);
  await expect(async () => {
    await one.page.clock.runFor(2100);
    await expect(tile(one.page, 'Tamsin').getByText('Sits out.')).toBeVisible({ timeout: 500 });
  }).toPass();

  await expect(async () => {
    await one.page.clock.runFor(2000);
    await expect(tile(one.page, 'Petra').getByRole('button', { name: 'Counted' })).toBeVisible({ timeout: 300 });
  }).toPass();
  await one.page.clock.runFor(700);
  await tile(one.page, 'Petra').getByRole('button', { name: 'One fewer' }).click();
  await tile(one.page, 'Petra').getByRole('button', { name: 'Counted' }).click();
  await one.page.getByRole('button', { name: 'End the class' }).click();
  await one.page.getByLabel('How hard it was for all').first().selectOption('3');
  await one.page.getByLabel('How hard it was for Wilma Cleat').selectOption('5');
  await axe(one.page);
  await one.page.getByRole('button', { name: /^Log it for/ }).click();
  await expect(one.page.getByRole('heading', { name: 'This class is over' })).toBeVisible();
  await expect(async () => {
    await one.page.clock.runFor(2100);
    await expect(one.page.getByRole('link', { name: 'On the record' })).toHaveCount(6, { timeout: 500 });
  }).toPass();

  expect((await record('Elke')).sessions[0]).toMatchObject({
    ...{ inClass: 'Evening eight', preparation: 'Warm hands', clean: false, effort: 3 },
    items: [{ drillId: 'wrist-circles', sets: [{ amount: 6, unconfirmed: true, faults: [{ faultId: 'forearm-moves' }] }] }],
  });
  expect((await record('Petra')).sessions[0]).toMatchObject({ inClass: 'Evening eight', items: [{ sets: [{ amount: 5 }] }] });
  expect((await record('Wilma')).sessions[0]).toMatchObject({ inClass: 'Evening eight', effort: 5 });
  for (const out of ['Jory', 'Tamsin']) expect((await record(out)).sessions[0]?.inClass).not.toBe('Evening eight');
  expect(await gates()).toBe(stood);
  // The other coach ends it too: one session each all the same.
  await two.page.clock.runFor(3000);
  await expect(two.page.getByRole('heading', { name: 'This class is over' })).toBeVisible();
  await one.page.goto(`${server.address}/groups/${group.id}`);
  await expect(one.page.getByRole('row', { name: /Jory Capstan/ })).toContainText('was there');
  await expect(one.page.getByRole('row', { name: /Elke Fender/ })).toContainText('trained');
  await Promise.all([one.context.close(), two.context.close()]);
});

test('what hurts in a class is a stop sign at once, and a reload loses nothing', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  const url = await begin(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  const anselm = await tile(page, 'Anselm').boundingBox();
  if (!anselm) throw new Error('no tile');
  await page.mouse.move(anselm.x + 30, anselm.y + 20);
  await page.mouse.down();
  await expect(page.getByRole('heading', { name: 'What does Anselm Deck feel?' })).toBeVisible();
  await page.mouse.up();
  await page.getByRole('button', { name: '6', exact: true }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'What does Anselm Deck feel?' })).toBeVisible();
  await page
    .getByRole('button', { name: /left shoulder/i })
    .first()
    .click();
  await page.getByRole('button', { name: /sharp/i }).click();
  await page.getByRole('button', { name: 'Record it' }).click();
  await expect(tile(page, 'Anselm').getByText(/stop sign is open|something hurts/i)).toBeVisible();
  await expect.poll(async () => (await record('Anselm')).stopSigns.filter((s) => !s.closure).length).toBe(1);
  await expect(tile(page, 'Anselm').getByRole('button', { name: 'Takes part again' })).toBeDisabled();
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Open the class: Evening eight' })).toBeVisible();

  // Somebody comes late, and the wall shows everybody.
  await page.goto(url);
  await page.getByRole('button', { name: 'Somebody comes late' }).click();
  await page.getByLabel('Find a trainee').fill('odo');
  await page.getByRole('button', { name: 'Odo Ratline' }).click();
  await expect(tile(page, 'Odo')).toBeVisible();
  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.goto(`${url}/wall`);
  await expect(page.getByRole('list', { name: 'What each does' }).getByRole('listitem')).toHaveCount(9);
  await expect(page.getByRole('timer')).toBeVisible();
  await axe(page);
  expect(await page.evaluate(() => document.documentElement.scrollHeight <= window.innerHeight)).toBe(true);

  await page.goto(url);
  await page.getByRole('button', { name: 'End the class' }).click();
  const nobody = page.getByRole('button', { name: 'End it: nobody did anything' });
  if (await nobody.isVisible()) await nobody.click();
  else {
    await page.getByLabel('How hard it was for all').first().selectOption('2');
    await page.getByRole('button', { name: /^Log it for/ }).click();
  }
  await expect(page.getByRole('heading', { name: /over|nothing on record/ })).toBeVisible();
  await expect.poll(async () => (await server.api<readonly ClassRow[]>('/api/classes')).filter((c) => !c.ended).length).toBe(0);
});
