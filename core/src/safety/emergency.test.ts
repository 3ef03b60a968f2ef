import { describe, expect, it } from 'vitest';
import { addDays, type CalendarDay } from '../quantities/index.ts';
import { callFor, type Consultation, type EmergencySign, type Permit, QUESTION_IDS, type Screening, screeningOutcome } from './index.ts';

const now = new Date('2026-11-24T12:00:00Z');
const at = addDays(now, -3);
const calm: Screening = {
  takenAt: addDays(now, -10),
  answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: 'no', side: 'whole' })),
  beighton: null,
};
const ALL: Permit = { loadPerArm: 1, overhead: true, hanging: true, headDown: true, effort: 10, until: '2027-01-10' as CalendarDay };
const word = (own: Partial<Consultation> = {}): Consultation => ({
  ...{ role: 'general practitioner', consultedOn: '2026-11-22' as CalendarDay, allowed: 'All as before.', permit: ALL },
  ...{ cautionIds: ['emergency'], about: [] },
  ...own,
});
const after = (signs: readonly EmergencySign[], consultations: readonly Consultation[] = []) =>
  screeningOutcome([calm], { birthYear: 1990, consultations, emergencies: [{ at, signs }], now });

it('a sign calls for emergency care; only signs for a doctor today call for one', () => {
  expect(callFor({ signs: [] })).toBe('emergency care');
  expect(callFor({ signs: ['cold-hand'] })).toBe('emergency care');
  expect(callFor({ signs: ['flashes'] })).toBe('doctor today');
  expect(callFor({ signs: ['flashes', 'tendon-pop'] })).toBe('doctor today');
  expect(callFor({ signs: ['flashes', 'cold-hand'] })).toBe('emergency care');
});

describe('after an emergency', () => {
  it('everything is locked, with what was seen and when', () => {
    const caution = { id: 'emergency', because: [{ code: 'emergency', signs: ['cold-hand'], at }] };
    expect(after(['cold-hand'])).toMatchObject({ cautions: [caution], locks: [{ code: 'caution', caution }] });
    expect(after(['flashes']).cautions).toMatchObject([{ id: 'doctor-today' }]);
  });

  it('two of them stand behind one lock', () => {
    const emergencies = [
      { at, signs: [] },
      { at: addDays(now, -2), signs: ['cold-hand'] as const },
    ];
    const { cautions } = screeningOutcome([calm], { birthYear: 1990, consultations: [], emergencies, now });
    expect(cautions.map((c) => [c.id, c.because.length])).toEqual([['emergency', 2]]);
  });

  it('a doctor’s word after it that permits everything closes the matter; one with limits opens those', () => {
    expect(after([], [word()]).cautions).toEqual([]);
    const limited = after([], [word({ permit: { ...ALL, headDown: false } })]);
    expect(limited.cautions).toMatchObject([{ id: 'emergency', permit: { headDown: false } }]);
    expect(limited.locks).toEqual([]);
    // Of two words one that permits everything is enough.
    expect(after([], [word({ permit: { ...ALL, effort: 3 } }), word()]).cautions).toEqual([]);
  });

  it.each<[string, Partial<Consultation>]>([
    ['before it', { consultedOn: '2026-11-20' as CalendarDay }],
    ['about something else', { cautionIds: ['pregnancy'] }],
    ['of somebody whose word does not open it', { role: 'physiotherapist' }],
    ['that permits nothing', { permit: undefined }],
  ])('a word %s opens nothing', (_, own) => expect(after([], [word(own)]).locks).toHaveLength(1));
});
