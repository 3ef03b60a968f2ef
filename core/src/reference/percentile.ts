import type { BodySide } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import { normalCdf } from '../statistics/index.ts';
import { GRIP_STRENGTH } from './gripStrength.ts';
import { RANGE_OF_MOTION } from './rangeOfMotion.ts';
import type { Reference, Sex } from './table.ts';

export const REFERENCES: readonly Reference[] = [...RANGE_OF_MOTION, ...GRIP_STRENGTH];

/** Whom a reference must describe before it may be shown. */
export interface Person {
  /** Absent where the trainee does not state one: then only tables for anyone apply. */
  readonly sex?: Sex | undefined;
  readonly age: number;
}

/**
 * The published rows that describe this person and check; none for a person outside every table.
 *
 * @example referencesFor('grip', { sex: 'female', age: 33 }, 'right')[0].mean // 35.7 kg (78.7 lb)
 */
export function referencesFor(measureId: string, person: Person, side: BodySide): readonly Reference[] {
  return REFERENCES.filter(
    (r) =>
      r.measureId === measureId &&
      (r.sex === 'any' || r.sex === person.sex) &&
      (!r.ages || (person.age >= r.ages[0] && person.age <= r.ages[1])) &&
      (r.side === 'any' || r.side === side),
  );
}

/** A percentile together with whom it compares with. */
export interface Percentile {
  /** Share of the reference population below the value, 0–100. */
  readonly percentile: number;
  readonly zScore: number;
  /** For the screen: name, sex, ages. */
  readonly comparedWith: string;
}

/**
 * Where a value stands in a published table, assuming a normal spread: 100·Φ((x − mean)/SD).
 *
 * @param reference a row with a spread
 * @param value in the reference's unit
 * @throws Refusal `reference-without-spread`, `quantity-not-finite`
 * @example referencePercentile({ ...row, mean: 165, sd: 5 }, 160).percentile // 15.87
 */
export function referencePercentile(reference: Reference, value: number): Percentile {
  if (!Number.isFinite(value)) throw new Refusal('quantity-not-finite', `${reference.name}: ${value} is not a finite number.`);
  if (reference.sd === undefined)
    throw new Refusal('reference-without-spread', `${reference.name} gives no spread, so no percentile can be told.`);
  const zScore = (value - reference.mean) / reference.sd;
  return { percentile: 100 * normalCdf(zScore), zScore, comparedWith: describe(reference) };
}

function describe({ name, sex, ages }: Reference): string {
  const who = { male: 'men', female: 'women', any: 'adults' }[sex];
  return ages ? `${name}, ${who} ${ages[0]}–${ages[1]}` : `${name}, ${who}`;
}
