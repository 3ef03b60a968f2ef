import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { ensureBrowser } from './browser.mjs';
import { build, PAGES, SEEDER, SERVER } from './build.mjs';
import { must, ROOT } from './run.mjs';
import { setup } from './setup.mjs';

const LAPTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const TALL = { width: 1280, height: 1130 };
const setUp = (asked) => encodeURIComponent(JSON.stringify(asked));

/** File name, trainee whose page it is (by first name), path behind the trainee's address, and what to do first. */
const SHOTS = [
  { file: 'today.png', path: '/' },
  { file: 'caseload.png', path: '/caseload', act: caseloadAndLookingBack },
  { file: 'readiness.png', trainee: 'Freya', size: { width: 1280, height: 1530 }, act: otherWeeks },
  { file: 'battery.png', trainee: 'Ines', path: '/battery?scope=all', act: takeSomeTrials },
  { file: 'picture.png', trainee: 'Jory', path: '/battery?scope=shoulder-flexion', act: (page) => readAPicture(page, 150) },
  { file: 'history.png', trainee: 'Ines', path: '/history' },
  { file: 'measuring.png', path: '/measuring', act: typeATest },
  {
    file: 'lab.png',
    trainee: 'Ines',
    path: `/lab?setUp=${setUp({ position: 'push-up', handHeightM: 0.3 })}`,
    size: TALL,
    act: askBackwards,
  },
  { file: 'plan.png', trainee: 'Petra', path: '/plan', size: { width: 1280, height: 1250 }, act: planTheWeeks },
  { file: 'ladder.png', path: '/library/ladders/hand-support' },
  { file: 'floor.png', runs: ['Noor'], act: (page) => seeFaults(page) },
  { file: 'phones.png', runs: ['Noor'], size: PHONE, act: onThePhone },
  { file: 'floor-after.png', runs: ['Tobias'], act: toTheEnd },
  { file: 'record.png', trainee: 'Petra', path: '/record', act: recordAndWorkload },
  { file: 'studio.png', studio: true, act: settingsAndPeople },
  { file: 'screening.png', trainee: 'Maren', path: '/screening' },
  { file: 'classes.png', path: '/groups', act: classOfEight },
  { file: 'routines.png', path: '/library/routines', act: taughtAndTakenHome },
  {
    file: 'library.png',
    path: (idOf) => `/library/drills/plank-scapular-push-up?for=${idOf('Ines')}`,
    size: { width: 1280, height: 1300 },
    act: fromEverySide,
  },
];

/** What each trainee of the floor pictures does. */
const DRILLS = {
  Noor: [
    ['tabletop-scapular-push-up', 2, 12],
    ['supported-packed-hang', 3, 20],
    ['shake-out', 1, 8],
  ],
  Jory: [
    ['plank', 3, 40],
    ['kneeling-push-up', 2, 10],
  ],
  Tobias: [
    ['supported-one-shoulder-pack', 2, 6],
    ['plank', 2, 45],
  ],
};

/** Only pictures whose names begin so; all of them by default. */
const WANTED = process.argv[2] ?? '';

await setup();
await ensureBrowser();
await build();
const { tsImport } = await import('tsx/esm/api');
const { drawFigure } = await tsImport('../e2e/drawnFigure.ts', import.meta.url);
const folder = mkdtempSync(join(tmpdir(), 'myokinet-shots-'));
const database = join(folder, 'shots.sqlite');
await must(process.execPath, [SEEDER, database]);
const demo = await serverOn({ MYOKINET_DB: database });
// A real studio with the same crew in it.
const studio = await serverOn({ MYOKINET_DB: undefined, MYOKINET_DATA: join(folder, 'data'), MYOKINET_ADOPT: database });
const { address } = demo;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  const caseload = await (await fetch(`${address}/api/caseload`)).json();
  for (const { file, trainee, runs, studio: real, path = '', size = LAPTOP, act } of SHOTS.filter((s) => s.file.startsWith(WANTED))) {
    const context = await browser.newContext({ viewport: size, locale: 'en-GB', serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.addInitScript(() => {
      localStorage.setItem('myokinet.theme', 'bench');
      // Sets are timed by the page's clock, which a picture can hold.
      localStorage.setItem('myokinet.floor.muted', 'yes');
    });
    const idOf = (name) => caseload.find((row) => row.name.startsWith(name))?.id;
    const id = idOf(trainee);
    const opened = runs && (await Promise.all(runs.map((name) => openRun(name, caseload))));
    await page.goto(
      (real ? studio.address : address) +
        (opened ? `/floor/${opened.join('+')}` : trainee ? `/trainees/${id}${path}` : typeof path === 'string' ? path : path(idOf)),
    );
    await page.waitForLoadState('networkidle');
    await act?.(page);
    await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', file) });
    await context.close();
  }
} finally {
  await browser.close();
  for (const { server } of [demo, studio]) {
    server.kill('SIGTERM');
    await once(server, 'exit');
  }
  rmSync(folder, { recursive: true, force: true });
}

/** Starts the built program, and reads its address and its first code off what it says. */
async function serverOn(env) {
  const server = spawn(process.execPath, [SERVER], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'production', MYOKINET_PAGES: PAGES, MYOKINET_PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  await new Promise((resolve) =>
    server.stdout.on('data', (text) => {
      said += String(text);
      if (said.includes('ready: ') && (env.MYOKINET_DB || said.includes('Data: '))) resolve();
    }),
  );
  return { server, address: /ready: (http:\S+)/.exec(said)?.[1], code: /type this code there: (\S+)/.exec(said)?.[1] };
}

/** Pictures one below the other, as one page. */
async function stacked(page, pictures, heights = pictures.map(() => LAPTOP.height)) {
  await page.setViewportSize({ width: LAPTOP.width, height: heights.reduce((sum, h) => sum + h, 0) + (pictures.length - 1) * 20 });
  const images = pictures.map((image) => `<img src="data:image/png;base64,${image}" width="${LAPTOP.width}">`).join('');
  await page.goto('about:blank');
  await page.setContent(`<body style="margin:0;display:grid;gap:20px;background:#d9cfb9">${images}</body>`);
}

/** A routine on the desk, for one trainee; below it as it runs on a phone, and a session and a report to take home. */
async function taughtAndTakenHome(page) {
  const { origin } = new URL(page.url());
  const caseload = await page.evaluate(async () => (await fetch('/api/caseload')).json());
  const { id } = caseload.find((row) => row.name.startsWith('Petra'));
  await page.getByRole('link', { name: 'Before a climb' }).click();
  await page.getByLabel('Look at it for').selectOption(id);
  await page.waitForTimeout(1500);
  const desk = await pictureOf(page);
  await page.setViewportSize(PHONE);
  await page.goto(page.url().replace('/library/routines/', '/routine/') + `?for=${id}`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(2500);
  const phone = await pictureOf(page);
  const sheets = [];
  await page.setViewportSize({ width: 860, height: 1200 });
  for (const query of ['', '?what=report&reader=clinician']) {
    await page.goto(`${origin}/trainees/${id}/paper${query}`);
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(1500);
    sheets.push((await page.getByRole('article').first().screenshot()).toString('base64'));
  }
  const panels = sheets.map(
    (image) => `<div style="height:844px;width:415px;overflow:hidden"><img src="data:image/png;base64,${image}" width="415"></div>`,
  );
  await page.setViewportSize({ width: LAPTOP.width, height: LAPTOP.height + PHONE.height + 20 });
  await page.goto('about:blank');
  await page.setContent(
    `<body style="margin:0;background:#d9cfb9"><img src="data:image/png;base64,${desk}" width="1280">
     <div style="display:flex;gap:20px;padding-top:16px"><img src="data:image/png;base64,${phone}" height="844">${panels.join('')}</div></body>`,
  );
}

/** A class as its coach sees it; below it the wall, and the page of its group. */
async function classOfEight(page) {
  const { origin } = new URL(page.url());
  await page.getByRole('link', { name: /^Begin a class: Foredeck/ }).click();
  await page.getByRole('button', { name: 'Lay out what each does' }).click();
  await page.getByRole('button', { name: 'Begin the class' }).click();
  const tile = (name) => page.getByRole('listitem', { name });
  await page.getByRole('button', { name: 'Begin' }).click();
  // On to the rounds, where they differ.
  for (let i = 0; i < 4; i++) {
    await page.waitForTimeout(600);
    await page.getByRole('button', { name: 'On to the next' }).click();
  }
  await page.waitForTimeout(600);
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'On to the next' }).click();
    await page.waitForTimeout(900);
  }
  await tile('Jory Capstan').getByRole('button', { name: 'Fault' }).click();
  await tile('Wilma Cleat').getByRole('button', { name: 'Sits out' }).click();
  await tile('Ines Shroud').getByRole('button', { name: 'Easier' }).click();
  await tile('Tamsin Halyard').getByRole('button', { name: 'Count' }).click();
  await page.waitForTimeout(700);
  const coach = await pictureOf(page);
  const url = page.url();
  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.goto(`${url}/wall`);
  await page.waitForTimeout(2500);
  const wall = await pictureOf(page);
  await page.setViewportSize({ width: LAPTOP.width, height: 1120 });
  await page.goto(`${origin}/groups`);
  await page.getByRole('link', { name: 'Foredeck, Tuesday and Friday', exact: true }).click();
  await page.getByText('Who came').waitFor();
  await page.waitForTimeout(800);
  await stacked(page, [coach, wall, await pictureOf(page)], [800, 720, 1120]);
}

/** A drill's page; below it the same drill from three sides, and a wrist from near. */
async function fromEverySide(page) {
  const whole = await pictureOf(page);
  const seen = [];
  const look = async (...sides) => {
    for (const side of sides) {
      await page.getByRole('group', { name: 'Seen from' }).getByRole('button', { name: side, exact: true }).click();
      await page.getByLabel('Point of the movement').fill('1');
      await page.waitForTimeout(300);
      seen.push((await page.locator('figure').first().screenshot()).toString('base64'));
    }
  };
  await look('Blades', 'Back', 'Angle');
  await page.goto(new URL('/library/drills/palm-lifts-out', page.url()).href);
  await page.waitForLoadState('networkidle');
  await look('Hand');
  await page.setViewportSize({ width: 1280, height: 1640 });
  const panels = seen.map((image) => `<img src="data:image/png;base64,${image}" width="300">`).join('');
  await page.goto('about:blank');
  await page.setContent(
    `<body style="margin:0;background:#d9cfb9"><img src="data:image/png;base64,${whole}" width="1280">
     <div style="display:flex;gap:20px;padding:10px">${panels}</div></body>`,
  );
}

/** Everybody with their ranges, once they are drawn; below it what became of clearances and how good such ranges were. */
async function caseloadAndLookingBack(page) {
  for (;;) {
    const { pending } = await page.evaluate(async () => (await fetch('/api/forecasts')).json());
    if (pending === 0) break;
    await page.waitForTimeout(500);
  }
  await page.reload();
  await page
    .getByText(/ to \d+ [A-Z]/)
    .first()
    .waitFor();
  const caseload = await pictureOf(page);
  await page.setViewportSize({ width: LAPTOP.width, height: 1560 });
  await page.goto(new URL('/looking-back', page.url()).href);
  await page.getByText('Forecasts of the past, newest first').waitFor({ timeout: 60_000 });
  await page.waitForTimeout(300);
  await stacked(page, [caseload, await pictureOf(page)], [LAPTOP.height, 1560]);
}

/** What three sessions a week would change. */
async function otherWeeks(page) {
  await page.getByRole('slider', { name: /^Sessions a week/ }).fill('3.5');
  await page.getByText(/Compared: /).waitFor();
  await page.waitForTimeout(600);
}

async function pictureOf(page) {
  return (await page.screenshot()).toString('base64');
}

async function recordAndWorkload(page) {
  await correctASession(page);
  const record = await pictureOf(page);
  const caseload = await page.evaluate(async () => (await fetch('/api/caseload')).json());
  await page.goto(new URL(`/trainees/${caseload.find((row) => row.name.startsWith('Jory')).id}/workload`, page.url()).href);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(400);
  await stacked(page, [record, await pictureOf(page)]);
}

/** Sets a studio up, lets two people in, and looks at settings and people. */
async function settingsAndPeople(page) {
  const fill = async (values) => {
    for (const [label, value] of Object.entries(values)) await page.getByLabel(label, { exact: true }).fill(value);
  };
  const password = 'four plain words in line';
  const own = { 'Your name': 'Ada Finch', 'Your initials': 'AF', 'Sign-in name': 'ada.finch', Password: password };
  await fill({ 'Code on the console': studio.code, 'Name of the studio': 'North hall', ...own });
  await page.getByRole('button', { name: 'Make the studio' }).click();
  await page.getByRole('button', { name: /settings and sign out$/ }).waitFor();
  const people = new URL('/people', page.url()).href;
  for (const [role, name, initials, signInName] of [
    ['coach', 'Bo Wren', 'BW', 'bo.wren'],
    ['assistant', 'Cy Lark', 'CL', 'cy.lark'],
  ]) {
    await page.goto(people);
    await page.getByLabel('Invite somebody as').selectOption(role);
    await page.getByRole('button', { name: 'Make an invitation' }).click();
    const code = await page.getByText(/^[A-Z0-9]{4}(-[A-Z0-9]{4}){3}$/).textContent();
    await fetch(`${studio.address}/api/join`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ code, name, initials, signInName, password }),
    });
  }
  await page.goto(people);
  await page.getByText('cy.lark').waitFor();
  const first = await pictureOf(page);
  await page.goto(new URL('/settings', people).href);
  await page.getByText('Last good copy').waitFor();
  // The folder of this run says nothing to anybody.
  await page.locator('code').evaluate((element) => (element.textContent = '/mnt/copies/myokinet'));
  await page.waitForTimeout(400);
  await stacked(page, [first, await pictureOf(page)]);
}

async function takeSomeTrials(page) {
  for (const figure of ['158', '160', '171', '162']) {
    await page.keyboard.type(figure);
    await page.keyboard.press('Enter');
  }
  await page.getByText('kept on the server').waitFor();
  await page.waitForTimeout(300);
}

/** Reads a drawn figure: no real person, and its angle is known. */
async function readAPicture(page, flexion) {
  const { png, landmarks } = await drawFigure(browser, flexion);
  await page.getByRole('button', { name: 'Picture' }).click();
  await page.getByLabel(/A photo or video/).setInputFiles({ name: 'figure.png', mimeType: 'image/png', buffer: png });
  const canvas = page.getByRole('group', { name: 'Picture with landmarks' });
  await canvas.waitFor();
  for (const [name, point] of [
    ['Hip', landmarks.hip],
    ['Shoulder', landmarks.shoulder],
    ['Elbow', landmarks.elbow],
  ]) {
    const box = await page.getByRole('slider', { name: new RegExp(`^${name}`) }).boundingBox();
    const to = await canvas.evaluate((svg, p) => {
      const at = new DOMPoint(p.x, p.y).matrixTransform(svg.getScreenCTM());
      return { x: at.x, y: at.y };
    }, point);
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 5 });
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'right', exact: true }).click();
  await page.waitForTimeout(300);
}

/** A session that was put right, and the lines that a clearance was signed on. */
async function correctASession(page) {
  await page.getByRole('region', { name: 'Sessions' }).getByRole('listitem').first().getByRole('button').first().click();
  await page.getByRole('button', { name: 'Correct this session…' }).click();
  const form = page.getByRole('dialog', { name: /^Correct: session of/ });
  await form.getByLabel(/^Effort/).fill('7');
  await form.getByLabel('Why').fill('Typed one too low');
  await form.getByRole('button', { name: 'Put it right' }).click();
  await page.getByText(/^Corrected: Typed one too low/).waitFor();
  await page
    .getByRole('button', { name: /figures it rested on$/ })
    .first()
    .click();
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(400);
}

async function planTheWeeks(page) {
  await page.getByRole('button', { name: 'Plan the rest again' }).click();
  const says = page.getByRole('region', { name: 'What the planner says' });
  await says.waitFor();
  await says.getByText('What shaped it').click();
}

async function askBackwards(page) {
  const panel = page.getByRole('region', { name: 'From a load to its set-up' });
  await panel.getByLabel('Wanted').fill('45');
  await panel.getByRole('status').waitFor();
}

async function typeATest(page) {
  const form = page.getByRole('form', { name: 'Repeatability test' });
  for (const [i, [first, second]] of [
    ['158 160 159', '161 160 162'],
    ['170 171 169', '168 169 170'],
    ['145 147 146', '149 148 148'],
  ].entries()) {
    const line = form.getByRole('group', { name: `Line ${i + 1}` });
    await line.getByLabel('Trainee').selectOption({ index: i + 1 });
    await line.getByLabel(/^First time/).fill(first);
    await line.getByLabel(/^Second time/).fill(second);
  }
}

/** Opens a run on the server, as a planned session would start it. */
async function openRun(name, caseload) {
  const traineeId = caseload.find((row) => row.name.startsWith(name)).id;
  const items = DRILLS[name].map(([drillId, sets, max]) => ({ id: v7(), drillId, sets, min: Math.ceil(max / 2), max, restSeconds: 45 }));
  const head = { id: v7(), plannedSessionId: null, startedAt: new Date().toISOString(), form: 'sets', progress: 'count', items };
  await fetch(`${address}/api/floor/${head.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ traineeId, head, events: [] }),
  });
  return head.id;
}

/** Longer than a double tap. */
function beat(page, held) {
  return held ? page.clock.runFor(1100) : page.waitForTimeout(1100);
}

async function startSet(page, held = false) {
  await page.getByRole('button', { name: /^(Start the set|Go now)$/ }).waitFor();
  await beat(page, held);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Now', exact: true }).waitFor();
  await beat(page, held);
  await page.keyboard.press('Space');
}

/** The second time that one fault shows in a drill. */
async function seeFaults(page, fault = /hips drift/) {
  await startSet(page);
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: fault }).click();
  await beat(page);
  await page.keyboard.press('Space');
  await beat(page);
  await page.getByRole('button', { name: fault }).click();
  await page.waitForTimeout(900);
}

/** Four moments on a phone side by side: ready, at work, something felt, and an emergency. */
async function onThePhone(page) {
  const moments = [];
  const keep = async () => moments.push((await page.screenshot()).toString('base64'));
  await page.keyboard.press('Shift+L');
  await page.getByRole('button', { name: /^Packed hang/ }).click();
  await page.waitForTimeout(300);
  await keep();
  await startSet(page);
  await page.waitForTimeout(10_800);
  await keep();
  await page.getByRole('button', { name: 'It hurts' }).click();
  await page.getByRole('button', { name: '4', exact: true }).click();
  await page.getByRole('button', { name: 'left wrist' }).click();
  await page.getByRole('button', { name: 'pinch', exact: true }).click();
  await page.waitForTimeout(400);
  await keep();
  const caseload = await page.evaluate(async () => (await fetch('/api/caseload')).json());
  await page.goto(new URL(`/trainees/${caseload.find((row) => row.name.startsWith('Bram')).id}`, page.url()).href);
  await page.getByRole('button', { name: /^Emergency/ }).click();
  await page.getByText(/^On record/).waitFor();
  await keep();
  await ownPage(page, caseload.find((row) => row.name.startsWith('Elke')).id, keep);
  await page.setViewportSize({ width: 4 * PHONE.width + 60, height: 2 * PHONE.height + 20 });
  const images = moments.map((image) => `<img src="data:image/png;base64,${image}" height="${PHONE.height}">`).join('');
  await page.goto('about:blank');
  await page.setContent(`<body style="margin:0;display:flex;flex-wrap:wrap;gap:20px;background:#d9cfb9">${images}</body>`);
}

/** A trainee's own page: today, a set by the clock, how far they have come, something that hurts. */
async function ownPage(page, traineeId, keep) {
  const secret = await page.evaluate(
    async ([trainee, id]) => {
      const made = await fetch(`/api/trainees/${trainee}/link`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, progress: true }),
      });
      return (await made.json()).secret;
    },
    [traineeId, v7()],
  );
  await page.goto(new URL(`/own#${secret}`, page.url()).href);
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  await page.waitForTimeout(1500);
  await keep();
  await page.goto(new URL('/own#/progress', page.url()).href);
  await page.waitForTimeout(400);
  await keep();
  await page.getByRole('link', { name: 'Back to today' }).click();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: 'Next drill' }).click();
  await page.waitForTimeout(1200);
  await page.getByRole('button', { name: 'Run a set by the clock' }).click();
  await page.waitForTimeout(8200);
  await keep();
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await page.getByRole('button', { name: 'left wrist' }).click();
  await page.getByRole('button', { name: 'sharp', exact: true }).click();
  await page.getByRole('button', { name: '7', exact: true }).click();
  await page.getByRole('button', { name: 'Tell my coach' }).click();
  await page.waitForTimeout(500);
  await keep();
}

async function toTheEnd(page) {
  await page.clock.install();
  await page.reload();
  for (let sets = 0; sets < 6; sets++) {
    await startSet(page, true);
    await page.clock.runFor(46_000);
    await page.waitForTimeout(200);
    // What ran out is confirmed; at the end by its own button.
    await page
      .getByRole('button', { name: /^Yes, done/ })
      .or(page.getByRole('button', { name: 'Done', exact: true }))
      .first()
      .click();
  }
  await page.getByRole('button', { name: '5', exact: true }).click();
  await page.getByLabel('Minutes').fill('20');
  await page.getByLabel('Notes').fill('Calm, both sides alike.');
  await page.getByRole('button', { name: 'Log the session' }).click();
  await page.getByText('all sent').waitFor();
  await page.waitForTimeout(400);
}
