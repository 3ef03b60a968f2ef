import { AxeBuilder } from '@axe-core/playwright';
import { expect, held, type Page, test } from './test.ts';
import { now } from './clock.ts';
import type { CaseloadRow, FloorRunReply, RecordReply } from '@myokinet/core/contracts';
import { drawFigure } from './drawnFigure.ts';
import { beat, drill, openRun, withoutSound } from './floorRuns.ts';
import { Server } from './server.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
const recordOf = (name: string) => server.api<RecordReply>(`/api/trainees/${idOf(name)}/record`);
const setsOf = async (runId: string) =>
  (await server.api<FloorRunReply>(`/api/floor/${runId}`)).events.filter((e) => e.kind === 'set').length;
const go = (page: Page) => page.getByRole('button', { name: /^(Start the set|Go now|Now)$/ });
const allSent = (page: Page) => expect(page.getByText('all sent')).toBeVisible();

/** What ran out by the clock is not confirmed until somebody says so, by the one key. */
async function confirm(page: Page, amount: string): Promise<void> {
  const status = page.getByRole('status').filter({ hasText: 'Ran out, not confirmed' });
  await expect(status).toContainText(amount);
  await beat(page, { held: true });
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toContainText(amount);
}

/** From getting ready to the set: three seconds into position, unless they are cut short. */
async function begin(page: Page, clock = { held: true }, runs = 'End the set here'): Promise<void> {
  await expect(go(page)).toBeVisible();
  await beat(page, clock);
  await page.keyboard.press('Space');
  await expect(page.getByRole('timer', { name: 'Until the next set' })).toBeVisible();
  await beat(page, clock);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: runs })).toBeVisible();
}

held('a whole session by keys and pedal alone, with the clock held: pace, holds, faults, dial, rest, sides, the end', async ({ page }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const run = await openRun(server, idOf('Jory'), [
    drill('tabletop-scapular-push-up', { sets: 1, max: 3, min: 3 }),
    drill('plank', { sets: 2, min: 20, max: 20 }),
    drill('neck-loosening', { sets: 1, min: 3, max: 3 }),
  ]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await expect(page.getByRole('heading', { name: /^Scapular push-up, hands and knees/ })).toBeVisible();

  await test.step('repetitions run by their tempo and log themselves', async () => {
    await begin(page);
    await page.clock.runFor(1000);
    await expect(page.getByRole('timer', { name: 'Pace' })).toContainText('1of 3 reps');
    await page.clock.runFor(20_000);
    await confirm(page, '3 reps');
  });

  await test.step('the figure just logged is put right by its digits; an absurd one is refused and the old one stays', async () => {
    await page.keyboard.type('9999');
    await page.keyboard.press('Enter');
    await expect(page.getByText('A set is from 0 to 3600; 3 stays.')).toBeVisible();
    await page.keyboard.press('2');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toContainText('2 reps');
  });

  await test.step('the support dial turns by about five points', async () => {
    await expect(page.getByRole('heading', { name: /^Plank/ })).toBeVisible();
    await page.keyboard.press('-');
    await expect(page.getByRole('status').filter({ hasText: 'Lighter' })).toContainText(/\d\d% → \d\d% of body weight/);
  });

  await test.step('a cue that mends keeps a hold going; at its end the coach is asked where the form went', async () => {
    await begin(page);
    await page.clock.runFor(10_500);
    await page.keyboard.press('H');
    await expect(page.getByRole('alert', { name: /hips sag/ })).toContainText('One line from ear to ankle.');
    // It shows on the whole body: no side is asked.
    await expect(page.getByRole('group', { name: 'On which side, if only on one' })).toHaveCount(0);
    await beat(page, { held: true });
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('alert', { name: /hips sag/ })).toHaveCount(0);
    await page.keyboard.press('B');
    await expect(page.getByRole('alert', { name: /blade wings/ })).toContainText('Push the floor further away.');
    const side = page.getByRole('group', { name: 'On which side, if only on one' });
    await side.getByRole('button', { name: 'left' }).click();
    await expect(side.getByRole('button', { name: 'left' })).toHaveAttribute('aria-pressed', 'true');
    await beat(page, { held: true });
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('alert', { name: /blade wings/ })).toHaveCount(0);
    await page.clock.runFor(10_000);
    await expect(page.getByRole('group', { name: 'Where the form went' })).toHaveText(/5 s10 s15 s$/);
    await confirm(page, '20 s');
  });

  await test.step('the rest runs out; the second time a fault offers what is easier, and staying ends the set', async () => {
    await expect(page.getByRole('timer', { name: 'Until the next set' })).toContainText('Rest, then set 2 of 2.');
    await page.clock.runFor(31_000);
    await begin(page);
    await page.clock.runFor(6000);
    await page.keyboard.press('H');
    const alert = page.getByRole('alert', { name: /hips sag/ });
    await expect(alert).toContainText('2 times in this drill');
    await expect(alert).toContainText('Knees down, or the hands raised.');
    await expect(alert.getByRole('button', { name: 'Lighter by 5 points' })).toBeVisible();
    await page.keyboard.press('H');
    await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toContainText(/[67] s/);
  });

  await test.step('the pedal goes back: the set is taken back, and done again', async () => {
    await page.keyboard.press('PageUp');
    await expect(page.getByText('Take this set back? Then it is to be done again.')).toBeVisible();
    await page.keyboard.press('Backspace');
    await expect(page.getByRole('heading', { name: /^Plank/ })).toBeVisible();
    await begin(page);
    await page.clock.runFor(8000);
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toContainText(/[78] s/);
  });

  await test.step('left, then right, announced', async () => {
    await expect(page.getByRole('heading', { name: /^Neck loosening/ })).toContainText('left');
    await begin(page);
    await page.clock.runFor(60_000);
    await expect(page.getByRole('heading', { name: /^Neck loosening/ })).toContainText('right');
    await confirm(page, '3 reps');
    await begin(page);
    await page.clock.runFor(60_000);
  });

  await test.step('the end: effort, and what follows', async () => {
    await expect(page.getByRole('heading', { name: /^How was it/ })).toBeVisible();
    const last = page.getByRole('status').filter({ hasText: 'Neck loosening, right, set 1: 3 reps' });
    await expect(last).toContainText('Ran out, not confirmed');
    await last.getByRole('button', { name: 'Done' }).click();
    await expect(last).toContainText('Logged');
    await page.keyboard.press('6');
    await expect(page.getByRole('button', { name: '6', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await page.getByLabel('Minutes').fill('');
    await expect(page.getByRole('alert')).toContainText('Minutes must be');
    await page.getByLabel('Minutes').fill('25');
    await page.getByLabel('Notes').fill('Good pace.');
    await page.getByRole('button', { name: 'Log the session' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: /logged$/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Next doses' })).toBeVisible();
    await allSent(page);
  });

  const [session] = (await recordOf('Jory')).sessions;
  expect(session).toMatchObject({ effort: 6, minutes: 25, note: 'Good pace.', clean: false });
  expect(session?.items.map((i) => [i.drillId, i.sets.map((s) => s.amount)])).toEqual([
    ['tabletop-scapular-push-up', [2]],
    ['plank', [20, expect.closeTo(8, -1)]],
    ['neck-loosening', [3, 3]],
  ]);
  expect(session?.items[1]?.support?.wanted).toBeLessThan(0.69);
  expect(session?.items[1]?.sets[0]?.faults).toEqual([
    { faultId: 'hips-sag', mended: true },
    { faultId: 'blade-wings', mended: true, on: 'left' },
  ]);
});

test.describe('by touch, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  held('a circuit runs through by itself; skip, change and symptom are a tap away; the pain rule acts at once', async ({ page }) => {
    await page.clock.install({ time: now() });
    await withoutSound(page);
    const run = await openRun(
      server,
      idOf('Elke'),
      [
        drill('wrist-circles', { sets: 2, min: 2, max: 2 }),
        drill('neck-loosening', { sets: 1, min: 2, max: 2 }),
        drill('tabletop-scapular-push-up', { sets: 2, min: 5, max: 5 }),
        drill('plank', { sets: 2, min: 10, max: 10 }),
      ],
      { form: 'circuit' },
    );
    await page.goto(`${server.address}/floor/${run.id}`);
    await page.getByRole('button', { name: 'Start the set' }).tap();
    await page.clock.runFor(3200);
    const neck = page.getByRole('heading', { name: /^Neck loosening/ });
    await expect
      .poll(async () => {
        await page.clock.runFor(1000);
        return neck.isVisible();
      })
      .toBe(true);
    await expect(page.getByRole('timer', { name: 'Until the next set' })).toContainText('Next: Neck loosening, left.');
    await expect(page.locator('footer')).toContainText('Then: Other side: right.');
    // Nobody touches anything: station, left, side, right, station.
    // The held clock runs in steps, since keeping a set takes real time in between.
    await expect
      .poll(async () => {
        await page.clock.runFor(5000);
        return setsOf(run.id);
      })
      .toBeGreaterThanOrEqual(3);
    await page.getByRole('button', { name: 'List' }).tap();
    await page.getByRole('dialog', { name: 'This session' }).getByRole('button', { name: 'Close' }).tap();

    await page.getByRole('button', { name: 'Change' }).tap();
    await expect(page.getByRole('dialog', { name: 'Change the drill' })).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).tap();

    await page.getByRole('button', { name: 'It hurts' }).tap();
    const sheet = page.getByRole('dialog', { name: 'What is felt?' });
    await expect(sheet.getByRole('button', { name: 'Say how strong, where, what kind' })).toBeDisabled();
    await sheet.getByRole('button', { name: '4', exact: true }).tap();
    await sheet.getByRole('button', { name: 'left wrist' }).tap();
    await sheet.getByRole('button', { name: 'pinch' }).tap();
    await expect(sheet.getByText('Pinch 4/10, left wrist, during: stop and step back.')).toBeVisible();
    await sheet.getByRole('button', { name: 'Record it' }).tap();
    await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('every gate is locked until the stop sign is closed');
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    await expect.poll(async () => (await recordOf('Elke')).stopSigns.filter((s) => !s.closure).length).toBeGreaterThan(0);
    await page.getByRole('button', { name: 'End the session' }).tap();
    // Nobody has said that any of it was done.
    const open = page.getByRole('region', { name: 'Ran out, not confirmed' });
    await expect(open).toContainText('ran out by the clock. Were they done?');
    await open.getByRole('button', { name: 'Done', exact: true }).first().tap();
    await page.getByRole('button', { name: '3', exact: true }).tap();
    await page.getByRole('button', { name: 'Log the session' }).tap();
    await expect(page.getByRole('heading', { name: /logged$/ })).toBeVisible();
    await expect(page.getByText(/stop sign/).first()).toBeVisible();
    await allSent(page);
    const [session] = (await recordOf('Elke')).sessions;
    expect(session?.symptoms).toMatchObject([{ kind: 'pinch', intensity: 4, place: 'wrist', side: 'left' }]);
    expect(session?.items.some((i) => i.skipped === 'stop sign')).toBe(true);
    const sets = session?.items.flatMap((i) => i.sets) ?? [];
    expect([sets.some((s) => s.unconfirmed), sets.some((s) => !s.unconfirmed)]).toEqual([true, true]);
  });

  test('no screen of the floor is wider than the phone, and axe finds nothing', async ({ page }) => {
    await withoutSound(page);
    const run = await openRun(server, idOf('Jory'), [drill('plank', { sets: 2 }), drill('supported-one-shoulder-pack')]);
    await page.goto(`${server.address}/floor/${run.id}`);
    const fits = async () => {
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(width).toBeLessThanOrEqual(390);
      expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    };
    await expect(go(page)).toBeVisible();
    await fits();
    await page.getByRole('button', { name: 'It hurts' }).tap();
    await fits();
    await page.getByRole('button', { name: 'Close' }).tap();
    await go(page).tap();
    await expect(page.getByRole('button', { name: 'End the set here' })).toBeVisible();
    await beat(page);
    await page.getByRole('button', { name: /hips sag/ }).tap();
    await expect(page.getByRole('alert')).toBeVisible();
    await fits();
    await page.getByRole('button', { name: /It stays/ }).tap();
    await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toBeVisible();
    await fits();
  });
});

test('by feel: no counter, four answers, and no number to chase', async ({ page }) => {
  await withoutSound(page);
  const run = await openRun(server, idOf('Noor'), [drill('plank', { sets: 1 })], { progress: 'feel' });
  await page.goto(`${server.address}/floor/${run.id}`);
  await begin(page, { held: false }, 'Enough');
  await expect(page.getByText('No counting. End it while it is good.')).toBeVisible();
  await expect(page.getByRole('timer')).toHaveCount(0);
  await beat(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('group', { name: 'How was it?' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: /^How was it/ })).toBeVisible();
  await expect.poll(() => setsOf(run.id)).toBe(1);
});

held('what a session showed beyond the last check is offered, with less trust; a picture goes on record', async ({ page, browser }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const run = await openRun(server, idOf('Tamsin'), [drill('plank', { sets: 1, min: 60, max: 240 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await begin(page);
  await page.clock.runFor(241_000);
  await page.getByRole('status').filter({ hasText: 'Ran out, not confirmed' }).getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Something is felt now' }).click();
  const sheet = page.getByRole('dialog', { name: 'What is felt?' });
  for (const name of ['2', 'upper back', 'ache', 'Record it']) await sheet.getByRole('button', { name, exact: true }).click();
  await expect(page.getByText(/Ache 2\/10, upper back, after: go on, and look out for it\./)).toBeVisible();
  await page.getByRole('button', { name: '5', exact: true }).click();
  await page.getByRole('button', { name: 'Log the session' }).click();
  const offers = page.getByRole('region', { name: 'Capacities shown' });
  await expect(offers).toContainText('Plank hold: 240 s');
  await offers.getByRole('button', { name: 'Record as check results' }).click();
  await expect(offers.getByRole('status')).toHaveText('Recorded among the checks.');
  const { png } = await drawFigure(browser, 120);
  await page.getByLabel('Add a picture').setInputFiles({ name: 'end.png', mimeType: 'image/png', buffer: png });
  await expect(page.getByRole('img', { name: 'Picture of this session', exact: true })).toBeVisible();
  await allSent(page);

  await page.goto(`${server.address}/trainees/${idOf('Tamsin')}/checks`);
  await expect(page.getByText('in a session: opens no gate').first()).toBeVisible();
  await page.goto(`${server.address}/trainees/${idOf('Tamsin')}/record`);
  await page.getByRole('button', { name: /today/ }).first().click();
  await expect(page.getByRole('img', { name: 'At the end of this session' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it off the record' }).click();
  await expect(page.getByText('A picture was taken off the record.')).toBeVisible();
});

held('sides that take turns are told in turn, and go on record as a set of each', async ({ page }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const turns = { course: { alternating: true }, tempo: { out: 2, hold: 0, back: 2 } } as const;
  const run = await openRun(server, idOf('Jory'), [drill('opposite-reach', { sets: 1, min: 2, max: 2, manner: turns })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await expect(page.locator('[data-read="dose"]')).toContainText('left and right in turn');
  await begin(page);
  const dial = page.getByRole('timer', { name: 'Pace' });
  await expect(dial).toContainText(/left.*of 2 reps a side/);
  await page.clock.runFor(5000);
  await expect(dial).toContainText('right');
  await page.clock.runFor(12_000);
  await expect(page.getByRole('heading', { name: /^How was it/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText('L 2 · R 2 reps')).toBeVisible();
  await allSent(page);
  expect(await setsOf(run.id)).toBe(1);
});

test('a group goes round: each with their own drills, one screen', async ({ page }) => {
  await withoutSound(page);
  const runs = await Promise.all([
    openRun(server, idOf('Anselm'), [drill('plank', { sets: 2 })]),
    openRun(server, idOf('Bram'), [drill('neck-loosening', { sets: 1 })]),
  ]);
  await page.goto(`${server.address}/floor/${runs.map((r) => r.id).join('+')}`);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^Anselm: Plank/);
  await expect(page.locator('footer')).toContainText('Then: Bram: Neck loosening, left');
  await begin(page, { held: false });
  await beat(page);
  await page.keyboard.press('PageDown');
  await expect(heading).toHaveText(/^Bram: Neck loosening/);
  await expect(page.getByRole('region', { name: 'The others' })).toContainText('Anselm next: Plank, set 2 of 2');
  await begin(page, { held: false });
  // Ended before the first repetition there is no set, and it says so.
  await beat(page);
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Ended before the first repetition: no set is logged.')).toBeVisible();
  await begin(page, { held: false });
  await expect(page.getByRole('timer', { name: 'Pace' })).toContainText('2of');
  await page.keyboard.press('PageDown');
  await expect(heading).toHaveText(/^Anselm: Plank/);
  await page.getByRole('button', { name: /^Bram/ }).click();
  await expect(heading).toContainText('right');
  await expect.poll(async () => [await setsOf(runs[0]?.id ?? ''), await setsOf(runs[1]?.id ?? '')]).toEqual([1, 1]);
});
