import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { LOADING_PHASES } from '../drills/index.ts';
import { demandsOn } from '../ladders/index.ts';
import { openLibrary } from '../library/index.ts';
import { capacityFromTrials } from '../measuring/index.ts';
import { addDays } from '../quantities/index.ts';
import { type CheckDates, checkKey, type ClearanceFact, DEFAULT_GATE_SETTINGS, judgeReadiness, type ReadinessFacts } from './index.ts';
import { bodyModel } from '../statics/index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');
const library = openLibrary(BUILT_IN);
const ladder = library.ladder('push-up');
const MASS = 70;

/** A trainee who shows `margin` more than every rung up to `rungIndex` asks. */
function facts(rungIndex: number, signed: readonly string[], margin = 15, own: Partial<ReadinessFacts> = {}): ReadinessFacts {
  const demands = ladder.rungs
    .slice(0, rungIndex + 1)
    .flatMap((rung) => demandsOn(rung, bodyModel({ statureM: 1.72, massKg: MASS }), measureOf));
  const highest = new Map(demands.map((d) => [checkKey(d.measureId, d.side), d]));
  const capacities = [...highest.values()].map(({ measureId, side, value }) =>
    capacityFromTrials(measureOf(measureId), [{ side, value: Math.max(0, value + margin) }], { takenAt: addDays(now, -1) }),
  );
  const checkDates: CheckDates = new Map(capacities.map((c) => [checkKey(c.measureId, c.side), { latest: c.takenAt, lateAfter: [] }]));
  const clearances = signed.map((rungId, i): ClearanceFact => ({
    id: rungId,
    ladderId: ladder.id,
    rungId,
    signedAt: addDays(now, -20 + i),
    signedBy: 'AS',
    figures: capacities.slice(0, 2).map(({ measureId, side, takenAt }) => ({ measureId, side, takenAt })),
  }));
  return {
    library,
    ladder,
    body: bodyModel({ statureM: 1.72, massKg: MASS }),
    screening: { cautions: [], locks: [] },
    capacities,
    checkDates,
    clearances,
    sessions: [],
    symptoms: [],
    openStopSigns: [],
    skips: new Map(),
    knownSince: [],
    now,
    ...own,
  };
}

const HOLD = {
  code: 'caution',
  caution: { id: 'medical-hold', because: [{ code: 'answered', questionId: 'medical-hold', answer: 'yes', side: 'whole' }] },
} as const;

describe('the whole verdict', () => {
  it('judges the next rung, most urgent demand first', () => {
    const { rung, headrooms, gate } = judgeReadiness(facts(1, ['wall']));
    expect(rung?.id).toBe('far-wall');
    expect(headrooms.every((h) => h.state === 'spare')).toBe(true);
    expect(gate?.unmet.map((f) => f.rule)).toEqual(['clean-sessions', 'tissue-time']);
    expect(gate?.unmet[0]).toMatchObject({ practice: ['Push-up at a wall'], preparation: false });
  });

  it('asks for checks that a rung newly demands', () => {
    const { rung, headrooms } = judgeReadiness(facts(1, ['wall', 'far-wall']));
    expect(rung?.id).toBe('surface-60');
    expect(headrooms[0]).toMatchObject({ state: 'unknown', stale: false });
  });

  it('has no gate at the top, and still shows what the top asks', () => {
    const top = ladder.rungs.length - 1;
    const { gate, rung, headrooms } = judgeReadiness(
      facts(
        top,
        ladder.rungs.map((r) => r.id),
      ),
    );
    expect([gate, rung]).toEqual([undefined, undefined]);
    expect(headrooms.length).toBeGreaterThan(0);
  });

  it('says when the rung in hand has slipped', () => {
    expect(judgeReadiness(facts(1, ['wall'])).slipped).toEqual([]);
    const { slipped } = judgeReadiness(facts(0, ['wall'], -15));
    expect(slipped.length).toBeGreaterThan(0);
    expect(slipped.every((h) => h.state === 'short')).toBe(true);
  });

  it('is locked by the screening’s locks, each in its own sentence', () => {
    const lines = (screening: ReadinessFacts['screening']) => judgeReadiness(facts(0, [], 15, { screening })).gate?.unmet ?? [];
    expect(lines({ cautions: [], locks: [HOLD] })).toContainEqual({ rule: 'screening', met: false, locks: [HOLD] });
    expect(lines({ cautions: [{ id: 'lax-joints', because: [] }], locks: [] }).map((f) => f.rule)).toEqual(['clean-sessions']);
  });

  it('closes the rungs whose practice a caution excludes, and their gates, naming the answer', () => {
    const screening = {
      cautions: [{ id: 'wrist-injury', because: [{ code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'right' }] }],
      locks: [],
    } as const;
    const { closedRungs, gate } = judgeReadiness(facts(0, [], 15, { screening }));
    expect(Object.keys(closedRungs)).toEqual(ladder.rungs.slice(1).map((r) => r.id));
    expect(Object.values(closedRungs)[0]).toEqual(screening.cautions[0]);
    expect(gate?.unmet.map((f) => f.rule)).toEqual(['clean-sessions']);
    const next = judgeReadiness(facts(1, ['wall'], 15, { screening }));
    expect(next.gate?.unmet.map((f) => f.rule)).toEqual(['clean-sessions', 'tissue-time', 'rung-open']);
  });

  it('takes confidence in the next position for what it is: asked anew after a signature', () => {
    const lean = library.ladder('arm-balance-lean');
    const confidence = (daysAgo: number) =>
      capacityFromTrials(measureOf('confidence'), [{ side: 'whole', value: 9 }], { takenAt: addDays(now, -daysAgo) });
    const signed = { id: 'c', ladderId: lean.id, rungId: 'lean-15', signedAt: addDays(now, -3), signedBy: 'AS', figures: [] };
    const found = (daysAgo: number) =>
      judgeReadiness({ ...facts(0, []), ladder: lean, capacities: [confidence(daysAgo)], clearances: [signed] }).headrooms.find(
        (h) => h.demand.measureId === 'confidence',
      )?.amount;
    expect(found(1)).toBe(4);
    expect(found(5)).toBeUndefined();
  });
});

it('clean sessions before a stop sign count no more, though it was closed', () => {
  const practice = ladder.rungs[0]!.practice;
  const sessions = [2, 5].map((daysAgo) => ({
    id: `s${daysAgo}`,
    performedAt: addDays(now, -daysAgo),
    clean: true,
    practised: [{ drillId: practice, top: true, load: 1 }],
    symptoms: [],
  }));
  const cleanLine = (own: Partial<ReadinessFacts>) =>
    judgeReadiness(facts(1, ['wall'], 15, { sessions, ...own })).gate?.findings.find((f) => f.rule === 'clean-sessions');
  expect(cleanLine({})?.met).toBe(true);
  expect(cleanLine({ lastStopSignAt: addDays(now, -6) })?.met).toBe(true);
  expect(cleanLine({ lastStopSignAt: addDays(now, -3) })).toMatchObject({ met: false, counted: 1, needed: 2 });
});

it('a check may be set to count for a share of its fresh days', () => {
  const states = (freshPercent: number, at: Date) =>
    judgeReadiness({ ...facts(1, ['wall'], 15, { settings: { ...DEFAULT_GATE_SETTINGS, freshPercent } }), now: at }).headrooms.map((h) => [
      h.stale,
      h.freshDays,
    ]);
  const taken = new Date(facts(1, ['wall'], 15, {}).capacities[0]!.takenAt);
  const days = Math.min(...states(100, taken).map(([, limit]) => Number(limit)));
  const later = new Date(addDays(taken, 0.75 * days));
  expect(states(100, later).some(([stale]) => stale)).toBe(false);
  expect(states(50, later).some(([stale]) => stale)).toBe(true);
  expect(states(50, later).map(([, limit]) => limit)).toContain(Math.floor(days / 2));
});

it('tissue time runs from the signature of the rung in hand, of this ladder, that stands', () => {
  const { clearances } = facts(2, ['wall', 'far-wall']);
  const [wall, farWall] = clearances as readonly [ClearanceFact, ClearanceFact];
  const since = (more: readonly Partial<ClearanceFact>[]) => {
    const all = [wall, farWall, ...more.map((own, i) => ({ ...farWall, id: `more${i}`, signedAt: addDays(now, -90), ...own }))];
    const { gate } = judgeReadiness(facts(2, [], 15, { clearances: all }));
    return gate?.findings.find((f) => f.rule === 'tissue-time')?.since;
  };
  expect(since([])).toBe(farWall.signedAt);
  expect(since([{}])).toBe(addDays(now, -90));
  expect(since([{ ladderId: 'hang-and-swing' }])).toBe(farWall.signedAt);
  expect(since([{ rungId: 'surface-60', withdrawnAt: addDays(now, -60) }])).toBe(farWall.signedAt);
});

describe('below the ladder', () => {
  const session = (drillId: string, daysAgo: number) => ({
    ...{ id: `s${daysAgo}`, performedAt: addDays(now, -daysAgo), clean: true, symptoms: [] },
    practised: [{ drillId, top: true, load: 1 }],
  });
  const judged = (drillId: string) =>
    judgeReadiness(facts(0, [], 15, { sessions: [session(drillId, 2), session(drillId, 5)] })).gate?.findings.find(
      (f) => f.rule === 'clean-sessions',
    );

  it('the practice is the preparation that the ladder names, what the library lacks left out', () => {
    const named = { ...ladder, preparation: ['plank', 'gone from the library', ladder.preparation![0]!] };
    const { gate } = judgeReadiness(facts(0, [], 15, { ladder: named }));
    expect(gate?.findings.find((f) => f.rule === 'clean-sessions')?.practice).toEqual([
      library.drill('plank').name,
      library.drill(ladder.preparation![0]!).name,
    ]);
  });

  it('two short sessions of a drill that has nothing to do with the rung open nothing', () => {
    expect(judged('calf-raises-nobody-asked-for')).toMatchObject({ met: false, counted: 0, preparation: true });
    const prepares = library.drill(ladder.preparation![0]!);
    const stranger = library.drills.find(
      (d) => LOADING_PHASES.includes(d.phase) && ladder.rungs[0]!.demands.every((a) => !d.trains[a.measureId]),
    )!;
    expect(judged(prepares.id)).toMatchObject({ met: true, counted: 2 });
    expect(judged(stranger.id)).toMatchObject({ met: false, counted: 0 });
  });

  it('a ladder that names no preparation takes general drills for its demands, never the practice of a rung', () => {
    const { preparation: _, ...unnamed } = ladder;
    const { gate } = judgeReadiness(facts(0, [], 15, { ladder: unnamed }));
    const names = gate?.findings.find((f) => f.rule === 'clean-sessions')?.practice ?? [];
    expect(names.length).toBeGreaterThan(5);
    for (const drill of library.drills.filter((d) => d.rung)) expect(names).not.toContain(drill.name);
  });
});
