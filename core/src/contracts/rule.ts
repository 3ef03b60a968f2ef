import { Transform } from 'class-transformer';
import { registerDecorator, type ValidationArguments } from 'class-validator';

/** A property decorator from a function that names what is wrong, or nothing. */
export function rule(
  name: string,
  problem: (value: unknown, object: Record<string, unknown>) => string | undefined,
  each = false,
): PropertyDecorator {
  return (target, property) => {
    const ask = (args?: ValidationArguments) => problem(args?.value, (args?.object ?? {}) as Record<string, unknown>);
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(property),
      options: { each },
      validator: {
        validate: (value, args) => problem(value, (args?.object ?? {}) as Record<string, unknown>) === undefined,
        defaultMessage: (args) => (each ? eachProblem(args, problem) : ask(args)) ?? '',
      },
    });
  };
}

/** The first problem among the elements of a list. */
function eachProblem(
  args: ValidationArguments | undefined,
  problem: (value: unknown, object: Record<string, unknown>) => string | undefined,
) {
  const values: unknown = args?.value;
  return (Array.isArray(values) ? values : [values]).map((v: unknown) => problem(v, {})).find((p) => p !== undefined);
}

/** A property that is sent as null is one that is not there: what reads it asks whether it is there. */
export function NullIsNone(): PropertyDecorator {
  return Transform(({ value }: { readonly value: unknown }): unknown => value ?? undefined);
}

const SHOWN_CHARACTERS = 60;

/** What arrived, shortened for a message. */
export function shown(value: unknown): string {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  return text.length > SHOWN_CHARACTERS ? `${text.slice(0, SHOWN_CHARACTERS)}…` : text;
}

/** Property names become words: `sessionMinutes must not …` → `Session minutes must not … .` */
export function sentenceOf(message: string, property: string): string {
  const words = property.replace(/([A-Z])/g, ' $1').toLowerCase();
  const text = message.replaceAll(property, words);
  const capital = text.charAt(0).toUpperCase() + text.slice(1);
  return capital.endsWith('.') ? capital : `${capital}.`;
}
