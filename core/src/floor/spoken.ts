import type { DoseUnit } from '../drills/index.ts';
import type { Pace } from './pacer.ts';

/** Something said aloud, in seconds from the start of a set. */
export interface Spoken {
  readonly at: number;
  readonly words: string;
  /** Of the last five seconds: also for whoever listens to a screen reader. */
  readonly last?: true;
}

/** A listener takes in one number a second, and a sentence in two. */
const LAST = 5;
const TENS = 10;
/** Repetitions quicker than this are not counted aloud. */
const SECONDS_TO_SAY = 1.5;

/** Said where the second half of what goes both ways begins. */
const OTHER_WAY = 'Other way round';
/** Said where the sides take turns: the number with the first side, the side with the second. */
const SECOND_SIDE = 'Right';

/**
 * What is said aloud in a set: of a hold the tens that are left and the last five seconds; of repetitions and breaths each number where
 * there is time to say it.
 *
 * @example spokenIn(paceOf({ unit: 's' }, 20), 's').map((s) => s.words) // ['10 left', '5', '4', '3', '2', '1', 'Done']
 */
export function spokenIn({ beats, seconds }: Pace, unit: DoseUnit): readonly Spoken[] {
  const done: Spoken = { at: seconds, words: 'Done' };
  if (unit === 's') {
    const tens = Array.from({ length: Math.ceil(seconds / TENS) }, (_, i) => (i + 1) * TENS).filter((left) => left < seconds);
    const last = Array.from({ length: Math.min(LAST, Math.floor(seconds)) }, (_, i) => i + 1);
    return [
      ...tens.map((left): Spoken => ({ at: seconds - left, words: `${left} left` })),
      ...last.map((left): Spoken => ({ at: seconds - left, words: String(left), last: true })),
      done,
    ].sort((a, b) => a.at - b.at);
  }
  const starts = beats.filter((b, i) => b.count !== beats[i - 1]?.count);
  const each = starts.length > 0 ? seconds / starts.length : 0;
  const turnsAt = starts.find((b) => b.otherWay)?.from;
  const second = beats.filter((b, i) => b.turn === 'right' && beats[i - 1]?.turn === 'left');
  const sides = each / 2 < SECONDS_TO_SAY ? [] : second.map((b): Spoken => ({ at: b.from, words: SECOND_SIDE }));
  const counted = each < SECONDS_TO_SAY ? [] : starts.map((b): Spoken => ({ at: b.from, words: String(b.count) }));
  const turn: readonly Spoken[] = turnsAt === undefined ? [] : [{ at: turnsAt, words: OTHER_WAY }];
  return [...counted.filter(({ at }) => at !== turnsAt), ...turn, ...sides, done].sort((a, b) => a.at - b.at);
}

/**
 * What is due to be said now: the newest that came since the last look, and nothing that is already old, so that a voice never runs
 * behind.
 *
 * @param since seconds of the last look, from the start of the set
 * @param now seconds now
 */
export function dueToSay(spoken: readonly Spoken[], since: number, now: number): Spoken | undefined {
  return spoken.findLast((s) => s.at > since && s.at <= now && now - s.at < 1);
}
