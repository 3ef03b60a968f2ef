import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import {
  breathOf,
  isHeavier,
  mannersNear,
  mostKg,
  plannedDoseInWords,
  sameManner,
  slower,
  stepped,
  takes,
  tensionSeconds,
} from '../drills/index.ts';
import { fittedTo, openLibrary } from '../library/index.ts';
import { addDays, type Instant, instant } from '../quantities/index.ts';
import { bodyModel } from '../statics/index.ts';
import { type DrillDone, mayDo, type MayDoFacts, mayInWords, nextDose, plannerFacts } from './index.ts';
import { doseBecauseInWords } from './words/index.ts';
import { ANYTHING_SHOWN, NOTHING_SHOWN, type Shown } from './shown.ts';
import { mannerNow, mostOfASet, shownSets } from './shownSets.ts';

const MASS = 80;
const library = fittedTo(openLibrary(BUILT_IN), bodyModel({ statureM: 1.75, massKg: MASS }));
const halo = library.drill('halo');
const rotation = library.drill('band-external-rotation');
const carry = library.drills.find((d) => d.support?.setUp.position === 'carry' && !d.rung)!;
const facts = (shown: Shown = ANYTHING_SHOWN): MayDoFacts => ({
  library,
  cautions: [],
  equipment: library.drills.flatMap((d) => d.equipment),
  foothold: { ladderId: 'push-up', here: -1, shown },
});
const NOW = new Date('2026-11-27T12:00:00Z');
const daysAgo = (days: number): Instant => instant(addDays(NOW, -days));

describe('a weight, a band or a tempo', () => {
  it('belongs to drills that are done with one', () => {
    expect(takes(halo)).toEqual({ kg: true, band: false, tempo: true, course: true });
    expect(takes(rotation)).toMatchObject({ kg: false, band: true });
    expect(takes(library.drill('plank'))).toEqual({ kg: false, band: false, tempo: false, course: false });
    // A band that helps with a pull-up is part of the set-up.
    for (const d of library.drills.filter((one) => one.support?.setUp.position === 'band-hang')) expect(takes(d).band).toBe(false);
  });

  it('goes from one to the next, and ends', () => {
    expect(stepped(halo, { kg: 1.5 }, 1)).toEqual({ kg: 2 });
    expect(stepped(carry, { kg: 10 }, 1)).toEqual({ kg: 12.5 });
    expect(stepped(halo, { kg: 0.5 }, -1)).toBeUndefined();
    expect([stepped(rotation, { band: 'light' }, 1), stepped(rotation, { band: 'very strong' }, 1)]).toEqual([
      { band: 'medium' },
      undefined,
    ]);
    expect(stepped(library.drill('plank'), {}, 1)).toBeUndefined();
    expect([isHeavier({ kg: 2 }, { kg: 1.5 }), isHeavier({ band: 'light' }, { band: 'strong' }), isHeavier({ kg: 1 })]).toEqual([
      true,
      false,
      true,
    ]);
  });

  it('is offered near the one in hand, or from the first', () => {
    expect(mannersNear(halo).map((m) => m.kg)).toEqual([0.5, 1, 1.5, 2, 2.5]);
    expect(mannersNear({ ...carry, manner: { kg: 10 } }).map((m) => m.kg)).toEqual([2.5, 5, 7.5, 10, 12.5, 15, 17.5]);
    expect(mannersNear(rotation)).toHaveLength(5);
    expect(mannersNear(library.drill('plank'))).toEqual([]);
  });

  it('is said with the dose, and a tempo takes its time', () => {
    const planned = library.asPlanned({ drillId: 'halo', manner: { kg: 2, tempo: { out: 5, hold: 0, back: 5 } } });
    expect(plannedDoseInWords({ sets: 2, min: 8, max: 10 }, planned)).toMatch(/^2 × 8–10 reps.*, 2 kg$/);
    expect(tensionSeconds(planned, { sets: 1, max: 10 }) / (planned.dose.perSide ? 2 : 1)).toBe(100);
    expect(halo.manner).toBeUndefined();
    const course = { pulses: 3, lastHold: 10, helper: 'resists', breath: { out: 'in' } } as const;
    const own = library.asPlanned({ drillId: 'halo', manner: { tempo: { out: 2, hold: 0, back: 2, rest: 1 }, course } });
    // Ten repetitions of 2 + 2 + 1 s with three pulses of a second each, and the last one held for ten.
    expect(tensionSeconds(own, { sets: 1, max: 10 }) / (own.dose.perSide ? 2 : 1)).toBe(10 * (5 + 3) + 10);
    expect(plannedDoseInWords({ sets: 1, min: 10, max: 10 }, own)).toMatch(
      /, 3 pulses at the end of each, the last one held 10 s, a helper resists$/,
    );
    expect([breathOf(halo), breathOf(own)]).toEqual([halo.teaching?.breath, { out: 'in' }]);
    // An empty course takes the drill's own away, which is not the same as none.
    expect(library.asPlanned({ drillId: 'prone-a-lifts', manner: { course: {} } }).dose.course).toEqual({});
    expect([sameManner({ course: {} }, {}), sameManner({ course: { pulses: 2 } }, { course: { pulses: 2 } })]).toEqual([false, true]);
  });

  it('in one hand is what that hand carries', () => {
    const planned = library.asPlanned({ drillId: carry.id, manner: { kg: 20 } });
    expect(planned.handLoad?.perArm).toBeCloseTo(20 / MASS, 9);
  });
});

describe('what may be done with it', () => {
  const of = (drillId: string, kg: number) => ({ drillId, sets: 1, min: 1, max: 5, restSeconds: 0, manner: { kg } });
  const shownWith = (...kg: number[]): Shown => ({ ...ANYTHING_SHOWN, sets: { halo: kg.map((k) => ({ most: 10, perArm: 0, kg: k })) } });

  it('begins small, and grows by a step at most', () => {
    expect([mayDo(facts(), of('halo', 2.5)).answer, mayDo(facts(), of('halo', 3)).answer]).toEqual(['may', 'may not']);
    expect(mayDo(facts(shownWith(3)), of('halo', 3.5)).answer).toBe('may');
    const may = mayDo(facts(shownWith(3)), of('halo', 90));
    expect(may).toEqual({ answer: 'may not', because: { kind: 'weight', kg: 90, most: 3.5, shown: 3 } });
    expect(mayInWords(may, halo, library)).toBe('90 kg: 3 kg were the most that was done clean in the last weeks, so at most 3.5 kg.');
    expect(mayInWords(mayDo(facts(), of('halo', 4)), halo, library)).toBe('4 kg: begin with at most 2.5 kg.');
    // Done without a weight that anybody named: as anybody begins.
    expect([mostKg(halo), mostKg(halo, 0), mostKg(halo, 2.5), mostKg(carry)]).toEqual([2.5, 2.5, 3, 12]);
  });

  it('in one hand is held against the grip that was shown', () => {
    const light = facts({ ...NOTHING_SHOWN, carry: { perArm: 0.1, by: 'entry' } });
    expect(mayDo(light, of(carry.id, 7.5)).answer).not.toBe('may not');
    expect(mayDo(light, of(carry.id, 20))).toMatchObject({ answer: 'may not', because: { kind: 'beyond', what: 'load' } });
  });

  it('counts sets of about that weight', () => {
    const sets = shownSets(
      (['left', 'right', 'whole'] as const).map((side) => ({ drillId: 'halo', side, most: 4, manner: { kg: 1 } })),
      library,
    );
    const with2 = library.asPlanned({ drillId: 'halo', manner: { kg: 2 } });
    const with1 = library.asPlanned({ drillId: 'halo', manner: { kg: 1 } });
    expect(sets.halo?.[0]).toMatchObject({ kg: 1 });
    expect([mostOfASet(with1, sets)?.shown, mostOfASet(with2, sets)]).toEqual([4, undefined]);
  });
});

describe('the next dose', () => {
  const done = (days: number, drill = halo): DrillDone => ({
    ...{ at: daysAgo(days), effort: 5, plannedSets: drill.dose.sets, max: drill.dose.max, symptoms: [] },
    sets: Array.from({ length: drill.dose.sets * (drill.dose.perSide ? 2 : 1) }, () => ({ amount: drill.dose.max, faults: [] })),
  });
  const twice = (planned: Parameters<typeof nextDose>[1]) => nextDose([done(1), done(4)], planned, 'count')!;
  const { sets, min, max, restSeconds } = halo.dose;

  it('is the next weight once the repetitions are at their top', () => {
    const next = twice({ drill: library.asPlanned({ drillId: 'halo', manner: { kg: 1.5 } }), dose: { sets, min, max, restSeconds } });
    expect(next).toMatchObject({ change: 'more', manner: { kg: 2 }, dose: { max } });
    expect(doseBecauseInWords(next)).toContain('Next: 2 kg.');
  });

  it('is more repetitions first', () => {
    const lower = { sets, min: 1, max: max - 3, restSeconds };
    const next = nextDose(
      [1, 4].map((days) => ({ ...done(days), max: max - 3 })),
      { drill: library.asPlanned({ drillId: 'halo', manner: { kg: 1.5 } }), dose: lower },
      'count',
    )!;
    expect(next.manner).toBeUndefined();
    expect(next.dose.max).toBeGreaterThan(lower.max);
    expect(next.dose.max).toBeLessThanOrEqual(max);
  });

  it('is a slower way back where neither load nor amount may grow', () => {
    const bare = { ...halo, manner: undefined as never };
    const next = twice({ drill: bare, dose: { sets, min: max, max: 2 * max, restSeconds } });
    expect(next.manner?.tempo).toEqual(slower(halo.dose));
    expect(next.dose.max).toBe(2 * max);
    expect(slower({ unit: 'reps', tempo: { out: 2, hold: 0, back: 6 } })).toBeUndefined();
    expect(slower({ unit: 's' })).toBeUndefined();
  });
});

it('weighs less after days without load, and no more than was shown', () => {
  const done = [{ drillId: 'halo', side: 'whole' as const, most: 8, manner: { kg: 2 } }];
  const both = ['left', 'right', 'whole'].map((side) => ({ ...done[0]!, side: side as 'left' }));
  const [before, after] = [shownSets(both, library), shownSets(both, library, 0.7)];
  expect([before.halo?.[0]?.kg, after.halo?.[0]?.kg]).toEqual([2, 1.25]);
  const last = { halo: { kg: 2, tempo: { out: 3, hold: 0, back: 3 } }, plank: {} };
  expect(mannerNow('halo', last, before)).toEqual(last.halo);
  expect(mannerNow('halo', last, after)).toEqual({ ...last.halo, kg: 1.25 });
  // Nothing clean with a weight: the tempo stays, the weight is named anew.
  expect(mannerNow('halo', last, {})).toEqual({ tempo: last.halo.tempo });
  expect(mannerNow('halo', { halo: { kg: 2 } }, {})).toBeUndefined();
  expect([mannerNow('halo', last), mannerNow('gone', last, after)]).toEqual([last.halo, undefined]);
  const facts85 = facts({ ...ANYTHING_SHOWN, sets: after });
  expect(mayDo(facts85, { drillId: 'halo', sets: 1, min: 1, max: 5, restSeconds: 0, manner: { kg: 2 } }).answer).toBe('may not');
});

it('is remembered from the last time', () => {
  const doneAmounts = [
    { drillId: 'halo', side: 'whole', most: 8, manner: { kg: 1 }, lastAt: daysAgo(9) },
    { drillId: 'halo', side: 'whole', most: 6, manner: { kg: 1.5 }, lastAt: daysAgo(2) },
    { drillId: 'plank', side: 'whole', most: 20, lastAt: daysAgo(2) },
  ] as const;
  const past = { knownDrills: [], firstAt: undefined, lastLoadedAt: undefined, capacities: [], doneAmounts };
  const { lastManner } = plannerFacts([], { ...past, foothold: { ladderId: 'push-up', here: -1 } }, { library, massKg: MASS, now: NOW });
  expect(lastManner).toEqual({ halo: { kg: 1.5 } });
});
