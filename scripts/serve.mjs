import { spawn } from 'node:child_process';
import { PAGES, SERVER } from './build.mjs';
import { ROOT } from './run.mjs';

/** Runs the built server until it ends or is told to. */
export function serve(env) {
  const server = spawn(process.execPath, ['--enable-source-maps', SERVER], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NODE_ENV: 'production', MYOKINET_PAGES: PAGES, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill('SIGTERM'));
  server.once('exit', (code) => process.exit(code ?? 1));
}
