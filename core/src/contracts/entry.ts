import 'reflect-metadata';
import { IsBoolean, IsIn, Matches, ValidateIf } from 'class-validator';
import type { Origin } from '../reference/index.ts';
import { IsPlainText } from './decorators.ts';
import { LIBRARY_LIMITS as MOST } from './limits.ts';

const ENTRY_ID = /^[a-z0-9][a-z0-9-]{0,63}$/;

/** The id of an entry of the library; what it names is judged where the library is whole. */
export const IsEntryId = (each = false) =>
  Matches(ENTRY_ID, {
    each,
    message: 'An id has 1 to 64 small letters, digits and hyphens, and begins with a letter or digit.',
  });

export const isEntryId = (value: unknown): value is string => typeof value === 'string' && ENTRY_ID.test(value);

export const IsText = (label: string, max: number, min = 1) => IsPlainText(label, { min, max });

/** Where an entry or figure comes from. */
export class OriginDto {
  @IsIn(['published', 'common practice', 'project default', 'studio']) kind!: Origin['kind'];
  @ValidateIf((o: OriginDto) => o.kind === 'published') @IsText('The citation', MOST.text) citation?: string;
  @ValidateIf((o: OriginDto) => o.kind === 'published') @IsBoolean() fromMemory?: boolean;
  @ValidateIf((o: OriginDto) => o.kind === 'project default') @IsText('The reason', MOST.text) reason?: string;
  @ValidateIf((o: OriginDto) => o.kind === 'studio') @IsText('The note', MOST.text, 0) note?: string;
}
