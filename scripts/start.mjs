import { resolve } from 'node:path';
import { build } from './build.mjs';
import { serve } from './serve.mjs';
import { setup } from './setup.mjs';

/** A real studio, in a data folder of its own; an older database becomes it once: `npm start -- --adopt FILE`. */
await setup();
await build();
const at = process.argv.indexOf('--adopt');
const adopted = at > 0 ? process.argv[at + 1] : undefined;
delete process.env.MYOKINET_DB;
serve(adopted ? { MYOKINET_ADOPT: resolve(adopted) } : {});
