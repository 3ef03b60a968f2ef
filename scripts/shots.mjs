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
const PHONE = { width: 390, height: 844 };

/** File name, trainee whose page it is (by first name), path behind the trainee's address, and what to do first. */
const SHOTS = [
  { file: 'today.png', path: '/' },
  { file: 'caseload.png', path: '/caseload' },
  { file: 'readiness.png', trainee: 'Noor' },
  { file: 'readiness-gate-open.png', trainee: 'Jory' },
  { file: 'readiness-lamp.png', trainee: 'Linus', theme: 'lamp' },
  {
    file: 'readiness-phone.png',
    trainee: 'Tamsin',
    size: PHONE,
    act: (page) => page.getByRole('heading', { name: /^Headroom/ }).evaluate((e) => e.scrollIntoView()),
  },
  { file: 'checks.png', trainee: 'Tamsin', path: '/checks' },
  { file: 'take-a-check.png', trainee: 'Ines', path: '/checks/new', act: typeSomeTrials },
  { file: 'take-a-check-phone.png', trainee: 'Ines', path: '/checks/new', size: PHONE, act: typeSomeTrials },
  { file: 'plan.png', trainee: 'Tamsin', path: '/plan' },
  { file: 'log-a-session.png', trainee: 'Maren', path: '/session?free=1', act: addADrill },
  { file: 'record.png', trainee: 'Petra', path: '/record' },
  { file: 'profile.png', trainee: 'Maren', path: '/profile' },
  { file: 'screen.png', trainee: 'Maren', path: '/screen' },
  { file: 'readiness-closed-rungs.png', trainee: 'Maren', act: (page) => page.getByText('closed by the screen').last().click() },
  {
    file: 'plan-worked-around.png',
    trainee: 'Maren',
    path: '/plan',
    act: (page) => page.getByRole('button', { name: /left out$/ }).click(),
  },
  { file: 'library.png', path: '/library?joint=shoulder&quality=stability' },
  { file: 'library-drill.png', path: '/library/drills/wall-slides' },
  { file: 'ladder-editor.png', path: '/library/ladders/hang-and-swing/edit', act: openARung },
];

await setup();
await ensureBrowser();
await build();
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

async function typeSomeTrials(page) {
  await page.locator('input[data-figure]').first().focus();
  for (const figure of ['58', '56', '57', '61', '62']) {
    await page.keyboard.type(figure);
    await page.keyboard.press('Enter');
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
