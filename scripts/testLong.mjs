import { ensureBrowser } from './browser.mjs';
import { build } from './build.mjs';
import { binOf, run } from './run.mjs';
import { setup } from './setup.mjs';

/** Moments at which calendars, clocks and weeks are awkward, in local time: the browser tests are repeated on each. */
const AWKWARD = [
  ['a Friday', '2026-11-27T09:30:00'],
  ['a Sunday, late', '2026-11-29T21:50:00'],
  ['a Monday, just begun', '2026-11-30T00:20:00'],
  ['the end of a year', '2026-12-31T22:30:00'],
  ['the day clocks go forward', '2026-03-29T03:30:00'],
  ['the day clocks go back', '2026-10-25T03:30:00'],
  ['the end of February', '2027-02-28T12:00:00'],
  ['a leap day', '2028-02-29T12:00:00'],
];

await setup();
await ensureBrowser();
await build();
const failed = [];
const part = async (name, packageName, command, args, env) => {
  process.stdout.write(`\n— ${name}\n`);
  if ((await run(process.execPath, [binOf(packageName, command), ...args], { env })) !== 0) failed.push(name);
};
await part('unit tests over many more of what is made up', 'vitest', 'vitest', ['run'], { MYOKINET_LONG: '1' });
const wanted = process.argv.slice(2);
for (const [name, at] of AWKWARD.filter(([, at]) => wanted.length === 0 || wanted.some((w) => at.startsWith(w))))
  await part(`browser tests on ${name}, ${at}`, '@playwright/test', 'playwright', ['test'], { MYOKINET_E2E_AT: at, MYOKINET_LONG: '1' });
process.stdout.write(failed.length === 0 ? '\nAll parts passed.\n' : `\nFailed: ${failed.join('; ')}\n`);
process.exit(failed.length === 0 ? 0 : 1);
