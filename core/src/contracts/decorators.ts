import { registerDecorator, type ValidationArguments } from 'class-validator';
import { isDrill } from '../drills/index.ts';
import { LADDERS } from '../ladders/index.ts';
import { isMeasure, measureOf, measureSides, trialProblem } from '../measuring/index.ts';

/** A property decorator from a function that names what is wrong, or nothing. */
function rule(name: string, problem: (value: unknown, object: Record<string, unknown>) => string | undefined): PropertyDecorator {
  return (target, property) => {
    const ask = (args?: ValidationArguments) => problem(args?.value, (args?.object ?? {}) as Record<string, unknown>);
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(property),
      validator: { validate: (_value, args) => ask(args) === undefined, defaultMessage: (args) => ask(args) ?? '' },
    });
  };
}

export const IsMeasureId = () =>
  rule('isMeasure', (value) => (isMeasure(value) ? undefined : `There is no check called "${shown(value)}".`));

export const IsDrillId = () => rule('isDrill', (value) => (isDrill(value) ? undefined : `There is no drill called "${shown(value)}".`));

export const IsLadderId = () =>
  rule('isLadder', (value) => (LADDERS.some((l) => l.id === value) ? undefined : `There is no ladder called "${shown(value)}".`));

/** A rung of the ladder named by the sibling property `ladderId`. */
export const IsRungId = () =>
  rule('isRung', (value, { ladderId }) =>
    LADDERS.find((l) => l.id === ladderId)?.rungs.some((r) => r.id === value)
      ? undefined
      : `There is no rung called "${shown(value)}" on this ladder.`,
  );

/** A reading inside the limits of the check named by the sibling property `measureId`. */
export const IsTrialValue = () =>
  rule('isTrialValue', (value, { measureId }) => (isMeasure(measureId) ? trialProblem(measureOf(measureId), value) : undefined));

/** A side that the check named by the sibling property `measureId` has. */
export const IsSideOfMeasure = () =>
  rule('isSideOfMeasure', (value, { measureId }) => {
    if (!isMeasure(measureId)) return undefined;
    const measure = measureOf(measureId);
    const sides = measureSides(measure);
    return sides.some((s) => s === value) ? undefined : `${measure.name} is taken for ${sides.join(' or ')}, not "${shown(value)}".`;
  });

/** `YYYY-MM-DD`, a day that exists. */
export const IsCalendarDay = () =>
  rule('isCalendarDay', (value) => (isDay(value) ? undefined : `"${shown(value)}" is not a day like 2026-11-23.`));

export const IsMonday = () =>
  rule('isMonday', (value) =>
    isDay(value) && new Date(`${value}T00:00:00Z`).getUTCDay() === 1 ? undefined : `"${shown(value)}" is not a Monday like 2026-11-23.`,
  );

/** Not smaller than the sibling property. */
export const IsNotBelow = (sibling: string) =>
  rule('isNotBelow', (value, object) =>
    typeof value === 'number' && typeof object[sibling] === 'number' && value < object[sibling]
      ? `The top of the dose (${value}) is below its bottom (${object[sibling]}).`
      : undefined,
  );

function isDay(value: unknown): value is string {
  if (typeof value !== 'string' || !/^\d{4}-\d\d-\d\d$/.test(value)) return false;
  const date = new Date(`${value}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(value);
}

const SHOWN_CHARACTERS = 60;

/** What arrived, shortened for a message. */
function shown(value: unknown): string {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  return text.length > SHOWN_CHARACTERS ? `${text.slice(0, SHOWN_CHARACTERS)}…` : text;
}
