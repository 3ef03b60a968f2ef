import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBrowser } from './browser.mjs';
import { build } from './build.mjs';
import { binOf, run } from './run.mjs';
import { setup } from './setup.mjs';

await setup();

const folder = mkdtempSync(join(tmpdir(), 'myokinet-test-'));
const unitReport = join(folder, 'unit.json');
const browserReport = join(folder, 'browser.json');
const node = (packageName, command, ...args) => [process.execPath, [binOf(packageName, command), ...args]];

/** Checks without a count of their own count as one each. */
const CHECKS = [
  ['type check, core', ...node('typescript', 'tsc', '-p', 'core')],
  ['type check, server', ...node('typescript', 'tsc', '-p', 'server')],
  ['type check, web', ...node('typescript', 'tsc', '-p', 'web')],
  ['type check, browser tests', ...node('typescript', 'tsc', '-p', 'e2e')],
  ['lint', ...node('eslint', 'eslint', '.', '--max-warnings', '0')],
  ['layers', ...node('dependency-cruiser', 'depcruise', '--config', '.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src')],
  ['unused code', ...node('knip', 'knip')],
  ['format', ...node('prettier', 'prettier', '--check', '--log-level', 'warn', '.')],
];

// The browser comes over the network while the checks keep the processors busy.
const browser = ensureBrowser();
browser.catch(() => undefined);

const tally = { passed: 0, failed: 0 };
const count = (passed, failed) => {
  tally.passed += passed;
  tally.failed += failed;
};

// Each of them keeps one core busy: two at a time.
const waiting = [...CHECKS];
async function lane() {
  for (let check = waiting.shift(); check; check = waiting.shift()) {
    const [name, file, args] = check;
    process.stdout.write(`\n— ${name}\n`);
    const ok = (await run(file, args)) === 0;
    process.stdout.write(`${ok ? 'passed' : 'FAILED'}: ${name}\n`);
    count(ok ? 1 : 0, ok ? 0 : 1);
  }
}
await Promise.all([lane(), lane()]);

process.stdout.write('\n— unit and API tests\n');
const [vitest, vitestArgs] = node('vitest', 'vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitReport}`);
const unitCode = await run(vitest, vitestArgs);
countUnit(unitCode);

process.stdout.write('\n— browser tests\n');
await browser;
await build();
const [playwright, playwrightArgs] = node('@playwright/test', 'playwright', 'test');
countBrowser(await run(playwright, playwrightArgs, { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport } }));

process.stdout.write(`\n${tally.passed} passed, ${tally.failed} failed\n`);
process.exit(tally.failed === 0 ? 0 : 1);

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
