import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import {
  capacityFromTrials,
  EVIDENCE_TABLE,
  EVIDENCE_WAYS,
  evidenceOf,
  PROVISIONAL_KINDS,
  provisionalOf,
  type ReadingOrigin,
  trialFrom,
  WORKING_POSITIONS,
} from './index.ts';
import { instant } from '../quantities/index.ts';

const { measure: measureOf, measures: MEASURES, hasMeasure: isMeasure } = BUILT_IN_LIBRARY;

const picture = (...placedBy: readonly string[]): ReadingOrigin => ({
  kind: 'picture',
  simulated: false,
  points: placedBy.map((p) => ({ placedBy: p })),
});

describe('what a reading may do', () => {
  it.each<[string, ReadingOrigin, string | undefined]>([
    ['an instrument', { kind: 'instrument', simulated: false }, undefined],
    ['a stand-in of an instrument', { kind: 'instrument', simulated: true }, 'simulated'],
    ['a picture with points of the coach', picture('coach', 'coach'), undefined],
    ['a picture with points that the coach confirmed', picture('coach', 'confirmed'), undefined],
    ['a picture with one point that nobody confirmed', picture('coach', 'suggested', 'confirmed'), 'suggested'],
    ['a picture without points', { kind: 'picture', simulated: false, points: null }, undefined],
    ['a trace', { kind: 'trace', simulated: false, trace: {} }, undefined],
    ['a trace off a clip', { kind: 'trace', simulated: false, trace: { ofClip: true } }, 'suggested'],
    ['a set of a session', { kind: 'session', simulated: false }, 'in a session'],
    ['a set of a session, whatever else is said', { kind: 'session', simulated: true }, 'in a session'],
  ])('%s', (_, reading, provisional) => {
    const evidence = evidenceOf({ by: 'coach', reading });
    expect(provisionalOf(evidence)).toBe(provisional);
    expect([evidence.opens, evidence.keeps]).toEqual([provisional === undefined, provisional === undefined]);
    expect(trialFrom('left', 160, reading).provisional).toBe(provisional);
  });

  it('of a trainee may close and warn, and never opens or keeps a gate open', () => {
    for (const way of EVIDENCE_WAYS) expect(EVIDENCE_TABLE.trainee[way]).toMatchObject({ opens: false, keeps: false });
    expect(evidenceOf({ by: 'trainee' })).toEqual({
      ...{ by: 'trainee', way: 'typed', opens: false, keeps: false, closes: true, late: false },
    });
    expect(evidenceOf({ by: 'trainee', reading: { kind: 'trace', simulated: true } })).toMatchObject({ way: 'simulated', closes: false });
  });

  it('of the coach opens exactly what is not provisional, and what opens also keeps', () => {
    for (const way of EVIDENCE_WAYS) {
      const { opens, keeps } = EVIDENCE_TABLE.coach[way];
      expect([opens, keeps]).toEqual(PROVISIONAL_KINDS.some((k) => k === way) ? [false, false] : [true, true]);
    }
    expect(evidenceOf({ by: 'coach', reading: { kind: 'trace', simulated: false } }).way).toBe('trace');
  });

  it.each<[string, string, { opens: boolean; late: boolean }]>([
    ['at once', '2026-11-24T12:00:00Z', { opens: true, late: false }],
    ['a few minutes before it happened, by another clock', '2026-11-24T11:56:00Z', { opens: true, late: false }],
    ['before it happened', '2026-11-24T11:54:00Z', { opens: false, late: false }],
    ['three days later', '2026-11-27T12:00:00Z', { opens: true, late: true }],
  ])('recorded %s', (_, recordedAt, told) => {
    const dates = { happenedAt: instant('2026-11-24T12:00:00Z'), recordedAt: instant(recordedAt), corrects: 'an older trial' };
    expect(evidenceOf({ by: 'assistant', ...dates })).toMatchObject({ ...dates, ...told });
  });

  it('a typed figure counts as it is; an error that a reading knows comes along, none is made up', () => {
    expect(trialFrom('left', 160)).toEqual({ side: 'left', value: 160 });
    expect(trialFrom('left', 160, null)).toEqual({ side: 'left', value: 160 });
    expect(trialFrom('right', 160, { ...picture('coach'), standardError: 2 })).toEqual({ side: 'right', value: 160, standardError: 2 });
    expect(trialFrom('right', 160, { ...picture('coach'), standardError: null })).toEqual({ side: 'right', value: 160 });
  });

  it('one provisional trial makes the capacity provisional', () => {
    const trials = [trialFrom('left', 160), trialFrom('left', 161, { kind: 'instrument', simulated: true })];
    const takenAt = instant('2026-11-24T12:00:00Z');
    expect(capacityFromTrials(measureOf('shoulder-flexion'), trials, { takenAt }).provisional).toBe('simulated');
    expect(capacityFromTrials(measureOf('shoulder-flexion'), trials.slice(0, 1), { takenAt }).provisional).toBeUndefined();
  });
});

describe('the checks', () => {
  it('are known by their id and by nothing else', () => {
    expect([isMeasure('grip'), isMeasure('aura'), isMeasure(undefined), isMeasure(['grip'])]).toEqual([true, false, false, false]);
    expect(measureOf('grip').id).toBe('grip');
    expect(() => measureOf('aura')).toThrow('There is no check called "aura".');
  });

  it('stand in the order of working positions, each once', () => {
    const places = MEASURES.map((m) => WORKING_POSITIONS.indexOf(m.position));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(new Set(MEASURES.map((m) => m.id)).size).toBe(MEASURES.length);
  });
});
