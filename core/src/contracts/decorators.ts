import { Transform } from 'class-transformer';
import { drillIdNow } from '../library/index.ts';
import { type Measure, measureSides } from '../measuring/index.ts';
import { rule, shown } from './rule.ts';
import { libraryInScope, nowInScope } from './scope.ts';
import { trialProblemInWords } from '../words/index.ts';

export const IsMeasureId = () =>
  rule('isMeasure', (value) => (libraryInScope().hasMeasure(value) ? undefined : `There is no check called "${shown(value)}".`));

/** The check named by a sibling property, where there is one of that name: that there is one is judged there. */
export function measureInScope(id: unknown): Measure | undefined {
  const library = libraryInScope();
  return library.hasMeasure(id) ? library.measure(id) : undefined;
}

export const IsFaultId = () =>
  rule('isFault', (value) => (libraryInScope().hasFault(value) ? undefined : `There is no fault called "${shown(value)}".`));

/** A drill of the library; one in its old name is taken in the new one. */
export const IsDrillId =
  ({ each = false }: { readonly each?: boolean } = {}): PropertyDecorator =>
  (target, property) => {
    rule(
      'isDrill',
      (value) => (libraryInScope().hasDrill(value) ? undefined : `There is no drill called "${shown(value)}".`),
      each,
    )(target, property);
    Transform(({ value }: { readonly value: unknown }): unknown => (Array.isArray(value) ? value.map(drillIdNow) : drillIdNow(value)))(
      target,
      property,
    );
  };

export const IsLadderId = () =>
  rule('isLadder', (value) => (libraryInScope().hasLadder(value) ? undefined : `There is no ladder called "${shown(value)}".`));

/** A rung of the ladder named by the sibling property `ladderId`. */
export const IsRungId = () =>
  rule('isRung', (value, { ladderId }) => {
    const library = libraryInScope();
    return library.hasLadder(ladderId) && library.ladder(ladderId).rungs.some((r) => r.id === value)
      ? undefined
      : `There is no rung called "${shown(value)}" on this ladder.`;
  });

/** A reading inside the limits of the check named by the sibling property `measureId`. */
export const IsTrialValue = () =>
  rule('isTrialValue', (value, { measureId }) => {
    const measure = measureInScope(measureId);
    return measure && trialProblemInWords(measure, value);
  });

/** A side that the check named by the sibling property `measureId` has. */
export const IsSideOfMeasure = () =>
  rule('isSideOfMeasure', (value, { measureId }) => {
    const measure = measureInScope(measureId);
    if (!measure) return undefined;
    const sides = measureSides(measure);
    return sides.some((s) => s === value) ? undefined : `${measure.name} is taken for ${sides.join(' or ')}, not "${shown(value)}".`;
  });

/** `YYYY-MM-DD`, a day that exists. */
export const IsCalendarDay = () =>
  rule('isCalendarDay', (value) => (isDay(value) ? undefined : `"${shown(value)}" is not a day like 2026-11-23.`));

/** A day that exists and is not in the future. */
export const IsPastDay = (label: string) =>
  rule('isPastDay', (value) => {
    if (!isDay(value)) return `"${shown(value)}" is not a day like 2026-11-23.`;
    const soonest = Date.parse(`${value}T00:00:00Z`) - ONE_DAY_MS;
    return soonest > nowInScope().getTime() ? `${label} is in the future; the limit is today.` : undefined;
  });

export const IsMonday = () =>
  rule('isMonday', (value) =>
    isDay(value) && new Date(`${value}T00:00:00Z`).getUTCDay() === 1 ? undefined : `"${shown(value)}" is not a Monday like 2026-11-23.`,
  );

/** Not smaller than the sibling property. */
export const IsNotBelow = (sibling: string) =>
  rule('isNotBelow', (value, object) =>
    typeof value === 'number' && typeof object[sibling] === 'number' && value < object[sibling]
      ? `The top (${value}) is below the bottom (${object[sibling]}).`
      : undefined,
  );

/** An ISO instant that is not in the future. */
export const IsPastInstant = (label: string) =>
  rule('isPastInstant', (value) => {
    const problem = instantProblem(value);
    return problem && `${label} ${problem}`;
  });

/** An ISO instant, whenever: of a device whose clock may be wrong. */
export const IsInstant = (label: string) =>
  rule('isInstant', (value) => {
    const problem = instantProblem(value, Number.POSITIVE_INFINITY);
    return problem && `${label} ${problem}`;
  });

/** A year of birth: four digits, not in the future. */
export const IsBirthYear = () =>
  rule('isBirthYear', (value) => {
    const limit = nowInScope().getFullYear();
    const fits = Number.isInteger(value) && (value as number) >= EARLIEST_BIRTH && (value as number) <= limit;
    return fits ? undefined : `Birth year must be a whole year from ${EARLIEST_BIRTH} to ${limit}.`;
  });

/** A day of birth in the year that the sibling property `birthYear` says. */
export const IsBirthDate = () =>
  rule('isBirthDate', (value, { birthYear }) => {
    if (!isDay(value)) return `"${shown(value)}" is not a day like 1990-11-23.`;
    if (Date.parse(`${value}T00:00:00Z`) - ONE_DAY_MS > nowInScope().getTime())
      return 'The day of birth is in the future; the limit is today.';
    return value.startsWith(`${String(birthYear)}-`) ? undefined : 'The day of birth lies in another year than the birth year.';
  });

/**
 * Text that stays text wherever it is shown: no angle brackets, and no first character that a spreadsheet
 * would run. Control characters are refused in whatever arrives (`shape.ts`).
 */
export const IsPlainText = (label: string, { min = 0, max }: { readonly min?: number; readonly max: number }, each = false) =>
  rule('isPlainText', (value) => plainTextProblem(label, value, min, max), each);

export function plainTextProblem(label: string, value: unknown, min: number, max: number): string | undefined {
  const problem = writtenProblem(label, value, { min, max });
  if (problem || typeof value !== 'string') return problem;
  if (/[<>]/.test(value)) return `${label} must not contain < or >.`;
  if (/^([=+@\t]|-\S)/.test(value)) return `${label} must not begin with ${JSON.stringify(value[0])}.`;
  return undefined;
}

interface Written {
  readonly min?: number;
  readonly max: number;
  /** What is said when it is too short. */
  readonly needed?: string;
}

/** Text of so many characters, whatever they are. */
export const IsWritten = (label: string, limits: Written, each = false) =>
  rule('isWritten', (value) => writtenProblem(label, value, limits), each);

/** Characters are counted as the database counts them: code points, whatever they are drawn as. */
export function charactersOf(text: string): number {
  let count = 0;
  for (const _ of text) count++;
  return count;
}

function writtenProblem(label: string, value: unknown, { min = 0, max, needed }: Written): string | undefined {
  if (typeof value !== 'string') return needed ?? `${label} must be text.`;
  // No text has more characters than units, so a long one need not be counted.
  if (value.length > max && (value.length > 2 * max || charactersOf(value) > max)) return `${label} must be at most ${max} characters.`;
  if (min > 0 && charactersOf(value.trim()) < min)
    return needed ?? (min === 1 ? `${label} is needed.` : `${label} must be at least ${min} characters.`);
  return undefined;
}

const ONE_DAY_MS = 24 * 60 * 60 * 1000;
/** Clocks of two machines differ a little: this much ahead still counts as now. */
const CLOCK_TOLERANCE_MS = 5 * 60 * 1000;
const EARLIEST_YEAR = 1950;
const EARLIEST_BIRTH = 1900;

function instantProblem(value: unknown, latest = nowInScope().getTime() + CLOCK_TOLERANCE_MS): string | undefined {
  if (typeof value !== 'string' || !/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/.test(value) || !isRealTime(value))
    return 'must be a date and time in UTC, like 2026-11-24T08:00:00.000Z.';
  if (Date.parse(value) > latest) return 'is in the future; the limit is now.';
  if (new Date(value).getUTCFullYear() < EARLIEST_YEAR) return `lies before ${EARLIEST_YEAR}.`;
  return undefined;
}

/** A time that comes back as it was written: no 31st of June, no hour 25. */
function isRealTime(text: string): boolean {
  const time = Date.parse(text);
  return !Number.isNaN(time) && new Date(time).toISOString() === text;
}

function isDay(value: unknown): value is string {
  if (typeof value !== 'string' || !/^\d{4}-\d\d-\d\d$/.test(value)) return false;
  const date = new Date(`${value}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(value);
}
