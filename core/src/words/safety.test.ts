import { describe, expect, it } from 'vitest';
import { type CalendarDay, instant } from '../quantities/index.ts';
import { type CautionCause, CAUTION_IDS, EMERGENCY_SIGN_IDS, QUESTION_IDS, type Symptom, type SymptomKind } from '../safety/index.ts';
import * as words from './index.ts';

const at = instant('2026-11-20T10:00:00Z');
const felt = (intensity: number, kind: SymptomKind): Symptom => ({
  ...{ intensity, kind, place: 'shoulder', side: 'left', moment: 'during', at },
});

it('a stop sign says kind, strength, side, place and moment; what is none says nothing', () => {
  expect(words.stopSignInWords(felt(2, 'sharp'))).toBe('Sharp 2/10, left shoulder, during: stop and step back.');
  expect(words.stopSignInWords(felt(4, 'ache'))).toBeUndefined();
  expect(words.symptomInWords({ ...felt(3, 'none'), side: 'whole' })).toBe('discomfort 3/10, shoulder, during');
  expect(words.symptomInWords(felt(0, 'none'))).toBe('nothing felt, during');
});

describe('a caution', () => {
  it.each<[CautionCause, string]>([
    [{ code: 'not screened' }, 'the questions before training are not answered'],
    [{ code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'right' }, 'a wrist is being rebuilt, right'],
    [{ code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'whole' }, 'a wrist is being rebuilt, both sides'],
    [{ code: 'answered', questionId: 'pregnancy', answer: 'unsure', side: 'whole' }, 'pregnancy (unsure, counted as yes)'],
    [
      { code: 'answered before', questionId: 'pregnancy', answer: 'yes', side: 'whole', at },
      'pregnancy, on Fri 20 Nov 2026; a no since needs a professional’s word',
    ],
    [{ code: 'laxity', points: 6 }, 'laxity 6 of 9 points'],
    [{ code: 'born', on: '2012' }, 'born 2012'],
    [{ code: 'emergency', signs: [], at }, 'the emergency button, Fri 20 Nov 2026'],
    [
      { code: 'emergency', signs: ['cold-hand', 'tendon-pop'], at },
      'a cold or white hand, a “pop” in a tendon, weak since, Fri 20 Nov 2026',
    ],
    [{ code: 'as written', text: 'as it was signed' }, 'as it was signed'],
  ])('says what caused it: %j', (cause, said) => expect(words.causeInWords(cause)).toBe(said));

  it('says its consequence, its causes, and what is permitted of it', () => {
    const permit = { loadPerArm: 0.25, effort: 5, overhead: true, hanging: false, headDown: false, until: '2027-02-03' as CalendarDay };
    expect(words.cautionInWords({ id: 'minor', because: [] })).toBe(
      'Under 18: Growth plates: no fingertip and no one-armed loading, leans of at most 5 cm. A guardian’s consent is needed.',
    );
    expect(words.cautionInWords({ id: 'minor', because: [{ code: 'born', on: '2012' }], permit })).toMatch(
      /Because: born 2012\. Permitted until Wed 3 Feb 2027: up to 25% of body weight on one arm, effort up to 5; also overhead; not hanging, head down\.$/,
    );
  });

  it('says whose word opened it', () => {
    const lifted = { role: 'physiotherapist', consultedOn: '2026-11-20' as CalendarDay, allowed: 'Slow curls.' } as const;
    expect(words.liftedInWords({ ...lifted, id: 'elbow-pain', permit: {} as never })).toBe(
      'physiotherapist consulted Fri 20 Nov 2026: Slow curls.',
    );
  });
});

it('every caution, question and sign has words of its own', () => {
  const texts = [
    ...CAUTION_IDS.map((id) => words.CAUTION_WORDS[id].name),
    ...QUESTION_IDS.map((id) => words.QUESTION_WORDS[id].text),
    ...EMERGENCY_SIGN_IDS.map((id) => words.SIGN_WORDS[id]),
  ];
  expect(texts.filter((t) => t.length < 5)).toEqual([]);
  expect(new Set(texts).size).toBe(texts.length);
});
