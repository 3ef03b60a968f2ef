import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsOptional, IsUUID } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { SKIP_REASONS, type SkipReason } from '../measuring/index.ts';
import { IsMeasureId, IsPastInstant, IsSideOfMeasure, IsTrialValue, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { ReadingDto } from './reading.ts';
import { Part, Parts } from './parts.ts';

/** One reading of one side, in the measure's unit. */
export class TrialDto {
  @IsUUID('7') id!: string;
  @IsMeasureId() measureId!: string;
  @IsSideOfMeasure() @IsIn(['left', 'right', 'whole']) side!: BodySide;
  @IsTrialValue() value!: number;
  /** Absent for a figure that was typed. */
  @Part(() => ReadingDto) @IsOptional() reading?: ReadingDto | null;
}

/** A check that was to be taken on this occasion and was not. */
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
  @ArrayMinSize(1, { message: 'A check needs at least one trial.' })
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
