import { existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { build, SEEDER } from './build.mjs';
import { must, ROOT } from './run.mjs';
import { serve } from './serve.mjs';
import { setup } from './setup.mjs';

const FOLDER = join(ROOT, '.data');
const A_DAY = 24 * 60 * 60 * 1000;
const DATABASE = process.env.MYOKINET_DB ?? join(FOLDER, 'demo.sqlite');
const PORT = Number(process.env.MYOKINET_PORT ?? 4170);

await setup();
await build();
// Before anything is moved: a demo that is running goes on with its file.
await mustBeFree(PORT);
if (process.argv.includes('--fresh') && existsSync(DATABASE)) {
  const aside = `${DATABASE}.before`;
  for (const suffix of ['', '-wal', '-shm']) {
    rmSync(aside + suffix, { force: true });
    if (existsSync(DATABASE + suffix)) renameSync(DATABASE + suffix, aside + suffix);
  }
  process.stdout.write(`The demo so far lies in ${aside}.\n`);
}
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
  process.stdout.write(
    `The demo crew’s half year ends on ${made}. To move it to today (what you typed is set aside): npm run demo -- --fresh\n`,
  );
}
serve({ MYOKINET_DB: DATABASE });

function mustBeFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => {
      process.stderr.write(
        `Port ${port} is taken, perhaps by a demo that is running. Choose another: MYOKINET_PORT=${port + 1} npm run demo\n`,
      );
      process.exit(1);
    });
    probe.listen(port, '127.0.0.1', () => probe.close(resolve));
  });
}
