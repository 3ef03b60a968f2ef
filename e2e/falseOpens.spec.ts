import { BUILT_IN } from '@myokinet/core/catalogue';
import { demandsOn } from '@myokinet/core/ladders';
import { openLibrary } from '@myokinet/core/library';
import { addDays, instant } from '@myokinet/core/quantities';
import { QUESTION_IDS } from '@myokinet/core/safety';
import { bodyModel } from '@myokinet/core/statics';
import { v7 } from 'uuid';
import { now } from './clock.ts';
import { Server } from './server.ts';
import { expect, type Page, test } from './test.ts';

/* Every way in which a gate was once opened that should be shut, tried on the pages; through the API: server/src/readiness/falseOpens. */

const LIBRARY = openLibrary(BUILT_IN);
const PREPARES = { id: 'wall-scapular-push-up', name: 'Scapular push-up at a wall' };
const TOP = LIBRARY.drill(PREPARES.id).dose.max;
const server = new Server();

const ago = (days: number) => new Date(addDays(now(), -days));
/** As a field for date and time takes it. */
const local = (moment: Date) => `${moment.toLocaleDateString('sv')}T${moment.toLocaleTimeString('sv').slice(0, 5)}`;

interface Start {
  /** Sides that were checked. */
  readonly sides?: readonly string[];
  /** Clean sessions with quiet mornings, so many days ago. */
  readonly sessions?: readonly number[];
  /** When the trainee was added and screened. */
  readonly known?: number;
}

/** What each attack starts from; the newest session of the second is old enough for its morning. */
const CHECKED: Start = { sessions: [] };
const OPEN: Start = { sessions: [5.1, 2.1] };

async function addTrainee(name: string): Promise<string> {
  const id = v7();
  await server.send('PUT', `/api/trainees/${id}`, {
    ...{ id, revision: v7(), basedOn: null, name, birthYear: 1990, sex: 'female', stature: 170, mass: 70, dominantHand: 'right' },
    ...{ history: '', ladderId: 'push-up', trainingDays: ['Monday', 'Thursday'], sessionMinutes: 45, equipment: ['wall', 'bench'] },
  });
  return id;
}

const screen = (id: string, daysAgo: number) =>
  server.send('POST', `/api/trainees/${id}/screenings`, {
    ...{ id: v7(), basedOn: null, takenAt: instant(ago(daysAgo)), beighton: null, note: '' },
    answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: 'no', side: 'whole' })),
  });

async function prepare(id: string, { sides = ['left', 'right', 'whole'], sessions = [] }: Start): Promise<void> {
  const at = `/api/trainees/${id}`;
  const demands = demandsOn(LIBRARY.rung('push-up', 'wall'), bodyModel({ statureM: 1.7, massKg: 70 }), LIBRARY.measure);
  const trials = demands
    .filter(({ side }) => sides.includes(side))
    .flatMap(({ measureId, side, value }) =>
      Array.from({ length: LIBRARY.measure(measureId).trials }, () => ({ id: v7(), measureId, side, value: value + 15 })),
    );
  await server.send('POST', `${at}/checks`, { id: v7(), takenAt: instant(ago(1)), note: '', trials });
  for (const days of sessions) {
    const session = v7();
    const sets = [TOP, TOP].map((amount) => ({ id: v7(), side: 'whole', amount, faults: [] }));
    await server.send('POST', `${at}/sessions`, {
      ...{ id: session, plannedSessionId: null, performedAt: instant(ago(days)), effort: 5, minutes: 40, note: '', symptoms: [] },
      items: [{ id: v7(), drillId: PREPARES.id, plannedSets: 2, min: 5, max: TOP, sets }],
    });
    await server.send('POST', `${at}/symptoms`, {
      ...{ id: v7(), sessionId: session, at: instant(ago(days - 0.9)), note: '' },
      ...{ intensity: 0, place: 'shoulder', side: 'whole', kind: 'none', moment: 'next morning' },
    });
  }
}

/** The page of a trainee, by the tab's name. */
async function tab(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name, exact: true }).click();
}

async function addDrill(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a drill' }).click();
  await page.getByPlaceholder('Name, joint or phase').fill(name);
  await page
    .getByRole('option', { name: new RegExp(`^${name}`) })
    .first()
    .click();
}

interface Logged {
  readonly at: Date;
  readonly drill?: string;
  readonly figures?: string;
}

/** Types a session; whether it may be saved is another matter. */
async function typeSession(page: Page, { at, drill = PREPARES.name, figures = String(TOP) }: Logged): Promise<void> {
  await tab(page, 'Record');
  await page.getByRole('link', { name: 'Log a session' }).click();
  await page.getByRole('link', { name: 'A session without a plan' }).click();
  await addDrill(page, drill);
  for (const set of await page.getByRole('textbox', { name: /, set \d/ }).all()) await set.fill(figures);
  await page.getByLabel('When').fill(local(at));
  await page.getByLabel('Effort, 0–10').fill('5');
  await page.getByLabel('Minutes').fill('20');
}

async function logSession(page: Page, logged: Logged): Promise<void> {
  await typeSession(page, logged);
  await page.getByRole('button', { name: 'Save the session' }).click();
  await expect(page.getByRole('heading', { name: 'Clearances' })).toBeVisible();
}

/** Two sessions far enough apart, their mornings quiet. */
async function logTwo(page: Page, logged: Omit<Logged, 'at'>): Promise<void> {
  for (const days of [5, 2]) {
    await logSession(page, { ...logged, at: ago(days) });
    await page.getByRole('button', { name: /^Nothing felt/ }).click();
    await expect(page.getByRole('button', { name: /^Nothing felt/ })).toHaveCount(0);
  }
}

async function report(page: Page, strength: string, kind: string): Promise<void> {
  await tab(page, 'Record');
  await page.getByRole('button', { name: 'Report a symptom' }).click();
  await page.getByLabel('0–10', { exact: true }).selectOption(strength);
  await page.getByLabel('Kind').selectOption(kind);
  await page.getByLabel('Place', { exact: true }).selectOption('elbow');
  await page.getByRole('button', { name: 'Record the symptom' }).click();
  await expect(page.getByRole('button', { name: 'Report a symptom' })).toBeVisible();
}

/** What is tried, on whom, and the line of the gate that holds. */
const ATTACKS: readonly (readonly [string, Start, (page: Page) => Promise<void>, RegExp])[] = [
  ['an ache outside any session', OPEN, (page) => report(page, '3', 'ache'), /ache 3\/10/],
  [
    'a sharp pain, weak, closed the same day',
    OPEN,
    async (page) => {
      await report(page, '1', 'sharp');
      await tab(page, 'Readiness');
      // Not the coach's to close within two days.
      await expect(page.getByText(/A coach closes it after 48 hours without pain there/)).toBeVisible();
      await expect(page.getByRole('button', { name: 'Close this stop sign…' })).toHaveCount(0);
      await page.getByRole('button', { name: 'A licensed professional was heard…' }).click();
      await page.getByLabel('Who, by role').selectOption('physiotherapist');
      await page.getByLabel('What was seen and said').fill('Nothing found, painless since.');
      await page.getByRole('button', { name: 'Close the stop sign', exact: true }).click();
      await expect(page.getByRole('region', { name: 'Open stop signs' })).toHaveCount(0);
    },
    /A stop sign was closed on/,
  ],
  [
    'a session of today, its morning still to come',
    OPEN,
    async (page) => {
      await logSession(page, { at: ago(0.05) });
      // An hour later there is no morning to answer for.
      await expect(page.getByRole('button', { name: /^Nothing felt/ })).toHaveCount(0);
    },
    /Today’s session counts once its next morning is recorded/,
  ],
  [
    'a morning that is worse at another place than before',
    OPEN,
    async (page) => {
      await typeSession(page, { at: ago(1.5) });
      await page.getByRole('button', { name: 'Add a symptom' }).click();
      await page.getByLabel('0–10', { exact: true }).selectOption('2');
      await page.getByLabel('When', { exact: true }).last().selectOption('before');
      await page.getByRole('button', { name: 'Save the session' }).click();
      await page.getByRole('button', { name: /^Something felt/ }).click();
      await page.getByLabel('0–10', { exact: true }).selectOption('2');
      await page.getByLabel('Place', { exact: true }).selectOption('wrist');
      await page.getByRole('button', { name: 'Record', exact: true }).click();
      await expect(page.getByText(/^Ache 2\/10.*next morning\.$/)).toBeVisible();
    },
    /above the 0\/10 there before the session/,
  ],
  [
    'a newest attempt skipped for pain',
    OPEN,
    async (page) => {
      await page.goto(`${page.url().split('?')[0]}/battery?scope=shoulder-flexion,wrist-extension`);
      await expect(page.getByRole('heading', { name: 'Shoulder flexion' })).toBeVisible();
      for (let i = 0; i < 6; i++) {
        await page.keyboard.type('175');
        await page.keyboard.press('Enter');
      }
      await expect(page.getByRole('heading', { name: 'Wrist extension' })).toBeVisible();
      await page.getByRole('button', { name: 'Skip', exact: true }).click();
      await page.getByRole('button', { name: 'pain', exact: true }).click();
      await page.getByRole('button', { name: 'Next check' }).click();
      await page.getByRole('button', { name: 'Save the battery' }).click();
      await expect(page.getByRole('heading', { name: /^Gate/ })).toBeVisible();
    },
    /was skipped at the newest try \(pain\)/,
  ],
  ['one side only', { ...OPEN, sides: ['left', 'whole'] }, () => Promise.resolve(), /Right .* has never been checked/],
  ['one repetition, planned and done', CHECKED, (page) => logTwo(page, { figures: '1' }), /^0 of 2 clean sessions/],
  ['sessions that have nothing to do with the rung', CHECKED, (page) => logTwo(page, { drill: 'Towel hold' }), /^0 of 2 clean sessions/],
  [
    'sessions from before the trainee was known',
    { ...CHECKED, known: 0 },
    async (page) => {
      for (const days of [9, 6]) await logSession(page, { at: ago(days) });
    },
    /^0 of 2 clean sessions/,
  ],
  [
    'a session in the future',
    CHECKED,
    async (page) => {
      await typeSession(page, { at: ago(-1) });
      await page.getByRole('button', { name: 'Save the session' }).click();
      await expect(page.getByRole('alert').first()).toContainText('future');
    },
    /^0 of 2 clean sessions/,
  ],
  [
    'the same session saved by a double tap',
    CHECKED,
    async (page) => {
      await typeSession(page, { at: ago(2) });
      const save = page.getByRole('button', { name: 'Save the session' });
      await save.dblclick();
      await expect(page.getByRole('heading', { name: 'Clearances' })).toBeVisible();
      await page.getByRole('button', { name: /^Nothing felt/ }).click();
    },
    /^1 of 2 clean sessions/,
  ],
];

const ids = new Map<string, string>();

test.beforeAll(async () => {
  const before = ATTACKS.filter(([, { known }]) => known !== 0);
  await server.start({ daysBack: 8 });
  for (const [name] of before) {
    const id = await addTrainee(name);
    ids.set(name, id);
    await screen(id, 8);
  }
  await server.kill();
  await server.start();
  for (const [name, start] of ATTACKS) {
    const id = ids.get(name) ?? (await addTrainee(name));
    if (start.known === 0) await screen(id, 0);
    ids.set(name, id);
    await prepare(id, start);
  }
});
test.afterAll(() => server.remove());

for (const [name, start, attack, line] of ATTACKS) {
  test(`${name}: the gate stays shut, and says why`, { tag: '@long' }, async ({ page }) => {
    const at = `${server.address}/trainees/${ids.get(name)}`;
    await page.goto(at);
    const opens = start === OPEN;
    await expect(page.getByRole('heading', { name: opens ? 'Gate open' : 'Gate closed' })).toBeVisible();
    await attack(page);
    await page.goto(at);
    await expect(page.getByRole('heading', { name: 'Gate closed' })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Unmet lines' }).getByText(line).first()).toBeVisible();
  });
}
