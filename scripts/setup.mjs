import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, ROOT } from './run.mjs';

const STAMP = join(ROOT, 'node_modules', '.setup-stamp');
const MANIFESTS = ['package-lock.json', 'package.json', 'core/package.json', 'server/package.json', 'web/package.json'];

/** Installs the packages when the lock file or Node's binary interface changed since the last time. */
export async function setup() {
  const hash = createHash('sha256');
  for (const file of MANIFESTS) hash.update(readFileSync(join(ROOT, file)));
  const wanted = `${hash.digest('hex')} abi ${process.versions.modules}`;
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  process.stdout.write('Installing packages (the database driver may compile for about two minutes, once)…\n');
  await must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(STAMP, wanted);
}
