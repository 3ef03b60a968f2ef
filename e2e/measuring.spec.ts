import { atTheMoment, expect, type Page, test } from './test.ts';
import type { CaseloadRow, CheckReply, PictureReply, ReadinessReply, BatteryReply } from '@myokinet/core/contracts';
import { drawFigure, pngHeader } from './drawnFigure.ts';
import { Server } from './server.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

const idAt = (index: number) => crew[index]?.id ?? '';
const checksOf = (id: string) => server.api<readonly CheckReply[]>(`/api/trainees/${id}/checks`);
async function open(page: Page, id: string, scope: string): Promise<void> {
  await page.goto(`${server.address}/trainees/${id}/battery?scope=${scope}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

test('a battery by keyboard alone: one key a trial beyond the digits, paused, resumed on another device, saved', async ({ browser }) => {
  const id = idAt(0);
  const [one, two] = await Promise.all([1, 2].map(async () => (await atTheMoment(await browser.newContext())).newPage()));
  if (!one || !two) throw new Error('no pages');
  await open(one, id, 'shoulder-flexion,blade-winging,grip');
  await expect(one.getByRole('heading', { name: 'Shoulder flexion' })).toBeVisible();
  for (const figure of ['158', '160', '171']) {
    await one.keyboard.type(figure);
    await one.keyboard.press('Enter');
  }
  // The third one does not fit, and the screen says so at once.
  await expect(one.getByRole('button', { name: /^Trial 3 is 12° off the others/ })).toBeVisible();
  await one.keyboard.press('Shift+Enter');
  await one.keyboard.type('161');
  await expect(one.getByText(/off the others/)).toHaveCount(0);
  await one.keyboard.press('Enter');
  for (const figure of ['150', '151', '152']) {
    await one.keyboard.type(figure);
    await one.keyboard.press('PageDown');
  }
  await expect(one.getByRole('heading', { name: /Shoulder blade at rest/ })).toBeVisible();
  await one.keyboard.press('1');
  await one.keyboard.press('2');
  await expect(one.getByRole('heading', { name: 'Grip' })).toBeVisible();
  await expect(one.getByText(/kept on the server/)).toBeVisible();
  await one.getByRole('button', { name: 'Pause' }).click();
  await expect(one.getByRole('region', { name: 'Battery under way' })).toContainText('8 trials so far');

  await two.goto(`${server.address}/trainees/${id}/checks`);
  await two.getByRole('link', { name: 'Go on with it' }).click();
  await expect(two.getByRole('heading', { name: 'Grip' })).toBeVisible();
  await two.getByRole('button', { name: 'Skip' }).click();
  await two.getByRole('button', { name: 'no equipment' }).click();
  // Something may stand in for the dynamometer; it is left out all the same.
  await two.getByRole('button', { name: 'Skip this check' }).click();
  await expect(two.getByRole('heading', { name: 'Before it is saved' })).toBeVisible();
  await expect(two.getByText('skipped: no equipment')).toBeVisible();
  await expect(two.getByText(/left 160° ± \d°/)).toBeVisible();
  await two.getByRole('button', { name: 'Save the battery' }).click();
  await expect(
    two
      .getByRole('img', { name: /Headroom/ })
      .or(two.getByRole('heading', { name: /Headroom/ }))
      .first(),
  ).toBeVisible();

  const [check] = await checksOf(id);
  expect(check?.trials).toHaveLength(8);
  expect(check?.skips).toEqual([{ measureId: 'grip', reason: 'no equipment' }]);
  expect((await server.api<{ battery: BatteryReply | null }>(`/api/trainees/${id}/battery`)).battery).toBeNull();
  await one.goto(`${server.address}/trainees/${id}/battery`);
  await expect(one.getByText('This battery was saved on another device.')).toBeVisible();
});

test('without a scale, by touch: a set-up of known load is held for ten seconds and counts with its own band', async ({ browser }) => {
  const id = idAt(2);
  const context = await atTheMoment(await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }));
  const page = await context.newPage();
  await open(page, id, 'hand-load-hang');
  await page.getByRole('button', { name: 'Skip', exact: true }).tap();
  await page.getByRole('button', { name: 'no equipment' }).tap();
  await expect(page.getByText(/shows \d+% ± \d/)).toBeVisible();
  const use = page.getByRole('button', { name: /^Use \d+%/ });
  await page.getByRole('button', { name: 'Start the hold' }).tap();
  await page.getByRole('button', { name: 'Let go' }).tap();
  await expect(page.getByText(/show nothing: 10 are needed/)).toBeVisible();
  await expect(use).toBeDisabled();
  await page.getByRole('button', { name: 'Start the hold' }).tap();
  await expect(page.getByText('Long enough: it may end here.')).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Let go' }).tap();
  await use.tap();
  await page.getByRole('button', { name: 'Type it instead' }).tap();
  await page.getByRole('button', { name: 'End here' }).tap();
  await page.getByRole('button', { name: 'Save the battery' }).tap();
  await expect.poll(async () => (await checksOf(id))[0]?.trials[0]?.reading?.kind).toBe('set-up');
  const [check] = await checksOf(id);
  expect(check?.capacities[0]?.band).toBeGreaterThan(3);
});

test('undo takes back a figure and a skip, on the server too', async ({ page }) => {
  const id = idAt(1);
  await open(page, id, 'shoulder-flexion,grip');
  await page.keyboard.type('158');
  await page.keyboard.press('Enter');
  await page.keyboard.type('159');
  await expect(page.getByText(/kept on the server/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'left, trial 2: nothing yet' })).toBeVisible();
  await expect
    .poll(async () => (await server.api<{ battery: BatteryReply | null }>(`/api/trainees/${id}/battery`)).battery?.cells.map((c) => c.text))
    .toEqual(['158', '']);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByRole('button', { name: 'left, trial 2: 159°' })).toBeVisible();
});

test('a hold is timed by one key: start, stop, next', async ({ page }) => {
  const id = idAt(2);
  await open(page, id, 'plank-hold');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
  await page.waitForTimeout(1600);
  await page.keyboard.press('PageDown');
  const taken = page.getByRole('button', { name: /^trial 1: [12] s/ });
  await expect(taken).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Start' }).or(page.getByRole('heading', { name: 'Before it is saved' }))).toBeVisible();
});

test('simulated instruments are read into the headroom chart, and open no gate', { tag: '@long' }, async ({ page }) => {
  const ranges = ['shoulder-flexion', 'shoulder-extension', 'shoulder-abduction', 'wrist-extension', 'wrist-extension-loaded'];
  let found: { id: string; measureId: string } | undefined;
  // Not one of those whom another test leaves with a battery under way.
  for (const { id } of crew.slice(8)) {
    const { headrooms } = await server.api<ReadinessReply>(`/api/trainees/${id}/readiness`);
    const row = headrooms.find((h) => ranges.includes(h.demand.measureId));
    if (row) found ??= { id, measureId: row.demand.measureId };
  }
  if (!found) throw new Error('no trainee whose gate asks for a range');
  await open(page, found.id, found.measureId);
  await page.getByRole('button', { name: 'Instrument' }).click();
  await expect(page.getByText(/Simulated: no inclinometer is connected/)).toBeVisible();
  await page.getByLabel('Figure that the stand-in acts').fill('88');
  await page.getByRole('button', { name: 'Connect' }).click();
  const take = page.getByRole('button', { name: 'Take this reading' });
  const reads = () => expect(page.getByLabel('Reading now')).toHaveText(/^8[5-9]|^9[0-3]/);
  // Never set to zero, and still on its way: no figure, and it says why.
  await reads();
  await take.click();
  await expect(page.getByRole('alert')).toHaveText(/Set it to zero first/);
  await page.getByRole('button', { name: 'Set to zero' }).click();
  await expect(page.getByLabel('Reading now')).toHaveText(/^[1-6]\d\./);
  await take.click();
  await expect(page.getByRole('alert')).toHaveText(/It still rose by|It has read for/);
  for (let trial = 0; trial < 6; trial++) {
    await reads();
    await expect(async () => {
      await take.click();
      await expect(page.getByRole('button', { name: new RegExp(`trial ${(trial % 3) + 1}: \\d+°`) })).toHaveCount(trial < 3 ? 1 : 2, {
        timeout: 300,
      });
    }).toPass();
  }
  await page.getByRole('button', { name: 'Close the instrument' }).click();
  await page.getByRole('button', { name: 'Next check' }).click();
  await page.getByRole('button', { name: 'Save the battery' }).click();
  await expect(page.getByRole('heading', { name: /^Headroom/ })).toBeVisible();
  const [check] = await checksOf(found.id);
  expect(check?.capacities[0]?.provisional).toBe('simulated');
  await expect(page.getByText(/read from a simulated instrument/).first()).toBeVisible();
});

test('a squeeze whose connection drops keeps what came; nonsense is counted and left out', async ({ page }) => {
  await open(page, idAt(3), 'grip');
  await page.getByRole('button', { name: 'Instrument' }).click();
  await page.getByLabel('Scenario').selectOption('dropped connection');
  await page.getByRole('button', { name: 'Connect' }).click();
  await page.getByRole('button', { name: 'Set to zero' }).click();
  await expect(page.getByRole('alert')).toHaveText(/The connection dropped after 2\.\d s\. \d+ readings were kept\./);
  await page.getByRole('button', { name: 'Take the peak' }).click();
  await expect(page.getByRole('button', { name: /^left, trial 1: \d\d kg/ })).toBeVisible();
  await page.getByLabel('Scenario').selectOption('nonsense values');
  await page.getByRole('button', { name: 'Connect' }).click();
  await expect(page.getByText(/readings are values that no body can show; they were left out/)).toBeVisible();
});

const csv = (rows: readonly (readonly [number, number])[]) => ({
  name: 'push-ups.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(`time s,angle deg\n${rows.map((r) => r.join(',')).join('\n')}`),
});

test('a trace file is counted, corrected and used; a hopeless one says why and takes nothing away', async ({ page }) => {
  await open(page, idAt(4), 'scapular-push-ups');
  await page.getByRole('button', { name: 'Instrument' }).click();
  await page.getByLabel('Read from').selectOption('file');
  const file = page.getByLabel(/Drop a trace here/);
  await file.setInputFiles(csv(Array.from({ length: 30 }, (_, i) => [i, i % 2 ? 40 : 0])));
  await page.getByLabel('counted in').selectOption('s');
  await page.getByRole('button', { name: 'Read the trace' }).click();
  await expect(page.getByRole('alert')).toContainText('at least 20 are needed');
  await page.getByRole('button', { name: 'Back to the instrument' }).click();
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('hello\nworld') });
  await expect(page.getByRole('alert')).toContainText('no two lines of figures');

  // Eight repetitions of 3 s at 50 Hz, with a gap, a value that no body shows and a time that runs backwards.
  const clean = Array.from({ length: 1250 }, (_, i): [number, number] => [
    i / 50,
    20 - 20 * Math.cos((2 * Math.PI * Math.max(0, i / 50 - 0.5)) / 3),
  ]);
  clean[100] = [2, 9999];
  clean[200] = [1, 5];
  await file.setInputFiles(csv(clean));
  await expect(page.getByText('push-ups.csv: 1250 lines, 2 columns.')).toBeVisible();
  await page.getByRole('button', { name: 'Read the trace' }).click();
  await expect(page.getByRole('img', { name: /^Trace of 25\.0 s: 8 of 8 repetitions count/ })).toBeVisible();
  await expect(page.getByText('1 value that no body can show left out.')).toBeVisible();
  await expect(page.getByText('1 sample whose time runs backwards left out.')).toBeVisible();
  // A tap counts one more where it was tapped: half of the plot is half of the trace.
  const trace = page.getByRole('img', { name: /^Trace of/ });
  const { width = 0 } = (await trace.boundingBox()) ?? {};
  await trace.click({ position: { x: 56 + (width - 68) / 2, y: 150 } });
  await page.getByRole('button', { name: /^Take back the one at 12\.[45] s/ }).click();
  await page.getByRole('checkbox', { name: 'Count repetition 3' }).uncheck();
  await page.getByRole('button', { name: 'Use it: clean repetitions, 7 reps' }).click();
  await expect(page.getByRole('button', { name: 'trial 1: 7 reps' })).toBeVisible();
  const { battery } = await expectRun(idAt(4));
  expect(battery?.cells[0]?.reading?.trace).toMatchObject({
    counted: 8,
    clean: 8,
    quantity: 'angle',
    corrections: [{ what: 'leave out' }],
  });
});

/** The run once it has a reading. */
async function expectRun(id: string): Promise<{ battery: BatteryReply | null }> {
  const get = () => server.api<{ battery: BatteryReply | null }>(`/api/trainees/${id}/battery`);
  await expect.poll(async () => (await get()).battery?.cells[0]?.reading).toBeTruthy();
  return get();
}

/** Taps where the next landmark is to be. */
async function tap(page: Page, name: string, to: { readonly x: number; readonly y: number }) {
  await expect(page.getByRole('status', { name: 'Next landmark' })).toContainText(`Tap ${name}`);
  const target = await page.getByRole('group', { name: 'Picture with landmarks' }).evaluate((svg, { x, y }) => {
    const matrix = (svg as SVGSVGElement).getScreenCTM();
    const at = new DOMPoint(x, y).matrixTransform(matrix ?? undefined);
    return { x: at.x, y: at.y };
  }, to);
  await page.mouse.move(target.x - 30, target.y + 20);
  await page.mouse.down();
  await page.mouse.move(target.x, target.y, { steps: 4 });
  await page.mouse.up();
}

test(
  'a drawn picture of a known angle is read, kept, compared a week later, and lands in the history',
  { tag: '@long' },
  async ({ page, browser }) => {
    // Somebody whose next gate asks for it, so that it is seen in the headroom chart.
    let id = '';
    for (const trainee of crew.slice(8)) {
      const { headrooms } = await server.api<ReadinessReply>(`/api/trainees/${trainee.id}/readiness`);
      if (id === '' && headrooms.some((h) => h.demand.measureId === 'shoulder-flexion')) id = trainee.id;
    }
    expect(id).not.toBe('');
    for (const [flexion, side] of [
      [150, 'left'],
      [162, 'left'],
    ] as const) {
      const figure = await drawFigure(browser, flexion);
      await open(page, id, 'shoulder-flexion');
      await page.getByRole('button', { name: 'Picture' }).click();
      await page.getByLabel(/A photo or video/).setInputFiles({ name: 'figure.png', mimeType: 'image/png', buffer: figure.png });
      // What the model sees is a place to look at, no more.
      await expect(page.getByText(/^The model saw/)).toBeVisible();
      await tap(page, 'Hip, the bony point at the side', figure.landmarks.hip);
      await tap(page, 'Shoulder, the bony tip', figure.landmarks.shoulder);
      await tap(page, 'Elbow, the outer knuckle', figure.landmarks.elbow);
      const angle = page.getByRole('status', { name: 'Angle' });
      // Which way the trainee faces is asked, never assumed; the wrong answer reads an arm that went back, and is asked about.
      await expect(page.getByText(/Say which way the trainee faces/)).toBeVisible();
      await expect(page.getByRole('button', { name: 'Use', exact: true })).toBeDisabled();
      await page.getByRole('button', { name: 'left', exact: true }).click();
      await expect(
        page.getByText(flexion === 150 ? /the other way round\? Does the trainee face the other way/ : /Beyond straight up, \d+° and not/),
      ).toBeVisible();
      await expect(page.getByRole('button', { name: 'Use', exact: true })).toBeDisabled();
      await page.getByRole('button', { name: 'right', exact: true }).click();
      await expect(angle).toHaveText(/^\d+° ± \d/);
      const read = Number.parseInt((await angle.textContent()) ?? '', 10);
      // A mouse on a picture shown smaller than it is: within two degrees.
      expect(Math.abs(read - flexion)).toBeLessThanOrEqual(2);
      await page.getByRole('button', { name: `Use ${read}°` }).click();
      await expect(page.getByRole('button', { name: new RegExp(`^${side}, trial 1: ${read}°`) })).toBeVisible();
      await page.getByRole('button', { name: 'Close the picture' }).click();
      await page.getByRole('button', { name: 'right, trial 3: nothing yet' }).click();
      await page.getByRole('button', { name: 'Next check' }).click();
      await page.getByRole('button', { name: 'Save the battery' }).click();
      await expect(page.getByRole('heading', { name: /^Headroom/ })).toBeVisible();
    }
    const [newest] = await checksOf(id);
    const shown = newest?.trials[0]?.value ?? 0;
    await expect(page.getByRole('row', { name: new RegExp(`Shoulder flexion.*left.*${shown}°`) }).first()).toBeAttached();
    const pictures = await server.api<readonly PictureReply[]>(`/api/trainees/${id}/pictures`);
    expect(pictures).toHaveLength(2);
    const [check] = await checksOf(id);
    expect(check?.trials[0]?.reading).toMatchObject({ kind: 'picture', points: [{ placedBy: 'coach' }, {}, {}] });

    await page.goto(`${server.address}/trainees/${id}/pictures`);
    await expect(page.getByText(/a real change, beyond|inside the error band/)).toBeVisible();
    await expect(page.getByRole('img', { name: 'Both pictures laid on one another' })).toBeVisible();
    page.once('dialog', (d) => void d.accept());
    await page
      .getByRole('button', { name: /^Take the image of/ })
      .first()
      .click();
    await expect(page.getByText('image taken off the record; the angle stays')).toBeVisible();
    await page.goto(`${server.address}/trainees/${id}/history?measure=shoulder-flexion`);
    await expect(page.getByRole('heading', { name: 'Shoulder flexion' })).toBeVisible();
    await expect(page.getByText(/, picture;? ?/).first()).toBeVisible();
    await page.getByRole('slider').focus();
    await page.keyboard.press('Home');
    await expect(page.getByRole('slider')).toHaveAttribute('aria-valuetext', /left/);
  },
);

test(
  'the pose model comes with the first picture it can help with, and a suggestion left alone opens no gate',
  { tag: '@long' },
  async ({ page, browser }) => {
    const asked: string[] = [];
    page.on('request', (r) => asked.push(r.url()));
    const figure = await drawFigure(browser, 150);
    await page.goto(server.address);
    await open(page, idAt(6), 'shoulder-flexion');
    await page.getByRole('button', { name: 'right, trial 1: nothing yet' }).click();
    await page.getByRole('button', { name: 'Picture' }).click();
    const heavy = /pose-|tfjs|movenet/i;
    expect(asked.filter((url) => heavy.test(url))).toEqual([]);
    await page.getByLabel(/A photo or video/).setInputFiles({ name: 'figure.png', mimeType: 'image/png', buffer: figure.png });
    await expect(page.getByText(/The model saw 3 of 3 points, at least \d\d% sure/)).toBeVisible();
    expect(asked.some((url) => heavy.test(url))).toBe(true);
    // Nothing leaves the machine.
    expect(asked.filter((url) => !url.startsWith(server.address) && !url.startsWith(`blob:${server.address}`))).toEqual([]);
    await expect(page.getByText(/Suggested points that nobody has confirmed open no gate/)).toBeVisible();
    await page.getByRole('button', { name: 'right', exact: true }).click();
    const read = Number.parseInt((await page.getByRole('status', { name: 'Angle' }).textContent()) ?? '', 10);
    // It tends to read arms low; it is a place to start from.
    expect(Math.abs(read - 150)).toBeLessThanOrEqual(12);
    await page.getByRole('button', { name: `Use ${read}°, for information` }).click();
    const { battery } = await expectRun(idAt(6));
    expect(battery?.cells[0]?.reading?.points?.map((p) => p.placedBy)).toEqual(['suggested', 'suggested', 'suggested']);
    await expect(page.getByText('suggested', { exact: true })).toBeVisible();
  },
);

test('a picture is read in four touches on a phone, and the same one again is no second trial', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  const figure = await drawFigure(browser, 150);
  const file = { name: 'figure.png', mimeType: 'image/png', buffer: figure.png };
  await open(page, idAt(9), 'shoulder-flexion');
  await page.getByRole('button', { name: 'Picture' }).tap();
  let touches = 0;
  const touch = async (name: string, at: { readonly x: number; readonly y: number }) => {
    await expect(page.getByRole('status', { name: 'Next landmark' })).toContainText(`Tap ${name}`);
    const target = await page.getByRole('group', { name: 'Picture with landmarks' }).evaluate((svg, { x, y }) => {
      const on = new DOMPoint(x, y).matrixTransform((svg as SVGSVGElement).getScreenCTM() ?? undefined);
      return { x: on.x, y: on.y };
    }, at);
    await page.touchscreen.tap(target.x, target.y);
    touches++;
  };
  const measure = async () => {
    await page.getByLabel(/A photo or video/).setInputFiles(file);
    await expect(page.getByText(/^The model saw/)).toBeAttached();
    // This figure has no face: which way it looks is asked, before the points.
    await page.getByRole('button', { name: 'right', exact: true }).tap();
    await touch('Hip, the bony point at the side', figure.landmarks.hip);
    await touch('Shoulder, the bony tip', figure.landmarks.shoulder);
    await touch('Elbow, the outer knuckle', figure.landmarks.elbow);
    const use = page.getByRole('button', { name: /^Use 1[45]\d°$/ });
    await expect(use).toBeInViewport();
    await use.tap();
    touches++;
  };
  await measure();
  expect(touches).toBe(4);
  await expect(page.getByRole('heading', { name: 'Shoulder flexion, left, trial 2' })).toBeVisible();
  await measure();
  await expect(page.getByRole('heading', { name: 'Shoulder flexion, left, trial 3' })).toBeVisible();
  await page.getByRole('button', { name: 'Close the picture' }).tap();
  await page.getByRole('button', { name: 'End here' }).tap();
  await page.getByRole('button', { name: 'Save the battery' }).tap();
  await expect(page.getByRole('heading', { name: /^Headroom/ })).toBeVisible();
  const [check] = await checksOf(idAt(9));
  expect(check?.trials).toHaveLength(2);
  // Two readings of one picture are one trial, whatever came out.
  expect(check?.capacities[0]?.trials).toBe(1);
  // And on another day it shows nothing of that day.
  await open(page, idAt(9), 'shoulder-flexion');
  await page.getByRole('button', { name: 'Picture' }).tap();
  await measure();
  await page.getByRole('button', { name: 'Close the picture' }).tap();
  await page.getByRole('button', { name: 'End here' }).tap();
  await page.getByRole('button', { name: 'Save the battery' }).tap();
  await expect(page.getByText(/this picture was read before, in the check of/)).toBeVisible();
  await context.close();
});

test('files that are no pictures say so, and nothing is lost', async ({ page }) => {
  await open(page, idAt(7), 'shoulder-flexion');
  await page.keyboard.type('158');
  await page.getByRole('button', { name: 'Picture' }).click();
  const file = page.getByLabel(/A photo or video/);
  const offer = async (name: string, mimeType: string, buffer: Buffer, says: RegExp) => {
    await file.setInputFiles({ name, mimeType, buffer });
    await expect(page.getByRole('alert')).toHaveText(says);
  };
  await offer('huge.png', 'image/png', pngHeader(12_000, 8_400), /The picture has 101 megapixels; the limit is 50/);
  await offer('broken.png', 'image/png', pngHeader(400, 300), /damaged, or of a kind that this browser cannot decode/);
  await offer('words.txt', 'text/plain', Buffer.from('not a picture at all'), /no picture that can be read/);
  await offer('film.mp4', 'video/mp4', Buffer.from('not a film at all'), /This browser cannot decode the video/);
  await offer('phone.heic', 'image/heic', Buffer.from('ftypheic'), /This is a HEIC picture, which browsers cannot show/);
  await page.getByRole('button', { name: 'Close the picture' }).click();
  await expect(page.getByRole('button', { name: 'left, trial 1: 158°' })).toBeVisible();
});

test('a repeatability test gives its coefficients as it is typed, and its error to the bands', async ({ page }) => {
  await page.goto(`${server.address}/measuring`);
  const form = page.getByRole('form', { name: 'Repeatability test' });
  await form.getByLabel('Check').selectOption('ulnar-deviation');
  for (let i = 0; i < 2; i++) await form.getByRole('button', { name: 'Another line' }).click();
  const pairs = [
    ['30', '31'],
    ['36', '35'],
    ['25', '26'],
    ['40', '38'],
    ['33', '33'],
  ] as const;
  for (const [i, [first, second]] of pairs.entries()) {
    const line = form.getByRole('group', { name: `Line ${i + 1}` });
    await line.getByLabel('Trainee').selectOption({ index: i + 1 });
    await line.getByLabel(/^First time/).fill(first);
    await line.getByLabel(/^Second time/).fill(second);
  }
  await expect(form.getByText(/^0\.9\d \(95% interval/).first()).toBeVisible();
  await form.getByRole('button', { name: 'Save the test' }).click();
  await expect(page.getByText('a repeatability test on 5 sides or bodies')).toBeVisible();
  await page.getByRole('button', { name: /Wrist ulnar deviation/ }).click();
  await expect(page.getByText(/Excellent repeatability|Good repeatability/)).toBeVisible();
});
