import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Fastify from 'fastify';
import { buildApp } from '../src/app.ts';
import { STUDIO_ID } from '../src/context.ts';
import { BUILT_IN_COACH } from '../src/actor.ts';
import { openSeat } from '../src/seat.ts';
import { openDatabase } from '../src/database/open.ts';
import { servicesFor } from '../src/services.ts';
import { fillWithRecords } from './manyRecords.ts';
import { planMany } from './plans.ts';
import { forecastOne } from './forecastOne.ts';
import { mayDoMany } from './mayDoMany.ts';
import { moveMany } from './moveMany.ts';
import { judgeMany } from './judgeMany.ts';
import { readTraces } from './readTraces.ts';
import { searchMany } from './searchMany.ts';
import { closedFormAlone, curveForTheScreen, loadsWithBand, loadsWithoutBand, SET_UPS } from './statics.ts';

const TRAINEES = 500;
const YEARS = 3;
const DRILLS = 1000;
const RUNS = 31;

interface Row {
  readonly what: string;
  readonly ms: number;
  readonly baseline: string;
  readonly baselineMs: number;
}

const rows: Row[] = [];
const agent = new Agent({ keepAlive: true });

const { judge, copy } = judgeMany(TRAINEES);
const [judged, copied] = await race(
  async () => judge(),
  async () => copy(),
);
rows.push({
  what: `headroom and gate, ${TRAINEES} trainees`,
  ms: judged,
  baseline: 'structured clone of the same facts',
  baselineMs: copied,
});

const { keystrokes, search, scan } = searchMany(DRILLS);
const [searched, scanned] = await race(
  async () => search(),
  async () => scan(),
);
rows.push({
  what: `library search, ${DRILLS} drills, one keystroke`,
  ms: searched / keystrokes,
  baseline: 'linear scan of the same texts',
  baselineMs: scanned / keystrokes,
});

const { frames, closed: closeFrames, placed } = moveMany();
const [moved, posed] = await race(
  async () => closeFrames(),
  async () => placed(),
);
rows.push({
  what: 'one frame of a movement, its contacts met',
  ms: moved / frames,
  baseline: 'the body placed by the same angles alone',
  baselineMs: posed / frames,
});

const LIBRARY_DRILLS = 400;
const { judge: judgeDrills, walk } = mayDoMany(LIBRARY_DRILLS);
const [drillsJudged, drillsWalked] = await race(
  async () => judgeDrills(),
  async () => walk(),
);
rows.push({
  what: `may this trainee do it, ${LIBRARY_DRILLS} drills`,
  ms: drillsJudged,
  baseline: 'copying the same drills one by one',
  baselineMs: drillsWalked,
});

const { minutes, read, filter } = readTraces();
const [traced, filtered] = await race(
  async () => read(),
  async () => filter(),
);
rows.push({
  what: `a ${minutes}-minute trace at 100 Hz, read whole`,
  ms: traced,
  baseline: 'the filter alone, by a library',
  baselineMs: filtered,
});

const { draw, drawAlone, draws } = forecastOne();
const [drawn, drawnAlone] = await race(
  async () => draw(),
  async () => drawAlone(),
);
rows.push({
  what: `one gate’s forecast, ${draws} futures (limit 60 ms)`,
  ms: drawn,
  baseline: 'a hundred normal draws for each future',
  baselineMs: drawnAlone,
});

const [loads, closed] = await race(
  async () => loadsWithoutBand(),
  async () => closedFormAlone(),
);
rows.push({
  what: `hand load of ${SET_UPS} set-ups, without band (${Math.round(SET_UPS / loads)} thousand a second)`,
  ms: loads,
  baseline: 'the closed formula alone',
  baselineMs: closed,
});
const [banded, bare] = await race(
  async () => loadsWithBand(),
  async () => loadsWithoutBand(),
);
rows.push({
  what: `hand load of ${SET_UPS / 10} set-ups, every figure with its band`,
  ms: banded,
  baseline: 'ten times as many without',
  baselineMs: bare,
});
const [curve, fewer] = await race(
  async () => curveForTheScreen(),
  async () => loadsWithoutBand(),
);
rows.push({
  what: 'the lab’s curve with its band (limit 8 ms)',
  ms: curve,
  baseline: `${SET_UPS} set-ups without band`,
  baselineMs: fewer,
});

const folder = mkdtempSync(join(tmpdir(), 'myokinet-bench-'));
try {
  const file = join(folder, 'bench.sqlite');
  const now = new Date();
  const db = openDatabase(file);
  process.stdout.write(`Filling ${TRAINEES} trainees × ${YEARS} years…\n`);
  fillWithRecords(db, TRAINEES, YEARS, now);
  db.pragma('wal_checkpoint(TRUNCATE)');
  const count = (table: string) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
  process.stdout.write(
    `${['trial', 'capacity', 'session', 'session_set', 'symptom', 'plan'].map((t) => `${count(t)} ${t} rows`).join(', ')}; ${Math.round(statSync(file).size / 1e6)} MB\n\n`,
  );

  const app = await buildApp(openSeat(servicesFor({ db, studioId: STUDIO_ID, now: () => now }), BUILT_IN_COACH), () => now);
  const address = await app.listen({ host: '127.0.0.1', port: 0 });
  const first = db.prepare('SELECT id FROM trainee').pluck().get() as string;
  for (const [what, path] of [
    ['caseload endpoint', '/api/caseload'],
    ['forecast endpoint, one trainee', `/api/trainees/${first}/forecast`],
    ['today endpoint', '/api/today'],
    ['re-check calendar endpoint', '/api/rechecks'],
    ['readiness endpoint, one trainee', `/api/trainees/${first}/readiness`],
    ['library endpoint', '/api/library'],
    ['record endpoint, one trainee', `/api/trainees/${first}/record`],
    ['history endpoint, one trainee, all checks', `/api/trainees/${first}/checks?all=1`],
    ['measuring endpoint, own errors', '/api/measuring'],
    ['weeks of a plan, one trainee', `/api/trainees/${first}/plans?from=${now.toISOString().slice(0, 10)}&weeks=8`],
  ] as const) {
    const bytes = await fetchBytes(address + path);
    const bare = Fastify();
    bare.get('/same', (_request, reply) => reply.type('application/json').send(bytes));
    const bareAddress = await bare.listen({ host: '127.0.0.1', port: 0 });
    const [ms, baselineMs] = await race(
      () => fetchBytes(address + path),
      () => fetchBytes(`${bareAddress}/same`),
    );
    rows.push({ what: `${what} (${Math.round(bytes.length / 1024)} kB)`, ms, baseline: 'bare route, the same bytes', baselineMs });
    await bare.close();
  }
  await app.close();
  db.close();
} finally {
  rmSync(folder, { recursive: true, force: true });
}

process.stdout.write(`Medians of ${RUNS} runs, the two taken in turn; node ${process.version}\n`);
for (const { what, ms, baseline, baselineMs } of rows)
  process.stdout.write(
    `${what.padEnd(44)} ${ms.toFixed(2).padStart(8)} ms   ${(ms / baselineMs).toFixed(1).padStart(6)} × ${baseline} (${baselineMs.toFixed(2)} ms)\n`,
  );
process.stdout.write(`\n${(await planMany()).join('\n')}\n`);
process.exit(0);

/** Median milliseconds of two things done in turn, so that both see the same machine. */
async function race(a: () => Promise<unknown>, b: () => Promise<unknown>): Promise<readonly [number, number]> {
  const times: [number[], number[]] = [[], []];
  for (let i = 0; i < RUNS + 3; i++) {
    for (const [at, run] of [a, b].entries()) {
      const start = performance.now();
      await run();
      // the first three warm up
      if (i >= 3) times[at]?.push(performance.now() - start);
    }
  }
  return [median(times[0]), median(times[1])];
}

function median(values: readonly number[]): number {
  return [...values].sort((x, y) => x - y)[Math.floor(values.length / 2)] ?? Number.NaN;
}

function fetchBytes(url: string): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    get(url, { agent }, (reply) => {
      const chunks: Buffer[] = [];
      reply.on('data', (chunk: Buffer) => chunks.push(chunk));
      reply.on('end', () => resolve(Buffer.concat(chunks)));
    }).once('error', reject);
  });
}
