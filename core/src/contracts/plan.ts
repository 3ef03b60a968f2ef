import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsCalendarDay, IsDrillId, IsMonday, IsNotBelow } from './decorators.ts';
import { type Place, PLACES, SESSION_FORMS, type SessionForm } from '../planning/index.ts';
import { SupportPlanDto } from './library.ts';
import { LIMITS } from './limits.ts';
import { PlanSchoolsDto } from './schools.ts';

const MOST_SETS = 10;
const MOST_AMOUNT = 600;
const MOST_REST = 600;

export class PlannedItemDto {
  @IsUUID('7') id!: string;
  @IsDrillId() drillId!: string;
  @Max(MOST_SETS, { message: `Sets must be at most ${MOST_SETS}.` })
  @Min(1, { message: 'Sets must be at least 1.' })
  @IsInt()
  sets!: number;
  @Max(MOST_AMOUNT, { message: `A dose must be at most ${MOST_AMOUNT}.` })
  @Min(1, { message: 'A dose must be at least 1.' })
  @IsInt()
  min!: number;
  @IsNotBelow('min')
  @Max(MOST_AMOUNT, { message: `A dose must be at most ${MOST_AMOUNT}.` })
  @Min(1, { message: 'A dose must be at least 1.' })
  @IsInt()
  max!: number;
  @Max(MOST_REST, { message: `Rest must be at most ${MOST_REST} seconds.` })
  @Min(0, { message: 'Rest must not be negative.' })
  @IsInt()
  restSeconds!: number;
  @MaxLength(LIMITS.reason) @IsString() why!: string;
  /** What the week would be without it. */
  @IsOptional() @MaxLength(LIMITS.reason) @IsString() without?: string;
  /** This trainee's own set-up, in place of the drill's. */
  @IsOptional() @ValidateNested() @Type(() => SupportPlanDto) support?: SupportPlanDto;
  /** Stays when the rest is planned again. */
  @IsOptional() @IsBoolean() pinned?: boolean;
}

export class PlannedSessionDto {
  @IsUUID('7') id!: string;
  @IsCalendarDay() day!: string;
  @IsOptional() @IsIn(Object.keys(PLACES)) place?: Place;
  @IsOptional() @IsIn(Object.keys(SESSION_FORMS)) form?: SessionForm;
  @ValidateNested({ each: true })
  @Type(() => PlannedItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession, { message: `At most ${LIMITS.drillsPerSession} drills fit one session.` })
  @IsArray()
  items!: PlannedItemDto[];
}

export class LeftOutDto {
  @IsDrillId() drillId!: string;
  @MaxLength(LIMITS.reason) @IsString() why!: string;
}

/** One week of a trainee. Each save is a new revision that names the one it edits. */
export class PlanDto {
  @IsUUID('7') id!: string;
  @IsMonday() weekStart!: string;
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;

  @ValidateNested({ each: true })
  @Type(() => PlannedSessionDto)
  @ArrayMaxSize(LIMITS.sessionsPerWeek, { message: `At most ${LIMITS.sessionsPerWeek} sessions fit one week.` })
  @IsArray()
  sessions!: PlannedSessionDto[];

  /** Where this plan leaves the studio's schools. */
  @IsOptional() @ValidateNested() @Type(() => PlanSchoolsDto) schools?: PlanSchoolsDto;

  @MaxLength(LIMITS.reason, { each: true }) @ArrayMaxSize(40) @IsArray() notes!: string[];
  @ValidateNested({ each: true }) @Type(() => LeftOutDto) @ArrayMaxSize(40) @IsArray() leftOut!: LeftOutDto[];
}

/** Several weeks of one trainee, saved together or not at all. */
export class PlanBlockDto {
  @IsUUID('7') revision!: string;
  @ArrayUnique((p: PlanDto) => p.weekStart, { message: 'A week is named twice.' })
  @ValidateNested({ each: true })
  @Type(() => PlanDto)
  @ArrayMaxSize(LIMITS.weeksAtOnce, { message: `At most ${LIMITS.weeksAtOnce} weeks are saved at once.` })
  @ArrayMinSize(1, { message: 'There is no week to save.' })
  @IsArray()
  plans!: PlanDto[];
}
