import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsOptional, IsUUID } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import {
  type Answer,
  ANSWERS,
  BEIGHTON_TEST_IDS,
  type BeightonTest,
  CAUTION_IDS,
  type CautionId,
  isLiftable,
  PROFESSIONAL_ROLES,
  type ProfessionalRole,
  QUESTION_IDS,
  type QuestionId,
  questionOf,
} from '../safety/index.ts';
import { IsPastDay, IsPastInstant, IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { AllDifferent, Parts, SomeOf } from './parts.ts';

/** A side where the question has sides, `whole` where it has none. */
const IsSideOfQuestion = () =>
  rule('isSideOfQuestion', (value, { questionId, answer }) => {
    if (!QUESTION_IDS.includes(questionId as QuestionId)) return undefined;
    const { sided, text } = questionOf(questionId as QuestionId);
    if (!sided && value !== 'whole') return `“${text}” has no sides.`;
    return ['left', 'right', 'whole'].includes(value as string) || answer === 'no' ? undefined : `“${text}”: say left, right or both.`;
  });

/** Every question exactly once: a screening with holes would read as a screening without findings. */
const AnswersAll = () =>
  rule('answersAll', (value) => {
    if (!Array.isArray(value)) return 'The answers are needed.';
    const asked = value.map((a: { questionId?: unknown }) => a.questionId);
    const missing = QUESTION_IDS.filter((id) => !asked.includes(id));
    if (missing.length > 0)
      return `${missing.length} of ${QUESTION_IDS.length} questions are not answered, first “${questionOf(missing[0] as QuestionId).text}”`;
    return asked.length > QUESTION_IDS.length ? 'A question is answered twice.' : undefined;
  });

const AreLiftable = () =>
  rule('areLiftable', (value) =>
    Array.isArray(value) && value.every((id) => CAUTION_IDS.includes(id as CautionId) && isLiftable(id as CautionId))
      ? undefined
      : 'Name cautions that a licensed professional’s word can open.',
  );

export class ScreenAnswerDto {
  @IsIn(QUESTION_IDS) questionId!: QuestionId;
  @IsIn(ANSWERS, { message: 'Answer no, yes or unsure.' }) answer!: Answer;
  @IsSideOfQuestion() side!: BodySide;
}

/** The screening before training, answered as a whole. */
export class ScreeningDto {
  @IsUUID('7') id!: string;
  /** The screening that it takes the place of; null for the first. Of two that build on the same one, the later is refused. */
  @IsOptional() @IsUUID('7') basedOn!: string | null;
  @IsPastInstant('The time of the screening') takenAt!: string;
  @AnswersAll()
  @Parts(() => ScreenAnswerDto)
  @ArrayMaxSize(100)
  @IsArray()
  answers!: ScreenAnswerDto[];

  /** Positive tests of the laxity score; null where it was not done. */
  @IsOptional() @SomeOf(BEIGHTON_TEST_IDS) beighton!: BeightonTest[] | null;
  @IsPlainText('The note', { max: LIMITS.note }) note!: string;
}

/** That a licensed professional was consulted. Only roles, never names. */
export class ConsultationDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') screeningId!: string;
  @AreLiftable()
  @AllDifferent()
  @ArrayMinSize(1, { message: 'Say which caution it was about.' })
  @ArrayMaxSize(CAUTION_IDS.length)
  @IsArray()
  cautionIds!: CautionId[];
  @IsIn(PROFESSIONAL_ROLES, { message: `Say who by role: ${PROFESSIONAL_ROLES.join(', ')}.` }) role!: ProfessionalRole;
  @IsPastDay('The day of the consultation') consultedOn!: string;
  @IsPlainText('What was allowed', { min: 5, max: LIMITS.reason }) allowed!: string;
}
