import { describe, expect, it } from 'vitest';
import type { BodySide } from '../anatomy/index.ts';
import { addDays, type CalendarDay } from '../quantities/index.ts';
import {
  BEIGHTON_TEST_IDS,
  beightonScore,
  CAUTION_IDS,
  type CautionId,
  cautionOf,
  type Consultation,
  isLiftable,
  QUESTION_IDS,
  type QuestionId,
  questionOf,
  rebuildingJoints,
  type Screening,
  screeningOutcome,
} from './index.ts';

const now = new Date('2026-11-24T12:00:00Z');

function answered(yes: Partial<Record<QuestionId, BodySide>> = {}, own: Partial<Screening> = {}): Screening {
  return {
    takenAt: addDays(now, -10),
    answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: yes[questionId] ? 'yes' : 'no', side: yes[questionId] ?? 'whole' })),
    beighton: null,
    ...own,
  };
}

const outcome = (screening: Screening | undefined, consultations: readonly Consultation[] = [], birthYear = 1990) =>
  screeningOutcome(screening, { birthYear, consultations, now });
const idsOf = (screening: Screening | undefined, birthYear = 1990) => outcome(screening, [], birthYear).cautions.map((c) => c.id);

describe('the questions', () => {
  it.each(QUESTION_IDS)('%s causes something when answered with yes, and says which answer it was', (id) => {
    const { cautions } = outcome(answered({ [id]: 'left' }));
    expect(cautions.map((c) => c.id).sort()).toEqual([...questionOf(id).causes].sort());
    for (const caution of cautions) expect(caution.because[0]).toContain(questionOf(id).fact);
  });

  it('reach every caution except the one that follows from age', () => {
    const caused = new Set<CautionId>(QUESTION_IDS.flatMap((id) => [...questionOf(id).causes]));
    expect(CAUTION_IDS.filter((id) => !caused.has(id))).toEqual(['minor']);
  });

  it('count unsure as yes, and say so', () => {
    const unsure = answered();
    const answers = unsure.answers.map((a) => (a.questionId === 'pregnancy' ? { ...a, answer: 'unsure' as const } : a));
    expect(outcome({ ...unsure, answers }).cautions).toEqual([{ id: 'pregnancy', because: ['pregnancy (unsure, counted as yes)'] }]);
  });

  it('name the side, and gather two answers behind one caution', () => {
    expect(outcome(answered({ 'wrist-injury': 'right' })).cautions[0]?.because).toEqual(['a wrist is being rebuilt, right']);
    const { cautions } = outcome(answered({ 'raised-pressure': 'whole', 'eye-pressure': 'whole' }));
    expect(cautions.map((c) => [c.id, c.because.length])).toEqual([['raised-pressure', 2]]);
  });
});

describe('a screening', () => {
  it('locks every gate until it is answered, when it is old, and when a question was never asked', () => {
    expect(outcome(undefined)).toMatchObject({ state: 'missing', locks: [{ code: 'never-screened' }] });
    expect(outcome(answered({}, { takenAt: addDays(now, -365) })).state).toBe('fresh');
    const old = outcome(answered({}, { takenAt: addDays(now, -366) }));
    expect([old.state, old.locks.length]).toEqual(['stale', 1]);
    const partial = outcome(answered({}, { answers: answered().answers.slice(2) }));
    expect([partial.state, partial.locks]).toEqual(['partial', [{ code: 'screening-partial', unasked: 2 }]]);
    expect(outcome(answered())).toMatchObject({ state: 'fresh', locks: [], cautions: [] });
  });

  it('puts locks first, and only locks lock', () => {
    const { cautions, locks } = outcome(
      answered({ pregnancy: 'whole', 'elbow-pain': 'left', 'medical-hold': 'whole', 'pain-now': 'whole' }),
    );
    expect(cautions.map((c) => cautionOf(c.id).kind)).toEqual(['lock', 'ask first', 'stands', 'note']);
    expect(locks).toEqual([{ code: 'caution', caution: { id: 'medical-hold', because: ['a doctor advised against straining'] } }]);
  });

  it('guards the young until they are surely 18', () => {
    expect(idsOf(answered(), 2015)).toEqual(['minor']);
    expect(idsOf(answered(), 2008)).toEqual(['minor']);
    expect(idsOf(answered(), 2007)).toEqual([]);
  });

  it('keeps end-range passive work from a once dislocated shoulder, and load until a professional spoke (common practice, no source)', () => {
    expect(idsOf(answered({ 'shoulder-dislocated': 'left' }))).toEqual(['unstable-under-load', 'shoulder-dislocated']);
    expect([isLiftable('unstable-under-load'), isLiftable('shoulder-dislocated')]).toEqual([true, false]);
  });

  it('knows which joints are being rebuilt', () => {
    expect([...rebuildingJoints(outcome(answered({ 'wrist-injury': 'right' })).cautions)]).toEqual(['wrist', 'forearm']);
    expect(rebuildingJoints(outcome(answered({ pregnancy: 'whole' })).cautions).size).toBe(0);
  });
});

describe('a consultation', () => {
  const spoken = (own: Partial<Consultation> = {}): Consultation => ({
    role: 'physiotherapist',
    consultedOn: '2026-11-20' as CalendarDay,
    allowed: 'Straight swings with a spotter.',
    cautionIds: ['unstable-under-load', 'shoulder-dislocated', 'medical-hold'],
    about: [
      { questionId: 'shoulder-dislocated', side: 'left' },
      { questionId: 'medical-hold', side: 'whole' },
    ],
    ...own,
  });
  const hurt = answered({ 'shoulder-dislocated': 'left', 'medical-hold': 'whole' });

  it('opens a lock and what waits for it, with who, when and what; what stands stays', () => {
    const { cautions, lifted, locks } = outcome(hurt, [spoken()]);
    expect(cautions.map((c) => c.id)).toEqual(['shoulder-dislocated']);
    expect(locks).toEqual([]);
    expect(lifted.map((l) => l.id).sort()).toEqual(['medical-hold', 'unstable-under-load']);
    expect(lifted[0]?.by).toBe('physiotherapist consulted Fri 20 Nov: Straight swings with a spotter.');
  });

  it.each<[string, Partial<Consultation>]>([
    ['about another caution', { cautionIds: ['pregnancy'] }],
    ['about the other side', { about: [{ questionId: 'shoulder-dislocated', side: 'right' }] }],
    ['before the answer was given', { about: [] }],
    ['more than a year ago', { consultedOn: '2025-11-20' as CalendarDay }],
  ])('opens nothing when it was %s', (_, own) => {
    expect(outcome(hurt, [spoken(own)]).cautions.map((c) => c.id)).toContain('unstable-under-load');
  });

  it('carries over to a later screening with the same answers', () => {
    const later = { ...hurt, takenAt: addDays(now, -1) };
    expect(outcome(later, [spoken()]).locks).toEqual([]);
  });
});

describe('joint laxity (nine-point Beighton score, from memory)', () => {
  it('has nine tests, one point each, and five make an adult lax', () => {
    expect(BEIGHTON_TEST_IDS).toHaveLength(9);
    expect(beightonScore(BEIGHTON_TEST_IDS)).toMatchObject({ points: 9, lax: true });
    expect(beightonScore(BEIGHTON_TEST_IDS.slice(0, 4)).lax).toBe(false);
    expect(beightonScore(BEIGHTON_TEST_IDS.slice(0, 5)).lax).toBe(true);
    expect(beightonScore(['thumb-left', 'thumb-left']).points).toBe(1);
  });

  it('causes the caution with its figure, and nothing when it was not done', () => {
    const { cautions, laxity } = outcome(answered({}, { beighton: BEIGHTON_TEST_IDS.slice(0, 6) }));
    expect(cautions).toEqual([{ id: 'lax-joints', because: ['laxity 6 of 9 points'] }]);
    expect(laxity?.points).toBe(6);
    expect(outcome(answered()).laxity).toBeUndefined();
  });
});
