import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBrowser } from './browser.mjs';
import { build, PAGES, SEEDER, SERVER } from './build.mjs';
import { must, ROOT } from './run.mjs';
import { setup } from './setup.mjs';

const LAPTOP = { width: 1280, height: 800 };
const TALL = { width: 1280, height: 1130 };
const setUp = (asked) => encodeURIComponent(JSON.stringify(asked));

/** File name, trainee whose page it is (by first name), path behind the trainee's address, and what to do first. */
const SHOTS = [
  { file: 'today.png', path: '/' },
  { file: 'caseload.png', path: '/caseload' },
  { file: 'readiness.png', trainee: 'Noor' },
  { file: 'readiness-lamp.png', trainee: 'Linus', theme: 'lamp' },
  { file: 'checks.png', trainee: 'Tamsin', path: '/checks' },
  { file: 'run.png', trainee: 'Ines', path: '/run?scope=all', act: takeSomeTrials },
  { file: 'picture.png', trainee: 'Jory', path: '/run?scope=shoulder-flexion', act: (page) => readAPicture(page, 150) },
  { file: 'history.png', trainee: 'Ines', path: '/history' },
  { file: 'measuring.png', path: '/measuring', act: typeATest },
  {
    file: 'lab.png',
    trainee: 'Ines',
    path: `/lab?setUp=${setUp({ position: 'push-up', handHeightM: 0.3 })}`,
    size: TALL,
    act: askBackwards,
  },
  { file: 'ladder-loads.png', trainee: 'Petra', path: '/lab/ladder' },
  { file: 'plan.png', trainee: 'Petra', path: '/plan', size: { width: 1280, height: 1250 }, act: planTheWeeks },
  { file: 'plan-compare.png', trainee: 'Petra', path: '/plan/compare', size: TALL, act: compareRhythms },
  { file: 'plan-calendar.png', trainee: 'Petra', path: '/plan/calendar', act: showPlanned },
  { file: 'log-a-session.png', trainee: 'Maren', path: '/session?free=1', act: addADrill },
  { file: 'record.png', trainee: 'Petra', path: '/record' },
  { file: 'screen.png', trainee: 'Maren', path: '/screen' },
  { file: 'library.png', path: '/library?joint=shoulder&quality=stability' },
  { file: 'ladder-editor.png', path: '/library/ladders/hang-and-swing/edit', act: openARung },
];

await setup();
await ensureBrowser();
await build();
const { tsImport } = await import('tsx/esm/api');
const { drawFigure } = await tsImport('../e2e/drawnFigure.ts', import.meta.url);
const folder = mkdtempSync(join(tmpdir(), 'myokinet-shots-'));
const database = join(folder, 'shots.sqlite');
await must(process.execPath, [SEEDER, database]);
const server = spawn(process.execPath, [SERVER], {
  cwd: ROOT,
  env: { ...process.env, NODE_ENV: 'production', MYOKINET_DB: database, MYOKINET_PAGES: PAGES, MYOKINET_PORT: '0' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const address = await new Promise((resolve) => server.stdout.on('data', (text) => resolve(/http:\S+/.exec(String(text))?.[0])));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  const caseload = await (await fetch(`${address}/api/caseload`)).json();
  for (const { file, trainee, path = '', size = LAPTOP, theme = 'bench', act } of SHOTS) {
    const context = await browser.newContext({ viewport: size, locale: 'en-GB' });
    const page = await context.newPage();
    await page.addInitScript((value) => localStorage.setItem('myokinet.theme', value), theme);
    const id = caseload.find((row) => row.name.startsWith(trainee))?.id;
    await page.goto(address + (trainee ? `/trainees/${id}${path}` : path));
    await page.waitForLoadState('networkidle');
    await act?.(page);
    await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', file) });
    await context.close();
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await once(server, 'exit');
  rmSync(folder, { recursive: true, force: true });
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
  await page.waitForTimeout(300);
}

async function planTheWeeks(page) {
  await page.getByRole('button', { name: 'Plan the rest again' }).click();
  const says = page.getByRole('region', { name: 'What the planner says' });
  await says.waitFor();
  await says.getByText('What shaped it').click();
}

async function compareRhythms(page) {
  await page.getByRole('button', { name: 'Plan and compare' }).click();
  await page.getByRole('button', { name: 'Put it on the desk' }).nth(2).waitFor({ timeout: 60_000 });
}

async function showPlanned(page) {
  await page.getByRole('link', { name: 'Weeks', exact: true }).click();
  await planTheWeeks(page);
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await page.getByText('all saved').waitFor();
  await page.getByRole('link', { name: 'Calendar', exact: true }).click();
  await page
    .getByText(/^Re-check: /)
    .first()
    .waitFor();
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

async function openARung(page) {
  await page.getByRole('button', { name: /^\d+\. Straight swings/ }).click();
  await page.getByLabel('Free packed hang: figure asked').fill('45');
  await page.mouse.wheel(0, 230);
  await page.waitForTimeout(300);
}

async function addADrill(page) {
  for (const name of ['Plank', 'Blade sets']) {
    await page.getByRole('button', { name: 'Add a drill' }).click();
    await page.keyboard.type(name);
    await page
      .getByRole('option', { name: new RegExp(`^${name}`) })
      .first()
      .click();
  }
  await page.getByRole('button', { name: 'All done as planned' }).click();
  await page.getByLabel('Effort, 0–10').fill('6');
  await page.getByLabel('Minutes').fill('35');
  await page.getByRole('button', { name: 'Add a symptom' }).click();
  await page.getByLabel('Kind').selectOption('pinch');
  await page.getByLabel('Fault seen in Plank').selectOption('hips-sag');
}
