import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import type { DrillSkipReason } from '@myokinet/core/floor';
import type { Breath, DoseUnit, MovePart } from '@myokinet/core/drills';
import type { Morning } from '@myokinet/core/safety';

/** A day as one says it, beside today. */
export function dayOf(day: string, today: string): string {
  const date = parseISO(day);
  const distance = differenceInCalendarDays(date, parseISO(today));
  if (distance === 0) return 'Today';
  if (distance === 1) return 'Tomorrow';
  if (distance === -1) return 'Yesterday';
  return format(date, 'EEEE d MMMM');
}

export const PART_WORDS: Readonly<Record<MovePart, string>> = { start: 'Start', out: 'Out', hold: 'Hold', back: 'Back', finish: 'Finish' };
export const BREATH_WORDS: Readonly<Record<Breath, string>> = { in: 'breathe in', out: 'breathe out', on: 'breath goes on' };
export const AMOUNT_WORDS: Readonly<Record<DoseUnit, string>> = { reps: 'repetitions', s: 'seconds', breaths: 'breaths' };

/** Why a drill is left out, as a trainee says it. */
export const SKIP_WORDS: Readonly<Partial<Record<DrillSkipReason, string>>> = {
  pain: 'It hurts',
  'not safe today': 'Not safe here today',
  'no equipment': 'I have not got what it needs',
  'out of time': 'No time',
};

export const MORNING_WORDS: Readonly<Record<Morning, string>> = {
  fresh: 'Fresh',
  'as usual': 'As usual',
  tired: 'Tired',
  'sore or stiff': 'Sore or stiff',
};
