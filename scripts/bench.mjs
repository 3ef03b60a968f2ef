import { binOf, run } from './run.mjs';
import { setup } from './setup.mjs';

await setup();
process.exit(await run(process.execPath, [binOf('tsx'), '--tsconfig', 'tsconfig.base.json', 'server/bench/main.ts']));
