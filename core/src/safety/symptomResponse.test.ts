import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, instant } from '../quantities/index.ts';
import { BODY_PLACES, judgeSymptom, type Symptom, SYMPTOM_ACTS, SYMPTOM_KINDS, symptomResponse } from './index.ts';

const now = instant('2026-11-26T18:00:00Z');
const felt = (own: Partial<Symptom> = {}): Symptom => ({
  intensity: 2,
  kind: 'ache',
  place: 'shoulder',
  side: 'left',
  moment: 'during',
  at: now,
  ...own,
});
const before = (days: number, own: Partial<Symptom> = {}) => felt({ at: addDays(now, -days), ...own });
const act = (symptoms: readonly Symptom[], history: readonly Symptom[] = []) => symptomResponse(symptoms, { history }).act;

describe('the pain rule (common practice, no source)', () => {
  it.each([
    [{ intensity: 0, kind: 'none' }, 'go on'],
    [{ intensity: 2 }, 'go on'],
    [{ intensity: 2, kind: 'stretch' }, 'go on'],
    [{ intensity: 3 }, 'step back'],
    [{ intensity: 4 }, 'step back'],
    [{ intensity: 5 }, 'stop'],
    [{ intensity: 1, kind: 'sharp' }, 'stop'],
    [{ intensity: 1, kind: 'pinch' }, 'stop'],
    [{ intensity: 1, kind: 'numbness or tingling' }, 'stop'],
    [{ intensity: 1, kind: 'locked up' }, 'stop'],
    [{ intensity: 2, kind: 'sharp', retest: 'gone' }, 'leave drill'],
    [{ intensity: 2, kind: 'sharp', retest: 'still there' }, 'stop'],
    [{ intensity: 3, kind: 'pinch', retest: 'gone' }, 'stop'],
    [{ intensity: 4, kind: 'soreness' }, 'go on'],
    [{ intensity: 5, kind: 'soreness' }, 'half'],
    [{ intensity: 7, kind: 'soreness' }, 'stop'],
    [{ intensity: 3, place: 'wrist' }, 'stop'],
  ] as const)('%j → %s', (own, expected) => expect(act([felt(own)])).toBe(expected));

  it('a stop locks, says why, takes ten points off the hands and names the joints to leave alone', () => {
    expect(symptomResponse([felt({ intensity: 4, kind: 'sharp' })], { history: [] })).toEqual({
      act: 'stop',
      locks: true,
      loadChange: -0.1,
      joints: ['shoulder', 'scapula'],
      at: { place: 'shoulder', side: 'left' },
      finding: { code: 'stop-sign', stop: 'sharp', symptom: felt({ intensity: 4, kind: 'sharp' }) },
    });
  });

  it('the worst of several decides', () =>
    expect(act([felt(), felt({ intensity: 6, place: 'neck' }), felt({ intensity: 3 })])).toBe('stop'));
});

describe('quiet symptoms beside the days before', () => {
  it('rising at the same place and side: hold', () => {
    expect(act([felt()], [before(2, { intensity: 1 })])).toBe('hold');
    expect(act([felt()], [before(2, { intensity: 2 })])).toBe('go on');
    expect(act([felt()], [before(2, { intensity: 1, side: 'right' })])).toBe('go on');
  });

  it('still there the morning after: hold, and why', () => {
    const answer = symptomResponse([felt()], { history: [before(1, { moment: 'next morning' })] });
    expect(answer).toMatchObject({
      act: 'hold',
      finding: { code: 'hold', why: { kind: 'morning after' } },
    });
  });

  it('often within a week: hold; longer ago it no longer counts', () => {
    expect(act([felt()], [before(1), before(3)])).toBe('hold');
    expect(act([felt()], [before(8), before(9)])).toBe('go on');
  });
});

it('never lets a stop sign pass, never locks without one, never adds load', () => {
  const symptom = fc.record({
    intensity: fc.integer({ min: 0, max: 10 }),
    kind: fc.constantFrom(...SYMPTOM_KINDS),
    days: fc.integer({ min: 0, max: 20 }),
  });
  fc.assert(
    fc.property(fc.array(symptom, { maxLength: 4 }), fc.array(symptom, { maxLength: 6 }), (present, past) => {
      const now = present.map(({ days: _, ...s }) => felt(s));
      const history = past.map(({ days, ...s }) => before(days, s));
      const answer = symptomResponse(now, { history });
      const stops = now.some((s) => judgeSymptom(s, { history }).stop !== undefined);
      const sore = now.some((s) => s.kind === 'soreness' && s.intensity > 0);
      if (stops) expect(answer.act).toBe('stop');
      else if (!sore) expect(answer.act).not.toBe('stop');
      expect(answer.locks).toBe(stops);
      expect(answer.loadChange).toBeLessThanOrEqual(0);
      expect(SYMPTOM_ACTS).toContain(answer.act);
    }),
    { seed: 7 },
  );
});

it('each place has joints of its own to leave alone', () => {
  const joints = (place: Symptom['place']) => symptomResponse([felt({ intensity: 6, place })], { history: [] }).joints;
  expect(Object.fromEntries(BODY_PLACES.map((place) => [place, joints(place)]))).toEqual({
    shoulder: ['shoulder', 'scapula'],
    'shoulder blade': ['scapula', 'shoulder'],
    elbow: ['elbow', 'forearm'],
    forearm: ['forearm', 'wrist', 'grip'],
    wrist: ['wrist', 'forearm'],
    hand: ['grip', 'wrist'],
    fingers: ['grip', 'wrist'],
    head: ['neck'],
    chest: ['shoulder', 'scapula'],
    belly: ['trunk'],
    hip: ['trunk'],
    knee: [],
    foot: [],
    neck: ['neck', 'scapula'],
    'upper back': ['scapula', 'trunk'],
    'lower back': ['trunk'],
  });
});

it('says what decided: nothing, quiet, lighter by five points, or what has not settled', () => {
  expect(symptomResponse([felt({ intensity: 0 })], { history: [] })).toEqual({
    act: 'go on',
    locks: false,
    finding: { code: 'nothing-felt' },
    loadChange: 0,
    joints: [],
  });
  expect(symptomResponse([felt()], { history: [] }).finding).toEqual({ code: 'go-on', symptom: felt() });
  expect(symptomResponse([felt({ intensity: 3 })], { history: [] })).toMatchObject({
    loadChange: -0.05,
    locks: false,
    finding: { code: 'step-back', symptom: { intensity: 3 } },
  });
  const why = (...history: readonly Symptom[]) => {
    const { finding } = symptomResponse([felt()], { history });
    return finding.code === 'hold' ? finding.why : undefined;
  };
  expect(why(before(1), before(2))).toEqual({ kind: 'often', times: 2, days: 7 });
  expect(why(before(1, { intensity: 1 }))).toEqual({ kind: 'rising', before: 1 });
  expect(why(before(1, { moment: 'next morning' }))).toEqual({ kind: 'morning after' });
  // Not there, not then, not felt, not yet: none of it counts.
  for (const other of [{ place: 'elbow' }, { side: 'right' }, { intensity: 0 }] as const)
    expect(why(before(1, { moment: 'next morning', ...other }))).toBeUndefined();
  expect(why(before(7, { moment: 'next morning' }))).toEqual({ kind: 'morning after' });
  expect(why(before(7.01, { moment: 'next morning' }))).toBeUndefined();
  expect(why(before(-0.01, { moment: 'next morning' }))).toBeUndefined();
  // Of the same moment it is the same report, as a second device has it.
  expect(why(before(0, { moment: 'next morning' }))).toBeUndefined();
  expect(why(before(0.001, { moment: 'next morning' }))).toEqual({ kind: 'morning after' });
});
