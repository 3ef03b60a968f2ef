import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsNumber, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { type ContactName, type SetUp, setUpProblem } from '../statics/index.ts';
import { IsPastInstant, IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { Parts } from './parts.ts';

const UNDER: readonly ContactName[] = ['hands', 'forearms', 'feet', 'knees', 'shanks'];

/** What a scale showed in a set-up. */
export class ScaleReadingDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the reading') takenAt!: string;
  @rule('isSetUp', setUpProblem) setUp!: SetUp;
  @IsIn(UNDER, { message: `A scale stands under ${UNDER.join(', ')}.` }) under!: ContactName;
  @Max(400, { message: 'A scale shows at most 400 kg.' })
  @Min(0, { message: 'A scale shows at least 0 kg.' })
  @IsNumber({}, { message: 'The reading must be a number of kilograms.' })
  kg!: number;
  @Max(LIMITS.mass.max, { message: `Body mass must be at most ${LIMITS.mass.max} kg.` })
  @Min(LIMITS.mass.min, { message: `Body mass must be at least ${LIMITS.mass.min} kg.` })
  @IsNumber()
  massKg!: number;
  /** The model was contradicted, and the coach stands by the reading. */
  @IsBoolean() insisted!: boolean;
  @IsPlainText('The note', { max: LIMITS.reason }) note!: string;
}

export class ReadingSetAsideDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') readingId!: string;
  @IsPlainText('The reason', { min: 1, max: LIMITS.reason }) reason!: string;
}

/** One reading off a luggage scale: how far beyond its slack length the band was, and what it pulled. */
export class BandReadingDto {
  @Max(400, { message: 'A stretch must be at most 400 cm.' })
  @Min(1, { message: 'A stretch must be at least 1 cm.' })
  @IsNumber({}, { message: 'A stretch must be a number of centimetres.' })
  stretchCm!: number;
  @Max(200, { message: 'A force must be at most 200 kg.' })
  @Min(0.1, { message: 'A force must be at least 0.1 kg.' })
  @IsNumber({}, { message: 'A force must be a number of kilograms.' })
  kg!: number;
}

/** An elastic band of the studio; each save is a new revision that names the one it edits. */
export class BandDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
  @IsPlainText('The name of the band', { min: 1, max: LIMITS.name }) name!: string;
  @Max(400, { message: 'The slack length must be at most 400 cm.' })
  @Min(1, { message: 'The slack length must be at least 1 cm.' })
  @IsNumber({}, { message: 'The slack length must be a number of centimetres.' })
  slackCm!: number;
  @Parts(() => BandReadingDto)
  @ArrayMaxSize(4, { message: 'A band has at most four readings.' })
  @ArrayMinSize(2, { message: 'A band needs at least two readings.' })
  @IsArray()
  readings!: BandReadingDto[];
  /** Off once the band is worn out or lost; plans that name it keep its curve. */
  @IsBoolean() inUse!: boolean;
}
