import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBase64,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsPlainText } from './decorators.ts';
import { LIBRARY_LIMITS, LIMITS, PICTURED_LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { libraryInScope } from './scope.ts';

/** Entries of the library that may have pictures of the studio's own. */
export const PICTURED = ['drill', 'measure'] as const;
export type Pictured = (typeof PICTURED)[number];

const kilobytes = Math.round((LIMITS.pictureCharacters * 3) / 4 / 1024);
const { frames, rate, shows } = PICTURED_LIMITS;
const RATE = `A clip has from ${rate.min} to ${rate.max} frames a second.`;

/** The library has it. */
const IsInLibrary = () =>
  rule('isInLibrary', (value, { kind }) => {
    const library = libraryInScope();
    return (kind === 'measure' ? library.hasMeasure(value) : library.hasDrill(value)) ? undefined : 'The library has no such entry.';
  });

/** A picture of the studio's own, or the frames of a clip. */
export class LibraryPictureDto {
  @IsUUID('7') id!: string;
  @IsIn(PICTURED, { message: 'Drills and checks have pictures.' }) kind!: Pictured;
  @IsInLibrary() @IsPlainText('The entry', { min: 1, max: LIBRARY_LIMITS.name }) entry!: string;
  /** What it shows, for whoever cannot see it. */
  @IsPlainText('What it shows', { min: 1, max: shows }) shows!: string;
  /** JPEG, base64: one is a picture, more are a clip, in their order. */
  @IsBase64({}, { each: true, message: 'A picture is a JPEG, in base64.' })
  @MaxLength(LIMITS.pictureCharacters, { each: true, message: `A picture is larger than the limit of ${kilobytes} kB.` })
  @ArrayMaxSize(frames, { message: `A clip has at most ${frames} frames.` })
  @ArrayMinSize(1, { message: 'There is no picture.' })
  @IsArray()
  frames!: string[];
  /** Of a clip, frames a second. */
  @IsOptional() @Max(rate.max, { message: RATE }) @Min(rate.min, { message: RATE }) @IsInt({ message: RATE }) rate?: number;
}

/** The same in a library file: the picture itself, or where it lies. */
export class LibraryFilePictureDto {
  @IsUUID('7') id!: string;
  @IsIn(PICTURED, { message: 'Drills and checks have pictures.' }) kind!: Pictured;
  @IsPlainText('The entry', { max: LIBRARY_LIMITS.name }) entry!: string;
  @IsPlainText('What it shows', { min: 1, max: shows }) shows!: string;
  @IsBoolean() moving!: boolean;
  /** WebP, base64. */
  @IsOptional()
  @IsBase64({}, { message: 'A picture is a WebP, in base64.' })
  @MaxLength(PICTURED_LIMITS.characters, { message: 'A picture or clip is larger than any that this program writes.' })
  image?: string;
  /** Where it lies in the studio that wrote the file; it is never fetched. */
  @IsOptional() @IsPlainText('The address', { max: 200 }) href?: string;
}
