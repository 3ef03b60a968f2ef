import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBase64, IsIn, IsInt, IsNumber, IsUUID, Max, MaxLength, Min } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { IsMeasureId, IsPastInstant, IsSideOfMeasure } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { PointDto } from './reading.ts';
import { Parts } from './parts.ts';

const kilobytes = Math.round((LIMITS.pictureCharacters * 3) / 4 / 1024);

/** A picture of a position, kept on record with the landmarks that were read from it. */
export class PictureDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the picture') takenAt!: string;
  @IsMeasureId() measureId!: string;
  @IsSideOfMeasure() @IsIn(['left', 'right', 'whole']) side!: BodySide;
  /** Pixels of the picture as it is kept. */
  @Max(LIMITS.picturePixels) @Min(16) @IsInt() width!: number;
  @Max(LIMITS.picturePixels) @Min(16) @IsInt() height!: number;
  @IsIn(['left', 'right']) facing!: 'left' | 'right';

  @Parts(() => PointDto)
  @ArrayMaxSize(12)
  @ArrayMinSize(2, { message: 'A picture needs at least two landmarks.' })
  @IsArray()
  points!: PointDto[];

  /** Degrees, in the sense of the check. */
  @Max(360) @Min(-360) @IsNumber() value!: number;
  @Max(90) @Min(0) @IsNumber() standardError!: number;
  /** JPEG, base64. */
  @IsBase64()
  @MaxLength(LIMITS.pictureCharacters, { message: `The picture is larger than the limit of ${kilobytes} kB.` })
  image!: string;
}
