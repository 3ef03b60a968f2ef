import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, instant } from '../quantities/index.ts';
import { type Symptom, SYMPTOM_ACTS, SYMPTOM_KINDS, symptomResponse } from './index.ts';
import { stopSignInWords } from '../words/index.ts';

const now = instant('2026-11-26T18:00:00Z');
const felt = (own: Partial<Symptom> = {}): Symptom => ({
  intensity: 2,
  kind: 'ache',
  place: 'wrist',
  side: 'left',
  moment: 'during',
  at: now,
  ...own,
});
const before = (days: number, own: Partial<Symptom> = {}) => felt({ at: addDays(now, -days), ...own });
const act = (symptoms: readonly Symptom[], history: readonly Symptom[] = []) => symptomResponse(symptoms, history).act;

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
  ] as const)('%j → %s', (own, expected) => expect(act([felt(own)])).toBe(expected));

  it('a stop locks, says why, takes ten points off the hands and names the joints to leave alone', () => {
    expect(symptomResponse([felt({ intensity: 4, kind: 'sharp' })], [])).toEqual({
      act: 'stop',
      locks: true,
      loadChange: -0.1,
      joints: ['wrist', 'forearm'],
      at: { place: 'wrist', side: 'left' },
      finding: { code: 'stop-sign', symptom: felt({ intensity: 4, kind: 'sharp' }) },
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
    const answer = symptomResponse([felt()], [before(1, { moment: 'next morning' })]);
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
      const answer = symptomResponse(
        now,
        past.map(({ days, ...s }) => before(days, s)),
      );
      const stops = now.some((s) => stopSignInWords(s) !== undefined);
      expect(answer.act === 'stop').toBe(stops);
      expect(answer.locks).toBe(stops);
      expect(answer.loadChange).toBeLessThanOrEqual(0);
      expect(SYMPTOM_ACTS).toContain(answer.act);
    }),
    { seed: 7 },
  );
});
