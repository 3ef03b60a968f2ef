import type { Library } from '../../library/index.ts';
import type { ClosedBy } from '../closedJoints.ts';
import type { PlanNote } from '../planNote.ts';
import { dayShort } from '../spacing.ts';
import { type BeyondShown, type Direction, isWaiting, LOAD_CHECKS, type ShownBy } from '../shown.ts';
import type { ShownRange } from '../shownRange.ts';

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
  const first = isWaiting(shown.by) || !hasMeasure(check) ? '' : ` Check “${measure(check).name}” first.`;
  return `Puts ${percent(perArm)} of body weight on an arm; ${percent(shown.perArm)} ${BY_WORDS[shown.by]}${after}.${first}`;
}

const RANGE_WORDS: Readonly<Record<Exclude<ShownRange['by'], 'nothing'>, string>> = {
  check: 'was shown at the last check, its band taken off',
  work: 'is what clean work of the last weeks needed',
  rung: 'is what the signed rung needs',
};

const percent = (share: number) => `${Math.round(share * 100)}%`;

const DIRECTION_WORDS: Readonly<Record<Direction, string>> = { push: 'Pushing', pull: 'Hanging and pulling', carry: 'Carrying' };

/**
 * Which way the hands are held back in a plan, and what would open it.
 *
 * @example heldBackInWords({ code: 'held back', direction: 'push', shown: { perArm: 0.23, by: 'entry' }, waiting: 48, check: 'load-tolerated-push' }, library)
 * // 'Pushing stays at 23% of body weight on an arm, which is where anybody begins: 48 drills wait. Check “Hand load tolerated, pushing”.'
 */
export function heldBackInWords(
  { direction, shown, waiting, check }: Extract<PlanNote, { readonly code: 'held back' }>,
  { measure }: Pick<Library, 'measure'>,
): string {
  const { by, afterDays, perArm } = shown;
  const why = by === 'entry' || isWaiting(by) ? `which ${BY_WORDS[by]}` : `less for ${afterDays ?? 0} days without load`;
  const first = check ? ` Check “${measure(check).name}”.` : '';
  return `${DIRECTION_WORDS[direction]} stays at ${percent(perArm)} of body weight on an arm, ${why}: ${waiting} ${waiting === 1 ? 'drill waits' : 'drills wait'}.${first}`;
}

/** What keeps a joint unloaded, in words. */
export function closedByInWords(by: ClosedBy): string {
  if (by.kind === 'event') return `${by.name} on ${dayShort(by.day)} (effort ${by.effort})`;
  const { day, at } = by.when;
  return `${by.logged ? 'the last loaded session' : 'loaded work'} on ${dayShort(day)}${at ? ` at ${at}` : ''}`;
}
