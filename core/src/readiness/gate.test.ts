import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { demandsOn } from '../ladders/index.ts';
import { openLibrary } from '../library/index.ts';
import { type Capacity, capacityFromTrials } from '../measuring/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import type { Symptom } from '../safety/index.ts';
import { say } from '../words/index.ts';
import {
  DEFAULT_GATE_SETTINGS,
  GATE_LIMITS,
  GATE_RULES,
  type GateInput,
  guardsSafety,
  headroom,
  judgeGate,
  type SessionFact,
} from './index.ts';
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

const PRACTICE = 'practice-far-wall-push-up';

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
    practised: [{ drillId: PRACTICE, top: true, load: 1 }],
    symptoms: [quietMorning(new Date(addDays(performedAt, 0.6)))],
    ...more,
  };
}

const SHARP: Symptom = { ...quietMorning(now), intensity: 3, kind: 'sharp', place: 'wrist', side: 'left', moment: 'during' };

const OPEN: GateInput = {
  practice: { drillIds: [PRACTICE], names: ['Far wall'], preparation: false },
  since: [],
  headrooms: headroomsWith(),
  sessions: [session(2), session(5)],
  symptoms: [],
  openStopSigns: [],
  locks: [],
  now,
};

const unmet = (change: Partial<GateInput>) => {
  const input = { ...OPEN, ...change };
  return judgeGate(input).unmet.map((f) => ({ ...f, sentence: say(f, { measureOf, headrooms: input.headrooms, now }) }));
};
const rules = (change: Partial<GateInput>) => unmet(change).map((f) => f.rule);

it('opens when every line is met, and still shows each line', () => {
  const gate = judgeGate(OPEN);
  expect(gate.open).toBe(true);
  expect(gate.unmet).toEqual([]);
  // six demands, two of them with sides, then stop signs, symptoms, mornings, clean sessions, screening
  expect(gate.findings.map((f) => f.rule)).toEqual([
    'demand',
    'demand',
    'demand',
    'demand',
    'demand',
    'demand',
    'sides',
    'sides',
    'stop-signs',
    'symptoms',
    'mornings',
    'clean-sessions',
    'screening',
  ]);
});

describe('each condition closes it by itself, with a sentence', () => {
  it('a short demand, named as the limiter', () => {
    const [line, ...rest] = unmet({ headrooms: headroomsWith({ 'wrist-extension-loaded/left': 66, 'wrist-extension-loaded/right': 66 }) });
    expect(rest).toEqual([]);
    expect(line).toMatchObject({
      rule: 'demand',
      limiter: true,
      sentence: 'Left loaded wrist extension 66° ± 7°; at least 75° asked. Right loaded wrist extension 66° ± 7°; at least 75° asked.',
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
    const sentences = unmet({ headrooms: headroomsWith({}, 27) }).map((l) => l.sentence);
    expect(sentences).toContain('Plank hold was last checked 27 days ago; 21 days is the limit. Check it again.');
    expect(sentences.some((s) => s.includes('wrist extension'))).toBe(false);
  });

  it('a check never taken', () => {
    const headrooms = demands.map((d) => headroom(undefined, d, measureOf(d.measureId), now));
    expect(unmet({ headrooms })[0]?.sentence).toMatch(/has never been checked; at least 60° asked/);
  });

  it('sides that differ beyond their limit: where it is new, or the weaker has no spare', () => {
    const headrooms = headroomsWith({ 'wrist-extension/left': 66, 'wrist-extension/right': 80 });
    const earlier =
      (left: number, right: number): GateInput['before'] =>
      (measureId, side) =>
        ({
          ...headrooms.find((h) => h.side === side && h.demand.measureId === measureId)!.capacity!,
          value: side === 'left' ? left : right,
        }) as Capacity;
    expect(unmet({ headrooms, before: earlier(70, 72) })).toMatchObject([
      {
        rule: 'sides',
        apart: 'new',
        sentence: 'Sides of wrist extension differ by 14°; up to 9° counts as alike. They were alike the time before: find out why first.',
      },
    ]);
    expect(unmet({ headrooms, before: earlier(60, 78) })).toEqual([]);
    expect(unmet({ headrooms })).toEqual([]);
    const short = unmet({ headrooms: headroomsWith({ 'wrist-extension/left': 58, 'wrist-extension/right': 80 }) });
    expect(short.find((f) => f.rule === 'sides')).toMatchObject({ apart: 'weaker short' });
  });

  it('an open stop sign', () => {
    expect(unmet({ openStopSigns: [SHARP] })).toMatchObject([{ rule: 'stop-signs' }]);
  });

  it('a symptom above two within seven days, and not one of nine days ago', () => {
    const ache = (daysAgo: number): Symptom => ({
      intensity: 3,
      place: 'elbow',
      side: 'left',
      kind: 'ache',
      moment: 'during',
      at: addDays(now, -daysAgo),
    });
    expect(unmet({ symptoms: [ache(6)] })).toMatchObject([
      {
        rule: 'symptoms',
        sentence: 'Wed 18 Nov: ache 3/10, left elbow, during. 7 quiet days after it are needed.',
      },
    ]);
    expect(unmet({ symptoms: [ache(9)] })).toEqual([]);
    expect(unmet({ symptoms: [{ ...ache(6), intensity: 2 }] })).toEqual([]);
  });

  it('a morning that nobody asked about, and one above baseline', () => {
    expect(unmet({ sessions: [session(2, { symptoms: [] }), session(5)] })).toMatchObject([
      { rule: 'mornings', sentence: 'The morning after Sun 22 Nov is not recorded yet.' },
    ]);
    const sore: Symptom = { ...quietMorning(now), intensity: 2, kind: 'ache' };
    expect(unmet({ sessions: [session(2, { symptoms: [sore] }), session(5)] })).toMatchObject([{ rule: 'mornings' }]);
    const before: Symptom = { ...sore, moment: 'before' };
    expect(unmet({ sessions: [session(2, { symptoms: [before, sore] }), session(5)] })).toEqual([]);
    // Muscles that are a little sore are no worse morning; very sore ones are.
    const muscles = (intensity: number): Symptom => ({ ...sore, kind: 'soreness', intensity });
    expect(unmet({ sessions: [session(2, { symptoms: [muscles(4)] }), session(5)] })).toEqual([]);
    expect(unmet({ sessions: [session(2, { symptoms: [muscles(5)] }), session(5)] })).toMatchObject([{ rule: 'mornings' }]);
  });

  it('at a place of lasting pain one point more may be there on the morning, if it is gone after two days', () => {
    const usual = 2;
    const at = (intensity: number, hoursAfter: number): Symptom => ({
      ...quietMorning(now),
      ...{ intensity, kind: 'ache', at: addDays(now, -3 + hoursAfter / 24), judged: { quiet: intensity <= usual, usual } },
    });
    const found = (...felt: readonly Symptom[]) =>
      unmet({ sessions: [session(3, { symptoms: felt.slice(0, 1) }), session(5)], symptoms: felt.slice(1) }).map((f) => f.rule);
    expect(found(at(2, 20))).toEqual([]);
    expect(found(at(3, 20))).toEqual([]);
    expect(found(at(4, 20))).toEqual(['mornings']);
    expect(found(at(3, 20), { ...at(3, 48), judged: { quiet: true, usual } })).toEqual(['mornings']);
    expect(found(at(3, 20), { ...at(3, 47), judged: { quiet: true, usual } })).toEqual([]);
    expect(found(at(3, 20), at(2, 60))).toEqual([]);
  });

  it.each<[string, readonly SessionFact[]]>([
    ['one clean session', [session(2)]],
    ['two clean sessions 24 hours apart', [session(2), session(3)]],
    ['one clean and one not', [session(2), session(5, { clean: false })]],
    ['two clean ones of which one is over 28 days old', [session(2), session(29)]],
  ])('%s', (_, sessions) =>
    expect(unmet({ sessions })).toMatchObject([
      { rule: 'clean-sessions', sentence: expect.stringMatching(/^1 of 2 clean sessions/) as string },
    ]),
  );

  it('clean sessions without the practice of the rung in hand, or before the last withdrawal', () => {
    expect(unmet({ practice: { ...OPEN.practice, drillIds: ['practice-floor', PRACTICE] } })).toEqual([]);
    expect(unmet({ practice: { ...OPEN.practice, drillIds: ['practice-wall-push-up'] } })).toMatchObject([{ rule: 'clean-sessions' }]);
    expect(unmet({ since: [addDays(now, -30), addDays(now, -3)] })).toMatchObject([{ rule: 'clean-sessions' }]);
  });

  it('a lock of the screening', () =>
    expect(unmet({ locks: [{ code: 'never-screened' }] })).toMatchObject([
      { rule: 'screening', sentence: 'The screening before training has not been answered yet.' },
    ]));
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

  it('a rung without demands', () => expect(rules({ headrooms: [] })).toEqual(['demand-asked']));

  it('a figure dated in the future, by more than clocks differ', () => {
    const dated = (minutes: number) =>
      OPEN.headrooms.map((h, i) =>
        i === 0 && h.capacity
          ? headroom({ ...h.capacity, takenAt: addDays(now, minutes / 1440) }, h.demand, measureOf(h.demand.measureId), now)
          : h,
      );
    expect(unmet({ headrooms: dated(4) })).toEqual([]);
    expect(unmet({ headrooms: dated(60) })[0]).toMatchObject({
      rule: 'demand',
      sentence: expect.stringContaining('dated in the future') as string,
    });
  });

  it('a stopping kind of pain at low strength, closed the same day: loud for the days that are to be quiet', () => {
    expect(rules({ symptoms: [felt({ kind: 'sharp' })] })).toEqual(['symptoms']);
    expect(unmet({ symptoms: [felt({ kind: 'sharp', at: at(7.1) })] })).toEqual([]);
    expect(unmet({ symptoms: [felt({ kind: 'ache' })] })).toEqual([]);
  });

  it('a symptom of the next morning that was reported outside a session', () => {
    expect(rules({ symptoms: [felt({ intensity: 4, moment: 'next morning' })] })).toEqual(['symptoms']);
  });

  it('a morning recorded an hour after its session', () => {
    const early = session(2, { symptoms: [quietMorning(new Date(addDays(at(2), 1 / 24)))] });
    expect(rules({ sessions: [early, session(5)] })).toEqual(['mornings']);
  });

  it('a morning that lies inside the quiet days while its session lies just outside', () => {
    const sore: Symptom = { ...felt({ intensity: 2, moment: 'next morning' }), at: at(6.6) };
    const outside = session(7.9, { symptoms: [sore] });
    expect(rules({ sessions: [session(2), session(5), outside] })).toEqual(['mornings']);
    expect(rules({ sessions: [session(2), session(5), session(7.9, { symptoms: [] })] })).toEqual([]);
  });

  it('a morning that is worse at another place than the one that hurt before', () => {
    const before = felt({ intensity: 2, moment: 'before', place: 'shoulder', at: at(2) });
    const morning = felt({ intensity: 2, moment: 'next morning', place: 'wrist', at: at(1.2) });
    expect(rules({ sessions: [session(2, { symptoms: [before, morning] }), session(5)] })).toEqual(['mornings']);
    const same = { ...morning, place: 'shoulder' } as const;
    expect(rules({ sessions: [session(2, { symptoms: [before, same] }), session(5)] })).toEqual([]);
    expect(rules({ sessions: [session(2, { symptoms: [before, { ...same, side: 'right' }] }), session(5)] })).toEqual(['mornings']);
  });

  it('a newest attempt that was skipped for pain, while an older figure still stands', () => {
    const skipped = { at: addDays(now, -0.5), reason: 'pain' } as const;
    const headrooms = OPEN.headrooms.map((h) => headroom(h.capacity, h.demand, measureOf(h.demand.measureId), now, skipped));
    expect(unmet({ headrooms })[0]).toMatchObject({
      rule: 'demand',
      sentence: expect.stringContaining('skipped at the newest try (pain)') as string,
    });
    const earlier = OPEN.headrooms.map((h) =>
      headroom(h.capacity, h.demand, measureOf(h.demand.measureId), now, { ...skipped, at: addDays(now, -3) }),
    );
    expect(rules({ headrooms: earlier })).toEqual([]);
  });

  it('a stop sign that was closed within the quiet days, however long ago it was felt', () => {
    expect(rules({ lastStopSignClosedAt: at(2) })).toEqual(['settled']);
    expect(rules({ lastStopSignClosedAt: at(7.1) })).toEqual([]);
  });

  it('sessions under less than the load of the rung, or below the drill’s own top', () => {
    const lighter = (load: number) => [2, 5].map((d) => session(d, { practised: [{ drillId: PRACTICE, top: true, load }] }));
    expect(rules({ sessions: lighter(0.89) })).toEqual(['clean-sessions']);
    expect(rules({ sessions: lighter(0.9) })).toEqual([]);
    expect(rules({ sessions: [2, 5].map((d) => session(d, { practised: [{ drillId: PRACTICE, top: false, load: 1 }] })) })).toEqual([
      'clean-sessions',
    ]);
  });

  it('one planned session that was logged twice, days apart', () => {
    const twice = [session(2, { plannedSessionId: 'p' }), session(5, { plannedSessionId: 'p' })];
    expect(rules({ sessions: twice })).toEqual(['clean-sessions']);
    expect(rules({ sessions: [session(2, { plannedSessionId: 'q' }), session(5, { plannedSessionId: 'p' })] })).toEqual([]);
  });

  it('a session in the future, or dated before the trainee was known', () => {
    expect(rules({ sessions: [session(-3), session(2)] })).toContain('clean-sessions');
    expect(rules({ since: [at(4)] })).toEqual(['clean-sessions']);
  });

  it('48 hours are elapsed hours, also where clocks change', () => {
    // Clocks in central Europe went back on 25 October 2026: from Saturday 18:00 to Monday 17:00 by the wall are 48 hours.
    const fall = new Date('2026-10-27T12:00:00Z');
    const on = (when: string) => ({ ...session(2), id: when, performedAt: instant(when), symptoms: [quietMorning(fall)] });
    const judged = judgeGate({
      ...OPEN,
      now: fall,
      headrooms: OPEN.headrooms,
      sessions: [on('2026-10-24T16:00:00Z'), on('2026-10-26T16:00:00Z')],
    });
    expect(judged.findings.find((f) => f.rule === 'clean-sessions')).toMatchObject({ counted: 2 });
  });
});

describe('how likely it is that every demand is truly met', () => {
  it('falls with the number of demands and is nothing while one is unknown', () => {
    const { likelihood = 0 } = judgeGate(OPEN);
    expect(likelihood).toBeGreaterThan(0.9);
    const close = headroomsWith({ 'plank-hold/whole': 17.5 });
    expect(judgeGate({ ...OPEN, headrooms: close }).likelihood ?? 1).toBeLessThan(likelihood);
    expect(judgeGate({ ...OPEN, headrooms: headroomsWith({}, 27) }).likelihood).toBeUndefined();
  });
});

describe('on the very edge of a rule', () => {
  const settledOn = (days: number) => rules({ lastStopSignClosedAt: addDays(now, -days) });
  const ache = (days: number): Symptom => ({ ...quietMorning(now), intensity: 4, kind: 'ache', moment: 'during', at: addDays(now, -days) });

  it('seven days to the hour are not yet past', () => {
    expect([settledOn(7), settledOn(7.01)]).toEqual([['settled'], []]);
    expect([rules({ symptoms: [ache(7)] }), rules({ symptoms: [ache(7.01)] })]).toEqual([['symptoms'], []]);
    const unreported = { symptoms: [] };
    expect(rules({ sessions: [session(2), session(5), session(7, unreported)] })).toEqual(['mornings']);
    expect(rules({ sessions: [session(2), session(5), session(7.01, unreported)] })).toEqual([]);
  });

  it('a session counts for 28 days, not before its time by more than clocks differ, and not at the moment of a withdrawal', () => {
    const next = { sessions: [session(2), session(28)] };
    expect([rules(next), rules({ sessions: [session(2), session(28.01)] })]).toEqual([[], ['clean-sessions']]);
    const ahead = (minutes: number) => rules({ sessions: [session(5), session(-minutes / 1440, { symptoms: [quietMorning(now)] })] });
    expect(ahead(4)).not.toContain('clean-sessions');
    expect(ahead(6)).toContain('clean-sessions');
    expect([rules({ since: [addDays(now, -5)] }), rules({ since: [addDays(now, -5.01)] })]).toEqual([['clean-sessions'], []]);
  });

  it('a session that holds the practice beside other drills counts', () => {
    const practised = [
      { drillId: 'plank', top: true, load: 1 },
      { drillId: PRACTICE, top: true, load: 1 },
    ];
    expect(rules({ sessions: [session(2, { practised }), session(5, { practised })] })).toEqual([]);
  });

  it('one limiter is named, and it is unmet', () => {
    const { findings } = judgeGate({ ...OPEN, headrooms: headroomsWith({ 'wrist-extension-loaded/left': 66, 'plank-hold/whole': 1 }) });
    expect(findings.flatMap((f) => (f.rule === 'demand' && f.limiter ? [f.met] : []))).toEqual([false]);
    expect(judgeGate(OPEN).findings.some((f) => f.rule === 'demand' && f.limiter)).toBe(false);
  });
});

it('guards safety by the rules that nobody signs against, and by no other', () => {
  expect(GATE_RULES.filter(guardsSafety).map((r) => r.rule)).toEqual([
    'stop-signs',
    'settled',
    'symptoms',
    'mornings',
    'tissue-time',
    'screening',
    'rung-open',
  ]);
  expect(guardsSafety({ rule: 'demand' })).toBe(false);
});

it('each rule says what it rests on and what a studio may set about it', () => {
  expect(Object.fromEntries(GATE_RULES.map((r) => [r.rule, [...r.evidence, '|', ...r.settings].join(' ')]))).toEqual({
    'demand-asked': 'ladder |',
    demand: 'check | freshPercent',
    sides: 'check | sideDifferencePercent',
    'stop-signs': 'stop sign |',
    settled: 'stop sign | quietDays',
    symptoms: 'symptom | quietDays',
    mornings: 'session symptom | quietDays',
    'clean-sessions': 'session stop sign screening | cleanSessions hoursApart sessionWindowDays',
    'tissue-time': 'session screening |',
    screening: 'screening consultation |',
    'rung-open': 'screening consultation |',
  });
});

it('asks what is shipped where nobody set anything, within limits that only make it stricter', () => {
  expect(DEFAULT_GATE_SETTINGS).toEqual({
    cleanSessions: 2,
    hoursApart: 48,
    sessionWindowDays: 28,
    quietDays: 7,
    sideDifferencePercent: 10,
    freshPercent: 100,
  });
  const { sessionWindowDays, sideDifferencePercent, freshPercent, ...atLeast } = GATE_LIMITS;
  expect(sessionWindowDays).toEqual({ min: 7, max: DEFAULT_GATE_SETTINGS.sessionWindowDays });
  expect(freshPercent).toEqual({ min: 25, max: DEFAULT_GATE_SETTINGS.freshPercent });
  expect(sideDifferencePercent).toEqual({ min: 3, max: DEFAULT_GATE_SETTINGS.sideDifferencePercent });
  for (const [setting, { min, max }] of Object.entries(atLeast)) {
    expect(min).toBe(DEFAULT_GATE_SETTINGS[setting as keyof typeof atLeast]);
    expect(max).toBeGreaterThan(min);
  }
});
