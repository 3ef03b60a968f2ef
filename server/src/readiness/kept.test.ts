import { addDays, instant } from '@myokinet/core/quantities';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import seedrandom from 'seedrandom';
import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { STUDIO_ID } from '../context.ts';
import { servicesFor } from '../services.ts';
import {
  answerScreening,
  checkFor,
  reachOpenGate,
  screeningDto,
  sessionDto,
  symptomDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

/** The lists as a program that has just started makes them. */
function freshLists() {
  const { caseload } = servicesFor({ db: bench.db, studioId: STUDIO_ID, now: bench.now });
  return { rows: caseload.rows(), today: caseload.today(), rechecks: caseload.rechecks() };
}
const keptLists = () => {
  const { caseload } = bench.services;
  return { rows: caseload.rows(), today: caseload.today(), rechecks: caseload.rechecks() };
};

it('lists are those of a program that has just started, after any write', async () => {
  const trainees = ['Xanthe', 'anders', 'Mila', 'Bo'].map((name) => traineeDto({ name }));
  for (const trainee of trainees) await bench.post('/api/trainees', trainee);
  const [open] = trainees;
  await reachOpenGate(bench, open?.id ?? '');
  // What the bench writes by hand is no write of the program's.
  expect(keptLists()).toEqual(freshLists());
  const random = seedrandom('kept lists');
  const revisions = new Map(trainees.map((t) => [t.id, t.revision]));
  const felt: string[] = [];
  const done: string[] = [];
  const seen = new Set<string>();
  const ago = () => new Date(addDays(bench.now(), -random() * 3));

  const WRITES: readonly (readonly [string, (id: string, at: string) => Promise<{ status: number }>])[] = [
    ['check', (_id, at) => bench.post(`${at}/checks`, checkFor('wall', ago()))],
    [
      'session',
      (_id, at) => {
        const session = sessionDto(ago(), { effort: 4 + Math.floor(random() * 6) });
        done.push(session.id);
        return bench.post(`${at}/sessions`, session);
      },
    ],
    [
      'symptom',
      (_id, at) => {
        const symptom = symptomDto(ago(), { intensity: Math.floor(random() * 9), kind: random() < 0.5 ? 'ache' : 'sharp' });
        felt.push(symptom.id);
        return bench.post(`${at}/symptoms`, symptom);
      },
    ],
    ['screening', (_id, at) => answerScreening(bench, at, screeningDto(bench.now(), random() < 0.3 ? { 'raised-pressure': 'whole' } : {}))],
    ['signature', (_id, at) => bench.post(`${at}/clearances`, { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AB' })],
    [
      'closure',
      (_id, at) => bench.post(`${at}/stop-sign-closures`, { id: v7(), symptomId: felt.at(-1) ?? v7(), ground: 'a week without pain' }),
    ],
    [
      'taken back',
      (_id, at) => bench.post(`${at}/taken-back`, { id: v7(), kind: 'session', factId: done.at(-1) ?? v7(), reason: 'not this one' }),
    ],
    ['emergency', (_id, at) => bench.post(`${at}/emergencies`, { id: v7(), at: instant(bench.now()) })],
    [
      'gate rules',
      () => bench.put('/api/gate-settings', { id: v7(), basedOn: null, choices: { cleanSessions: 3 }, reason: 'more careful' }),
    ],
    ['archive', (id) => bench.post(`/api/trainees/${id}/archived`, { id: v7(), archived: random() < 0.5 })],
    ['schools', () => bench.put('/api/schools', { revision: v7(), basedOn: null, ...DEFAULT_SCHOOLS })],
    [
      'profile',
      async (id) => {
        const trainee = trainees.find((t) => t.id === id) ?? traineeDto();
        const revision = v7();
        const own = {
          ...trainee,
          revision,
          basedOn: revisions.get(id) ?? null,
          name: `${trainee.name} ${Math.floor(random() * 9)}`,
          mass: 60 + Math.floor(random() * 30),
        };
        const reply = await bench.put(`/api/trainees/${id}`, own);
        if (reply.status === 200) revisions.set(id, revision);
        return reply;
      },
    ],
    [
      'library',
      () => {
        const entry = { ...BUILT_IN.measures.find((m) => m.id === 'plank-hold'), freshDays: 20 + Math.floor(random() * 9) };
        return bench.put('/api/library/measures/plank-hold', { revision: v7(), basedOn: null, entry });
      },
    ],
  ];
  for (let i = 0; i < 90; i++) {
    const [what, write] = WRITES[Math.floor(random() * WRITES.length)] ?? WRITES[0] ?? [];
    const { id } = trainees[Math.floor(random() * trainees.length)] ?? traineeDto();
    const reply = await write?.(id, `/api/trainees/${id}`);
    if (what && reply && reply.status < 300) seen.add(what);
    expect(keptLists(), `after ${what} ${reply?.status}`).toEqual(freshLists());
    if (random() < 0.2) bench.passDays(random());
  }
  // The writes that matter were taken, not only refused.
  expect([...seen].sort()).toEqual(
    expect.arrayContaining(['archive', 'check', 'emergency', 'gate rules', 'library', 'profile', 'screening', 'session', 'symptom']),
  );
}, 60_000);

it('a minute later time alone is asked anew; within it nothing is judged twice', async () => {
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  const before = keptLists().rows[0];
  expect(bench.services.readiness.all()[0]).toBe(bench.services.readiness.all()[0]);
  bench.passDays(40);
  expect(keptLists()).toEqual(freshLists());
  expect(before?.id).toBe(trainee.id);
});
