import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { Part, Parts } from './parts.ts';

/** How a figure came about when it was not typed. */
export const READING_KINDS = ['instrument', 'trace', 'picture', 'session'] as const;
export const PLACED_BY = ['coach', 'confirmed', 'suggested'] as const;
/** Who put a landmark where it is: the coach, a model whose point the coach confirmed, or a model alone. */
export type PlacedBy = (typeof PLACED_BY)[number];

export class PointDto {
  @IsPlainText('The landmark', { min: 1, max: 40 }) id!: string;
  @Max(LIMITS.picturePixels) @Min(-LIMITS.picturePixels) @IsNumber() x!: number;
  @Max(LIMITS.picturePixels) @Min(-LIMITS.picturePixels) @IsNumber() y!: number;
  @IsIn(PLACED_BY) placedBy!: PlacedBy;
}

/** The coach overruled the count at one moment of a trace, seconds from its start. */
export class CountCorrectionDto {
  @IsIn(['leave out', 'count as well']) what!: 'leave out' | 'count as well';
  @Max(LIMITS.traceSeconds) @Min(0) @IsNumber() at!: number;
}

/** What a trace said, and what the coach made of it. */
export class TraceSummaryDto {
  @Max(LIMITS.traceSeconds) @Min(0) @IsNumber() seconds!: number;
  @Max(1000) @Min(1) @IsNumber() rate!: number;
  @Max(1000) @Min(0) @IsInt() counted!: number;

  @Parts(() => CountCorrectionDto)
  @ArrayMaxSize(100)
  @IsArray()
  corrections!: CountCorrectionDto[];
}

/** Where a trial's figure comes from: an instrument, a trace or a picture. */
export class ReadingDto {
  @IsIn(READING_KINDS) kind!: (typeof READING_KINDS)[number];
  @IsPlainText('The instrument', { min: 1, max: 60 }) instrument!: string;
  /** From a stand-in instead of an instrument: shown, but opens no gate. */
  @IsBoolean() simulated!: boolean;
  /** In the measure's unit, where the reading knows it. */
  @Max(90) @Min(0) @IsNumber() @IsOptional() standardError?: number | null;
  /** The picture on record, where it was kept. */
  @IsUUID('7') @IsOptional() pictureId?: string | null;

  @Parts(() => PointDto)
  @ArrayMaxSize(12, { message: 'At most 12 landmarks fit one picture.' })
  @IsArray()
  @IsOptional()
  points?: PointDto[] | null;

  @Part(() => TraceSummaryDto) @IsOptional() trace?: TraceSummaryDto | null;
}
