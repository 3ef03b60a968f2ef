import type { Library } from '../../library/index.ts';
import { doseBeyondInWords, doseShortInWords } from '../../words/index.ts';
import { PAUSE_REASONS } from '../brief.ts';
import type { Broken } from '../planFinding.ts';
import { dayShort } from '../spacing.ts';
import { closedByInWords } from './beyond.ts';
import { leftOutInWords, mayInWords } from './may.ts';
import { lightInWords } from './notes.ts';

/**
 * A rule that a session breaks, in a sentence.
 *
 * @example brokenInWords({ code: 'minutes', has: 52, given: 45 }, library) // 'Takes 52 minutes; 45 are given.'
 */
export function brokenInWords(broken: Broken, library: Library): string {
  switch (broken.code) {
    case 'minutes':
      return `Takes ${broken.has} minutes; ${broken.given} are given.`;
    case 'pause': {
      const { reason, from, to } = broken.pause;
      return `Lies in a pause (${PAUSE_REASONS[reason].toLowerCase()}, ${dayShort(from)} to ${dayShort(to)}).`;
    }
    case 'second session':
      return 'A second session on the same day.';
    case 'long hold first':
      return `“${broken.before.name}” is a long hold before load; this school keeps such holds for the end.`;
    case 'order':
      return `“${broken.drill.name}” (${broken.drill.phase}) usually comes before ${broken.before.phase}.`;
    case 'never':
      return `“${broken.drill.name}”: ${leftOutInWords({ kind: 'never' }, library)}`;
    case 'may': {
      const { drill, may, overruled } = broken;
      const sentence = `“${drill.name}”: ${mayInWords(may, drill, library)}`;
      return overruled ? `${sentence} Planned all the same: ${overruled}` : sentence;
    }
    case 'near session':
      return `Loads the ${listed(broken.joints)} less than 48 hours after the loaded session before.`;
    case 'near record':
      return `Loads the ${listed(broken.joints)} less than 48 hours after what was done on ${dayShort(broken.day)}.`;
    case 'near event':
      return `Loads the ${listed(broken.joints)} next to ${closedByInWords(broken.by)}.`;
    case 'third day':
      return `A third loaded day of the week for the ${listed(broken.joints)}; ${broken.most} are usual.`;
    case 'focus':
      return `“${broken.drill.name}” loads what this day is not for.`;
    case 'light week':
      return `The week loads the hands with ${Math.round(broken.share * 100)}% of the last full one; it is ${lightInWords(broken.because)}, for at most ${Math.round(broken.most * 100)}%.`;
    case 'growth':
      return `The week loads the hands ${Math.round(broken.by * 100)}% more than the last; the limit is ${Math.round(broken.most * 100)}%.`;
    case 'balance': {
      const { push, pull, most } = broken;
      const apart = Math.abs(push - pull) / Math.max(push, pull);
      return `Push and pull lie ${Math.round(apart * 100)}% apart (${Math.round(push)} and ${Math.round(pull)} body-weight seconds); ${Math.round(most * 100)}% is the limit.`;
    }
    case 'dose beyond':
      return doseBeyondInWords(broken.finding);
    case 'dose short':
      return doseShortInWords(broken.short);
  }
}

const listed = (joints: readonly string[]) => [...new Set(joints)].join(', ');
