import { inspect, ScreeningDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import { QUESTION_IDS } from '@myokinet/core/safety';
import { describe, expect, it } from 'vitest';
import { openQuestions, type ScreeningDraft, screeningDraft, screeningFrom, withAnswer } from './screeningDraft.ts';

const now = new Date('2026-11-24T12:00:00Z');
const allNo = (draft: ScreeningDraft) => QUESTION_IDS.reduce((d, id) => withAnswer(d, id, 'no'), draft);

describe('answering the screening', () => {
  it('starts with every question open, and no laxity test done', () => {
    const draft = screeningDraft(undefined);
    expect(openQuestions(draft)).toEqual(QUESTION_IDS);
    expect(draft.beighton).toBeNull();
  });

  it('becomes a request the server takes once every question is answered', () => {
    const draft = allNo(screeningDraft(undefined));
    expect(openQuestions(draft)).toEqual([]);
    expect(inspect(ScreeningDto, screeningFrom(draft, now), { now }).problems).toEqual([]);
    const { pregnancy: _, ...others } = draft.answers;
    const holed = { ...draft, answers: others };
    expect(inspect(ScreeningDto, screeningFrom(holed, now), { now }).problems[0]?.message).toContain('“Pregnant, or may you be?”');
  });

  it('keeps a side only for a question that has sides, and only for an answer other than no', () => {
    const draft = screeningDraft(undefined);
    expect(withAnswer(draft, 'wrist-injury', 'yes', 'left').answers['wrist-injury']?.side).toBe('left');
    expect(withAnswer(draft, 'wrist-injury', 'no', 'left').answers['wrist-injury']?.side).toBe('whole');
    expect(withAnswer(draft, 'pregnancy', 'yes', 'left').answers.pregnancy?.side).toBe('whole');
  });

  it('starts from the answers on record, under a new id', () => {
    const current = {
      id: 'old',
      takenAt: '2026-05-01T10:00:00.000Z' as Instant,
      answers: [{ questionId: 'elbow-pain', answer: 'yes', side: 'right' } as const],
      beighton: ['thumb-left'] as const,
      note: 'Looked fine.',
      coach: 'BC',
    };
    const draft = screeningDraft(current);
    expect(draft).toMatchObject({ answers: { 'elbow-pain': { answer: 'yes', side: 'right' } }, beighton: ['thumb-left'], note: '' });
    expect(draft.id).not.toBe('old');
  });
});
