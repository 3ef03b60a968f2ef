import { build, RESTORE } from './build.mjs';
import { run } from './run.mjs';
import { setup } from './setup.mjs';

/** Copies of a real studio, and the way back to one: `npm run restore`, `npm run restore -- NAME`. */
await setup();
await build();
process.exit(await run(process.execPath, ['--enable-source-maps', RESTORE, ...process.argv.slice(2)]));
