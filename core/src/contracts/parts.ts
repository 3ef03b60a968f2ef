import { type ClassConstructor, Type, type TypeOptions } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, getMetadataStorage, IsArray, IsIn, ValidateNested } from 'class-validator';
import type { FieldProblem } from '../errors.ts';
import { rule, sentenceOf } from './rule.ts';

type Contract = ClassConstructor<object>;
type TypeOf = () => Contract;

interface Held {
  readonly type: TypeOf;
  readonly list: boolean;
}

/** Which contract each property holds, by the class that declares it. */
const PARTS = new Map<object, Map<string, Held>>();

function remember(target: object, property: string | symbol, held: Held): void {
  const parts = PARTS.get(target.constructor) ?? new Map<string, Held>();
  PARTS.set(target.constructor, parts.set(String(property), held));
}

/** A property that holds an object of its own contract. Needed, unless it is optional. */
export function Part(type: TypeOf): PropertyDecorator {
  return (target, property) => {
    rule('isPart', (value) => partProblem(String(property), value, false))(target, property);
    ValidateNested()(target, property);
    Type(type)(target, property);
    remember(target, property, { type, list: false });
  };
}

/** A list of objects of one contract; nothing else may stand in it. */
export function Parts(type: TypeOf, options?: TypeOptions): PropertyDecorator {
  return (target, property) => {
    rule('areParts', (value) => partProblem(String(property), value, true))(target, property);
    ValidateNested({ each: true })(target, property);
    Type(type, options)(target, property);
    remember(target, property, { type, list: true });
  };
}

function partProblem(property: string, value: unknown, list: boolean): string | undefined {
  if (!list) return isObject(value) ? undefined : `${property} is needed, as an object`;
  if (!Array.isArray(value)) return `${property} must be a list`;
  const stray = value.findIndex((v) => !isObject(v));
  return stray < 0 ? undefined : `${property}: entry ${stray + 1} must be an object`;
}

/** Some of the values of a list, each at most once. */
export function SomeOf(values: readonly unknown[], { least = 0, message }: { least?: number; message?: string } = {}): PropertyDecorator {
  return (target, property) => {
    AllDifferent()(target, property);
    IsIn([...values], { each: true })(target, property);
    ArrayMaxSize(values.length)(target, property);
    if (least > 0) ArrayMinSize(least, message ? { message } : {})(target, property);
    IsArray()(target, property);
  };
}

/**
 * No two alike, told in one pass. The validator's own way compares each with each, which takes minutes on a long list.
 *
 * @param by what must differ, where it is not the entry itself
 */
export function AllDifferent<T = unknown>(by: (entry: T) => unknown = (entry) => entry, message?: string): PropertyDecorator {
  return rule('allDifferent', (value) => {
    if (!Array.isArray(value)) return undefined;
    const known = new Set(value.map((entry) => (by === undefined || !isEntry(entry) ? entry : by(entry as T))));
    return known.size === value.length ? undefined : (message ?? 'Each may be named only once.');
  });
}

const isEntry = (entry: unknown) => entry !== null && entry !== undefined;

/**
 * The first list of a document that is longer than its contract allows, or first place where something else stands than the
 * object it asks for: told before anything is made of the document.
 *
 * @param at pointer to where the document stands in the request
 */
export function structureProblem(contract: Contract, plain: unknown, at = ''): FieldProblem | undefined {
  if (!isObject(plain)) return undefined;
  const document = plain as Readonly<Record<string, unknown>>;
  for (const { propertyName, constraints, message } of limitsOf(contract)) {
    const value = document[propertyName];
    const most = (constraints as readonly number[])[0] ?? 0;
    if (Array.isArray(value) && value.length > most) {
      const said = typeof message === 'string' ? message : sentenceOf(`${propertyName}: at most ${most} entries fit`, propertyName);
      return { field: `${at}/${propertyName}`, limit: 'arrayMaxSize', message: said };
    }
  }
  for (const [property, { type, list }] of partsOf(contract)) {
    const value = document[property];
    // What is missing is told with everything else that is wrong.
    if (value === undefined || value === null) continue;
    const message = partProblem(property, value, list);
    if (message) return { field: `${at}/${property}`, limit: 'object', message: sentenceOf(message, property) };
    const inner = Array.isArray(value) ? value : [value];
    for (const [i, one] of inner.entries()) {
      const problem = structureProblem(type(), one, `${at}/${property}${Array.isArray(value) ? `/${i}` : ''}`);
      if (problem) return problem;
    }
  }
  return undefined;
}

type Limit = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>[number];
const LIMITS_OF = new Map<Contract, readonly Limit[]>();

function limitsOf(contract: Contract): readonly Limit[] {
  let limits = LIMITS_OF.get(contract);
  if (!limits) {
    limits = getMetadataStorage()
      .getTargetValidationMetadatas(contract, '', false, false)
      .filter(({ name }) => name === 'arrayMaxSize');
    LIMITS_OF.set(contract, limits);
  }
  return limits;
}

/** Every part of a contract, those of the classes it extends too. */
export function partsOf(contract: Contract): ReadonlyMap<string, Held> {
  const parts = new Map<string, Held>();
  for (let c: unknown = contract; typeof c === 'function'; c = Object.getPrototypeOf(c))
    for (const [property, held] of PARTS.get(c) ?? []) parts.set(property, held);
  return parts;
}

function isObject(value: unknown): boolean {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
