import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsOptional, IsUUID } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { SKIP_REASONS, type SkipReason } from '../measuring/index.ts';
import { IsMeasureId, IsPastInstant, IsSideOfMeasure, IsTrialValue, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { ReadingDto } from './reading.ts';
import { Part, Parts } from './parts.ts';
import { rule } from './rule.ts';

const some = (list: unknown) => Array.isArray(list) && list.length > 0;

/** What stopped the only movement is a check as well: it takes away what was shown before. */
const HasTrialOrReason = () =>
  rule('hasTrialOrReason', (trials, { skips }) =>
    some(trials) || some(skips) ? undefined : 'A check needs at least one trial, or the reason why there is none.',
  );

/** One reading of one side, in the measure's unit. */
export class TrialDto {
  @IsUUID('7') id!: string;
  @IsMeasureId() measureId!: string;
  @IsSideOfMeasure() @IsIn(['left', 'right', 'whole']) side!: BodySide;
  @IsTrialValue() value!: number;
  /** Absent for a figure that was typed. */
  @Part(() => ReadingDto) @IsOptional() reading?: ReadingDto | null;
}

/** A check that was left out on this occasion, or what stopped its movement. */
export class SkipDto {
  @IsMeasureId() measureId!: string;
  @IsIn(SKIP_REASONS) reason!: SkipReason;
}

/** One occasion on which checks were taken. */
export class CheckDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the check') takenAt!: string;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;

  @Parts(() => TrialDto)
  @ArrayMaxSize(LIMITS.trialsPerCheck, { message: `At most ${LIMITS.trialsPerCheck} trials fit one check.` })
  @HasTrialOrReason()
  @IsArray()
  trials!: TrialDto[];

  @Parts(() => SkipDto)
  @ArrayMaxSize(100)
  @IsArray()
  @IsOptional()
  skips?: SkipDto[];
}

/** A new reading that takes the place of a mistyped one; the record keeps both. */
export class TrialCorrectionDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') replaces!: string;
  @IsMeasureId() measureId!: string;
  @IsTrialValue() value!: number;
  @IsWritten('The reason', { min: 3, max: LIMITS.reason, needed: 'A reason of at least 3 characters is needed.' })
  reason!: string;
}
