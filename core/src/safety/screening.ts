import type { BodySide } from '../anatomy/index.ts';
import { ageOn, type Born, daysBetween, type CalendarDay, type Instant, shortDay } from '../quantities/index.ts';
import { type CautionId, type CautionInForce, cautionOf } from './cautions.ts';
import { type BeightonTest, beightonScore, type Laxity } from './laxity.ts';
import { type Answer, QUESTION_IDS, type QuestionId, questionOf } from './questions.ts';

/** One answer of the screening. `side` says which, where the question has sides. */
export interface ScreeningAnswer {
  readonly questionId: QuestionId;
  readonly answer: Answer;
  readonly side: BodySide;
}

/** The screening before training, as it was answered. */
export interface Screening {
  readonly takenAt: Instant;
  readonly answers: readonly ScreeningAnswer[];
  /** Positive Beighton tests; null when they were not done. */
  readonly beighton: readonly BeightonTest[] | null;
}

export const PROFESSIONAL_ROLES = [
  'general practitioner',
  'specialist doctor',
  'surgeon',
  'physiotherapist',
  'midwife or obstetrician',
] as const;
export type ProfessionalRole = (typeof PROFESSIONAL_ROLES)[number];

/** That a licensed professional was consulted: who by role, when, and what was allowed. */
export interface Consultation {
  readonly role: ProfessionalRole;
  readonly consultedOn: CalendarDay;
  readonly allowed: string;
  /** The cautions it speaks about. */
  readonly cautionIds: readonly CautionId[];
  /** The answers it was about; a new or different one needs a new consultation. */
  readonly about: readonly Pick<ScreeningAnswer, 'questionId' | 'side'>[];
}

/** A caution that a consultation has opened. */
export interface LiftedCaution {
  readonly id: CautionId;
  readonly by: string;
}

/** Why the screening closes every gate. */
export type ScreeningLock =
  | { readonly code: 'never-screened' }
  | { readonly code: 'screening-stale'; readonly takenAt: Instant }
  | { readonly code: 'screening-partial'; readonly unasked: number }
  | { readonly code: 'caution'; readonly caution: CautionInForce };

export interface ScreeningOutcome {
  /** `partial`: a question was added, or never asked, since the screening was taken. */
  readonly state: 'missing' | 'partial' | 'stale' | 'fresh';
  readonly takenAt?: Instant;
  /** In force, locks first. */
  readonly cautions: readonly CautionInForce[];
  readonly lifted: readonly LiftedCaution[];
  /** Why every gate is closed. */
  readonly locks: readonly ScreeningLock[];
  readonly laxity?: Laxity;
}

/** Where only the year of birth is known, the birthday is taken as the last day of the year, the safe side. */
export interface ScreenedPerson extends Born {
  readonly consultations: readonly Consultation[];
  readonly now: Date;
}

const ADULT_AGE = 18;
/** Days after which the screening is asked again, and a consultation is to be renewed (project defaults). */
export const SCREENING_FRESH_DAYS = 365;
const CONSULTATION_DAYS = 365;

const RANK = { lock: 0, 'ask first': 1, stands: 2, note: 3 } as const;

/**
 * What the answers of a screening mean for training: cautions with their causes, what a consultation has
 * opened, and what locks every gate.
 *
 * @param screening the newest answers; undefined when the screening was never taken
 * @param person year of birth, consultations on record and the moment of judging
 * @example screeningOutcome(undefined, { birthYear: 1990, consultations: [], now }).locks
 * // [{ code: 'never-screened' }]
 */
export function screeningOutcome(screening: Screening | undefined, { consultations, now, ...born }: ScreenedPerson): ScreeningOutcome {
  const caused = causes(screening, born, now);
  const lifted: LiftedCaution[] = [];
  const cautions: CautionInForce[] = [];
  for (const [id, { because, answers }] of caused) {
    const consultation = consultations.find((c) => opens(c, id, answers, now));
    if (consultation) lifted.push({ id, by: consultationInWords(consultation, now) });
    else cautions.push({ id, because });
  }
  cautions.sort((a, b) => RANK[cautionOf(a.id).kind] - RANK[cautionOf(b.id).kind]);
  const locks = cautions.filter((c) => cautionOf(c.id).kind === 'lock').map((caution): ScreeningLock => ({ code: 'caution', caution }));
  if (!screening) return { state: 'missing', cautions, lifted, locks: [{ code: 'never-screened' }, ...locks] };
  const unasked = QUESTION_IDS.filter((id) => !screening.answers.some((a) => a.questionId === id)).length;
  const stale = daysBetween(screening.takenAt, now) > SCREENING_FRESH_DAYS;
  const waits: readonly ScreeningLock[] = stale
    ? [{ code: 'screening-stale', takenAt: screening.takenAt }]
    : unasked > 0
      ? [{ code: 'screening-partial', unasked }]
      : [];
  return {
    state: stale ? 'stale' : unasked > 0 ? 'partial' : 'fresh',
    takenAt: screening.takenAt,
    cautions,
    lifted,
    locks: [...waits, ...locks],
    ...(screening.beighton ? { laxity: beightonScore(screening.beighton) } : {}),
  };
}

interface Caused {
  readonly because: string[];
  readonly answers: Pick<ScreeningAnswer, 'questionId' | 'side'>[];
}

function causes(screening: Screening | undefined, born: Born, now: Date): ReadonlyMap<CautionId, Caused> {
  const caused = new Map<CautionId, Caused>();
  const add = (id: CautionId, because: string, answer?: Pick<ScreeningAnswer, 'questionId' | 'side'>) => {
    const entry = caused.get(id) ?? { because: [], answers: [] };
    caused.set(id, entry);
    entry.because.push(because);
    if (answer) entry.answers.push({ questionId: answer.questionId, side: answer.side });
  };
  for (const given of screening?.answers ?? []) {
    if (given.answer === 'no') continue;
    for (const id of questionOf(given.questionId).causes) add(id, answerInWords(given), given);
  }
  const laxity = screening?.beighton ? beightonScore(screening.beighton) : undefined;
  if (laxity?.lax) add('lax-joints', `laxity ${laxity.points} of 9 points`);
  if (!surelyAdult(born, now)) add('minor', `born ${born.birthDate ?? born.birthYear}`);
  return caused;
}

function surelyAdult(born: Born, now: Date): boolean {
  const { years, sure } = ageOn(born, now);
  return sure ? years >= ADULT_AGE : years > ADULT_AGE;
}

/**
 * An answer as a reason: the fact, the side, and whether it is certain.
 *
 * @example answerInWords({ questionId: 'wrist-injury', answer: 'yes', side: 'right' }) // 'a wrist is being rebuilt, right'
 */
export function answerInWords({ questionId, answer, side }: ScreeningAnswer): string {
  const where = side === 'whole' ? (questionOf(questionId).sided ? ', both sides' : '') : `, ${side}`;
  return `${questionOf(questionId).fact}${where}${answer === 'unsure' ? ' (unsure, counted as yes)' : ''}`;
}

/** A consultation opens a caution that waits for one, as long as the answers behind it are those it was about. */
function opens(
  { cautionIds, about, consultedOn }: Consultation,
  id: CautionId,
  answers: readonly Pick<ScreeningAnswer, 'questionId' | 'side'>[],
  now: Date,
): boolean {
  if (!isLiftable(id) || !cautionIds.includes(id)) return false;
  if (daysBetween(`${consultedOn}T00:00:00.000Z` as Instant, now) > CONSULTATION_DAYS) return false;
  return answers.every((a) => about.some((b) => b.questionId === a.questionId && b.side === a.side));
}

/** Whether a licensed professional's word can open this caution at all. */
export function isLiftable(id: CautionId): boolean {
  const { kind } = cautionOf(id);
  return kind === 'lock' || kind === 'ask first';
}

function consultationInWords({ role, consultedOn, allowed }: Consultation, now: Date): string {
  return `${role} consulted ${shortDay(`${consultedOn}T12:00:00.000Z` as Instant, now)}: ${allowed}`;
}
