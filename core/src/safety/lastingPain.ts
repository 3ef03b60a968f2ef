import type { BodySide } from '../anatomy/index.ts';
import { type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import type { ProfessionalRole } from './professionals.ts';
import type { BodyPlace } from './symptoms.ts';

/**
 * A pain that is known, has lasted three months and more, and that a licensed professional has looked at: what is usual at that place is
 * no alarm.
 */
export interface LastingPain {
  readonly place: BodyPlace;
  readonly side: BodySide;
  /** What is usual, from 1 to `LASTING_MOST`; 0: it is over. */
  readonly level: number;
  readonly role: ProfessionalRole;
  readonly consultedOn: CalendarDay;
}

/** A usual pain above this is no baseline to train on (professional judgement, from memory, no single source). */
export const LASTING_MOST = 3;
/** Half a year after the word it is asked anew (professional judgement, from memory, no single source). */
export const LASTING_DAYS = 183;

/**
 * What is usual at a place at a moment; nothing where nobody said so, where it is over, or where the word is too old.
 *
 * @param pains newest word first
 * @example usualAt([{ place: 'elbow', side: 'left', level: 2, … }], { place: 'elbow', side: 'left' }, now) // 2
 */
export function usualAt(
  pains: readonly LastingPain[],
  { place, side }: Pick<LastingPain, 'place' | 'side'>,
  moment: Instant | Date,
): number | undefined {
  const day = calendarDay(moment);
  const word = pains.find((p) => p.place === place && p.side === side && p.consultedOn <= day);
  if (!word || word.level === 0) return undefined;
  return daysBetween(`${word.consultedOn}T00:00:00.000Z` as Instant, new Date(moment)) > LASTING_DAYS + 1 ? undefined : word.level;
}
