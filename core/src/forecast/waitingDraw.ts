import type { Rhythm, Waits } from './waits.ts';

const DAYS_PER_WEEK = 7;
const HOURS_PER_DAY = 24;
/** The morning after the last session has to be heard. */
const MORNING_DAYS = 1;
/** Further nobody looks. */
const MOST_DAYS = 400;

/**
 * One future of the waiting rules: the days until symptoms, tissue and sessions have had theirs. Sessions come in the rhythm of the last
 * weeks, each counts with a chance that those weeks tell (a beta distribution, one of each kind added to what was seen).
 *
 * @param missedDays from now on nobody trains
 * @returns days from now
 */
export function waitingDraw(waits: Waits, rhythm: Rhythm, missedDays: number, random: () => number): number {
  if (waits.sessions.length === 0) return waits.days;
  const chance = betaDraw(rhythm.counted + 1, rhythm.held - rhythm.counted + 1, random);
  const between = DAYS_PER_WEEK / rhythm.sessionsPerWeek;
  const start = missedDays + random() * between;
  let last = 0;
  for (const { missing, hoursApart } of waits.sessions) {
    const gap = hoursApart / HOURS_PER_DAY;
    let counted = 0;
    let day = start;
    let earliest = 0;
    while (counted < missing && day < MOST_DAYS) {
      if (day >= earliest && random() < chance) {
        counted++;
        last = Math.max(last, day);
        earliest = day + gap;
      }
      day += between;
    }
    if (counted < missing) return Infinity;
  }
  return Math.max(waits.days, last + MORNING_DAYS);
}

/** Beta(a, b) for whole a and b, by two sums of exponentials. */
function betaDraw(a: number, b: number, random: () => number): number {
  const x = gammaDraw(a, random);
  return x / (x + gammaDraw(b, random));
}

function gammaDraw(n: number, random: () => number): number {
  let product = 0;
  for (let i = 0; i < n; i++) product -= Math.log(1 - random());
  return product;
}
