import { atTheMoment, expect, type Page, test } from './test.ts';
import { now } from './clock.ts';
import type { CaseloadRow, FloorRunReply, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import { beat, drill, openRun, withoutSound } from './floorRuns.ts';
import { Server } from './server.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());
// One server for all, and it is killed: one test after the other.
test.describe.configure({ mode: 'serial' });

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
const amountsOf = async (runId: string) =>
  (await server.api<FloorRunReply>(`/api/floor/${runId}`)).events.flatMap((e) => (e.kind === 'set' ? [e.round] : []));
const logged = (page: Page) => page.getByRole('status').filter({ hasText: 'Logged' });

/** @param forMs how long it is worked for: of slow repetitions the first has to be done. */
async function doSet(page: Page, forMs = 0): Promise<void> {
  await expect(page.getByRole('button', { name: /^(Start the set|Go now)$/ })).toBeVisible();
  await beat(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Now' })).toBeVisible();
  await beat(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'End the set here' })).toBeVisible();
  await beat(page);
  await page.waitForTimeout(forMs);
  await page.keyboard.press('Space');
  // Until the set is kept the stage is still that of this set, and what is opened on it goes with it.
  await expect(page.getByRole('button', { name: /^(End the set here|Logging…)$/ })).toHaveCount(0);
}

test('the network goes and comes back: what is unsent is shown, kept over a reload, and sent', async ({ page, context }) => {
  await withoutSound(page);
  const run = await openRun(server, idOf('Jory'), [drill('plank', { sets: 4 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await doSet(page);
  await expect(page.getByText('all sent')).toBeVisible();
  await context.setOffline(true);
  await doSet(page);
  await doSet(page);
  await expect(page.getByText('no server · 2 unsent, kept here')).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1]);
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByText('all sent')).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1, 2, 3]);
});

test('the server is killed during a set: the set is kept, the tab may crash, and nothing is lost or doubled', async ({ context }) => {
  const page = await context.newPage();
  await withoutSound(page);
  const run = await openRun(server, idOf('Noor'), [drill('plank', { sets: 3 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await doSet(page);
  await expect(page.getByText('all sent')).toBeVisible();
  await beat(page);
  await page.keyboard.press('Space');
  await beat(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'End the set here' })).toBeVisible();
  await beat(page);
  await server.kill();
  await page.keyboard.press('Space');
  await expect(logged(page)).toBeVisible();
  await expect(page.getByText(/no server · 1 unsent/)).toBeVisible();
  await page.close({ runBeforeUnload: false });

  await server.start();
  const again = await context.newPage();
  await withoutSound(again);
  await again.goto(`${server.address}/floor/${run.id}`);
  await expect(again.locator('[data-read=dose]')).toContainText('set 3 of 3');
  await expect(again.getByText('all sent')).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1, 2]);
  await again.close();
});

test('two devices run the same session and come to the same; sets after the end make a second version', async ({ browser }) => {
  const run = await openRun(server, idOf('Tobias'), [drill('plank', { sets: 3 }), drill('neck-loosening', { sets: 1 })]);
  const [one, two] = await Promise.all(
    [1, 2].map(async () => {
      const context = await atTheMoment(await browser.newContext());
      const page = await context.newPage();
      await withoutSound(page);
      await page.goto(`${server.address}/floor/${run.id}`);
      await expect(page.locator('[data-read=dose]')).toContainText('set 1 of 3');
      return { context, page };
    }),
  );
  if (!one || !two) throw new Error('no devices');
  await doSet(one.page);
  await expect(two.page.locator('[data-read=dose]')).toContainText('set 2 of 3');
  await two.context.setOffline(true);
  await doSet(two.page);
  await doSet(one.page);
  await one.page.keyboard.press('Shift+L');
  await one.page.getByRole('button', { name: 'End the session here' }).click();
  await one.page.getByRole('button', { name: '5', exact: true }).click();
  await one.page.getByRole('button', { name: 'Log the session' }).click();
  await expect(one.page.getByRole('heading', { name: /logged$/ })).toBeVisible();
  await expect(one.page.getByText('all sent')).toBeVisible();
  await two.context.setOffline(false);
  await two.page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(two.page.getByText('all sent')).toBeVisible();
  await expect(two.page.getByRole('heading', { name: /logged$/ })).toBeVisible();

  const { sessions } = await server.api<RecordReply>(`/api/trainees/${idOf('Tobias')}/record`);
  expect(sessions[0]?.items[0]?.sets).toHaveLength(3);
  expect(sessions[0]?.replaced).toMatchObject({ sets: 2 });
  await one.page.goto(`${server.address}/trainees/${idOf('Tobias')}/record`);
  await expect(one.page.getByText(/sets of another device came in/)).toBeVisible();
  await Promise.all([one.context.close(), two.context.close()]);
});

test('a browser that refuses to keep anything: a set counts when the server has it, and not before', async ({ page, context }) => {
  await withoutSound(page);
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('No space left.', 'QuotaExceededError');
    };
  });
  const run = await openRun(server, idOf('Anselm'), [drill('plank', { sets: 3 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await expect(page.getByRole('alert')).toContainText('the disk of this device is full');
  await doSet(page);
  await expect(logged(page)).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1]);
  await context.setOffline(true);
  await doSet(page);
  await expect(page.getByText('This set is not logged yet')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Try to log it again' }).click();
  await expect(logged(page)).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1, 2]);
});

test('a gate that locks in mid-session stops loaded work and says why; the clock may jump as it likes', async ({ page }) => {
  await withoutSound(page);
  const traineeId = idOf('Bram');
  const run = await openRun(server, traineeId, [drill('plank', { sets: 3 }), drill('wrist-circles', { sets: 1 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await doSet(page);
  await page.evaluate(() => {
    const real = Date.now;
    Date.now = () => real() - 5 * 86_400_000;
  });
  await doSet(page);
  await expect(page.getByText('all sent')).toBeVisible();
  const { id } = await server.api<TraineeReply>(`/api/trainees/${traineeId}`);
  await server.send('POST', `/api/trainees/${id}/symptoms`, {
    id: '0190d0a0-0000-7000-8000-00000000abcd',
    sessionId: null,
    at: now().toISOString(),
    intensity: 7,
    place: 'shoulder',
    side: 'right',
    kind: 'sharp',
    moment: 'before',
    note: '',
  });
  await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('Sharp 7/10, right shoulder');
  await page.getByRole('button', { name: /Go on with the rest: 1 unloaded drill/ }).click();
  await expect(page.getByRole('heading', { name: /^Wrist circles/ })).toBeVisible();
  expect(await amountsOf(run.id)).toEqual([1, 2]);
});

test('a session is started from Today’s page of the trainee, joined, ended, and not run twice unawares', async ({ page }) => {
  await withoutSound(page);
  const traineeId = idOf('Ines');
  const monday = now();
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7));
  const day = (date: Date) =>
    `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
  const weekStart = day(monday);
  const [known] = await server.api<readonly { id: string; revision: string }[]>(
    `/api/trainees/${traineeId}/plans?from=${weekStart}&weeks=1`,
  );
  const item = { ...drill('plank', { sets: 1 }), why: '' };
  await server.send('PUT', `/api/trainees/${traineeId}/plans`, {
    revision: '0190d0a0-0000-7000-8000-00000000aaa1',
    plans: [
      {
        id: known?.id ?? '0190d0a0-0000-7000-8000-00000000aaa2',
        weekStart,
        revision: '0190d0a0-0000-7000-8000-00000000aaa1',
        basedOn: known?.revision ?? null,
        sessions: [{ id: '0190d0a0-0000-7000-8000-00000000aaa3', day: day(now()), items: [item] }],
        notes: [],
        leftOut: [],
      },
    ],
  });
  await page.goto(`${server.address}/trainees/${traineeId}/floor`);
  await expect(page.getByRole('button', { name: 'Start' })).toBeDisabled();
  await page.getByRole('button', { name: 'None of these' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page).toHaveURL(/\/floor\/0190d0a0-0000-7000-8000-00000000aaa3$/);
  await doSet(page);
  await page.goto(`${server.address}/`);
  await expect(page.getByRole('heading', { name: /^On this device/ })).toBeVisible();
  await page.getByRole('link', { name: 'Open the session: Ines Shroud' }).click();
  await page.getByRole('button', { name: '4', exact: true }).click();
  await page.getByRole('button', { name: 'Log the session' }).click();
  await expect(page.getByRole('heading', { name: /logged$/ })).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await page.goto(`${server.address}/trainees/${traineeId}/floor?planned=0190d0a0-0000-7000-8000-00000000aaa3`);
  await expect(page.getByText(/This session is on record already/)).toBeVisible();
  await page.getByRole('button', { name: 'Run it once more' }).click();
  await expect(page).toHaveURL(/\/floor\/(?!0190d0a0)/);
});

test.describe('installed', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the program opens without a server, and goes on with the session on the device', async ({ page, context }) => {
    await withoutSound(page);
    const run = await openRun(server, idOf('Elke'), [drill('plank', { sets: 3 })]);
    await page.goto(server.address);
    await page.evaluate(async () => navigator.serviceWorker.ready);
    await page.goto(`${server.address}/floor/${run.id}`);
    await doSet(page);
    await expect(page.getByText('all sent')).toBeVisible();
    await context.setOffline(true);
    await page.reload();
    await expect(page.locator('[data-read=dose]')).toContainText('set 2 of 3');
    await doSet(page);
    await expect(page.getByText('no server · 1 unsent, kept here')).toBeVisible();
    await page.goto(`${server.address}/`);
    await expect(page.getByText(/A session under way; 1 entry not sent yet/)).toBeVisible();
    await context.setOffline(false);
    await page.reload();
    await expect(page.getByText('A session under way.')).toBeVisible();
    expect(await amountsOf(run.id)).toEqual([1, 2]);
    const manifest = await server.api<{ name: string; icons: readonly { src: string }[] }>('/manifest.webmanifest');
    expect(manifest.name).toBe('Myokinet');
    for (const { src } of manifest.icons) expect((await fetch(server.address + src)).ok).toBe(true);
  });

  test('today is taken along: a session never opened before starts without the network, form and all', async ({ page, context }) => {
    await withoutSound(page);
    await page.goto(server.address);
    await page.evaluate(async () => navigator.serviceWorker.ready);
    await page.getByRole('button', { name: 'Take today along' }).click();
    await expect(page.getByText(/\d+ on this device: they start without the network\./)).toBeVisible();
    await context.setOffline(true);
    await page.reload();
    const line = page.getByRole('listitem').filter({ hasText: 'Taken along, not begun.' }).first();
    await expect(line).toBeVisible();
    await line.getByRole('link').click();
    await expect(page.getByRole('heading', { name: /the session taken along$/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Start' })).toBeDisabled();
    await page.getByRole('button', { name: 'None of these' }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
    await doSet(page, 7_000);
    await expect(page.getByText('no server · 1 unsent, kept here')).toBeVisible();
    const runId = /floor\/([^/?]+)/.exec(page.url())?.[1] ?? '';
    await context.setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByText('all sent')).toBeVisible();
    expect(await amountsOf(runId)).toEqual([1]);
  });
});

test('a device clock that is 400 days ahead is told, and what is done gets the right time', async ({ page }) => {
  await withoutSound(page);
  await page.addInitScript(() => {
    const Real = Date;
    const ahead = 400 * 86_400_000;
    const Wrong = function (...args: []) {
      return args.length > 0 ? Reflect.construct(Real, args) : new Real(Real.now() + ahead);
    } as unknown as DateConstructor;
    Object.assign(Wrong, {
      now: () => Real.now() + ahead,
      parse: Real.parse.bind(Real),
      UTC: Real.UTC.bind(Real),
      prototype: Real.prototype,
    });
    globalThis.Date = Wrong;
  });
  const run = await openRun(server, idOf('Petra'), [drill('plank', { sets: 2 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await expect(page.getByText('This device’s clock is 400 days ahead.')).toBeVisible();
  await doSet(page);
  await expect(page.getByText('all sent')).toBeVisible();
  const { events } = await server.api<FloorRunReply>(`/api/floor/${run.id}`);
  expect(Math.abs(Date.parse(events[0]?.at ?? '') - now().getTime())).toBeLessThan(10 * 60_000);
});
