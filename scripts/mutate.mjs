import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { binOf, ROOT, run } from './run.mjs';
import { setup } from './setup.mjs';

/** The rooms of rules, and which of their files carry rules (the rest is data, or for tests). */
const ROOMS = {
  readiness: ['core/src/readiness/*.ts'],
  safety: ['core/src/safety/*.ts'],
  measuring: ['core/src/measuring/*.ts'],
  statics: ['core/src/statics/handLoad.ts'],
  planning: ['core/src/planning/block/*.ts'],
  floor: ['core/src/floor/*.ts'],
  instruments: ['core/src/instruments/*.ts', '!core/src/instruments/standIn.ts'],
};
const NOT_RULES = ['!core/src/**/*.test.ts', '!core/src/**/testing.ts', '!core/src/**/index.ts'];

const FOLDER = join(ROOT, 'node_modules', '.cache', 'mutation');

await setup();
mkdirSync(FOLDER, { recursive: true });
const wanted = process.argv.slice(2);
const rooms = Object.entries(ROOMS).filter(([room]) => wanted.length === 0 || wanted.includes(room));
const rows = [];
for (const [room, files] of rooms) {
  const report = join(FOLDER, `${room}.json`);
  const config = join(FOLDER, `${room}.config.json`);
  writeFileSync(
    config,
    JSON.stringify({
      plugins: ['@stryker-mutator/vitest-runner'],
      testRunner: 'vitest',
      vitest: { configFile: 'vitest.mutate.config.ts', related: false },
      mutate: [...files, ...NOT_RULES],
      // Words are not rules: a changed sentence changes no decision.
      mutator: { excludedMutations: ['StringLiteral'] },
      coverageAnalysis: 'perTest',
      concurrency: 2,
      incremental: true,
      incrementalFile: join(FOLDER, `${room}.incremental.json`),
      ignoreStatic: true,
      timeoutMS: 20_000,
      reporters: ['json', 'clear-text'],
      clearTextReporter: { reportTests: false, allowColor: false, logTests: false },
      jsonReporter: { fileName: report },
      tempDirName: join(FOLDER, 'work'),
    }),
  );
  trySurvivorsAgain(join(FOLDER, `${room}.incremental.json`));
  const code = await run(process.execPath, [binOf('@stryker-mutator/core', 'stryker'), 'run', config], { env: { MYOKINET_ROOM: room } });
  if (code !== 0) process.exit(code);
  rows.push([room, ...scoreOf(report)]);
}
process.stdout.write('\nroom        killed  survived  not covered  score\n');
for (const [room, killed, survived, uncovered, score] of rows)
  process.stdout.write(
    `${room.padEnd(12)}${String(killed).padStart(6)}${String(survived).padStart(10)}${String(uncovered).padStart(13)}${`${score}%`.padStart(7)}\n`,
  );

/** What survived the last run is tried again: the runner does not notice that tests were added. */
function trySurvivorsAgain(file) {
  if (!existsSync(file)) return;
  const report = JSON.parse(readFileSync(file, 'utf8'));
  for (const source of Object.values(report.files))
    source.mutants = source.mutants.filter((m) => m.status === 'Killed' || m.status === 'Ignored');
  writeFileSync(file, JSON.stringify(report));
}

function scoreOf(file) {
  const { files } = JSON.parse(readFileSync(file, 'utf8'));
  const mutants = Object.values(files).flatMap((f) => f.mutants);
  const count = (...states) => mutants.filter((m) => states.includes(m.status)).length;
  const killed = count('Killed', 'Timeout');
  const survived = count('Survived');
  const uncovered = count('NoCoverage');
  return [killed, survived, uncovered, Math.round((100 * killed) / Math.max(1, killed + survived + uncovered))];
}
