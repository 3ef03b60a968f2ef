import { join } from 'node:path';
import { build } from 'esbuild';
import { ensureBrowser } from './browser.mjs';
import { coreDoors } from './build.mjs';
import { ROOT } from './run.mjs';

/** Minutes that the pacer is listened to; ten by default. */
const MINUTES = Number(process.env.MYOKINET_PACER_MINUTES ?? 10);
const LIMIT_MS = 20;

/** How far the pacer drifts, by ear (rendered tones) and by eye (drawn beats against the audio clock). */
export async function benchPacer() {
  await ensureBrowser();
  const { chromium } = await import('@playwright/test');
  const { outputFiles } = await build({
    entryPoints: [join(ROOT, 'web/bench/pacer.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    alias: coreDoors(),
    tsconfig: join(ROOT, 'tsconfig.base.json'),
  });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--autoplay-policy=no-user-gesture-required'],
  });
  try {
    const page = await browser.newPage();
    // Storage needs an address; nothing is fetched.
    await page.route('http://pacer.test/', (route) =>
      route.fulfill({ contentType: 'text/html', body: '<!doctype html><title>pacer</title>' }),
    );
    await page.goto('http://pacer.test/');
    await page.evaluate(outputFiles[0].text);
    const heard = await page.evaluate(`window.pacerBench.rendered(${MINUTES})`);
    const seen = await page.evaluate(`window.pacerBench.live(${MINUTES})`);
    const fixed = (value) => value.toFixed(2);
    process.stdout.write(
      [
        '',
        `Pacer, ${MINUTES} minutes of 4 s repetitions (2 out, 1 held, 1 back); limit of drift ${LIMIT_MS} ms`,
        `  heard: ${heard.found} of ${heard.tones} tones found; drift ${fixed(heard.driftMs)} ms, worst ${fixed(heard.worstMs)} ms`,
        `  seen: ${seen.beats} beats; drift ${fixed(seen.driftMs)} ms, late ${fixed(seen.meanLateMs)} ms on average, ${fixed(seen.worstLateMs)} ms at worst`,
        `  baseline, a pacer that adds up timeouts: drift ${fixed(seen.naiveDriftMs)} ms, ${fixed(seen.naiveDriftMs / Math.max(0.01, seen.driftMs))} times as much`,
        '',
      ].join('\n'),
    );
    if (heard.driftMs > LIMIT_MS || seen.driftMs > LIMIT_MS) throw new Error(`The pacer drifts by more than ${LIMIT_MS} ms.`);
  } finally {
    await browser.close();
  }
}
