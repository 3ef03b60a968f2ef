import { AxeBuilder } from '@axe-core/playwright';
import type { CaseloadRow, FloorRunReply } from '@myokinet/core/contracts';
import { now } from './clock.ts';
import { beat, drill, openRun, withoutSound } from './floorRuns.ts';
import { Server } from './server.ts';
import { expect, held, type Page, test } from './test.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';
/** Amounts on record, those that nobody has said to be done in brackets. */
const setsOf = async (runId: string) => {
  const { events } = await server.api<FloorRunReply>(`/api/floor/${runId}`);
  const said = new Map(events.flatMap((e) => (e.kind === 'amend' ? [[e.setId, e.amount] as const] : [])));
  return events.flatMap((e) =>
    e.kind === 'set' ? [said.has(e.id) ? `${said.get(e.id)}` : e.ranOut ? `(${e.amount})` : `${e.amount}`] : [],
  );
};
const ready = (page: Page) => page.getByRole('button', { name: /^(Start the set|Go now)$/ });

/** Into a set, and so many seconds of it. */
async function work(page: Page, seconds: number): Promise<void> {
  await ready(page).tap();
  await beat(page, { held: true });
  await page.getByRole('button', { name: 'Now', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'End the set here' })).toBeVisible();
  // In steps, as a page that is awake.
  for (let at = 0; at < seconds; at++) await page.clock.runFor(1000);
}

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

held('nothing that was begun is thrown away unasked: back, another drill, a reload, another name', async ({ page }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const runs = await Promise.all([
    openRun(server, idOf('Jory'), [drill('plank', { sets: 4 }), drill('neck-loosening', { sets: 2 })]),
    openRun(server, idOf('Noor'), [drill('plank', { sets: 2 })]),
  ]);
  const [jory, noor] = [runs[0]?.id ?? '', runs[1]?.id ?? ''];
  await page.goto(`${server.address}/floor/${jory}`);

  await test.step('back asks: on with it, throw it away on purpose, or log what was done', async () => {
    await work(page, 12);
    const back = page.getByRole('button', { name: 'Leave this set' });
    await back.tap();
    const question = page.getByRole('alert').filter({ hasText: /1[2-4] s of this set are done\./ });
    await expect(question).toBeVisible();
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    // A double tap on “leave” lands beside everything that could throw it away.
    await page.clock.runFor(60_000);
    await question.getByRole('button', { name: 'Go on with it' }).tap();
    await page.clock.runFor(3000);
    await back.tap();
    await page.clock.runFor(1050);
    await page.getByRole('alert').getByRole('button', { name: 'Not a set: throw it away' }).tap();
    await expect(ready(page)).toBeVisible();
    expect(await setsOf(jory)).toEqual([]);
    await beat(page, { held: true });
    await work(page, 7);
    await back.tap();
    await page.clock.runFor(1050);
    await page.getByRole('button', { name: 'Log what was done' }).tap();
    await expect.poll(() => setsOf(jory)).toEqual(['7']);
  });

  await test.step('the page goes and comes back in mid-set: what was done is there, and asks to be confirmed', async () => {
    await page.clock.runFor(31_000);
    await work(page, 9);
    await page.reload();
    await expect(page.getByRole('status').filter({ hasText: 'Ran out, not confirmed' })).toContainText('9 s');
    await expect.poll(() => setsOf(jory)).toEqual(['7', '(9)']);
    await page.getByRole('group', { name: 'Where the form went' }).getByRole('button', { name: '4 s' }).tap();
    await expect.poll(() => setsOf(jory)).toEqual(['7', '4']);
  });

  await test.step('another drill is begun: what was done stays', async () => {
    await page.clock.runFor(31_000);
    await work(page, 8);
    await page.getByRole('button', { name: 'List' }).tap();
    await page.getByRole('button', { name: /^Neck loosening/ }).tap();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Jory: Neck loosening|^Neck loosening/);
    await expect.poll(() => setsOf(jory)).toEqual(['7', '4', '(8)']);
  });

  await test.step('a name is tapped in mid-set: the turn goes there, and what was done stays with whom it is', async () => {
    await page.goto(`${server.address}/floor/${jory}+${noor}`);
    // Back where this tab was: at the drill that was picked.
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Jory: Neck loosening/);
    await page.clock.runFor(1050);
    await work(page, 6);
    await page.getByRole('button', { name: /^Noor/ }).tap();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Noor: Plank/);
    await expect.poll(() => setsOf(jory)).toEqual(['7', '4', '(8)', '(1)']);
    expect(await setsOf(noor)).toEqual([]);
  });

  await test.step('it hurts: whose it is, kept over a reload; red flags name what needs a doctor', async () => {
    await page.clock.runFor(1050);
    await work(page, 5);
    await page.getByRole('button', { name: 'It hurts' }).tap();
    const sheet = page.getByRole('dialog', { name: 'What does Noor feel?' });
    await sheet.getByRole('button', { name: '2', exact: true }).tap();
    await sheet.getByRole('button', { name: 'chest' }).tap();
    await expect(sheet.getByRole('alert')).toContainText(
      'Get medical help with: pressure in the chest, fainting, or short of breath at rest.',
    );
    await expect(sheet.getByRole('button', { name: 'Emergency: Noor Bowline' })).toBeVisible();
    await page.reload();
    await expect(sheet.getByRole('button', { name: '2', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await expect(sheet.getByRole('button', { name: 'chest' })).toHaveAttribute('aria-pressed', 'true');
    await sheet.getByRole('button', { name: 'ache', exact: true }).tap();
    await sheet.getByRole('button', { name: 'Record it' }).tap();
    await expect
      .poll(async () => (await server.api<FloorRunReply>(`/api/floor/${noor}`)).events.filter((e) => e.kind === 'symptom').length)
      .toBe(1);
    await expect.poll(() => setsOf(noor)).toEqual(['(5)']);
  });
});

held('any drill that may be done now is found by name; one that may not says why', async ({ page }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const run = await openRun(server, idOf('Jory'), [drill('plank', { sets: 2 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await page.getByRole('button', { name: 'Change' }).tap();
  const sheet = page.getByRole('dialog', { name: 'Change the drill' });
  await sheet.getByLabel('Find any drill').fill('handstand');
  await expect(sheet.getByRole('status')).toContainText('that may not');
  await expect(sheet.getByRole('button', { name: /Handstand/ }).first()).toBeDisabled();
  await sheet.getByLabel('Find any drill').fill('wrist circ');
  await sheet.getByRole('button', { name: /^Wrist circles, forearm still/ }).tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Wrist circles/);
});

/** Height of a capital letter as drawn, in pixels, and where it stands. */
const readable = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[data-read]')].map((element) => {
      const { fontWeight, fontSize, fontFamily } = getComputedStyle(element);
      const context = document.createElement('canvas').getContext('2d');
      if (!context) throw new Error('no canvas');
      context.font = `${fontWeight} ${fontSize} ${fontFamily}`;
      const { top, bottom } = element.getBoundingClientRect();
      return { what: element.dataset.read, capital: context.measureText('H').actualBoundingBoxAscent, top, bottom };
    }),
  );

const MM = 160 / 25.4;

held('reads at two metres, at work without scrolling: four screens, and text twice its size', async ({ page }) => {
  await page.clock.install({ time: now() });
  await withoutSound(page);
  const run = await openRun(server, idOf('Jory'), [drill('plank', { sets: 9 })]);
  await page.goto(`${server.address}/floor/${run.id}`);
  await work(page, 3);
  for (const [width, height, text] of [
    [390, 844, '100%'],
    [844, 390, '100%'],
    [820, 1180, '100%'],
    [1280, 800, '100%'],
    [390, 844, '200%'],
    [844, 390, '200%'],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.evaluate((size) => {
      document.documentElement.style.fontSize = size;
    }, text);
    await page.clock.runFor(500);
    const at = `${width}×${height}, text ${text}`;
    const end = await page.getByRole('button', { name: 'End the set here' }).boundingBox();
    for (const { what, capital, top, bottom } of await readable(page)) {
      expect(capital, `${what} at ${at}`).toBeGreaterThanOrEqual((what === 'count' ? 10 : 3) * MM);
      expect([what, at, top >= 0, bottom <= (end?.y ?? 0)]).toEqual([what, at, true, true]);
    }
    for (const name of ['End the set here', 'It hurts', 'Leave this set', 'Emergency']) {
      const box = await page.getByRole('button', { name: name === 'Emergency' ? /^Emergency: / : name }).boundingBox();
      expect([name, at, (box?.height ?? 0) >= 44, (box?.y ?? -1) >= 0, (box?.y ?? 0) + (box?.height ?? 0) <= height]).toEqual([
        name,
        at,
        true,
        true,
        true,
      ]);
    }
    const scrolls = await page.evaluate(() => [document.documentElement.scrollHeight, document.documentElement.scrollWidth]);
    expect([at, ...scrolls]).toEqual([at, height, width]);
  }
});

held(
  'hands-free: the pedal alone runs a session, says the effort, and stops for what hurts; the voice says what is left',
  async ({ page }) => {
    await page.clock.install({ time: now() });
    await withoutSound(page);
    await page.addInitScript(() => {
      localStorage.setItem('myokinet.floor.voice', 'true');
      const said: string[] = [];
      Object.assign(globalThis, { said });
      Object.defineProperty(globalThis, 'speechSynthesis', {
        value: { cancel: () => undefined, speak: (u: { text: string }) => said.push(u.text) },
      });
      Object.assign(globalThis, {
        SpeechSynthesisUtterance: class {
          readonly text: string;
          constructor(text: string) {
            this.text = text;
          }
        },
      });
    });
    const run = await openRun(server, idOf('Bram'), [drill('plank', { sets: 1, min: 8, max: 12 })]);
    await page.goto(`${server.address}/floor/${run.id}`);
    await expect(ready(page)).toBeVisible();
    const pedal = async (key: 'PageUp' | 'PageDown') => {
      await page.clock.runFor(1050);
      await page.keyboard.press(key);
    };
    await pedal('PageDown');
    await pedal('PageDown');
    await expect(page.getByRole('button', { name: 'End the set here' })).toBeVisible();
    for (let at = 0; at < 48; at++) await page.clock.runFor(250);
    await expect(page.getByRole('heading', { name: /^How was it/ })).toBeVisible();
    const said = await page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
    expect(said.slice(0, 3)).toEqual(
      ['Plank, set 1 of 1.', 'Into position.', 'Go.'].map((s) => expect.stringContaining(s.trim()) as unknown as string),
    );
    expect(said.slice(3)).toEqual(expect.arrayContaining(['10 left', '5', '4', '3', '2', '1']));
    for (let taps = 0; taps < 5; taps++) await pedal('PageUp');
    await expect(page.getByRole('button', { name: '4', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await pedal('PageDown');
    await expect(page.getByRole('heading', { name: /logged$/ })).toBeVisible();

    const again = await openRun(server, idOf('Bram'), [drill('plank', { sets: 2 })]);
    await page.goto(`${server.address}/floor/${again.id}`);
    await expect(ready(page)).toBeVisible();
    await pedal('PageDown');
    await pedal('PageDown');
    await page.clock.runFor(3000);
    // Held back: the operating system repeats the key.
    await page.keyboard.down('PageUp');
    for (let repeat = 0; repeat < 20; repeat++) await page.keyboard.down('PageUp');
    await page.keyboard.up('PageUp');
    await expect(page.getByRole('dialog', { name: 'What is felt?' })).toBeVisible();
  },
);
