import { Refusal } from '../errors.ts';
import { UNITS, type Unit } from './units.ts';

/** A number that carries its unit in its type, so that degrees never meet seconds by accident. */
export type Amount<U extends Unit = Unit> = number & { readonly unit: U };

export type Degrees = Amount<'deg'>;
export type Seconds = Amount<'s'>;
export type Kilograms = Amount<'kg'>;
export type Centimetres = Amount<'cm'>;
export type Minutes = Amount<'min'>;
export type PercentOfBodyWeight = Amount<'percentBodyWeight'>;

/**
 * A checked amount: finite, and within ± the widest figure of its unit (differences are negative).
 *
 * @param value the bare number
 * @param unit its unit
 * @throws Refusal `quantity-not-finite`, `quantity-out-of-range`
 * @example amount(165, 'deg') // 165
 */
export function amount<U extends Unit>(value: number, unit: U): Amount<U> {
  if (!Number.isFinite(value)) throw new Refusal('quantity-not-finite', `${value} ${UNITS[unit].name} is not a finite number.`);
  const { max, name } = UNITS[unit];
  if (Math.abs(value) > max) throw new Refusal('quantity-out-of-range', `${value} ${name} is beyond the limit of ${max}.`);
  return value as Amount<U>;
}

/**
 * An amount in words a coach reads: rounded to the unit's decimals, with its symbol.
 *
 * @example formatAmount(164.6, 'deg') // '165°'
 * @example formatAmount(1, 'reps') // '1 rep'
 */
export function formatAmount(value: number, unit: Unit): string {
  const { symbol, spaced, decimals } = UNITS[unit];
  const text = formatNumber(value, decimals);
  if (unit === 'reps' && text === '1') return '1 rep';
  if (unit === 'breaths' && text === '1') return '1 breath';
  return spaced ? `${text} ${symbol}` : `${text}${symbol}`;
}

/**
 * An error band in words: never rounded down to nothing, so a small band keeps one decimal.
 *
 * @example formatBand(2.4, 'deg') // '2°'
 * @example formatBand(0.4, 's') // '0.4 s'
 */
export function formatBand(value: number, unit: Unit): string {
  const { symbol, spaced, decimals } = UNITS[unit];
  const enough = value > 0 && value < 10 ** -decimals ? decimals + 1 : decimals;
  const text = formatNumber(value, enough);
  if (unit === 'reps' && text === '1') return '1 rep';
  if (unit === 'breaths' && text === '1') return '1 breath';
  return `${text}${spaced ? ' ' : ''}${symbol}`;
}

/**
 * A measuring error in words: always one decimal more than the unit's own, for errors are compared.
 *
 * @example formatError(2.8, 'deg') // '2.8°'
 */
export function formatError(value: number, unit: Unit): string {
  const { symbol, spaced, decimals } = UNITS[unit];
  return `${formatNumber(value, decimals + 1)}${spaced ? ' ' : ''}${symbol}`;
}

/**
 * Two amounts that must not look alike when they are not: one more decimal where rounding would hide
 * the difference.
 *
 * @example formatApart(2, 1.69, 'reps') // ['2.0 reps', '1.7 reps']
 * @example formatApart(15, 16.5, 'deg') // ['15°', '17°']
 */
export function formatApart(a: number, b: number, unit: Unit): readonly [string, string] {
  const { symbol, spaced, decimals } = UNITS[unit];
  const plain = [formatAmount(a, unit), formatAmount(b, unit)] as const;
  if (a === b || plain[0] !== plain[1]) return plain;
  const finer = (value: number) => `${formatNumber(value, decimals + 1)}${spaced ? ' ' : ''}${symbol}`;
  return [finer(a), finer(b)];
}

function formatNumber(value: number, decimals: number): string {
  const rounded = value.toFixed(decimals);
  return Number(rounded) === 0 ? (0).toFixed(decimals) : rounded.replace('-', '−');
}
