import type { Joint } from '../anatomy/index.ts';

const KIND_WORDS = {
  'mobility active': 'Active mobility',
  stability: 'Stability work',
  strength: 'Strength work',
  skill: 'Skill',
  'mobility passive': 'Long holds',
  fingers: 'Fingertips',
  'head down': 'Head down, for the first time',
} as const;

/** A dose beyond the most of its kind. */
export interface DoseBeyond {
  readonly kind: keyof typeof KIND_WORDS;
  readonly measure: 'week sets' | 'week days' | 'session seconds' | 'apart';
  readonly joint?: Joint;
  readonly has: number;
  readonly most: number;
}

/**
 * That a week or session holds more of a kind than it should.
 *
 * @example doseBeyondInWords({ kind: 'strength', joint: 'shoulder', measure: 'week sets', has: 15, most: 12 })
 * // 'Strength work for the shoulder: 15 sets in the week by here; 12 are the most.'
 */
export function doseBeyondInWords({ kind, measure, joint, has, most }: DoseBeyond): string {
  const what = `${KIND_WORDS[kind]}${joint ? ` for the ${joint}` : ''}`;
  switch (measure) {
    case 'week sets':
      return `${what}: ${has} sets in the week by here; ${most} are the most.`;
    case 'week days':
      return `${what} on ${has} days of the week; ${most} are the most.`;
    case 'session seconds':
      return `${what}: ${has} seconds in this session; ${most} are the most.`;
    case 'apart':
      return `${what} ${has} ${has === 1 ? 'day' : 'days'} after the last time; ${most} at least lie between.`;
  }
}

/** A kind of which a week has less than changes anything. */
export interface DoseShort {
  readonly kind: keyof typeof KIND_WORDS;
  readonly measure: 'week days' | 'week sets' | 'week seconds' | 'week tries' | 'session seconds';
  readonly has: number;
  readonly least: number;
}

/**
 * That a week holds some of a kind, and too little of it.
 *
 * @example doseShortInWords({ kind: 'stability', measure: 'week sets', has: 3, least: 6 })
 * // 'Stability work: 3 sets in the week; fewer than 6 change little. Give it more, or leave it out.'
 */
export function doseShortInWords({ kind, measure, has, least }: DoseShort): string {
  const what = KIND_WORDS[kind];
  const advice = 'Give it more, or leave it out.';
  switch (measure) {
    case 'week days':
      return `${what} on ${has} ${has === 1 ? 'day' : 'days'} of the week; fewer than ${least} change little. ${advice}`;
    case 'week sets':
      return `${what}: ${has} ${has === 1 ? 'set' : 'sets'} in the week; fewer than ${least} change little. ${advice}`;
    case 'week tries':
      return `${what}: ${has} ${has === 1 ? 'try' : 'tries'} in the week; fewer than ${least} change little. ${advice}`;
    case 'week seconds':
      return `${what}: ${has} seconds in the week; less than ${least} changes little. ${advice}`;
    case 'session seconds':
      return `${what}: ${has} seconds in one session; less than ${least} changes little. ${advice}`;
  }
}
