import type { CheckReply, ReadinessReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import type { GateFinding } from '@myokinet/core/readiness';
import seedrandom from 'seedrandom';
import { v7 } from 'uuid';
import { expect, it } from 'vitest';
import {
  answerScreening,
  checkFor,
  PREPARES,
  screeningDto,
  sessionDto,
  symptomDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

/*
 * A record that was put right judges like one that was right from the start: two trainees live through the same weeks, of the one
 * everything is written down wrongly first and corrected, and what never was is taken back.
 */

interface Story {
  /** Beyond each demand, in its unit. */
  readonly beyond: number;
  readonly sessions: readonly { readonly daysAgo: number; readonly effort: number; readonly short: boolean; readonly morning: number }[];
  readonly felt: readonly { readonly daysAgo: number; readonly intensity: number; readonly kind: 'ache' | 'sharp' }[];
  /** What was recorded beside it and never was. */
  readonly never: { readonly check: boolean; readonly session: boolean; readonly symptom: boolean; readonly slip: boolean };
}

function storyOf(random: seedrandom.PRNG): Story {
  const odd = (share: number) => random() < share;
  return {
    beyond: odd(0.15) ? -5 : 15,
    sessions: [5, 2].map((daysAgo) => ({ daysAgo, effort: odd(0.1) ? 9 : 5, short: odd(0.1), morning: odd(0.1) ? 2 : 0 })),
    felt: odd(0.25) ? [{ daysAgo: 3, intensity: 1, kind: odd(0.3) ? 'sharp' : 'ache' }] : [],
    never: { check: odd(0.5), session: odd(0.5), symptom: odd(0.5), slip: odd(0.5) },
  };
}

/** @param wrongly everything is written down wrongly first, and put right */
async function live(bench: TestBench, { beyond, sessions, felt, never }: Story, wrongly: boolean): Promise<readonly unknown[]> {
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  const at = `/api/trainees/${trainee.id}`;
  const ago = (days: number) => new Date(addDays(bench.now(), -days));
  const must = async (path: string, body: object) => {
    const reply = await bench.post(`${at}/${path}`, body);
    expect([path, reply.status]).toEqual([path, 201]);
  };
  const takeBack = (kind: string, factId: string) => must('taken-back', { id: v7(), kind, factId, reason: 'never was' });
  bench.db.prepare('UPDATE trainee_revision SET saved_at = ? WHERE trainee_id = ?').run(instant(ago(30)), trainee.id);
  if (wrongly && never.slip) {
    const slip = screeningDto(bench.now(), { 'medical-hold': 'whole' });
    await must('screenings', slip);
    await takeBack('screening', slip.id);
  }
  await answerScreening(bench, at, screeningDto(ago(6)));

  await must(
    'checks',
    checkFor('wall', ago(1), ({ value }) => Math.max(0, value + (wrongly ? 10 - beyond : beyond))),
  );
  if (wrongly) {
    const [check] = ((await bench.get(`${at}/checks`)).body as unknown as readonly CheckReply[]) ?? [];
    const right = checkFor('wall', ago(1), ({ value }) => Math.max(0, value + beyond)).trials;
    for (const trial of check?.trials ?? []) {
      const value = right.find((t) => t.measureId === trial.measureId && t.side === trial.side)?.value;
      await must('trial-corrections', { id: v7(), replaces: trial.id, measureId: trial.measureId, value, reason: 'read wrongly' });
    }
    if (never.check) {
      const other = checkFor('wall', ago(0.5), ({ value }) => Math.max(0, value - 10));
      await must('checks', other);
      await takeBack('check', other.id);
    }
  }

  for (const { daysAgo, effort, short, morning } of sessions) {
    const done = (isShort: boolean, howHard: number) => {
      const dto = sessionDto(ago(daysAgo), { effort: howHard }, [PREPARES]);
      return { ...dto, items: dto.items.map((i) => ({ ...i, sets: isShort ? i.sets.slice(1) : i.sets })) };
    };
    const woke = (sessionId: string, intensity: number) =>
      symptomDto(ago(daysAgo - 0.6), { sessionId, intensity, ...(intensity > 0 ? { kind: 'ache', place: 'wrist', side: 'left' } : {}) });
    const first = done(short !== wrongly, wrongly ? 14 - effort : effort);
    await must('sessions', first);
    const reported = woke(first.id, wrongly ? 2 - morning : morning);
    await must('symptoms', reported);
    if (!wrongly) continue;
    const session = done(short, effort);
    await must('session-corrections', { replaces: first.id, reason: 'written down wrongly', session });
    await must('symptom-corrections', { replaces: reported.id, reason: 'asked again', symptom: woke(session.id, morning) });
  }
  if (wrongly && never.session) {
    const other = sessionDto(ago(3.5), { effort: 9 }, [PREPARES]);
    await must('sessions', other);
    await takeBack('session', other.id);
  }

  for (const { daysAgo, ...own } of felt) {
    const said = (as: object) => symptomDto(ago(daysAgo), { place: 'elbow', side: 'right', moment: 'during', ...as });
    const first = said(wrongly ? { ...own, kind: own.kind === 'ache' ? 'sharp' : 'ache' } : own);
    await must('symptoms', first);
    if (wrongly) await must('symptom-corrections', { replaces: first.id, reason: 'another kind', symptom: said(own) });
  }
  if (wrongly && never.symptom) {
    const other = symptomDto(ago(0.5), { intensity: 7, kind: 'sharp', place: 'neck', moment: 'during' });
    await must('symptoms', other);
    await takeBack('symptom', other.id);
  }
  const { gate } = (await bench.get(`${at}/readiness`)).body as unknown as ReadinessReply;
  return [gate?.open, ...(gate?.findings ?? []).map(essence)];
}

/** A finding without ids and times. */
function essence(f: GateFinding): unknown {
  return [f.rule, f.met, 'counted' in f ? f.counted : null, f.rule === 'demand' ? f.sides.map((s) => [s.side, s.verdict]) : null];
}

it('judges what was corrected as if it had been right from the start', async () => {
  const random = seedrandom('corrected');
  const count = process.env.MYOKINET_LONG ? 200 : 12;
  let opened = 0;
  for (let i = 0; i < count; i++) {
    const bench = await testBench();
    const story = storyOf(random);
    const right = await live(bench, story, false);
    expect({ i, story, verdict: await live(bench, story, true) }).toEqual({ i, story, verdict: right });
    if (right[0] === true) opened++;
    await bench.close();
  }
  expect(opened / count).toBeGreaterThan(0.15);
  expect(opened / count).toBeLessThan(0.85);
}, 600_000);
