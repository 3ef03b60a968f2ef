import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import concurrently from 'concurrently';
import { binOf, ROOT } from './run.mjs';
import { setup } from './setup.mjs';

await setup();
mkdirSync(join(ROOT, '.data'), { recursive: true });
const env = { MYOKINET_DB: join(ROOT, '.data', 'dev.sqlite') };
const node = JSON.stringify(process.execPath);
const { result } = concurrently(
  [
    { name: 'server', env, command: `${node} ${JSON.stringify(binOf('tsx'))} watch --tsconfig tsconfig.base.json server/src/main.ts` },
    { name: 'web', command: `${node} ${JSON.stringify(binOf('vite'))} web` },
  ],
  { cwd: ROOT, killOthersOn: ['failure', 'success'] },
);
await result.catch(() => process.exit(1));
