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
  type GuardianConsent,
  isLiftable,
  openedBy,
  type Permit,
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

/** Whoever is responsible agreed. */
const consents: readonly GuardianConsent[] = [{ role: 'parent', givenOn: '2026-11-01' as CalendarDay, agreed: true }];
const outcome = (screening: Screening | undefined, consultations: readonly Consultation[] = [], birthYear = 1990) =>
  screeningOutcome(screening ? [screening] : [], { birthYear, consultations, consents, now });
const idsOf = (screening: Screening | undefined, birthYear = 1990) => outcome(screening, [], birthYear).cautions.map((c) => c.id);

describe('the questions', () => {
  it.each(QUESTION_IDS)('%s causes something when answered with yes, and says which answer it was', (id) => {
    const { cautions } = outcome(answered({ [id]: 'left' }));
    expect(cautions.map((c) => c.id).sort()).toEqual([...questionOf(id).causes].sort());
    for (const caution of cautions) expect(caution.because[0]).toMatchObject({ code: 'answered', questionId: id });
  });

  it('reach every caution except those that follow from age, an event, or not being asked', () => {
    const caused = new Set<CautionId>(QUESTION_IDS.flatMap((id) => [...questionOf(id).causes]));
    expect(CAUTION_IDS.filter((id) => !caused.has(id))).toEqual([
      'unscreened',
      'emergency',
      'doctor-today',
      'minor',
      'from-60',
      'no-consent',
      'fever',
      'after-fever',
      'changed-since',
      'unfed',
      'controlled-pressure',
    ]);
  });

  it('count unsure as yes, and say so', () => {
    const unsure = answered();
    const answers = unsure.answers.map((a) => (a.questionId === 'pregnancy' ? { ...a, answer: 'unsure' as const } : a));
    expect(outcome({ ...unsure, answers }).cautions).toEqual([
      { id: 'pregnancy', because: [{ code: 'answered', questionId: 'pregnancy', answer: 'unsure', side: 'whole' }] },
    ]);
  });

  it('name the side, and gather two answers behind one caution', () => {
    expect(outcome(answered({ 'wrist-injury': 'right' })).cautions[0]?.because).toEqual([
      { code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'right' },
    ]);
    const { cautions } = outcome(answered({ 'raised-pressure': 'whole', 'eye-pressure': 'whole' }));
    expect(cautions.map((c) => [c.id, c.because.length])).toEqual([['raised-pressure', 2]]);
  });
});

describe('a screening', () => {
  it('locks every gate until it is answered, when it is old, and when a question was never asked', () => {
    expect(outcome(undefined)).toMatchObject({ state: 'missing', locks: [{ code: 'never-screened' }] });
    expect(outcome(answered({}, { takenAt: addDays(now, -180) })).state).toBe('fresh');
    const old = outcome(answered({}, { takenAt: addDays(now, -181) }));
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
    expect(locks).toEqual([
      {
        code: 'caution',
        caution: { id: 'medical-hold', because: [{ code: 'answered', questionId: 'medical-hold', answer: 'yes', side: 'whole' }] },
      },
    ]);
  });

  it('knows the eighteenth birthday where it is known', () => {
    const born = (birthDate: string) =>
      screeningOutcome([answered()], { birthYear: 2008, birthDate: birthDate as CalendarDay, consultations: [], consents, now }).cautions;
    expect(born('2008-11-24')).toEqual([]);
    expect(born('2008-11-25')).toEqual([{ id: 'minor', because: [{ code: 'born', on: '2008-11-25' }] }]);
    expect(outcome(answered(), [], 2008).cautions).toEqual([{ id: 'minor', because: [{ code: 'born', on: '2008' }] }]);
  });

  it('waits where it is stale, and says since when; never taken leaves only unloaded work', () => {
    const old = answered({}, { takenAt: addDays(now, -181) });
    expect(outcome(old).locks).toEqual([{ code: 'screening-stale', takenAt: old.takenAt }]);
    expect(outcome(answered({}, { takenAt: addDays(now, -180) })).locks).toEqual([]);
    expect(outcome(undefined).cautions).toEqual([{ id: 'unscreened', because: [{ code: 'not screened' }] }]);
  });

  it('guards the young until they are surely 18', () => {
    expect(idsOf(answered(), 2015)).toEqual(['minor']);
    expect(idsOf(answered(), 2008)).toEqual(['minor']);
    expect(idsOf(answered(), 2007)).toEqual([]);
  });

  it('has kick-ups and free swings wait from 60 on, and whoever may be 60', () => {
    expect(idsOf(answered(), 1966)).toEqual(['from-60']);
    expect(idsOf(answered(), 1967)).toEqual([]);
    const born = (birthDate: string) =>
      screeningOutcome([answered()], { birthYear: 1966, birthDate: birthDate as CalendarDay, consultations: [], now }).cautions.map(
        (c) => c.id,
      );
    expect([born('1966-11-24'), born('1966-11-25')]).toEqual([['from-60'], []]);
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
    role: 'specialist doctor',
    consultedOn: '2026-11-20' as CalendarDay,
    allowed: 'Straight swings with a spotter.',
    permit: PERMIT,
    cautionIds: ['unstable-under-load', 'shoulder-dislocated', 'medical-hold'],
    about: [
      { questionId: 'shoulder-dislocated', side: 'left' },
      { questionId: 'medical-hold', side: 'whole' },
    ],
    ...own,
  });
  const PERMIT: Permit = { loadPerArm: 0.5, overhead: true, hanging: true, headDown: false, effort: 7, until: '2027-01-10' as CalendarDay };
  const hurt = answered({ 'shoulder-dislocated': 'left', 'medical-hold': 'whole' });

  it('opens nothing where it was about one of two answers that close the same', () => {
    const both = answered({ 'raised-pressure': 'whole', 'eye-pressure': 'whole' });
    const word = (...questionIds: readonly ('raised-pressure' | 'eye-pressure')[]) =>
      spoken({ cautionIds: ['raised-pressure'], about: questionIds.map((questionId) => ({ questionId, side: 'whole' as const })) });
    const opened = (consultation: Consultation) => outcome(both, [consultation]).cautions.map((c) => c.permit !== undefined);
    expect(opened(word('raised-pressure'))).toEqual([false]);
    expect(opened(word('eye-pressure'))).toEqual([false]);
    expect(opened(word('raised-pressure', 'eye-pressure'))).toEqual([true]);
  });

  it('opens a lock and what waits for it, with who, when and what; what stands stays', () => {
    const { cautions, lifted, locks } = outcome(hurt, [spoken()]);
    expect(cautions.map((c) => [c.id, c.permit !== undefined])).toEqual([
      ['medical-hold', true],
      ['unstable-under-load', true],
      ['shoulder-dislocated', false],
    ]);
    expect(locks).toEqual([]);
    expect(lifted.map((l) => l.id).sort()).toEqual(['medical-hold', 'unstable-under-load']);
    expect(lifted[0]).toMatchObject({ role: 'specialist doctor', consultedOn: '2026-11-20', allowed: 'Straight swings with a spotter.' });
  });

  it.each<[string, Partial<Consultation>]>([
    ['about another caution', { cautionIds: ['pregnancy'] }],
    ['about the other side', { about: [{ questionId: 'shoulder-dislocated', side: 'right' }] }],
    ['about answers that were not given then', { about: [] }],
    ['before the answer', { consultedOn: '2026-11-13' as CalendarDay }],
    ['good until yesterday', { permit: { ...PERMIT, until: '2026-11-23' as CalendarDay } }],
    ['without saying what it permits', { permit: undefined }],
    ['of somebody whose word does not open it', { role: 'midwife or obstetrician' }],
  ])('opens nothing when it was %s', (_, own) => {
    const { cautions, lifted } = outcome(hurt, [spoken(own)]);
    expect(cautions.find((c) => c.id === 'unstable-under-load')?.permit).toBeUndefined();
    expect(lifted.map((l) => l.id)).not.toContain('unstable-under-load');
  });

  it('is good on its last day, and on the day of the answer', () => {
    const edge = spoken({ consultedOn: '2026-11-14' as CalendarDay, permit: { ...PERMIT, until: '2026-11-24' as CalendarDay } });
    expect(outcome(hurt, [edge]).locks).toEqual([]);
  });

  it('of a physiotherapist opens no heart: each caution names who may', () => {
    expect(openedBy('heart-vessels')).not.toContain('physiotherapist');
    expect(openedBy('recent-surgery')).toEqual(['surgeon']);
    expect(openedBy('unscreened')).toEqual([]);
  });

  describe('a no after a yes', () => {
    const of = (screenings: readonly Screening[], consultations: readonly Consultation[] = []) =>
      screeningOutcome(screenings, { birthYear: 1990, consultations, now });
    const no = answered({}, { takenAt: addDays(now, -1) });

    it('opens nothing that a professional must open, however often the form is answered again', () => {
      const { cautions, locks } = of([no, answered({}, { takenAt: addDays(now, -5) }), hurt]);
      expect(cautions.map((c) => c.id)).toEqual(['medical-hold', 'unstable-under-load']);
      expect(locks).toMatchObject([{ caution: { id: 'medical-hold', because: [{ code: 'answered before', at: hurt.takenAt }] } }]);
    });

    it('counts the word from when the yes was first said, in an unbroken row', () => {
      const first = answered({ 'medical-hold': 'whole' }, { takenAt: addDays(now, -40) });
      const again = answered({ 'medical-hold': 'whole' }, { takenAt: addDays(now, -2) });
      const about = [{ questionId: 'medical-hold', side: 'whole' }] as const;
      const early = spoken({ consultedOn: '2026-10-20' as CalendarDay, about });
      expect(of([again, first], [early]).locks).toEqual([]);
      // A no between the two, with its own word, begins a new row: the old word is about what was before.
      const between = answered({}, { takenAt: addDays(now, -20) });
      expect(of([again, between, first], [early]).locks).toHaveLength(1);
    });

    it('counts once a professional was consulted after the event, by a role that may', () => {
      expect(of([no, hurt], [spoken()]).cautions).toEqual([]);
      expect(of([no, hurt], [spoken({ consultedOn: '2026-11-13' as CalendarDay })]).locks).toHaveLength(1);
      expect(of([no, hurt], [spoken({ role: 'midwife or obstetrician' })]).locks).toHaveLength(1);
    });

    it('nor opens it a form that was taken back, unless it was a slip: the yes still needs a word', () => {
      const withdrawn = (screenings: readonly Screening[], consultations: readonly Consultation[] = []) =>
        screeningOutcome(screenings, { birthYear: 1990, consultations, withdrawn: [hurt], now });
      expect(withdrawn([no]).locks).toMatchObject([
        { caution: { id: 'medical-hold', because: [{ code: 'answered before', at: hurt.takenAt }] } },
      ]);
      expect(withdrawn([]).locks.map((l) => l.code)).toEqual(['never-screened', 'caution']);
      expect(withdrawn([no], [spoken()]).cautions).toEqual([]);
      // What is answered with yes again counts once, as of now.
      expect(withdrawn([answered({ 'medical-hold': 'whole' }, { takenAt: addDays(now, -1) })]).locks).toHaveLength(1);
    });

    it('clears up an “unsure” about what only asks first, and never one about a lock', () => {
      const unsure = (id: QuestionId) => ({
        ...answered(),
        answers: answered().answers.map((a) => (a.questionId === id ? { ...a, answer: 'unsure' as const } : a)),
      });
      expect(of([no, unsure('pregnancy')]).cautions).toEqual([]);
      expect(of([no, unsure('blood-clot')]).locks).toHaveLength(1);
    });
  });

  it('carries over to a later screening with the same answers', () => {
    const later = { ...hurt, takenAt: addDays(now, -1) };
    expect(screeningOutcome([later, hurt], { birthYear: 1990, consultations: [spoken()], now }).locks).toEqual([]);
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
    expect(cautions).toEqual([{ id: 'lax-joints', because: [{ code: 'laxity', points: 6 }] }]);
    expect(laxity?.points).toBe(6);
    expect(outcome(answered()).laxity).toBeUndefined();
  });
});
