import { describe, expect, it } from 'vitest';
import { addDays, type CalendarDay, calendarDay, type Instant } from '../quantities/index.ts';
import {
  afterIllness,
  type BeforeSession,
  type BloodPressure,
  consentStands,
  type GuardianConsent,
  pressureLevel,
  QUESTION_IDS,
  type QuestionId,
  type Screening,
  type ScreenedPerson,
  screeningOutcome,
  stillCounts,
  withoutSlips,
} from './index.ts';

// All figures: professional judgement, from memory, no single published source.

const now = new Date('2026-11-24T12:00:00Z');
const ago = (days: number): Instant => addDays(now, -days);
const day = (days: number): CalendarDay => calendarDay(ago(days));

const screened = (daysAgo: number, yes: readonly QuestionId[] = []): Screening => ({
  takenAt: ago(daysAgo),
  answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: yes.includes(questionId) ? 'yes' : 'no', side: 'whole' })),
  beighton: null,
});
const outcome = (own: Partial<ScreenedPerson>, screening = screened(10)) =>
  screeningOutcome([screening], { birthYear: 1990, consultations: [], now, ...own });
const idsOf = (own: Partial<ScreenedPerson>, screening = screened(10)) => outcome(own, screening).cautions.map((c) => c.id);

describe('the short form before a session', () => {
  const form = (daysAgo: number, yes: BeforeSession['yes'], ill?: BeforeSession['ill']): BeforeSession => ({
    at: ago(daysAgo),
    yes,
    ...(ill ? { ill } : {}),
  });

  it('says nothing where nothing speaks against it', () => expect(outcome({ before: [form(0, [])] }).cautions).toEqual([]));

  it('a fever closes everything while it lasts, and 48 hours longer', () => {
    const ill = { since: day(5) };
    const standing = form(1, ['fever'], ill);
    expect(idsOf({ before: [standing] })).toEqual(['fever']);
    expect(outcome({ before: [standing] }).locks).toMatchObject([{ code: 'caution', caution: { id: 'fever' } }]);
    const clear = (hours: number) => form(0.01, ['fever'], { ...ill, clearSince: addDays(now, -hours / 24) });
    expect([47, 48, 49].map((hours) => idsOf({ before: [clear(hours), standing] })[0])).toEqual(['fever', 'after-fever', 'after-fever']);
  });

  it('then half for as many days as it lasted', () => {
    // Ill for four days, clear for x: two days of nothing, four of half.
    const at = (clear: number) => afterIllness([form(0, ['fever'], { since: day(clear + 4), clearSince: ago(clear) })], now)?.allows;
    expect([1.9, 2, 5.9, 6.1].map(at)).toEqual(['nothing', 'half', 'half', undefined]);
  });

  it('a form without fever says that it had been gone for 48 hours by then, the oldest such form first', () => {
    const ill = form(10, ['fever'], { since: day(12) });
    expect(afterIllness([ill], now)).toEqual({ allows: 'nothing', ill: ill.ill });
    // Well almost five days ago: clear two days before, five days ill, half for five days.
    expect(afterIllness([form(0, []), form(4.9, []), ill], now)?.allows).toBe('half');
    expect(afterIllness([form(0, []), form(5.2, []), ill], now)).toBeUndefined();
  });

  it('a new medicine or an injury has the screening answered anew before anything strains', () => {
    const before = [form(1, ['injury', 'unfed'])];
    expect(idsOf({ before })).toEqual(['changed-since']);
    expect(outcome({ before }).locks).toHaveLength(1);
    expect(idsOf({ before }, screened(0.5))).toEqual([]);
    // A later form that says no does not answer what happened.
    expect(idsOf({ before: [form(0, []), ...before] })).toEqual(['changed-since']);
  });

  it('an empty stomach holds for its day', () => {
    expect(idsOf({ before: [form(0.1, ['unfed'])] })).toEqual(['unfed']);
    expect(idsOf({ before: [form(0.01, []), form(0.1, ['unfed'])] })).toEqual([]);
    expect(idsOf({ before: [form(1, ['unfed'])] })).toEqual([]);
  });

  it('asked again at once by whoever answered, the first was a slip; what somebody else answers takes nothing back', () => {
    const at = (minutes: number) => ago(minutes / 1440);
    const first = { ...form(0, ['injury']), id: 'first', at: at(20) };
    const second = (minutes: number, replaces?: string) => ({
      ...form(0, []),
      id: 'second',
      at: at(minutes),
      ...(replaces ? { replaces } : {}),
    });
    const left = (f: ReturnType<typeof second>) => withoutSlips([f, first]).map((x) => x.id);
    expect([left(second(11, 'first')), left(second(9, 'first')), left(second(11)), left(second(11, 'another'))]).toEqual([
      ['second'],
      ['second', 'first'],
      ['second', 'first'],
      ['second', 'first'],
    ]);
  });

  it('counts for twelve hours', () => {
    expect([0, 11.9, 12.1, -1].map((hours) => stillCounts({ at: addDays(now, -hours / 24) }, now))).toEqual([true, true, false, false]);
  });
});

describe('resting blood pressure', () => {
  it.each([
    [120, 80, 'normal'],
    [139, 89, 'normal'],
    [140, 70, 'raised'],
    [120, 90, 'raised'],
    [179, 109, 'raised'],
    [180, 70, 'very high'],
    [120, 110, 'very high'],
  ] as const)('%d/%d is %s', (systolic, diastolic, level) => expect(pressureLevel({ systolic, diastolic })).toBe(level));

  const reading = (systolic: number, diastolic: number, daysAgo = 1): BloodPressure => ({ takenAt: ago(daysAgo), systolic, diastolic });

  it('a high one restricts or locks whatever the form says, until a newer one does not', () => {
    expect(idsOf({ pressures: [reading(150, 85)] })).toEqual(['raised-pressure']);
    expect(outcome({ pressures: [reading(185, 85, 90)] }).locks).toMatchObject([{ caution: { id: 'very-high-pressure' } }]);
    expect(idsOf({ pressures: [reading(125, 80), reading(185, 85, 90)] })).toEqual([]);
  });

  it('a normal one of the last four weeks shows that a known high one is under control: only head down asks', () => {
    const known = screened(10, ['raised-pressure']);
    expect(idsOf({ pressures: [reading(125, 80)] }, known)).toEqual(['controlled-pressure']);
    expect(idsOf({ pressures: [reading(125, 80, 11)] }, known)).toEqual(['raised-pressure']);
    expect(idsOf({ pressures: [reading(125, 80, 29)] }, screened(40, ['raised-pressure']))).toEqual(['raised-pressure']);
    expect(idsOf({ pressures: [reading(125, 80)] }, screened(10, ['eye-pressure']))).toEqual(['raised-pressure']);
    expect(idsOf({ pressures: [reading(125, 80)] }, screened(10, ['eye-pressure', 'raised-pressure']))).toEqual(['raised-pressure']);
  });
});

describe('a guardian’s consent', () => {
  const word = (daysAgo: number, agreed = true): GuardianConsent => ({ role: 'parent', givenOn: day(daysAgo), agreed });

  it('stands for a year, unless it is taken back; the newest word counts', () => {
    expect([[], [word(0)], [word(365)], [word(366)], [word(0, false), word(3)], [word(-2)]].map((w) => consentStands(w, now))).toEqual([
      false,
      true,
      true,
      false,
      false,
      false,
    ]);
  });

  it('opens what is closed without it, for children only', () => {
    expect(outcome({ birthYear: 2013 }).locks).toMatchObject([{ caution: { id: 'no-consent' } }]);
    expect(outcome({ birthYear: 2013, consents: [word(3)] }).locks).toEqual([]);
    expect(outcome({ birthYear: 1990 }).locks).toEqual([]);
  });
});
