import { registerDecorator } from 'class-validator';

/**
 * Decorators take no arguments at validation time, so the moment of the validation that is running
 * is kept here for its (synchronous) duration.
 */
let validationClock: Date | undefined;

export function withValidationClock<T>(now: Date, run: () => T): T {
  validationClock = now;
  try {
    return run();
  } finally {
    validationClock = undefined;
  }
}

/** Clocks of two machines differ a little: this much ahead still counts as now. */
const CLOCK_TOLERANCE_MS = 5 * 60 * 1000;
const EARLIEST_YEAR = 1950;

/** An ISO instant that is not in the future. */
export function IsPastInstant(label: string): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'isPastInstant',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => problem(value) === undefined,
        defaultMessage: (args) => `${label} ${problem(args?.value) ?? ''}`,
      },
    });
  };
}

/** A year of birth: four digits, not in the future. */
export function IsBirthYear(): PropertyDecorator {
  const limitOf = () => (validationClock ?? new Date(0)).getFullYear();
  return (target, property) => {
    registerDecorator({
      name: 'isBirthYear',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => Number.isInteger(value) && (value as number) >= 1900 && (value as number) <= limitOf(),
        defaultMessage: () => `Birth year must be a whole year from 1900 to ${limitOf()}.`,
      },
    });
  };
}

function problem(value: unknown): string | undefined {
  if (typeof value !== 'string' || !/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/.test(value) || Number.isNaN(Date.parse(value)))
    return 'must be a date and time in UTC, like 2026-11-24T08:00:00.000Z.';
  if (validationClock && Date.parse(value) > validationClock.getTime() + CLOCK_TOLERANCE_MS) return 'is in the future; the limit is now.';
  if (new Date(value).getUTCFullYear() < EARLIEST_YEAR) return `lies before ${EARLIEST_YEAR}.`;
  return undefined;
}
