import { binOf, run } from './run.mjs';
import { setup } from './setup.mjs';

await setup();
const code = await run(process.execPath, [binOf('tsx'), '--tsconfig', 'tsconfig.base.json', 'server/bench/main.ts']);
// The packages it needs may have been installed only just now.
if (code === 0) await (await import('./benchPacer.mjs')).benchPacer();
process.exit(code);
