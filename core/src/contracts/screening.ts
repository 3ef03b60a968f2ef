import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsUUID, Max, Min } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { addDays, type CalendarDay, type Instant } from '../quantities/index.ts';
import {
  type Answer,
  ANSWERS,
  BEIGHTON_TEST_IDS,
  type BeightonTest,
  CAUTION_IDS,
  type CautionId,
  isLiftable,
  openedBy,
  MOST_LOAD_PER_ARM,
  PERMIT_DAYS,
  PROFESSIONAL_ROLES,
  type ProfessionalRole,
  QUESTION_IDS,
  type QuestionId,
  questionOf,
} from '../safety/index.ts';
import { IsCalendarDay, IsPastDay, IsPastInstant, IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { AllDifferent, Part, Parts, SomeOf } from './parts.ts';
import { CAUTION_WORDS, QUESTION_WORDS } from '../words/index.ts';

/** A side where the question has sides, `whole` where it has none. */
const IsSideOfQuestion = () =>
  rule('isSideOfQuestion', (value, { questionId, answer }) => {
    if (!QUESTION_IDS.includes(questionId as QuestionId)) return undefined;
    const { sided } = questionOf(questionId as QuestionId);
    const { text } = QUESTION_WORDS[questionId as QuestionId];
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
      return `${missing.length} of ${QUESTION_IDS.length} questions are not answered, first “${QUESTION_WORDS[missing[0] as QuestionId].text}”`;
    return asked.length > QUESTION_IDS.length ? 'A question is answered twice.' : undefined;
  });

const AreLiftable = () =>
  rule('areLiftable', (value) =>
    Array.isArray(value) && value.every((id) => CAUTION_IDS.includes(id as CautionId) && isLiftable(id as CautionId))
      ? undefined
      : 'Name cautions that a licensed professional’s word can open.',
  );

/** Each caution names who may open it: a physiotherapist does not open a heart. */
const MayOpenThem = () =>
  rule('mayOpenThem', (role, { cautionIds }) => {
    if (!Array.isArray(cautionIds)) return undefined;
    const closed = cautionIds.find(
      (id) => CAUTION_IDS.includes(id as CautionId) && !openedBy(id as CautionId).includes(role as ProfessionalRole),
    ) as CautionId | undefined;
    return closed && `“${CAUTION_WORDS[closed].name}” is opened by ${openedBy(closed).join(' or ')} only.`;
  });

/** From the consultation on, and at most ninety days. */
const IsWithinDays = () =>
  rule('isWithinDays', (permit, { consultedOn }) => {
    const { until } = (permit ?? {}) as { until?: unknown };
    if (typeof until !== 'string' || typeof consultedOn !== 'string' || Number.isNaN(Date.parse(consultedOn))) return undefined;
    const last = addDays(`${consultedOn}T12:00:00.000Z` as Instant, PERMIT_DAYS).slice(0, 10);
    if (until < consultedOn) return 'The last day lies before the consultation.';
    return until > last ? `A word counts for at most ${PERMIT_DAYS} days: until ${last}.` : undefined;
  });

/** What a licensed professional permits. */
export class PermitDto {
  @Max(MOST_LOAD_PER_ARM, { message: `The load on one arm is at most ${100 * MOST_LOAD_PER_ARM}% of body weight.` })
  @Min(0, { message: 'The load on one arm is at least 0%.' })
  @IsNumber()
  loadPerArm!: number;
  @IsBoolean() overhead!: boolean;
  @IsBoolean() hanging!: boolean;
  @IsBoolean() headDown!: boolean;
  @Max(10, { message: 'The effort is at most 10.' }) @Min(0, { message: 'The effort is at least 0.' }) @IsInt() effort!: number;
  @IsCalendarDay() until!: CalendarDay;
}

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
  @MayOpenThem()
  @IsIn(PROFESSIONAL_ROLES, { message: `Say who by role: ${PROFESSIONAL_ROLES.join(', ')}.` })
  role!: ProfessionalRole;
  @IsPastDay('The day of the consultation') consultedOn!: string;
  @IsPlainText('What was seen and said', { min: 5, max: LIMITS.reason }) allowed!: string;
  @IsWithinDays() @Part(() => PermitDto) permit!: PermitDto;
}
