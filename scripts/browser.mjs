import { existsSync } from 'node:fs';
import { must } from './run.mjs';

const CHROMIUM = '/usr/bin/chromium';

/** Installs the distribution's browser and its driver when they are missing. */
export async function ensureBrowser() {
  if (existsSync(CHROMIUM) && existsSync('/usr/bin/chromedriver')) return;
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  process.stdout.write('Installing the distribution’s Chromium…\n');
  const [file, ...first] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get'];
  await must(file, [...first, 'update', '-qq'], { env, quiet: true });
  await must(file, [...first, 'install', '-y', '-qq', 'chromium', 'chromium-driver'], { env, quiet: true });
}
