import type { BodySide } from '../anatomy/index.ts';
import { ageOn, type Born, type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import { type BeforeSession, cautionsBeforeSession } from './beforeSession.ts';
import { type BloodPressure, pressureNow } from './bloodPressure.ts';
import { type CautionId, cautionOf } from './cautions.ts';
import { consentStands, type GuardianConsent } from './consent.ts';
import type { CautionCause, CautionInForce } from './inForce.ts';
import { type BeightonTest, beightonScore, type Laxity } from './laxity.ts';
import { callFor, type EmergencyFact } from './emergency.ts';
import { type Permit, permitsAll } from './permit.ts';
import type { ProfessionalRole } from './professionals.ts';
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

/** That a licensed professional was consulted: who by role, when, and what was allowed. */
export interface Consultation {
  readonly role: ProfessionalRole;
  readonly consultedOn: CalendarDay;
  readonly allowed: string;
  /** What it permits; without it the word opens nothing that strains. */
  readonly permit?: Permit | undefined;
  /** The cautions it speaks about. */
  readonly cautionIds: readonly CautionId[];
  /** The answers it was about; a new or different one needs a new consultation. */
  readonly about: readonly Pick<ScreeningAnswer, 'questionId' | 'side'>[];
}

/** A caution of which a consultation has opened what it permits. */
export interface LiftedCaution extends Pick<Consultation, 'role' | 'consultedOn' | 'allowed'> {
  readonly id: CautionId;
  readonly permit: Permit;
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
  /** Emergencies that were not pressed by mistake. */
  readonly emergencies?: readonly EmergencyFact[];
  /** Short forms before sessions, newest first. */
  readonly before?: readonly BeforeSession[];
  /** Resting blood pressure, newest first. */
  readonly pressures?: readonly BloodPressure[];
  /** What those responsible for a child said, newest first. */
  readonly consents?: readonly GuardianConsent[];
  /** Forms that were taken back, and not at once as a slip: what they said yes to still needs a professional's word. */
  readonly withdrawn?: readonly Screening[];
  readonly now: Date;
}

const ADULT_AGE = 18;
const OLDER_AGE = 60;
/** Days after which the screening is asked again (professional judgement, from memory, no single source). */
export const SCREENING_FRESH_DAYS = 180;

const RANK = { lock: 0, 'ask first': 1, stands: 2, note: 3 } as const;

/**
 * What the answers of a screening mean for training: cautions with their causes, what a consultation permits of them, and what locks
 * every gate. A yes that a professional's word must open stays in force when a later form says no, until a consultation dated after it.
 *
 * @param screenings the answers, newest first; none when the screening was never taken
 * @param person year of birth, consultations on record and the moment of judging
 * @example screeningOutcome([], { birthYear: 1990, consultations: [], now }).locks
 * // [{ code: 'never-screened' }]
 */
export function screeningOutcome(
  screenings: readonly Screening[],
  { consultations, emergencies = [], before = [], pressures = [], consents = [], withdrawn = [], now, ...born }: ScreenedPerson,
): ScreeningOutcome {
  const [screening] = screenings;
  const caused = causes(screenings, withdrawn, consultations, born, now);
  addEmergencies(caused, emergencies, consultations);
  addPressure(caused, pressures, now);
  if (caused.has('minor') && !consentStands(consents, now)) caused.set('no-consent', { because: [], answers: [] });
  for (const { id, because } of cautionsBeforeSession(before, screening?.takenAt, now))
    caused.set(id, { because: [...because], answers: [] });
  const lifted: LiftedCaution[] = [];
  const cautions: CautionInForce[] = [];
  for (const [id, { because, answers }] of caused) {
    const consultation = consultations.find((c) => opens(c, id, answers, now));
    if (consultation?.permit) {
      const { role, consultedOn, allowed, permit } = consultation;
      lifted.push({ id, role, consultedOn, allowed, permit });
    }
    cautions.push({ id, because, ...(consultation?.permit ? { permit: consultation.permit } : {}) });
  }
  cautions.sort((a, b) => RANK[cautionOf(a.id).kind] - RANK[cautionOf(b.id).kind]);
  const locks = cautions
    .filter((c) => cautionOf(c.id).kind === 'lock' && !c.permit && c.id !== 'unscreened')
    .map((caution): ScreeningLock => ({ code: 'caution', caution }));
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

/** An answer behind a caution, and when it was given. */
interface Given {
  /** Null: no answer, an event. */
  readonly questionId: QuestionId | null;
  readonly side: BodySide;
  readonly at: Instant;
}

interface Caused {
  readonly because: CautionCause[];
  readonly answers: Given[];
}

function causes(
  screenings: readonly Screening[],
  withdrawn: readonly Screening[],
  consultations: readonly Consultation[],
  born: Born,
  now: Date,
): Map<CautionId, Caused> {
  const caused = new Map<CautionId, Caused>();
  const add = (id: CautionId, because: CautionCause, answer?: Given) => {
    const entry = caused.get(id) ?? { because: [], answers: [] };
    caused.set(id, entry);
    entry.because.push(because);
    if (answer) entry.answers.push(answer);
  };
  const [screening, ...earlier] = screenings;
  if (!screening) add('unscreened', { code: 'not screened' });
  for (const given of screening?.answers ?? []) {
    if (given.answer === 'no') continue;
    const { questionId, answer, side } = given;
    const first = firstOfRow(screenings, questionId);
    for (const id of questionOf(questionId).causes)
      add(id, { code: 'answered', questionId, answer, side }, { questionId, side, at: first });
  }
  for (const { given, at } of noLonger(screening, [...withdrawn, ...earlier]))
    for (const id of questionOf(given.questionId).causes) {
      if (!isLiftable(id) || (given.answer === 'unsure' && cautionOf(id).kind !== 'lock')) continue;
      const { questionId, answer, side } = given;
      if (consultations.some((c) => c.cautionIds.includes(id) && openedBy(id).includes(c.role) && isAfter(c, at))) continue;
      add(id, { code: 'answered before', questionId, answer, side, at }, { questionId, side, at });
    }
  const laxity = screening?.beighton ? beightonScore(screening.beighton) : undefined;
  if (laxity?.lax) add('lax-joints', { code: 'laxity', points: laxity.points });
  const bornOn: CautionCause = { code: 'born', on: born.birthDate ?? String(born.birthYear) };
  if (!surelyAdult(born, now)) add('minor', bornOn);
  if (perhapsFrom60(born, now)) add('from-60', bornOn);
  return caused;
}

/** An emergency locks until a doctor's word; for good only where that word permits everything. */
function addEmergencies(
  caused: Map<CautionId, Caused>,
  emergencies: readonly EmergencyFact[],
  consultations: readonly Consultation[],
): void {
  for (const { at, signs } of emergencies) {
    const id: CautionId = callFor({ signs }) === 'doctor today' ? 'doctor-today' : 'emergency';
    const heard = consultations.filter((c) => c.cautionIds.includes(id) && openedBy(id).includes(c.role) && isAfter(c, at));
    if (heard.some((c) => c.permit && permitsAll(c.permit))) continue;
    const entry = caused.get(id) ?? { because: [], answers: [] };
    caused.set(id, entry);
    entry.because.push({ code: 'emergency', signs, at });
    entry.answers.push({ questionId: null, side: 'whole', at });
  }
}

/**
 * What a reading of the blood pressure adds, or takes: a high one is a caution, whatever the form says; a normal one of the last weeks
 * shows that a known high pressure is under control.
 */
function addPressure(caused: Map<CautionId, Caused>, pressures: readonly BloodPressure[], now: Date): void {
  const reading = pressureNow(pressures, now);
  if (!reading) return;
  const { level, systolic, diastolic, takenAt } = reading;
  const cause: CautionCause = { code: 'pressure', systolic, diastolic, at: takenAt };
  if (level !== 'normal') {
    const id: CautionId = level === 'raised' ? 'raised-pressure' : 'very-high-pressure';
    const entry = caused.get(id) ?? { because: [], answers: [] };
    caused.set(id, entry);
    entry.because.push(cause);
    entry.answers.push({ questionId: null, side: 'whole', at: takenAt });
    return;
  }
  const known = caused.get('raised-pressure');
  // The pressure of the eye is not that of the arm.
  if (!known || known.answers.some((a) => a.questionId !== 'raised-pressure') || known.answers.some((a) => a.at > takenAt)) return;
  caused.delete('raised-pressure');
  caused.set('controlled-pressure', { because: [...known.because, cause], answers: known.answers });
}

/** When the newest unbroken row of yes answers to a question began. */
function firstOfRow(screenings: readonly Screening[], questionId: QuestionId): Instant {
  const end = screenings.findIndex((s) => s.answers.find((a) => a.questionId === questionId)?.answer === 'no');
  const row = end === -1 ? screenings : screenings.slice(0, end);
  return (row.findLast((s) => s.answers.some((a) => a.questionId === questionId)) ?? row[0])?.takenAt ?? ('' as Instant);
}

/** The newest yes to each question that the newest form answers with no, or that no form in force answers. */
function noLonger(screening: Screening | undefined, earlier: readonly Screening[]): readonly { given: ScreeningAnswer; at: Instant }[] {
  return QUESTION_IDS.flatMap((questionId) => {
    const answer = screening?.answers.find((a) => a.questionId === questionId)?.answer;
    if (answer === 'yes' || answer === 'unsure') return [];
    for (const before of earlier) {
      const given = before.answers.find((a) => a.questionId === questionId && a.answer !== 'no');
      if (given) return [{ given, at: before.takenAt }];
    }
    return [];
  });
}

/** Where only the year is known, whoever may be of that age: the safe side. */
function perhapsFrom60(born: Born, now: Date): boolean {
  return ageOn(born, now).years >= OLDER_AGE;
}

/** Whether somebody is an adult beyond doubt: where only the year is known, from the year after. */
export function surelyAdult(born: Born, now: Date): boolean {
  const { years, sure } = ageOn(born, now);
  return sure ? years >= ADULT_AGE : years > ADULT_AGE;
}

/**
 * A consultation opens of a caution what it permits, as long as the answers behind it are those it was about and were given before, its
 * role may open it, and its time has not run out.
 */
function opens(
  { role, cautionIds, about, permit, ...consultation }: Consultation,
  id: CautionId,
  answers: readonly Given[],
  now: Date,
): boolean {
  if (!permit || !cautionIds.includes(id) || !openedBy(id).includes(role)) return false;
  if (calendarDay(now) > permit.until) return false;
  return answers.every(
    (a) => isAfter(consultation, a.at) && (a.questionId === null || about.some((b) => b.questionId === a.questionId && b.side === a.side)),
  );
}

/** On the day of the answer or later: of two on one day the hours are not known. */
function isAfter({ consultedOn }: Pick<Consultation, 'consultedOn'>, at: Instant): boolean {
  return consultedOn >= calendarDay(at);
}

/** Who may open a caution, by role; nobody where it is nobody's to open. */
export function openedBy(id: CautionId): readonly ProfessionalRole[] {
  return cautionOf(id).openedBy ?? [];
}

/** Whether a licensed professional's word can open this caution at all. */
export function isLiftable(id: CautionId): boolean {
  return openedBy(id).length > 0;
}
