import type { Library } from '../library/index.ts';
import { type BeyondShown, beyondShown, type Direction, DIRECTIONS, LOAD_CHECKS, type Shown, type ShownBy } from './shown.ts';
import type { ShownRange } from './shownRange.ts';

const BY_WORDS: Readonly<Record<ShownBy, string>> = {
  check: 'was tolerated at the last check, its band taken off',
  work: 'was carried clean in the last weeks',
  rung: 'is what the signed rung puts there',
  entry: 'is where anybody begins',
  growth: 'is ten points more than an arm carried in the last weeks',
  beginner: 'is the most in the first four weeks',
};

/**
 * That a drill asks more of the hands than was shown, and what helps.
 *
 * @example beyondInWords({ what: 'load', direction: 'push', perArm: 0.345, shown: { perArm: 0.225, by: 'entry' } }, library)
 * // 'Puts 35% of body weight on an arm; 23% is where anybody begins. Check “Hand load tolerated, pushing” first.'
 */
export function beyondInWords(beyond: BeyondShown, { hasMeasure, measure }: Pick<Library, 'hasMeasure' | 'measure'>): string {
  if (beyond.what === 'range') {
    const { name } = measure(beyond.check);
    const needs = `Needs ${beyond.needed}° of “${name}” under its load`;
    return beyond.range.by === 'nothing'
      ? `${needs}; it was never checked on both sides. Check it first.`
      : `${needs}; ${Math.floor(beyond.range.degrees)}° ${RANGE_WORDS[beyond.range.by]}.`;
  }
  const { direction, perArm, shown } = beyond;
  const after = shown.afterDays === undefined ? '' : `, and less for ${shown.afterDays} days without load`;
  const check = LOAD_CHECKS[direction];
  const first = WAITS.includes(shown.by) || !hasMeasure(check) ? '' : ` Check “${measure(check).name}” first.`;
  return `Puts ${percent(perArm)} of body weight on an arm; ${percent(shown.perArm)} ${BY_WORDS[shown.by]}${after}.${first}`;
}

const RANGE_WORDS: Readonly<Record<Exclude<ShownRange['by'], 'nothing'>, string>> = {
  check: 'was shown at the last check, its band taken off',
  work: 'is what clean work of the last weeks needed',
  rung: 'is what the signed rung needs',
};

/** What no check opens, only time. */
const WAITS: readonly ShownBy[] = ['growth', 'beginner'];

const percent = (share: number) => `${Math.round(share * 100)}%`;

const DIRECTION_WORDS: Readonly<Record<Direction, string>> = { push: 'Pushing', pull: 'Hanging and pulling', carry: 'Carrying' };

/**
 * Which way the hands are held back in a plan, and what would open it; nothing where no drill waits for it.
 *
 * @example heldBack(shown, library)[0]
 * // 'Pushing stays at 23% of body weight on an arm, which is where anybody begins: 48 drills wait. Check “Hand load tolerated, pushing”.'
 */
export function heldBack(
  shown: Shown,
  { drills, hasMeasure, measure }: Pick<Library, 'drills' | 'hasMeasure' | 'measure'>,
): readonly string[] {
  return DIRECTIONS.flatMap((direction) => {
    const { by, afterDays, perArm } = shown[direction];
    if (by !== 'entry' && !WAITS.includes(by) && afterDays === undefined) return [];
    const waits = (d: Library['drills'][number]) => {
      const beyond = beyondShown(d, shown);
      return beyond?.what === 'load' && beyond.direction === direction;
    };
    const waiting = drills.filter((d) => !d.rung && waits(d)).length;
    if (waiting === 0) return [];
    const why = by === 'entry' || WAITS.includes(by) ? `which ${BY_WORDS[by]}` : `less for ${afterDays ?? 0} days without load`;
    const check = LOAD_CHECKS[direction];
    const first = WAITS.includes(by) || !hasMeasure(check) ? '' : ` Check “${measure(check).name}”.`;
    return [
      `${DIRECTION_WORDS[direction]} stays at ${percent(perArm)} of body weight on an arm, ${why}: ${waiting} ${waiting === 1 ? 'drill waits' : 'drills wait'}.${first}`,
    ];
  });
}
