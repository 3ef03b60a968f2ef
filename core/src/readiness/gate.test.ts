import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { demandsOn } from '../ladders/index.ts';
import { openLibrary } from '../library/index.ts';
import { capacityFromTrials } from '../measuring/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import type { Symptom } from '../safety/index.ts';
import { type GateInput, headroom, judgeGate, type SessionFact } from './index.ts';
import { bodyModel } from '../statics/index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T18:00:00Z');
const rung = openLibrary(BUILT_IN).rung('push-up', 'surface-60');
const demands = demandsOn(rung, bodyModel({ statureM: 1.72, massKg: 70 }), measureOf);

/** Capacities as figures by check and side; what is not named is far beyond its demand. */
function headroomsWith(figures: Readonly<Record<string, number>> = {}, daysAgo = 1) {
  return demands.map((demand) => {
    const value = figures[`${demand.measureId}/${demand.side}`] ?? demand.value + 15;
    const trials = [1, 2, 3].map(() => ({ side: demand.side, value }));
    return headroom(
      capacityFromTrials(measureOf(demand.measureId), trials, { takenAt: addDays(now, -daysAgo) }),
      demand,
      measureOf(demand.measureId),
      now,
    );
  });
}

const quietMorning = (at: Date): Symptom => ({
  intensity: 0,
  place: 'shoulder',
  side: 'whole',
  kind: 'none',
  moment: 'next morning',
  at: instant(at),
});

function session(daysAgo: number, more: Partial<SessionFact> = {}): SessionFact {
  const performedAt = addDays(now, -daysAgo);
  return {
    id: `s${daysAgo}`,
    performedAt,
    clean: true,
    drillIds: ['practice-far-wall-push-up'],
    symptoms: [quietMorning(new Date(addDays(performedAt, 0.6)))],
    ...more,
  };
}

const OPEN: GateInput = {
  measureOf,
  headrooms: headroomsWith(),
  sessions: [session(2), session(5)],
  symptoms: [],
  openStopSigns: [],
  locks: [],
  now,
};

const unmet = (change: Partial<GateInput>) => judgeGate({ ...OPEN, ...change }).unmet;

it('opens when every line is met, and still shows each line', () => {
  const gate = judgeGate(OPEN);
  expect(gate.open).toBe(true);
  expect(gate.unmet).toEqual([]);
  // six demands, two of them with sides, then stop sign, symptoms, mornings, clean sessions
  expect(gate.lines.map((l) => l.kind)).toEqual([
    'demand',
    'demand',
    'demand',
    'demand',
    'demand',
    'demand',
    'sides',
    'sides',
    'stop sign',
    'symptoms',
    'mornings',
    'clean sessions',
  ]);
});

describe('each condition closes it by itself, with a sentence', () => {
  it('a short demand, named as the limiter', () => {
    const [line, ...rest] = unmet({ headrooms: headroomsWith({ 'wrist-extension-loaded/left': 66, 'wrist-extension-loaded/right': 66 }) });
    expect(rest).toEqual([]);
    expect(line).toMatchObject({
      kind: 'demand',
      limiter: true,
      sentence: 'Left loaded wrist extension 66° ± 2°; at least 75° asked. Right loaded wrist extension 66° ± 2°; at least 75° asked.',
    });
  });

  it('a demand on the mark, unless the coach allows it', () => {
    const headrooms = headroomsWith({ 'plank-hold/whole': 15 });
    expect(unmet({ headrooms })[0]?.sentence).toContain('too close to call');
    const allowed = headrooms.map((h) =>
      headroom(h.capacity, { ...h.demand, allowOnTheMark: true }, measureOf({ ...h.demand, allowOnTheMark: true }.measureId), now),
    );
    expect(unmet({ headrooms: allowed })).toEqual([]);
  });

  it('a stale check, however good', () => {
    const sentences = unmet({ headrooms: headroomsWith({}, 20) }).map((l) => l.sentence);
    expect(sentences).toContain('Plank hold was last checked 20 days ago; 14 days is the limit. Check it again.');
    expect(sentences.some((s) => s.includes('wrist extension'))).toBe(false);
  });

  it('a check never taken', () => {
    const headrooms = demands.map((d) => headroom(undefined, d, measureOf(d.measureId), now));
    expect(unmet({ headrooms })[0]?.sentence).toMatch(/has never been checked; at least 60° asked/);
  });

  it('sides that differ beyond their limit, though both are spare', () => {
    const [line] = unmet({ headrooms: headroomsWith({ 'wrist-extension/left': 66, 'wrist-extension/right': 80 }) });
    expect(line).toMatchObject({ kind: 'sides', sentence: 'Sides of wrist extension differ by 14°; up to 8° counts as alike.' });
  });

  it('an open stop sign', () => {
    expect(unmet({ openStopSigns: ['Sharp 3/10, left wrist, during: stop and step back.'] })).toMatchObject([{ kind: 'stop sign' }]);
  });

  it('a symptom above two within seven days, and not one of nine days ago', () => {
    const ache = (daysAgo: number): Symptom => ({
      intensity: 3,
      place: 'wrist',
      side: 'left',
      kind: 'ache',
      moment: 'during',
      at: addDays(now, -daysAgo),
    });
    expect(unmet({ symptoms: [ache(6)] })).toMatchObject([
      { kind: 'symptoms', sentence: 'Wed 18 Nov: ache 3/10, left wrist, during. 7 days at 2/10 or less are needed.' },
    ]);
    expect(unmet({ symptoms: [ache(9)] })).toEqual([]);
    expect(unmet({ symptoms: [{ ...ache(6), intensity: 2 }] })).toEqual([]);
  });

  it('a morning that nobody asked about, and one above baseline', () => {
    expect(unmet({ sessions: [session(2, { symptoms: [] }), session(5)] })).toMatchObject([
      { kind: 'mornings', sentence: 'The morning after Sun 22 Nov is not recorded yet.' },
    ]);
    const sore: Symptom = { ...quietMorning(now), intensity: 2, kind: 'ache' };
    expect(unmet({ sessions: [session(2, { symptoms: [sore] }), session(5)] })).toMatchObject([{ kind: 'mornings' }]);
    const before: Symptom = { ...sore, moment: 'before' };
    expect(unmet({ sessions: [session(2, { symptoms: [before, sore] }), session(5)] })).toEqual([]);
  });

  it.each<[string, readonly SessionFact[]]>([
    ['one clean session', [session(2)]],
    ['two clean sessions 24 hours apart', [session(2), session(3)]],
    ['one clean and one not', [session(2), session(5, { clean: false })]],
    ['two clean ones of which one is over 28 days old', [session(2), session(29)]],
  ])('%s', (_, sessions) =>
    expect(unmet({ sessions })).toMatchObject([
      { kind: 'clean sessions', sentence: expect.stringMatching(/^1 of 2 clean sessions/) as string },
    ]),
  );

  it('clean sessions without the practice of the rung in hand, or before the last withdrawal', () => {
    expect(unmet({ practice: { drillId: 'practice-far-wall-push-up', name: 'Far wall' } })).toEqual([]);
    expect(unmet({ practice: { drillId: 'practice-wall-push-up', name: 'Wall' } })).toMatchObject([{ kind: 'clean sessions' }]);
    expect(unmet({ cleanSince: addDays(now, -3) })).toMatchObject([{ kind: 'clean sessions' }]);
  });

  it('a lock of the screening', () =>
    expect(unmet({ locks: ['Medical hold: ask first.'] })).toMatchObject([{ kind: 'lock', sentence: 'Medical hold: ask first.' }]));
});

describe('false opens that stay shut', () => {
  const at = (daysAgo: number) => addDays(now, -daysAgo);
  const felt = (own: Partial<Symptom>): Symptom => ({
    intensity: 1,
    place: 'wrist',
    side: 'left',
    kind: 'ache',
    moment: 'during',
    at: at(1),
    ...own,
  });

  it('a rung without demands', () => expect(unmet({ headrooms: [] }).map((l) => l.kind)).toEqual(['demand']));

  it('a figure dated in the future, by more than clocks differ', () => {
    const dated = (minutes: number) =>
      OPEN.headrooms.map((h, i) =>
        i === 0 && h.capacity
          ? headroom({ ...h.capacity, takenAt: addDays(now, minutes / 1440) }, h.demand, measureOf(h.demand.measureId), now)
          : h,
      );
    expect(unmet({ headrooms: dated(4) })).toEqual([]);
    expect(unmet({ headrooms: dated(60) })[0]).toMatchObject({
      kind: 'demand',
      sentence: expect.stringContaining('dated in the future') as string,
    });
  });

  it('a stopping kind of pain at low strength, closed the same day: loud for the days that are to be quiet', () => {
    expect(unmet({ symptoms: [felt({ kind: 'sharp' })] }).map((l) => l.kind)).toEqual(['symptoms']);
    expect(unmet({ symptoms: [felt({ kind: 'sharp', at: at(7.1) })] })).toEqual([]);
    expect(unmet({ symptoms: [felt({ kind: 'ache' })] })).toEqual([]);
  });

  it('a symptom of the next morning that was reported outside a session', () => {
    expect(unmet({ symptoms: [felt({ intensity: 4, moment: 'next morning' })] }).map((l) => l.kind)).toEqual(['symptoms']);
  });

  it('a morning recorded an hour after its session', () => {
    const early = session(2, { symptoms: [quietMorning(new Date(addDays(at(2), 1 / 24)))] });
    expect(unmet({ sessions: [early, session(5)] }).map((l) => l.kind)).toEqual(['mornings']);
  });
});
