import 'reflect-metadata';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min } from 'class-validator';
import type { BodySide, Side } from '../anatomy/index.ts';
import type { FaultId } from '../drills/index.ts';
import { DRILL_SKIP_REASONS, type DrillSkipReason } from '../floor/index.ts';
import {
  BODY_PLACES,
  type BodyPlace,
  LASTING_MOST,
  PROFESSIONAL_ROLES,
  type ProfessionalRole,
  type Retest,
  RETESTS,
  SYMPTOM_KINDS,
  SYMPTOM_MOMENTS,
  type SymptomKind,
  type SymptomMoment,
} from '../safety/index.ts';
import { type Feeling, FEELINGS } from '../readiness/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { IsDrillId, IsFaultId, IsNotBelow, IsPastDay, IsPastInstant, IsPlainText, IsWritten } from './decorators.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner, type MannerDto } from './manner.ts';
import { LIMITS } from './limits.ts';
import { Part, Parts } from './parts.ts';
import { rule } from './rule.ts';

export const MOST_AMOUNT = 3600;
const SIDES = ['left', 'right', 'whole'] as const;

/** Who and when belong together. */
const WithSibling = (sibling: string, needed: string) => rule('withSibling', (_, object) => (object[sibling] ? undefined : needed));

/** How a set felt; a device that was away since before the name changed says it in the old one. */
export function IsFeeling(): PropertyDecorator {
  return (target, property) => {
    IsIn(FEELINGS)(target, String(property));
    Transform(({ value }: { readonly value: unknown }) => (value === 'locked up' ? 'clenched' : value))(target, property);
  };
}

export const TEN = 'must be a whole number from 0 to 10.';

export class FaultSeenDto {
  @IsFaultId() faultId!: FaultId;
  @IsBoolean() mended!: boolean;
  /** In two-handed work, the side on which it showed, where somebody said so. */
  @IsOptional() @IsIn(['left', 'right']) on?: Side;
}

export class SetDto {
  @IsUUID('7') id!: string;
  @IsIn(SIDES) side!: BodySide;
  @Max(MOST_AMOUNT, { message: `A set must be at most ${MOST_AMOUNT}.` })
  @Min(0, { message: 'A set must not be negative.' })
  @IsInt({ message: `A set must be a whole number from 0 to ${MOST_AMOUNT}.` })
  amount!: number;
  /** How it felt, where the dose was by feel. */
  @IsOptional() @IsFeeling() feeling?: Feeling;
  /** It ran to its end by the clock, and nobody said that it was done. */
  @IsOptional() @IsBoolean() unconfirmed?: boolean;
  @Parts(() => FaultSeenDto) @ArrayMaxSize(LIMITS.faultsPerSet) @IsArray() faults!: FaultSeenDto[];
}

export class SessionItemDto {
  @IsUUID('7') id!: string;
  @IsDrillId() drillId!: string;
  @Max(20) @Min(1) @IsInt() plannedSets!: number;
  @Max(MOST_AMOUNT) @Min(1) @IsInt() min!: number;
  @IsNotBelow('min') @Max(MOST_AMOUNT) @Min(1) @IsInt() max!: number;
  /** The set-up it was done in, where it was not the drill's. */
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  /** The weight, band or tempo it is done with. */
  @IsOptional() @IsManner() manner?: MannerDto;
  /** Why it was left out, or left before its last set. */
  @IsOptional() @IsIn(DRILL_SKIP_REASONS) skipped?: DrillSkipReason;
  @Parts(() => SetDto)
  @ArrayMaxSize(LIMITS.setsPerDrill, { message: `At most ${LIMITS.setsPerDrill} sets fit one drill.` })
  @IsArray()
  sets!: SetDto[];
}

/** What is felt: how strong, where, of what kind and when. */
export class SymptomValuesDto {
  @Max(10, { message: `Symptom ${TEN}` }) @Min(0, { message: `Symptom ${TEN}` }) @IsInt({ message: `Symptom ${TEN}` }) intensity!: number;
  @IsIn(BODY_PLACES) place!: BodyPlace;
  @IsIn(SIDES) side!: BodySide;
  @IsIn(SYMPTOM_KINDS) kind!: SymptomKind;
  @IsIn(SYMPTOM_MOMENTS) moment!: SymptomMoment;
  /** Of what was sharp: whether it went on a second, lighter try. */
  @IsOptional() @IsIn(RETESTS) retest?: Retest | null;
}

export class SymptomDto extends SymptomValuesDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') sessionId!: string | null;
  @IsPastInstant('The time of the symptom') at!: string;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;
}

/** A session as it was done. */
export class SessionDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') plannedSessionId!: string | null;
  @IsPastInstant('The time of the session') performedAt!: string;
  @Max(10, { message: `Effort ${TEN}` }) @Min(0, { message: `Effort ${TEN}` }) @IsInt({ message: `Effort ${TEN}` }) effort!: number;
  @Max(LIMITS.minutes.max, { message: `Minutes must be at most ${LIMITS.minutes.max}.` })
  @Min(1, { message: 'Minutes must be at least 1.' })
  @IsInt({ message: `Minutes must be a whole number from 1 to ${LIMITS.minutes.max}.` })
  minutes!: number;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;
  /** The routine that was gone through to prepare for something else, or as a short break: it is load, and while it is light no session. */
  @IsOptional() @IsPlainText('The name of a routine', { min: 1, max: LIMITS.name }) preparation?: string | null;

  @Parts(() => SessionItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession, { message: `At most ${LIMITS.drillsPerSession} drills fit one session.` })
  @IsArray()
  items!: SessionItemDto[];

  @Parts(() => SymptomDto) @ArrayMaxSize(LIMITS.symptomsPerSession) @IsArray() symptoms!: SymptomDto[];
}

/** A stop sign is closed: on what ground, and, where it is not the coach's to close, on whose word. */
export class StopSignClosureDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') symptomId!: string;
  @IsWritten('The ground', { min: 5, max: LIMITS.reason, needed: 'Say on what ground, in at least 5 characters.' })
  ground!: string;
  /** The licensed professional who was heard; absent where the coach closes it. */
  @WithSibling('consultedOn', 'Say on which day the professional was heard.')
  @IsOptional()
  @IsIn(PROFESSIONAL_ROLES, { message: `Say who by role: ${PROFESSIONAL_ROLES.join(', ')}.` })
  role?: ProfessionalRole | null;
  @WithSibling('role', 'Say who by role was heard.')
  @IsOptional()
  @IsPastDay('The day on which the professional was heard')
  consultedOn?: CalendarDay | null;
}

/** A lasting pain that a licensed professional has looked at, and what is usual; 0 says that it is over. */
export class LastingPainDto {
  @IsUUID('7') id!: string;
  @IsIn(BODY_PLACES) place!: BodyPlace;
  @IsIn(SIDES) side!: BodySide;
  @Max(LASTING_MOST, { message: `What is usual is at most ${LASTING_MOST} of 10.` })
  @Min(0, { message: 'What is usual is at least 0.' })
  @IsInt({ message: `What is usual is a whole number from 0 to ${LASTING_MOST}.` })
  level!: number;
  @IsIn(PROFESSIONAL_ROLES, { message: `Say who by role: ${PROFESSIONAL_ROLES.join(', ')}.` }) role!: ProfessionalRole;
  @IsPastDay('The day on which the professional was heard') consultedOn!: CalendarDay;
  @IsPlainText('What was seen and said', { min: 5, max: LIMITS.reason }) said!: string;
}
