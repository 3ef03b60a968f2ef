import { spawn } from 'node:child_process';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a program to its end; resolves with its exit code. */
export function run(file, args, { env = {}, quiet = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(file, args, {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: quiet ? ['ignore', 'ignore', 'inherit'] : ['ignore', 'inherit', 'inherit'],
    });
    child.once('error', reject);
    child.once('exit', (code, signal) => resolve(signal ? 1 : (code ?? 1)));
  });
}

/** Runs a program and stops the script when it fails. */
export async function must(file, args, options) {
  const code = await run(file, args, options);
  if (code !== 0) {
    process.stderr.write(`\n${[file, ...args].join(' ')} ended with ${code}.\n`);
    process.exit(code);
  }
}

/** The file behind a package's command, so that node starts it without a shell in between. */
export function binOf(packageName, command = packageName) {
  const manifestPath = join(ROOT, 'node_modules', packageName, 'package.json');
  const { bin } = createRequire(import.meta.url)(manifestPath);
  return join(dirname(manifestPath), typeof bin === 'string' ? bin : bin[command]);
}
