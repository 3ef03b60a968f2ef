import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { IsCalendarDay, IsDrillId, IsMonday, IsNotBelow, IsWritten } from './decorators.ts';
import { type Place, PLACES, SESSION_FORM_IDS, type SessionForm } from '../planning/index.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner, type MannerDto } from './manner.ts';
import { LIMITS } from './limits.ts';
import { PlanSchoolsDto } from './schools.ts';
import { AllDifferent, Part, Parts } from './parts.ts';

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
  @IsWritten('The text', { max: LIMITS.reason }) why!: string;
  /** What the week would be without it. */
  @IsOptional() @IsWritten('The text', { max: LIMITS.reason }) without?: string;
  /** This trainee's own set-up, in place of the drill's. */
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  /** The weight, band or tempo it is done with. */
  @IsOptional() @IsManner() manner?: MannerDto;
  /** Stays when the rest is planned again. */
  @IsOptional() @IsBoolean() pinned?: boolean;
  /** Planned although a rule keeps it out: the coach's reason. */
  @IsOptional() @IsWritten('The reason', { min: 3, max: LIMITS.reason }) overruled?: string;
}

export class PlannedSessionDto {
  @IsUUID('7') id!: string;
  @IsCalendarDay() day!: string;
  @IsOptional() @IsIn(Object.keys(PLACES)) place?: Place;
  @IsOptional() @IsIn(SESSION_FORM_IDS) form?: SessionForm;
  @Parts(() => PlannedItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession, { message: `At most ${LIMITS.drillsPerSession} drills fit one session.` })
  @IsArray()
  items!: PlannedItemDto[];
}

export class LeftOutDto {
  @IsDrillId() drillId!: string;
  @IsWritten('The text', { max: LIMITS.reason }) why!: string;
}

/** What a week holds, as it is stored. */
export class PlanDocumentDto {
  @Parts(() => PlannedSessionDto)
  @ArrayMaxSize(LIMITS.sessionsPerWeek, { message: `At most ${LIMITS.sessionsPerWeek} sessions fit one week.` })
  @IsArray()
  sessions!: PlannedSessionDto[];

  /** Where this plan leaves the studio's schools. */
  @IsOptional() @Part(() => PlanSchoolsDto) schools?: PlanSchoolsDto;

  @IsWritten('A note', { max: LIMITS.reason }, true) @ArrayMaxSize(40) @IsArray() notes!: string[];
  @Parts(() => LeftOutDto) @ArrayMaxSize(40) @IsArray() leftOut!: LeftOutDto[];
}

/** One week of a trainee. Each save is a new revision that names the one it edits. */
export class PlanDto extends PlanDocumentDto {
  @IsUUID('7') id!: string;
  @IsMonday() weekStart!: string;
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
}

/** Which week is asked for. */
export class WeekQueryDto {
  @IsMonday() weekStart!: string;
}

/** Which weeks are asked for. */
export class WeeksQueryDto {
  @IsCalendarDay() from!: string;
  @Max(LIMITS.weeksAtOnce, { message: `At most ${LIMITS.weeksAtOnce} weeks are shown at once.` })
  @Min(1, { message: 'At least 1 week is needed.' })
  @IsInt({ message: 'Weeks must be a whole number.' })
  weeks!: number;
}

/** Several weeks of one trainee, saved together or not at all. */
export class PlanBlockDto {
  @IsUUID('7') revision!: string;
  @AllDifferent((p: PlanDto) => p.weekStart, 'A week is named twice.')
  @Parts(() => PlanDto)
  @ArrayMaxSize(LIMITS.weeksAtOnce, { message: `At most ${LIMITS.weeksAtOnce} weeks are saved at once.` })
  @ArrayMinSize(1, { message: 'There is no week to save.' })
  @IsArray()
  plans!: PlanDto[];
}
