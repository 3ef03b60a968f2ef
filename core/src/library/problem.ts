import type { FieldProblem } from '../errors.ts';

/** What does not fit, as a pointer into the content of a library. */
export function problem(field: string, limit: string, message: string): FieldProblem {
  return { field, limit, message };
}
