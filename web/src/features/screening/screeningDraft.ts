import type { BodySide } from '@myokinet/core/anatomy';
import type { ScreeningDto, ScreeningReply } from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import { type Answer, type BeightonTest, type Question, QUESTION_IDS, type QuestionId, questionOf } from '@myokinet/core/safety';
import { newId } from '../../client/newId.ts';

/** A screening while it is being answered; a question without an entry is still open. */
export interface ScreeningDraft {
  readonly id: string;
  /** The screening that it was begun on. */
  readonly basedOn: string | null;
  readonly answers: Readonly<Partial<Record<QuestionId, { readonly answer: Answer; readonly side: BodySide }>>>;
  /** Null: the laxity tests were not done. */
  readonly beighton: readonly BeightonTest[] | null;
  readonly note: string;
}

/** Starts from the answers on record: they are looked at again, not typed again. */
export function screeningDraft(current: ScreeningReply | undefined): ScreeningDraft {
  return {
    id: newId(),
    basedOn: current?.id ?? null,
    answers: Object.fromEntries(current?.answers.map(({ questionId, answer, side }) => [questionId, { answer, side }]) ?? []),
    beighton: current?.beighton ?? null,
    note: '',
  };
}

/** The questions that are still open: not answered, or a side not named. */
export function openQuestions({ answers }: ScreeningDraft): readonly QuestionId[] {
  return QUESTION_IDS.filter((id) => answers[id] === undefined);
}

/** Sides are `whole` (both) until one is named; an answer of no has none. */
export function withAnswer(draft: ScreeningDraft, id: QuestionId, answer: Answer, side: BodySide = 'whole'): ScreeningDraft {
  const kept = questionOf(id).sided && answer !== 'no' ? side : 'whole';
  return { ...draft, answers: { ...draft.answers, [id]: { answer, side: kept } } };
}

export function screeningFrom(draft: ScreeningDraft, now: Date): ScreeningDto {
  return {
    id: draft.id,
    basedOn: draft.basedOn,
    takenAt: instant(now),
    answers: QUESTION_IDS.flatMap((questionId) => {
      const given = draft.answers[questionId];
      return given ? [{ questionId, ...given }] : [];
    }),
    beighton: draft.beighton ? [...draft.beighton] : null,
    note: draft.note,
  };
}

/** Every question of a group that is still open, answered with no; what was answered stays. */
export function noToTheRest(draft: ScreeningDraft, group: Question['group']): ScreeningDraft {
  return QUESTION_IDS.filter((id) => questionOf(id).group === group && !draft.answers[id]).reduce(
    (all, id) => withAnswer(all, id, 'no'),
    draft,
  );
}
