import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { DOSE_UNITS, type DoseUnit } from '../drills/index.ts';
import { CourseDto } from './course.ts';
import { IsNotBelow } from './decorators.ts';
import { LIBRARY_LIMITS as MOST } from './limits.ts';
import { Part } from './parts.ts';
import { NullIsNone, rule } from './rule.ts';

/** Tempo belongs to repetitions. */
const IsTempoOfReps = () =>
  rule('isTempoOfReps', (value, { unit }) => (value === undefined || unit === 'reps' ? undefined : 'Only repetitions have a tempo.'));

/** So does a course. */
const IsCourseOfReps = () =>
  rule('isCourseOfReps', (value, { unit }) => (value === undefined || unit === 'reps' ? undefined : 'Only repetitions have a course.'));

/** Sides take turns where there are sides. */
const HasSidesToAlternate = () =>
  rule('hasSidesToAlternate', (value, { perSide }) =>
    (value as CourseDto | undefined)?.alternating && perSide !== true
      ? 'Only what is done on each side has sides that take turns.'
      : undefined,
  );

const SECONDS = (most: number) => `must be from 0 to ${most} seconds.`;

export class TempoDto {
  @Max(60, { message: `The way out ${SECONDS(60)}` }) @Min(0, { message: `The way out ${SECONDS(60)}` }) @IsNumber() out!: number;
  @Max(60, { message: `The hold ${SECONDS(60)}` }) @Min(0, { message: `The hold ${SECONDS(60)}` }) @IsNumber() hold!: number;
  @Max(60, { message: `The way back ${SECONDS(60)}` }) @Min(0, { message: `The way back ${SECONDS(60)}` }) @IsNumber() back!: number;
  @NullIsNone()
  @IsOptional()
  @Max(60, { message: `The wait ${SECONDS(60)}` })
  @Min(0, { message: `The wait ${SECONDS(60)}` })
  @IsNumber()
  rest?: number;
}

export class DoseRangeDto {
  @IsIn(DOSE_UNITS) unit!: DoseUnit;
  @Max(MOST.dose, { message: `A dose must be at most ${MOST.dose}.` })
  @Min(1, { message: 'A dose must be at least 1.' })
  @IsInt()
  min!: number;
  @IsNotBelow('min')
  @Max(MOST.dose, { message: `A dose must be at most ${MOST.dose}.` })
  @Min(1, { message: 'A dose must be at least 1.' })
  @IsInt()
  max!: number;
  @Max(MOST.sets, { message: `Sets must be at most ${MOST.sets}.` })
  @Min(1, { message: 'Sets must be at least 1.' })
  @IsInt()
  sets!: number;
  @IsBoolean() perSide!: boolean;
  @Max(MOST.rest, { message: `Rest ${SECONDS(MOST.rest)}` })
  @Min(0, { message: `Rest ${SECONDS(MOST.rest)}` })
  @IsInt()
  restSeconds!: number;
  @IsOptional() @IsTempoOfReps() @Part(() => TempoDto) tempo?: TempoDto;
  @NullIsNone() @IsOptional() @IsCourseOfReps() @HasSidesToAlternate() @Part(() => CourseDto) course?: CourseDto;
}
