import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import concurrently from 'concurrently';
import { binOf, must, ROOT } from './run.mjs';
import { setup } from './setup.mjs';

/** Server and pages for developers, reloading, on demo data of their own. Another database: MYOKINET_DB. */
await setup();
mkdirSync(join(ROOT, '.data'), { recursive: true });
const database = process.env.MYOKINET_DB ?? join(ROOT, '.data', 'dev.sqlite');
const tsx = binOf('tsx');
if (!existsSync(database)) {
  process.stdout.write('Creating the demo crew’s half year (some 20 seconds, once)…\n');
  await must(process.execPath, [tsx, '--tsconfig', 'tsconfig.base.json', 'server/src/demo/main.ts', database]);
}
const node = JSON.stringify(process.execPath);
const inspect = process.argv.includes('--inspect') ? '--inspect ' : '';
const { result } = concurrently(
  [
    {
      name: 'server',
      env: { MYOKINET_DB: database },
      command: `${node} ${JSON.stringify(tsx)} watch ${inspect}--tsconfig tsconfig.base.json server/src/main.ts`,
    },
    { name: 'web', command: `${node} ${JSON.stringify(binOf('vite'))} web` },
  ],
  { cwd: ROOT, killOthersOn: ['failure', 'success'] },
);
await result.catch(() => process.exit(1));
