import 'reflect-metadata';
import { type ClassConstructor, plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import { type FieldProblem, Refusal } from '../errors.ts';
import { structureProblem } from './parts.ts';
import { sentenceOf } from './rule.ts';
import { type Scope, withScope } from './scope.ts';
import { shapeProblem } from './shape.ts';

/**
 * Turns a plain object into an instance of a contract class, or refuses with every broken field.
 *
 * @param contract the class that describes what may cross the border
 * @param plain what arrived
 * @param scope the moment of judging, and the library that its ids belong to
 * @throws Refusal `contract-broken` with one entry for each broken field and limit
 */
export function validated<T extends object>(contract: ClassConstructor<T>, plain: unknown, scope: Scope): T {
  const { instance, problems } = inspect(contract, plain, scope);
  if (problems.length > 0) throw new Refusal('contract-broken', problems[0]?.message, problems);
  return instance;
}

/** The same check without throwing: for forms that mark their fields. */
export function inspect<T extends object>(
  contract: ClassConstructor<T>,
  plain: unknown,
  scope: Scope,
): { readonly instance: T; readonly problems: readonly FieldProblem[] } {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { instance: {} as T, problems: [{ field: '', limit: 'object', message: 'A JSON object is needed.' }] };
  }
  // Nothing is made of a document that is too deep, too large or not of plain properties.
  const broken = shapeProblem(plain, scope.shape) ?? structureProblem(contract, plain);
  if (broken) return { instance: {} as T, problems: [broken] };
  const instance = plainToInstance(contract, plain);
  const errors = withScope(scope, () =>
    validateSync(instance, {
      whitelist: true,
      forbidNonWhitelisted: !scope.mayHoldMore,
      forbidUnknownValues: true,
    }),
  );
  return { instance, problems: errors.flatMap((e) => flatten(e, '')) };
}

function flatten(error: ValidationError, parent: string): FieldProblem[] {
  const field = `${parent}/${error.property}`;
  const own = Object.entries(error.constraints ?? {}).map(([limit, message]) => ({
    field,
    limit,
    message: sentenceOf(message, error.property),
  }));
  return [...own.slice(0, 1), ...(error.children ?? []).flatMap((child) => flatten(child, field))];
}
