import 'reflect-metadata';
import { IsBoolean, IsIn, IsOptional, IsUUID, Matches } from 'class-validator';
import type { CalendarDay } from '../quantities/index.ts';
import { type Morning, MORNINGS } from '../safety/index.ts';
import { IsCalendarDay, IsDrillId, IsInstant, IsPastInstant, IsWritten } from './decorators.ts';
import { nowInScope } from './scope.ts';
import { rule } from './rule.ts';

/** The longest that a link may last. */
const LONGEST_DAYS = 400;
/** Characters of a note. */
const NOTE_MOST = 1000;
const ONE_DAY_MS = 86_400_000;

const IsPin = () => Matches(/^\d{4,8}$/, { message: 'The PIN must be 4 to 8 digits.' });

/** A day from tomorrow on, within what a link may last. */
const IsLapse = () =>
  rule('isLapse', (value) => {
    const days = (Date.parse(`${String(value)}T00:00:00Z`) - nowInScope().getTime()) / ONE_DAY_MS;
    if (Number.isNaN(days)) return undefined;
    return days > -1 && days <= LONGEST_DAYS ? undefined : `The link lapses between today and ${LONGEST_DAYS} days from now.`;
  });

/** A private link to a trainee’s own page; the one before it is taken back. */
export class TraineeLinkDto {
  @IsUUID('7') id!: string;
  /** Typed once on each phone; absent: the address alone opens the page. */
  @IsOptional() @IsPin() pin?: string | null;
  /** The last day on which it opens anything; absent: until it is taken back. */
  @IsLapse() @IsOptional() @IsCalendarDay() lapsesOn?: CalendarDay | null;
  /** Whether the page shows the ladder, and what the next rung still needs. */
  @IsBoolean() progress!: boolean;
}

/** A phone shows a link, and the PIN where one is asked for. */
export class LinkOpenDto {
  @Matches(/^[A-Za-z0-9_-]{22}\.[A-Za-z0-9_-]{43}$/, { message: 'This is not a whole link: open it once more as it was given to you.' })
  link!: string;
  @IsOptional() @IsPin() pin?: string | null;
}

/** The answer of one morning. */
export class MorningDto {
  @IsUUID('7') id!: string;
  /** The session that it follows. */
  @IsUUID('7') sessionId!: string;
  @IsPastInstant('The time of the answer') at!: string;
  @IsIn(MORNINGS, { message: `A morning is one of: ${MORNINGS.join(', ')}.` }) how!: Morning;
}

/** A few words between a trainee and the coaches, about a drill where they name one. */
export class NoteDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the note') at!: string;
  @IsOptional() @IsDrillId() drillId?: string | null;
  @IsWritten('The note', { min: 1, max: NOTE_MOST }) text!: string;
}

/** Notes that a coach has read, up to the newest that was shown. */
export class NotesSeenDto {
  @IsInstant('The time of the newest note') upTo!: string;
}
