import type { BodySide, Joint } from '../anatomy/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { BeforeQuestion } from './beforeQuestions.ts';
import { type CautionId, cautionOf } from './cautions.ts';
import type { EmergencySign } from './emergency.ts';
import type { Permit } from './permit.ts';
import type { Answer, QuestionId } from './questions.ts';

/** What brought a caution about. */
export type CautionCause =
  | { readonly code: 'not screened' }
  | { readonly code: 'answered'; readonly questionId: QuestionId; readonly answer: Answer; readonly side: BodySide }
  /** A form since says no, and no professional was asked. */
  | {
      readonly code: 'answered before';
      readonly questionId: QuestionId;
      readonly answer: Answer;
      readonly side: BodySide;
      readonly at: Instant;
    }
  | { readonly code: 'laxity'; readonly points: number }
  | { readonly code: 'born'; readonly on: string }
  | { readonly code: 'emergency'; readonly signs: readonly EmergencySign[]; readonly at: Instant }
  | { readonly code: 'ill'; readonly since: CalendarDay; readonly until?: Instant }
  | { readonly code: 'before session'; readonly told: readonly BeforeQuestion[]; readonly at: Instant }
  | { readonly code: 'pressure'; readonly systolic: number; readonly diastolic: number; readonly at: Instant }
  /** Signed for before causes were kept as codes: as it was written then. */
  | { readonly code: 'as written'; readonly text: string };

/** A caution in force for a trainee, and which answers or facts caused it. */
export interface CautionInForce {
  readonly id: CautionId;
  readonly because: readonly CautionCause[];
  /** What a licensed professional permits of what it closes. */
  readonly permit?: Permit;
}

/** The joints that are being rebuilt under these cautions. */
export function rebuildingJoints(cautions: readonly CautionInForce[]): ReadonlySet<Joint> {
  return new Set(cautions.flatMap(({ id }) => cautionOf(id).rebuilds ?? []));
}

/** Whether every dose is halved for a while. */
export function isHalved(cautions: readonly Pick<CautionInForce, 'id'>[]): boolean {
  return cautions.some(({ id }) => cautionOf(id).halves);
}

/** Whose tissue grows, mends, gives or is older (professional judgement, from memory, no single published source). */
const CAREFUL: readonly CautionId[] = ['minor', 'from-60', 'lax-joints', 'recent-birth'];

/** Whether tissue needs longer and load grows slower: under 18, from 60, lax, after a birth, or while something is being rebuilt. */
export function growsSlowly(cautions: readonly Pick<CautionInForce, 'id'>[]): boolean {
  return cautions.some(({ id }) => CAREFUL.includes(id) || cautionOf(id).rebuilds !== undefined);
}
