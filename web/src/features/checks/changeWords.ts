import { type Capacity, changeBetween, goodness, type Measure, formatReading, sideDifference } from '@myokinet/core/measuring';
import { formatApart } from '@myokinet/core/quantities';

/** Whether two occasions truly differ. */
export function changeInWords(measure: Measure, earlier: Capacity, later: Capacity): string {
  const { difference, detectable, real } = changeBetween(earlier, later);
  if (measure.choices) {
    if (difference === 0) return 'as before';
    return `${formatReading(measure, earlier.value)} before: ${goodness(measure, later.value) > goodness(measure, earlier.value) ? 'better' : 'worse'}`;
  }
  if (difference === 0) return 'no change';
  const [apart, allowed] = formatApart(Math.abs(difference), detectable, measure.unit);
  if (Number.parseFloat(apart) === 0) return 'no change';
  const signed = `${difference > 0 ? '+' : '−'}${apart}`;
  return real ? `${signed}, a real change` : `${signed}, inside the error band (real from ${allowed})`;
}

/**
 * How the two sides compare, and whether that is more than measuring.
 *
 * @param percent of the larger side that they may differ by, as the studio or the trainee has it
 */
export function sidesInWords(measure: Measure, left: Capacity, right: Capacity, percent?: number): string {
  const { difference, allowed, alike, weakerPercent } = sideDifference(left, right, percent === undefined ? undefined : percent / 100);
  if (difference === 0) return 'sides alike';
  const ahead = goodness(measure, left.value) > goodness(measure, right.value) ? 'left' : 'right';
  if (measure.choices) return `${ahead} better by ${difference} ${difference === 1 ? 'step' : 'steps'}`;
  const [apart, most] = formatApart(difference, allowed, measure.unit);
  if (Number.parseFloat(apart) === 0) return 'sides alike';
  // Where a range is good, more is not ahead.
  if (measure.better === 'inside' && !alike) return `${left.value > right.value ? 'left' : 'right'} larger by ${apart}, ${most} allowed`;
  return alike
    ? `sides alike: ${apart} apart, ${most} allowed`
    : `${ahead} ahead by ${apart} (weaker side ${Math.round(weakerPercent)}%), ${most} allowed`;
}
