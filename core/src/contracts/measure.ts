import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { type Joint, JOINTS, type Motion, MOTIONS } from '../anatomy/index.ts';
import { PICTURE_TEMPLATES } from '../landmarks/index.ts';
import {
  DEVICE_READINGS,
  type DeviceReading,
  type ErrorModel,
  LEAD_SIGNS,
  type LeadSign,
  WORKING_POSITIONS,
  type WorkingPosition,
} from '../measuring/index.ts';
import { type Unit, UNITS } from '../quantities/index.ts';
import { IsPlainText } from './decorators.ts';
import { IsEntryId, IsText, OriginDto } from './entry.ts';
import { LIBRARY_LIMITS as MOST } from './limits.ts';
import { Part, Parts } from './parts.ts';
import { rule } from './rule.ts';

/** Units whose readings have names and no size. */
export const NAMED_UNITS: readonly Unit[] = ['level', 'grade', 'contact'];

const isNamed = (unit: unknown) => NAMED_UNITS.some((u) => u === unit);

/** Levels, grades and contacts are named from 0 up, everything else is a figure: judged where it is always there, at the unit. */
const HasItsNames = () =>
  rule('hasItsNames', (unit, { choices, limits }) => {
    if (!isNamed(unit)) return choices === undefined ? undefined : 'Only levels, grades and contacts have named readings.';
    if (!Array.isArray(choices) || choices.length < 2) return 'Name at least two readings, the lowest first.';
    const { min, max } = (limits ?? {}) as Partial<LimitsDto>;
    return min === 0 && max === choices.length - 1
      ? undefined
      : 'The limits of named readings run from 0 to one less than there are names.';
  });

/** A limit of what one trial may read, inside what the unit can mean. */
const IsWithinUnit = () =>
  rule('isWithinUnit', (value, { unit }) => {
    const { most, name } = widest(unit);
    const { min, max, step } = (value ?? {}) as Partial<LimitsDto>;
    if (typeof min !== 'number' || typeof max !== 'number' || typeof step !== 'number') return undefined;
    if (min >= max) return 'The lowest reading must lie below the highest.';
    if (min < -most || max > most) return `Readings in ${name} lie between ${-most} and ${most}.`;
    return step > max - min ? 'The step is larger than the whole range of readings.' : undefined;
  });

function widest(unit: unknown): { readonly most: number; readonly name: string } {
  const known = Object.hasOwn(UNITS, String(unit)) ? UNITS[unit as Unit] : undefined;
  return known ? { most: known.max, name: known.name } : { most: 10_000, name: 'this unit' };
}

/** A check that is good inside a range says which. */
const HasItsRange = () =>
  rule('hasItsRange', (better, { inside, limits }) => {
    if (better !== 'inside') return inside === undefined ? undefined : 'Only a check that is good inside a range has one.';
    const { from, to } = (inside ?? {}) as { from?: unknown; to?: unknown };
    const { min, max } = (limits ?? {}) as Partial<LimitsDto>;
    if (typeof from !== 'number' || typeof to !== 'number' || from >= to) return 'Say from where to where the check is good.';
    return from >= (min ?? from) && to <= (max ?? to) ? undefined : 'The good range must lie inside the limits of a reading.';
  });

/** How far a reading may be off: within and between occasions, in the check's unit or as shares of the figure. */
const IsErrorModel = () =>
  rule('isErrorModel', (value, { unit }) => {
    const { kind, within, between, degreesOfFreedom, ...rest } = (value ?? {}) as Readonly<Record<string, unknown>>;
    if (Object.keys(rest).length > 0) return 'The error says more than its kind allows.';
    if (kind === 'none') return isNamed(unit) ? undefined : 'A figure has an error: only levels, grades and contacts have none.';
    if (kind !== 'amount' && kind !== 'share') return 'The error is "amount", "share" or "none".';
    const most = kind === 'share' ? 1 : 100;
    const fits = (figure: unknown) => typeof figure === 'number' && figure > 0 && figure <= most;
    if (!fits(within)) return `The error within an occasion must be above 0 and at most ${most}.`;
    if (!fits(between)) return `The error between occasions must be above 0 and at most ${most}.`;
    const isWorth = typeof degreesOfFreedom === 'number' && degreesOfFreedom >= 1 && degreesOfFreedom <= 200;
    return isWorth ? undefined : 'The degrees of freedom must be from 1 to 200.';
  });

/** A way to read a picture that there is, for a check of angles. */
const IsReadable = () =>
  rule('isReadable', (value, { unit }) => {
    if (!PICTURE_TEMPLATES.some((t) => t.id === value)) return 'There is no such way to read a picture.';
    return unit === 'deg' ? undefined : 'Pictures are read in degrees.';
  });

class LimitsDto {
  @IsNumber() min!: number;
  @IsNumber() max!: number;
  @Max(100, { message: 'The step is at most 100.' }) @Min(0.01, { message: 'The step is at least 0.01.' }) @IsNumber() step!: number;
}

class RangeDto {
  @IsNumber() from!: number;
  @IsNumber() to!: number;
}

/** Levels belong to what names levels, a mark to what is beyond or short of one. */
const HasWhatItLooksFor = () =>
  rule('hasWhatItLooksFor', (sign, { levels, mark }) => {
    if (sign === 'level') return Array.isArray(levels) && levels.length > 0 ? undefined : 'Name at least one level.';
    if (sign === 'above' || sign === 'below') return typeof mark === 'number' ? undefined : 'Name the mark.';
    return undefined;
  });

/** What a check shows beside its number leads on to. */
export class LeadDto {
  @HasWhatItLooksFor() @IsIn(LEAD_SIGNS) sign!: LeadSign;
  @Max(MOST.choices, { each: true })
  @Min(0, { each: true })
  @IsInt({ each: true })
  @ArrayMaxSize(MOST.choices)
  @IsArray()
  @IsOptional()
  levels?: number[];
  @IsNumber() @IsOptional() mark?: number;
  @IsText('The likely reason', MOST.text) reason!: string;
  @IsEntryId(true)
  @ArrayMaxSize(MOST.leadDrills, { message: `At most ${MOST.leadDrills} drills to try first.` })
  @ArrayMinSize(1, { message: 'Name at least one drill to try first.' })
  @IsArray()
  drills!: string[];
}

/** A check of the library: one measuring protocol and what is needed to read it. */
export class MeasureDto {
  @IsEntryId() id!: string;
  @IsText('The name of the check', MOST.name) name!: string;
  @IsText('The name inside a sentence', MOST.name) phrase!: string;
  @HasItsNames() @IsIn(Object.keys(UNITS)) unit!: Unit;
  @IsIn(JOINTS) joint!: Joint;
  @IsIn(MOTIONS) motion!: Motion;
  @IsBoolean() sided!: boolean;
  @HasItsRange() @IsIn(['more', 'less', 'inside']) better!: 'more' | 'less' | 'inside';
  @Part(() => RangeDto) @IsOptional() inside?: RangeDto;
  @Max(10, { message: 'At most 10 trials.' }) @Min(1, { message: 'At least one trial.' }) @IsInt() trials!: number;
  @IsIn(['mean', 'best']) combine!: 'mean' | 'best';
  @IsErrorModel() error!: ErrorModel;
  @Max(366, { message: 'A figure is fresh for at most 366 days.' })
  @Min(1, { message: 'A figure is fresh for at least one day.' })
  @IsInt()
  freshDays!: number;
  @IsPlainText('A reading', { min: 1, max: MOST.name }, true)
  @ArrayMaxSize(MOST.choices)
  @IsArray()
  @IsOptional()
  choices?: string[];
  @IsOptional() @IsBoolean() aboutNextRung?: true;
  @IsWithinUnit() @Part(() => LimitsDto) limits!: LimitsDto;
  @IsIn(WORKING_POSITIONS) position!: WorkingPosition;
  @IsText('The instrument', MOST.name) instrument!: string;
  @IsOptional() @IsIn(DEVICE_READINGS) device?: DeviceReading;
  @IsReadable() @IsOptional() picture?: string;
  @IsPlainText('A step', { min: 1, max: MOST.text }, true)
  @ArrayMaxSize(MOST.steps, { message: `A protocol has at most ${MOST.steps} steps.` })
  @ArrayMinSize(1, { message: 'A protocol needs at least one step.' })
  @IsArray()
  protocol!: string[];
  @Parts(() => LeadDto)
  @ArrayMaxSize(MOST.leads, { message: `At most ${MOST.leads} leads fit one check.` })
  @IsArray()
  @IsOptional()
  leads?: LeadDto[];
  @Part(() => OriginDto) origin!: OriginDto;
}
