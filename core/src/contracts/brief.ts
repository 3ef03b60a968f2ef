import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import { type Joint, JOINTS } from '../anatomy/index.ts';
import { type Equipment, EQUIPMENT_IDS } from '../drills/index.ts';
import {
  BRIEF_LIMITS,
  PAUSE_REASONS,
  type PauseReason,
  type Place,
  PLACES,
  FOCI,
  type Focus,
  SESSION_FORM_IDS,
  type SessionForm,
  type Weekday,
  WEEKDAYS,
} from '../planning/index.ts';
import { IsCalendarDay, IsDrillId, IsPlainText, IsWritten } from './decorators.ts';
import { IsEntryId } from './entry.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { AllDifferent, Part, Parts, SomeOf } from './parts.ts';

const { weeks, ramp, deloadEvery, balance } = BRIEF_LIMITS;
const PLACE_IDS = Object.keys(PLACES);
const MOST = { events: 20, pauses: 20, drills: 100 } as const;

const IsWeekday = () => IsIn(WEEKDAYS, { message: 'A day must be one of the seven weekdays.' });

export class BriefDayDto {
  @IsWeekday() weekday!: Weekday;
  @Max(LIMITS.minutes.max, { message: `Minutes must be at most ${LIMITS.minutes.max}.` })
  @Min(LIMITS.minutes.min, { message: `Minutes must be at least ${LIMITS.minutes.min}.` })
  @IsInt({ message: `Minutes must be a whole number from ${LIMITS.minutes.min} to ${LIMITS.minutes.max}.` })
  minutes!: number;
  @IsIn(PLACE_IDS) place!: Place;
  @IsIn(SESSION_FORM_IDS) form!: SessionForm;
  @IsOptional() @IsIn(Object.keys(FOCI), { message: `A focus is one of: ${Object.keys(FOCI).join(', ')}.` }) focus?: Focus;
  /** When it starts, for the calendar; without it the session fills its day. */
  @IsOptional() @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'A time must be like 17:30.' }) at?: string;
}

class PlaceEquipmentDto {
  @SomeOf(EQUIPMENT_IDS) gym!: Equipment[];
  @SomeOf(EQUIPMENT_IDS) home!: Equipment[];
  @SomeOf(EQUIPMENT_IDS) deck!: Equipment[];
}

/** A weekday or a date, and not both. */
const HasItsDay = () =>
  rule('hasItsDay', (_, { weekday, day }) =>
    (weekday === undefined) === (day === undefined) ? 'An event is on a weekday of every week, or on one date.' : undefined,
  );

export class FixedEventDto {
  @HasItsDay() @IsUUID('7') id!: string;
  @IsPlainText('The name of an event', { min: 1, max: LIMITS.name }) name!: string;
  @IsOptional() @IsWeekday() weekday?: Weekday;
  @IsOptional() @IsCalendarDay() day?: string;
  @Max(10, { message: 'Effort must be from 0 to 10.' }) @Min(0, { message: 'Effort must be from 0 to 10.' }) @IsInt() effort!: number;
  @Max(1440, { message: 'Minutes of an event must be at most 1440.' })
  @Min(1, { message: 'Minutes of an event must be at least 1.' })
  @IsInt()
  minutes!: number;
  @SomeOf(JOINTS) joints!: Joint[];
  /** The routine of the studio that prepares for it. */
  @IsOptional() @IsUUID('7') prepareWith?: string | null;
}

export class PauseDto {
  @IsCalendarDay() from!: string;
  @IsNotBefore('from') @IsCalendarDay() to!: string;
  @IsIn(Object.keys(PAUSE_REASONS)) reason!: PauseReason;
}

function IsNotBefore(sibling: string) {
  return rule('isNotBefore', (value, object) =>
    typeof value === 'string' && typeof object[sibling] === 'string' && value < object[sibling]
      ? `A pause ends (${value}) before it begins (${object[sibling]}).`
      : undefined,
  );
}

/** What the weeks of one trainee must fit, as it is stored. */
export class GoalDto {
  @IsPlainText('The name of a goal', { min: 1, max: LIMITS.name }) name!: string;
  @IsCalendarDay() day!: CalendarDay;
  /** Of the ladder in the profile; one that is not on it is said where the goal is shown, and makes no brief unreadable. */
  @IsEntryId() rungId!: string;
}

export class BriefDocumentDto {
  @Max(weeks.max, { message: `A block has at most ${weeks.max} weeks.` })
  @Min(weeks.min, { message: `A block has at least ${weeks.min} week.` })
  @IsInt({ message: `Weeks must be a whole number from ${weeks.min} to ${weeks.max}.` })
  weeks!: number;

  @AllDifferent((d: BriefDayDto) => d.weekday, 'A weekday is named twice.')
  @Parts(() => BriefDayDto)
  @ArrayMaxSize(7)
  @IsArray()
  days!: BriefDayDto[];

  @Part(() => PlaceEquipmentDto) equipment!: PlaceEquipmentDto;
  @Parts(() => FixedEventDto)
  @ArrayMaxSize(MOST.events, { message: `At most ${MOST.events} events fit a brief.` })
  @IsArray()
  events!: FixedEventDto[];
  @Parts(() => PauseDto)
  @ArrayMaxSize(MOST.pauses, { message: `At most ${MOST.pauses} pauses fit a brief.` })
  @IsArray()
  pauses!: PauseDto[];

  @ArrayMaxSize(MOST.drills) @AllDifferent() @IsDrillId({ each: true }) @IsArray() always!: string[];
  @ArrayMaxSize(MOST.drills * 10) @AllDifferent() @IsDrillId({ each: true }) @IsArray() never!: string[];
  @ArrayMaxSize(MOST.drills) @AllDifferent() @IsDrillId({ each: true }) @IsArray() likes!: string[];
  @ArrayMaxSize(MOST.drills) @AllDifferent() @IsDrillId({ each: true }) @IsArray() dislikes!: string[];

  @Max(deloadEvery.max, { message: `A light week must come within ${deloadEvery.max} weeks, or never (0).` })
  @Min(deloadEvery.min, { message: 'The rhythm of light weeks must not be negative.' })
  @IsInt()
  deloadEvery!: number;
  @Max(ramp.max, { message: `Hand load must grow by at most ${ramp.max * 100}% a week.` })
  @Min(ramp.min, { message: 'The limit of growth must not be negative.' })
  @IsNumber()
  ramp!: number;
  @Max(balance.max, { message: 'Push and pull can lie apart by at most 100%.' })
  @Min(balance.min, { message: `Push and pull must be allowed to lie apart by at least ${balance.min * 100}%.` })
  @IsNumber()
  balance!: number;

  @IsOptional() @Part(() => GoalDto) goal?: GoalDto | null;
}

/** The brief as it is saved: it names the revision it replaces. */
export class PlanBriefDto extends BriefDocumentDto {
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
}

export class TemplateItemDto {
  @IsDrillId() drillId!: string;
  @Max(10) @Min(1) @IsInt() sets!: number;
}

export class TemplateSessionDto {
  /** Whole weeks after the first. */
  @Max(7) @Min(0) @IsInt() week!: number;
  @IsWeekday() weekday!: Weekday;
  @IsIn(PLACE_IDS) place!: Place;
  @IsIn(SESSION_FORM_IDS) form!: SessionForm;
  @Parts(() => TemplateItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession)
  @IsArray()
  items!: TemplateItemDto[];
}

/** Weeks of sessions without a trainee, as they are stored: drills and sets; set-ups and doses are each trainee's own. */
export class TemplateDocumentDto {
  @IsWritten('The text', { max: LIMITS.reason }) note!: string;
  @Parts(() => TemplateSessionDto) @ArrayMaxSize(120) @IsArray() sessions!: TemplateSessionDto[];
}

export class PlanTemplateDto extends TemplateDocumentDto {
  @IsUUID('7') id!: string;
  @IsPlainText('The name of a template', { min: 1, max: LIMITS.name }) name!: string;
}
