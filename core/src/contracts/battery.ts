import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { SKIP_REASONS, type SkipReason } from '../measuring/index.ts';
import { IsMeasureId, IsPastInstant, IsSideOfMeasure, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { ReadingDto } from './reading.ts';
import { Part, Parts } from './parts.ts';

/** One figure of a battery that is being taken: as typed, so that nothing typed is ever lost. */
export class BatteryCellDto {
  @IsMeasureId() measureId!: string;
  @IsSideOfMeasure() @IsIn(['left', 'right', 'whole']) side!: BodySide;
  @Max(20) @Min(0) @IsInt() ordinal!: number;
  @IsUUID('7') trialId!: string;
  @IsWritten('A figure', { max: 20 }) text!: string;
  @Part(() => ReadingDto) @IsOptional() reading?: ReadingDto | null;
}

export class BatterySkipDto {
  @IsMeasureId() measureId!: string;
  /** Null takes the skip back. */
  @IsIn(SKIP_REASONS) @IsOptional() reason!: SkipReason | null;
}

/** What changed on one device since it last reached the server; the rest of the run stays as it is. */
export class BatteryPatchDto {
  /** Id of the run, and of the check it becomes. */
  @IsUUID('7') id!: string;
  @IsPastInstant('The start of the run') startedAt!: string;
  /** Which checks it holds: `gate`, `ladder`, `all`, or measure ids. */
  @Matches(/^[a-z0-9,-]{2,1200}$/, { message: 'The scope must name checks.' }) scope!: string;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;
  /** What this device began with: where another has changed it since, both stay. */
  @IsOptional() @IsWritten('The note before', { max: LIMITS.note }) noteBefore?: string;

  @Parts(() => BatteryCellDto)
  @ArrayMaxSize(LIMITS.trialsPerCheck)
  @IsArray()
  cells!: BatteryCellDto[];

  @Parts(() => BatterySkipDto)
  @ArrayMaxSize(100)
  @IsArray()
  skips!: BatterySkipDto[];
}
