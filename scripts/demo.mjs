import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { build, PAGES, SEEDER, SERVER } from './build.mjs';
import { must, ROOT } from './run.mjs';
import { setup } from './setup.mjs';

const FOLDER = join(ROOT, '.data');
const A_DAY = 24 * 60 * 60 * 1000;
const DATABASE = process.env.MYOKINET_DB ?? join(FOLDER, 'demo.sqlite');

await setup();
await build();
if (process.argv.includes('--fresh')) for (const suffix of ['', '-wal', '-shm']) rmSync(DATABASE + suffix, { force: true });
if (!existsSync(DATABASE)) {
  process.stdout.write('Creating the demo crew’s half year…\n');
  mkdirSync(FOLDER, { recursive: true });
  // Under another name until it is whole, so that a start finds all of it or nothing.
  const unfinished = `${DATABASE}.unfinished`;
  for (const suffix of ['', '-wal', '-shm']) rmSync(unfinished + suffix, { force: true });
  await must(process.execPath, ['--enable-source-maps', SEEDER, unfinished]);
  renameSync(unfinished, DATABASE);
} else if (Date.now() - statSync(DATABASE).birthtimeMs > A_DAY) {
  const made = statSync(DATABASE).birthtime.toDateString();
  process.stdout.write(`The demo crew’s half year ends on ${made}. To move it to today (what you typed goes): npm run demo -- --fresh\n`);
}

const server = spawn(process.execPath, ['--enable-source-maps', SERVER], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, NODE_ENV: 'production', MYOKINET_DB: DATABASE, MYOKINET_PAGES: PAGES },
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill('SIGTERM'));
server.once('exit', (code) => process.exit(code ?? 1));
