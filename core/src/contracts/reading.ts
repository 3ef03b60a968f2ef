import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import { CURVE_POINTS, TRACE_QUANTITIES, type TraceQuantity } from '../traces/index.ts';
import { IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { type SetUp, setUpProblem } from '../statics/index.ts';
import { Part, Parts } from './parts.ts';
import { rule } from './rule.ts';

const IsKnownSetUp = () => rule('isKnownSetUp', setUpProblem);

/** How a figure came about when it was not typed. */
export const READING_KINDS = ['instrument', 'trace', 'picture', 'set-up', 'session'] as const;
export const PLACED_BY = ['coach', 'confirmed', 'suggested'] as const;
/** Who put a landmark where it is: the coach, a model whose point the coach confirmed, or a model alone. */
export type PlacedBy = (typeof PLACED_BY)[number];

export class PointDto {
  @IsPlainText('The landmark', { min: 1, max: 40 }) id!: string;
  @Max(LIMITS.picturePixels) @Min(-LIMITS.picturePixels) @IsNumber() x!: number;
  @Max(LIMITS.picturePixels) @Min(-LIMITS.picturePixels) @IsNumber() y!: number;
  @IsIn(PLACED_BY) placedBy!: PlacedBy;
  /** How far it may lie off, in pixels of the picture: told by the zoom at which it was placed. */
  @Max(LIMITS.picturePixels) @Min(0) @IsNumber() @IsOptional() error?: number;
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
  @IsIn(TRACE_QUANTITIES) @IsOptional() quantity?: TraceQuantity;
  /** A pose model read it off a clip: it informs, and opens no gate. */
  @IsBoolean() @IsOptional() ofClip?: boolean;
  /** Of the counted, those that were clean, and in what the next one fell off. */
  @Max(1000) @Min(0) @IsInt() @IsOptional() clean?: number;
  @IsIn(['range', 'tempo']) @IsOptional() fellOff?: 'range' | 'tempo';
  /** Means of the clean ones: range in the trace's unit, seconds there and back, the shorter way ÷ the longer. */
  @Max(3000) @Min(0) @IsNumber() @IsOptional() range?: number;
  @Max(LIMITS.traceSeconds) @Min(0) @IsNumber() @IsOptional() tempo?: number;
  @Max(1) @Min(0) @IsNumber() @IsOptional() evenness?: number;
  /** The smoothed trace, evenly picked. */
  @Max(3000, { each: true })
  @Min(-3000, { each: true })
  @IsNumber({}, { each: true })
  @ArrayMaxSize(CURVE_POINTS)
  @IsArray()
  @IsOptional()
  curve?: number[];

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
  /** What it was read off, as a fingerprint: the same for the same picture, frame or trace. */
  @Matches(/^[0-9a-f]{16,64}$/, { message: 'The fingerprint of what was read must be 16 to 64 hexadecimal digits.' })
  @IsOptional()
  source?: string | null;

  /** The picture on record, where it was kept. */
  @IsUUID('7') @IsOptional() pictureId?: string | null;

  @Parts(() => PointDto)
  @ArrayMaxSize(12, { message: 'At most 12 landmarks fit one picture.' })
  @IsArray()
  @IsOptional()
  points?: PointDto[] | null;

  /** A set-up whose load is known, in place of an instrument, and how long it was held. */
  @IsKnownSetUp() @IsOptional() setUp?: SetUp | null;
  @Max(600, { message: 'A hold must be at most 600 seconds.' }) @Min(0) @IsNumber() @IsOptional() heldSeconds?: number | null;

  @Part(() => TraceSummaryDto) @IsOptional() trace?: TraceSummaryDto | null;
}
