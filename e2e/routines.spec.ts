import { AxeBuilder } from '@axe-core/playwright';
import type { CaseloadRow, ReadinessReply, RecordReply, RoutineReply } from '@myokinet/core/contracts';
import { v7 } from 'uuid';
import { withoutSound } from './floorRuns.ts';
import { Server } from './server.ts';
import { expect, held, test } from './test.ts';

const server = new Server();
let id: string;
test.beforeAll(async () => {
  await server.start({ demo: true });
  const crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
  id = crew.find((r) => r.name.startsWith('Elke'))?.id ?? '';
});
test.afterAll(() => server.remove());

const routineOf = async (name: string) => (await server.api<readonly RoutineReply[]>('/api/routines')).find((r) => r.name === name);

test('a routine is written with keys, looked at for one trainee, taken back and saved', async ({ page }) => {
  await page.goto(`${server.address}/library/routines`);
  await expect(page.getByRole('link', { name: 'Before a climb' })).toBeVisible();
  await page.getByRole('link', { name: 'New routine' }).click();
  await expect(page.getByText('There is no drill in it yet.')).toBeVisible();
  await page.getByLabel('Name of the routine').fill('Evening hands');
  for (const name of ['Wall slides', 'Wrist circles']) {
    await page.getByRole('button', { name: 'Add a drill' }).click();
    await page.getByPlaceholder('Name, joint or phase').fill(name);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Breaths' }).click();
  await page.getByLabel('How Block 1 is done').selectOption('rounds');
  await page.getByLabel('Rounds of Block 1').fill('3');
  const steps = page.getByRole('region', { name: 'Block 1' }).getByRole('listitem');
  await expect(steps).toHaveCount(3);
  await expect(steps.first()).toContainText('Wall slides');

  const handle = page.getByRole('button', { name: 'Move Wall slides', exact: true });
  await handle.focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(200);
  await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(steps.first()).toContainText('Wrist circles');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(steps.first()).toContainText('Wall slides');

  await page.getByLabel('Look at it for').selectOption(id);
  await expect(page.getByText(/At most|All of it may be done/).first()).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByRole('link', { name: 'Run it' })).toBeVisible();
  expect(await routineOf('Evening hands')).toMatchObject({ blocks: [{ way: 'rounds', rounds: 3 }] });

  // Another tab saves first: nothing is lost on either side.
  const saved = await routineOf('Evening hands');
  if (!saved) throw new Error('not saved');
  await page.getByLabel('Name of the routine').fill('Evening hands, mine');
  const { revision: basedOn, purpose, note, blocks } = saved;
  await server.send('PUT', `/api/routines/${saved.id}`, { revision: v7(), basedOn, name: 'Evening hands, theirs', purpose, note, blocks });
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByText('A newer version of this routine was saved elsewhere')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine on top' }).click();
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect.poll(() => routineOf('Evening hands, mine')).toBeTruthy();
});

held('a preparation by touch: what ran is put on record, and is no session', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  await page.clock.install({ time: new Date() });
  await withoutSound(page);
  const routine = v7();
  const step = (drillId: string, amount: number) => ({ id: v7(), kind: 'drill', drillId, amount, restSeconds: 0 });
  await server.send('PUT', `/api/routines/${routine}`, {
    ...{ revision: v7(), basedOn: null, name: 'Two minutes', purpose: 'preparation', note: '' },
    blocks: [
      {
        ...{ id: v7(), name: '', part: 'work', way: 'once', mirrored: false },
        steps: [step('neck-loosening', 1), { id: v7(), kind: 'pause', seconds: 5 }, step('wall-slides', 2)],
      },
    ],
  });
  const gate = async () => (await server.api<ReadinessReply>(`/api/trainees/${id}/readiness`)).gate;
  const stood = (await gate())?.open;

  await page.goto(`${server.address}/routine/${routine}?for=${id}`);
  await page.getByRole('button', { name: 'Begin' }).tap();
  await expect(page.getByRole('button', { name: 'Stand still' })).toBeVisible();
  await page.clock.runFor(1500);
  await page.getByRole('button', { name: 'Stand still' }).tap();
  const left = await page.getByRole('timer').innerText();
  await page.clock.runFor(30_000);
  expect(await page.getByRole('timer').innerText()).toBe(left);
  await page.getByRole('button', { name: 'Go on' }).tap();
  for (let i = 0; i < 60 && !(await page.getByRole('heading', { name: 'It is over' }).isVisible()); i++) await page.clock.runFor(2000);
  await expect(page.getByRole('heading', { name: 'It is over' })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  // A reload comes back to the end, and what is told is told once.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'It is over' })).toBeVisible();
  await page.getByRole('button', { name: 'It was done: put it on record' }).tap();
  await expect(page.getByText('On record.')).toBeVisible();

  const { sessions } = await server.api<RecordReply>(`/api/trainees/${id}/record`);
  expect(sessions.filter((one) => one.preparation === 'Two minutes')).toHaveLength(1);
  expect(sessions[0]).toMatchObject({ preparation: 'Two minutes', clean: false, finding: { code: 'preparation' } });
  expect((await gate())?.open).toBe(stood);
  await context.close();
});
