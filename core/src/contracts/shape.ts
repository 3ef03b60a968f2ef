import type { FieldProblem } from '../errors.ts';

/** How large a document may be before anything is made of it. */
export interface ShapeLimits {
  /** Objects within objects and lists within lists. */
  readonly depth: number;
  /** Properties of one object. */
  readonly keys: number;
  /** Values in all. */
  readonly values: number;
}

export const REQUEST_SHAPE: ShapeLimits = { depth: 16, keys: 200, values: 60_000 };
/** A library file may hold thousands of entries. */
export const FILE_SHAPE: ShapeLimits = { depth: 16, keys: 200, values: 2_000_000 };

/** Names that would reach into the language instead of the document. */
const FORBIDDEN_KEYS: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

// eslint-disable-next-line no-control-regex -- control characters are what this looks for; tab and line ends are text
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

const LONGEST_LOOKED_AT = 64 * 1024;

interface Place {
  readonly value: unknown;
  readonly at: string;
  readonly depth: number;
}

/**
 * The first thing wrong with the shape of a document, whatever it is about: too deep, too many properties or values, a property
 * that reaches into the language, text with control characters or broken characters. Takes time in proportion to its size, and
 * no stack, so that it can be asked of anything that arrived.
 *
 * @example shapeProblem({ a: { constructor: 1 } })?.field // '/a/constructor'
 */
export function shapeProblem(plain: unknown, limits: ShapeLimits = REQUEST_SHAPE): FieldProblem | undefined {
  const waiting: Place[] = [{ value: plain, at: '', depth: 0 }];
  let values = 0;
  for (let place = waiting.pop(); place; place = waiting.pop()) {
    const { value, at, depth } = place;
    if (++values > limits.values) return { field: '', limit: 'values', message: `At most ${limits.values} values fit one document.` };
    // A text as long as a file is judged by whoever reads the file.
    if (typeof value === 'string' && value.length <= LONGEST_LOOKED_AT) {
      const message = textProblem(value);
      if (message) return { field: at, limit: 'text', message };
    }
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= limits.depth) return { field: at, limit: 'depth', message: `A document is at most ${limits.depth} levels deep.` };
    const entries = Object.entries(value);
    if (!Array.isArray(value)) {
      if (entries.length > limits.keys) return { field: at, limit: 'keys', message: `At most ${limits.keys} properties fit one object.` };
      const forbidden = entries.find(([key]) => FORBIDDEN_KEYS.has(key));
      if (forbidden)
        return { field: `${at}/${forbidden[0]}`, limit: 'property', message: `A property must not be called "${forbidden[0]}".` };
    }
    for (const [key, inner] of entries) waiting.push({ value: inner, at: `${at}/${key}`, depth: depth + 1 });
  }
  return undefined;
}

function textProblem(text: string): string | undefined {
  if (CONTROL.test(text)) return 'Text must not contain control characters.';
  return LONE_SURROGATE.test(text) ? 'Text must not contain broken characters.' : undefined;
}

/** Half of a pair without the other half: no character, and nothing a file can hold. */
const LONE_SURROGATE = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
