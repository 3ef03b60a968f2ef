import seedrandom from 'seedrandom';
import { expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as LIBRARY } from '../catalogue/index.ts';
import type { Capacity } from '../measuring/index.ts';
import { addDays, type Amount } from '../quantities/index.ts';
import { binomialInterval } from '../statistics/index.ts';
import { calibrate, type Replay } from './calibrate.ts';
import { expectedIn, forecastCapacity, poolGains } from './capacity.ts';
import { effectOf } from './dose.ts';
import { normalDraws, quantileOf } from './draws.ts';
import type { DemandOutlook } from './demand.ts';
import { fanOf } from './fan.ts';
import { forecastGate, type GateOutlook, HORIZON_DAYS, WAITING } from './gate.ts';
import { narrowingOf } from './narrowing.ts';
import { scaleOf } from './scale.ts';
import { intervalOf } from './trend.ts';
import { usualWeeks, whatIf, type WhatIf } from './whatIf.ts';

const NOW = new Date('2026-03-01T12:00:00Z');
const MEASURE = LIBRARY.measure('wrist-extension');
const SCALE = scaleOf(MEASURE);
const SE = SCALE.usualError;

function capacity(daysAgo: number, value: number): Capacity {
  return {
    measureId: MEASURE.id,
    side: 'left',
    value: value as Amount,
    band: (1.645 * SE) as Amount,
    standardError: SE as Amount,
    trials: 3,
    takenAt: addDays(NOW, -daysAgo),
    errorBasis: 'default',
  };
}
const history = (...values: readonly number[]) => values.map((v, i) => capacity(14 * (values.length - 1 - i), v));

const outlook = (
  from: number,
  figures: readonly Capacity[],
  own: Partial<GateOutlook> = {},
  doses = [6, 6, 6, 6, 6, 6, 6, 6],
): GateOutlook => ({
  demands: [demand(from, figures, doses)],
  waits: { blocked: [], days: 0, sessions: [] },
  rhythm: { sessionsPerWeek: 2, minutes: 45, held: 8, counted: 6 },
  nextCheckDays: 7,
  checkDays: 14,
  ...own,
});
const demand = (from: number, figures: readonly Capacity[], doses = [6, 6, 6, 6, 6, 6, 6, 6]): DemandOutlook => ({
  measureId: MEASURE.id,
  side: 'left',
  passing: { from },
  trend: forecastCapacity(figures, doses, MEASURE, { now: NOW }),
  passesDays: 0,
  freshDays: 28,
  weeklySets: 6,
  work: [
    { drillId: 'wrist-rocks', weeklySets: 4 },
    { drillId: 'plank', weeklySets: 2 },
  ],
});
const random = () => seedrandom.alea('one');
const RISING = history(60, 63, 65, 68, 70);

it('two checks, checks all equal, an outlier, a gap of a year', () => {
  expect(forecastGate(outlook(80, history(60, 63)), random())).toEqual({
    kind: 'too little',
    missing: [{ measureId: MEASURE.id, side: 'left', checks: 2, needed: 3 }],
  });
  expect(forecastGate(outlook(95, history(60, 60, 60, 60, 60)), random())).toMatchObject({ kind: 'not at this rate' });
  const wild = forecastCapacity(history(60, 63, 65, 68, 120), [], MEASURE, { now: NOW });
  expect(wild.state.mean[0]).toBeLessThan(90);
  const gap = forecastCapacity([...history(60, 63, 65), capacity(365, 50)], [], MEASURE, { now: NOW });
  expect(gap.state.mean.every(Number.isFinite)).toBe(true);
  expect(() => forecastCapacity([], [], MEASURE, { now: NOW })).toThrow('at least one figure');
  expect(() => forecastCapacity([capacity(1, 60), { ...capacity(1, 60), side: 'right' }], [], MEASURE, { now: NOW })).toThrow();
});

it('a corrected past counts once, and what is dated later is not looked at', () => {
  const known = forecastCapacity(RISING, [], MEASURE, { now: NOW });
  expect(forecastCapacity([...RISING, capacity(-3, 120)], [], MEASURE, { now: NOW }).state).toEqual(known.state);
  expect(forecastCapacity([...RISING, ...RISING.slice(2, 3)], [], MEASURE, { now: NOW }).state).toEqual(known.state);
});

it('a seeded run gives one answer, a range with its reason', () => {
  const told = forecastGate(outlook(80, RISING), random());
  expect(told).toEqual(forecastGate(outlook(80, RISING), random()));
  if (told.kind !== 'range') throw new Error(told.kind);
  expect(told.early).toBeLessThan(told.median);
  expect(told.median).toBeLessThan(told.late ?? Infinity);
  expect(told.deciding[0]?.what).toBe(MEASURE.id);
});

it('more training comes sooner, a missed fortnight later, a wider calibration is wider', () => {
  const median = (own: Partial<GateOutlook>, sets = 6) => {
    const one = outlook(80, RISING, own);
    const [first] = one.demands;
    if (!first?.trend) throw new Error('no trend');
    const told = forecastGate({ ...one, demands: [{ ...first, trend: { ...first.trend, effect: effectOf(sets) } }] }, random());
    return told.kind === 'range' ? told : { median: Infinity, early: 0, late: Infinity };
  };
  expect(median({}, 12).median).toBeLessThan(median({}, 6).median);
  expect(median({}, 6).median).toBeLessThan(median({}, 2).median);
  expect(median({ missedDays: 14 }).median).toBeGreaterThan(median({}).median);
  expect(median({ widen: 2 }).early).toBeLessThan(median({}).early);
});

it('the waiting rules run beside: nobody opens a gate sooner than they allow, and they are named when they decide', () => {
  const met = { ...demand(50, RISING), passesDays: 28 };
  const waits = { blocked: [], days: 9, sessions: [{ rule: 'clean-sessions', missing: 2, hoursApart: 48 }] } as const;
  const told = forecastGate(outlook(50, RISING, { demands: [met], waits }), random());
  if (told.kind !== 'range') throw new Error(told.kind);
  expect(told.early).toBeGreaterThanOrEqual(9);
  expect(told.deciding[0]?.what).toBe(WAITING);
  const blocked = { ...waits, blocked: ['screening'] } as const;
  expect(forecastGate(outlook(50, RISING, { waits: blocked }), random())).toEqual({ kind: 'blocked', blocked: ['screening'] });
});

it('what others gained pulls the prior towards them, by how much they tell', () => {
  expect(poolGains([])).toEqual({ mean: 0.25, sd: 0.25 });
  const pooled = poolGains(Array.from({ length: 20 }, (_, i) => ({ mean: 0.5 + (i % 2) * 0.1, sd: 0.1 })));
  expect(pooled.mean).toBeGreaterThan(0.45);
  expect(pooled.sd).toBeLessThan(0.2);
});

/*
 * A population of 500 whose truth is known: each grows by a gain and drift of its own, is checked with error about every fortnight, six
 * times before the forecast and on until the gate opens.
 */
it('of 500 made-up trainees four fifths open their gate inside the range, sharper than a line through the last three checks', () => {
  const uniform = seedrandom.alea('population');
  const normal = normalDraws(uniform);
  const replays: Replay[] = [];
  const lineErrors: number[] = [];
  const ownErrors: number[] = [];
  const signed: number[] = [];
  for (let n = 0; replays.length < 500 && n < 2000; n++) {
    const { model } = forecastCapacity([capacity(0, 60)], [], MEASURE, { now: NOW });
    let [x, v] = [60 + 5 * normal(), model.drift * normal()];
    const g = model.gain.mean + model.gain.sd * normal();
    const walk = (weeks: number) => {
      const step = intervalOf(model, weeks);
      const l11 = Math.sqrt(step.xx);
      const l21 = step.xv / l11;
      const [n1, n2] = [normal(), normal()];
      x += step.through * v + g * weeks + l11 * n1;
      v = step.left * v + l21 * n1 + Math.sqrt(step.vv - l21 * l21) * n2;
    };
    const read = () => x + SE * normal();
    const seen: Capacity[] = [];
    for (let i = 5; i >= 0; i--) {
      seen.push(capacity(14 * i, read()));
      if (i > 0) walk(2);
    }
    const from = (seen.at(-1)?.value ?? 0) + SE * (0.5 + 2.5 * uniform());
    const told = forecastGate(
      outlook(
        from,
        seen,
        { nextCheckDays: 14, draws: 500 },
        Array.from({ length: 12 }, () => 6),
      ),
      uniform,
    );
    let happened: number | undefined;
    for (let day = 14; day <= HORIZON_DAYS && happened === undefined; day += 14) {
      walk(2);
      // The coach checks about then.
      if (read() >= from) happened = Math.max(0, day + 14 * 0.35 * (2 * uniform() - 1));
    }
    if (told.kind !== 'range') continue;
    replays.push({ ...told, happened, knownDays: HORIZON_DAYS });
    if (happened === undefined) continue;
    const lastThree = seen.slice(-3).map((c) => c.value);
    const slope = ((lastThree[2] ?? 0) - (lastThree[0] ?? 0)) / 28;
    const line = slope > 0 ? Math.min(HORIZON_DAYS, (from - (lastThree[2] ?? 0)) / slope) : HORIZON_DAYS;
    lineErrors.push(Math.abs(line - happened));
    ownErrors.push(Math.abs(told.median - happened));
    signed.push(told.median - happened);
  }
  const { share, judged } = calibrate(replays);
  const middle = (values: number[]) =>
    quantileOf(
      [...values].sort((a, b) => a - b),
      0.5,
    );
  const report = { share, judged, bias: middle(signed), own: middle(ownErrors), line: middle(lineErrors) };
  expect(share?.value, JSON.stringify(report)).toBeGreaterThanOrEqual(0.75);
  expect(share?.value, JSON.stringify(report)).toBeLessThanOrEqual(0.85);
  expect(Math.abs(report.bias), JSON.stringify(report)).toBeLessThan(0.1 * HORIZON_DAYS);
  expect(report.own, JSON.stringify(report)).toBeLessThan(report.line);
}, 60_000);

it('calibration: what held is left alone, what was too narrow is widened until it would have held, what is open is not judged', () => {
  const one = (happened: number | undefined, knownDays = 100): Replay => ({ early: 20, median: 30, late: 40, happened, knownDays });
  const held = calibrate([...Array.from({ length: 16 }, () => one(31)), ...Array.from({ length: 4 }, () => one(60))]);
  expect(held).toMatchObject({ judged: 20, inside: 16, medianError: 1, sharpness: 20, widen: 1 });
  expect(calibrate(Array.from({ length: 20 }, (_, i) => one(i < 8 ? 31 : 50)))).toMatchObject({ inside: 8, widen: 2 });
  expect(calibrate([one(undefined, 30), one(undefined, 50)])).toMatchObject({ judged: 1, open: 1, inside: 0 });
  expect(calibrate([])).toEqual({ judged: 0, open: 0, inside: 0, widen: 1 });
});

it('exact binomial intervals are those of the published table', () => {
  // Clopper and Pearson's 95% limits, as printed in tables of exact limits (from memory).
  for (const [hits, n, from, to] of [
    [0, 10, 0, 0.3085],
    [2, 10, 0.0252, 0.5561],
    [5, 10, 0.1871, 0.8129],
    [10, 10, 0.6915, 1],
    [1, 20, 0.0013, 0.2487],
  ] as const) {
    const interval = binomialInterval(hits, n, 0.95);
    expect(interval.from).toBeCloseTo(from, 4);
    expect(interval.to).toBeCloseTo(to, 4);
  }
  expect(() => binomialInterval(3, 2, 0.95)).toThrow();
});

it('where somebody will be has an error that grows', () => {
  const trend = forecastCapacity(RISING, [6, 6, 6, 6, 6, 6, 6, 6, 6], MEASURE, { now: NOW });
  expect(expectedIn(trend, 60).mean).toBeGreaterThan(expectedIn(trend, 0).mean);
  expect(expectedIn(trend, 60).sd).toBeGreaterThan(expectedIn(trend, 0).sd);
});

it('weeks that have been are the usual ones, and change nothing', () => {
  const one = outlook(80, RISING, { checkDays: 13.6 });
  expect(usualWeeks(one)).toEqual({ daysPerWeek: 2, minutesPerDay: 45, missedDays: 0, checkDays: 14 });
  expect(forecastGate(whatIf(one, usualWeeks(one)), random())).toEqual(forecastGate(one, random()));
});

it('sets grow with days and minutes, fall with drills that are gone, and a focus takes from the rest', () => {
  const two = outlook(80, RISING, { demands: [demand(80, RISING), { ...demand(80, RISING), measureId: 'grip', work: [] }] });
  const usual = usualWeeks(two);
  const sets = (changes: Partial<WhatIf>) => whatIf(two, { ...usual, ...changes }).demands.map((d) => d.weeklySets);
  expect(sets({})).toEqual([6, 6]);
  expect(sets({ daysPerWeek: 4 })).toEqual([12, 12]);
  expect(sets({ daysPerWeek: 4, minutesPerDay: 22.5 })).toEqual([6, 6]);
  expect(sets({ without: ['plank'] })).toEqual([4, 6]);
  expect(sets({ daysPerWeek: 0 })).toEqual([0, 0]);
  const [gets = 0, gives = 0] = sets({ focus: 'wrist-extension' });
  expect(gets).toBeGreaterThan(6);
  expect(gets + gives).toBeCloseTo(12, 9);
  expect(gives).toBeGreaterThan(0);
  const nobody = outlook(80, RISING, {
    waits: { blocked: ['nobody-trains'], days: 0, sessions: [{ rule: 'clean-sessions', missing: 1, hoursApart: 48 }] },
    rhythm: { sessionsPerWeek: 0, minutes: 0, held: 0, counted: 0 },
  });
  expect(forecastGate(whatIf(nobody, { ...usualWeeks(nobody), daysPerWeek: 2 }), random()).kind).not.toBe('blocked');
  expect(forecastGate(whatIf(one(), { ...usualWeeks(one()), daysPerWeek: 0 }), random())).toMatchObject({ blocked: ['nobody-trains'] });
  function one() {
    return outlook(80, RISING, { waits: { blocked: [], days: 0, sessions: [{ rule: 'clean-sessions', missing: 1, hoursApart: 48 }] } });
  }
});

it('a further check narrows what hangs on it, and nothing where there is no range', () => {
  const [first] = narrowingOf(outlook(80, RISING), random);
  expect(first).toMatchObject({ measureId: MEASURE.id });
  expect(first?.after).toBeLessThan(first?.days ?? 0);
  expect(narrowingOf(outlook(80, history(60, 63)), random)).toEqual([]);
});

it('a fan begins where the figure is, opens with time, and sinks while nobody trains', () => {
  const trend = forecastCapacity(RISING, [6, 6, 6, 6, 6, 6, 6, 6], MEASURE, { now: NOW });
  const [today, later] = fanOf(trend, MEASURE, [0, 84]);
  expect(today?.mid).toBeCloseTo(trend.state.mean[0], 9);
  expect((later?.high ?? 0) - (later?.low ?? 0)).toBeGreaterThan((today?.high ?? 0) - (today?.low ?? 0));
  expect(fanOf(trend, MEASURE, [84], 28)[0]?.mid).toBeLessThan(later?.mid ?? 0);
  expect(fanOf(trend, MEASURE, [400]).every((p) => p.high <= MEASURE.limits.max)).toBe(true);
  const { mean: expected } = expectedIn(trend, 84);
  expect(later?.mid).toBeCloseTo(expected, 9);
});
