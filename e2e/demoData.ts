import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { AT } from './clock.ts';

/**
 * Sets the clock of all that take part, and makes the demo data once for all workers; each works on a copy of its own. Returns
 * the tidying up.
 */
export default function makeDemoData(): () => void {
  // Local time is the zone in which the browser lives.
  process.env.TZ = 'Europe/Amsterdam';
  process.env.MYOKINET_CLOCK_SHIFT = String(new Date(AT).getTime() - Date.now());
  if (process.env.MYOKINET_DEMO_DATA) return () => undefined;
  const folder = mkdtempSync(join(tmpdir(), 'myokinet-demo-'));
  const file = join(folder, 'demo.sqlite');
  const { status, signal } = spawnSync(process.execPath, ['server/dist/demo.js', file], {
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    stdio: 'inherit',
  });
  if (status !== 0) throw new Error(`The demo data could not be made: the seeder ended with ${status ?? signal}.`);
  process.env.MYOKINET_DEMO_DATA = file;
  return () => rmSync(folder, { recursive: true, force: true });
}
