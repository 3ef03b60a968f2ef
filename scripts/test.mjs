import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBrowser } from './browser.mjs';
import { build, SEEDER } from './build.mjs';
import { binOf, must, run } from './run.mjs';
import { setup } from './setup.mjs';

/** The moment in which the browser tests and the demo data of all tests live. */
const AT = process.env.MYOKINET_E2E_AT ?? '2026-11-24T09:30:00';
const TZ = 'Europe/Amsterdam';

await setup();

const folder = mkdtempSync(join(tmpdir(), 'myokinet-test-'));
const unitReport = join(folder, 'unit.json');
const browserReport = join(folder, 'browser.json');
const demoData = join(folder, 'demo.sqlite');
const node = (packageName, command, ...args) => [process.execPath, [binOf(packageName, command), ...args]];

/** Checks without a count of their own count as one each. */
const CHECKS = [
  ['type check', ...node('typescript', 'tsc', '-b')],
  ['lint', ...node('eslint', 'eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', 'node_modules/.cache/eslint')],
  ['layers', ...node('dependency-cruiser', 'depcruise', '--config', '.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src')],
  ['unused code', ...node('knip', 'knip')],
  ['format', ...node('prettier', 'prettier', '--check', '--log-level', 'warn', '--cache', '.')],
];

const tally = { passed: 0, failed: 0 };
const count = (passed, failed) => {
  tally.passed += passed;
  tally.failed += failed;
};
const times = [];
/** Runs one part and keeps how long it took. */
async function timed(name, part) {
  const began = performance.now();
  const result = await part();
  times.push([name, (performance.now() - began) / 1000]);
  return result;
}

// The browser comes over the network while the checks keep the processors busy.
const browser = ensureBrowser();
browser.catch(() => undefined);
// Its day is that of the tests, seen from the clock of this machine.
const shift = clockShift();

// Each of them keeps one core busy: two at a time. The build and the demo data, which later parts wait for, are among them.
const waiting = [['build and demo data'], ...CHECKS];
async function lane() {
  for (let check = waiting.shift(); check; check = waiting.shift()) {
    const [name, file, args] = check;
    const ok = await timed(name, async () => (file ? (await run(file, args)) === 0 : await buildAndSeed()));
    process.stdout.write(`${ok ? 'passed' : 'FAILED'}: ${name}\n`);
    if (file) count(ok ? 1 : 0, ok ? 0 : 1);
  }
}
await Promise.all([lane(), lane()]);

process.stdout.write('\n— unit and API tests\n');
const [vitest, vitestArgs] = node('vitest', 'vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitReport}`);
const shared = { MYOKINET_DEMO_DATA: demoData, MYOKINET_CLOCK_SHIFT: shift, MYOKINET_E2E_AT: AT };
countUnit(await timed('unit and API tests', () => run(vitest, vitestArgs, { env: shared })));

process.stdout.write('\n— browser tests\n');
await browser;
const [playwright, playwrightArgs] = node('@playwright/test', 'playwright', 'test');
const env = { ...shared, PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport };
countBrowser(await timed('browser tests', () => run(playwright, playwrightArgs, { env })));

rmSync(folder, { recursive: true, force: true });
process.stdout.write('\nWhat took how long:\n');
for (const [name, seconds] of times) process.stdout.write(`  ${name.padEnd(22)}${seconds.toFixed(0).padStart(5)} s\n`);
process.stdout.write(`\n${tally.passed} passed, ${tally.failed} failed\n`);
process.exit(tally.failed === 0 ? 0 : 1);

async function buildAndSeed() {
  await build();
  await must(process.execPath, ['--enable-source-maps', SEEDER, demoData], { env: { TZ, MYOKINET_CLOCK_SHIFT: shift } });
  return true;
}

/** How far the day of the tests is from now, in milliseconds; local time is that of the tests. */
function clockShift() {
  process.env.TZ = TZ;
  return String(new Date(AT).getTime() - Date.now());
}

function countUnit(code) {
  const report = read(unitReport);
  const failed = report?.numFailedTests ?? 0;
  // A file that does not even load has no failed test of its own.
  count(report?.numPassedTests ?? 0, code !== 0 && failed === 0 ? 1 : failed);
}

function countBrowser(code) {
  const { expected = 0, unexpected = 0, flaky = 0 } = read(browserReport)?.stats ?? {};
  count(expected + flaky, code !== 0 && unexpected === 0 ? 1 : unexpected);
}

function read(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}
