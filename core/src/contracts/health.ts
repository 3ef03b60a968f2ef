import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { type CalendarDay, type Instant } from '../quantities/index.ts';
import { BEFORE_SESSION, type BeforeQuestion, GUARDIAN_ROLES, type GuardianRole, PRESSURE_LIMITS } from '../safety/index.ts';
import { IsPastDay, IsPastInstant } from './decorators.ts';
import { AllDifferent, Part } from './parts.ts';
import { rule } from './rule.ts';

/** The fever ended after the illness began. */
const IsAfterItBegan = () =>
  rule('isAfterItBegan', (clearSince, { since }) =>
    typeof clearSince === 'string' && typeof since === 'string' && clearSince.slice(0, 10) < since
      ? 'Without fever since a moment before the illness began.'
      : undefined,
  );

/** When somebody was ill. */
export class IllDto {
  @IsPastDay('The first day of the illness') since!: CalendarDay;
  @IsOptional() @IsAfterItBegan() @IsPastInstant('The time since which there is no fever') clearSince?: Instant;
}

/** With a fever, and only then. */
const GoesWithFever = () =>
  rule('goesWithFever', (yes, { ill }) => {
    if (!Array.isArray(yes)) return undefined;
    if (yes.includes('fever')) return ill ? undefined : 'Say since which day there was a fever.';
    return ill ? 'Days of illness go with a yes to fever.' : undefined;
  });

/** The short form before a session: what was answered with yes. */
export class BeforeSessionDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the form') at!: Instant;
  @GoesWithFever()
  @AllDifferent()
  @IsIn(BEFORE_SESSION, { each: true, message: `The questions are ${BEFORE_SESSION.join(', ')}.` })
  @ArrayMaxSize(BEFORE_SESSION.length)
  @IsArray()
  yes!: BeforeQuestion[];
  @IsOptional() @Part(() => IllDto) ill?: IllDto;
  /** The form that this one was asked again for, at once: it was a slip. */
  @IsOptional() @IsUUID('7') replaces?: string;
}

const mmHg = (label: string, { min, max }: { readonly min: number; readonly max: number }): PropertyDecorator => {
  const message = `${label} is a whole number from ${min} to ${max} mmHg.`;
  return (target, key) => {
    Max(max, { message })(target, key);
    Min(min, { message })(target, key);
    IsInt({ message })(target, key);
  };
};

/** Resting blood pressure, as it was read. */
export class BloodPressureDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the reading') takenAt!: Instant;
  @mmHg('The upper figure', PRESSURE_LIMITS.systolic) systolic!: number;
  @rule('isBelowSystolic', (value, { systolic }) =>
    typeof value === 'number' && typeof systolic === 'number' && value >= systolic
      ? 'The lower figure lies below the upper one.'
      : undefined,
  )
  @mmHg('The lower figure', PRESSURE_LIMITS.diastolic)
  diastolic!: number;
}

/** What whoever is responsible for a child said. Only roles, never names. */
export class GuardianConsentDto {
  @IsUUID('7') id!: string;
  @IsIn(GUARDIAN_ROLES, { message: `Say who by role: ${GUARDIAN_ROLES.join(', ')}.` }) role!: GuardianRole;
  @IsPastDay('The day of the consent') givenOn!: CalendarDay;
  @IsBoolean() agreed!: boolean;
}
