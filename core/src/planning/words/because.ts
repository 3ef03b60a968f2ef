import type { Because, Without } from '../because.ts';
import { FOCI } from '../focus.ts';
import { needInWords, needName } from './needs.ts';

/**
 * Why a drill is in a session, in sentences.
 *
 * @example becauseInWords([{ code: 'always' }, { code: 'new' }]) // 'In every week, by your word. New, so half dose.'
 */
export function becauseInWords(because: readonly Because[]): string {
  return because.map(oneInWords).join(' ');
}

function oneInWords(because: Because): string {
  switch (because.code) {
    case 'warm-up':
      return `Warm-up: at least ${because.minutes} minutes before any load.`;
    case 'opens':
      return 'Opens what the session works.';
    case 'before load':
      return 'Forearm hold before load, as this plan’s school allows.';
    case 'long hold':
      return because.need ? `Longer holds belong after the load: ${needInWords(because.need)}.` : 'Longer holds belong after the load.';
    case 'lets go':
      return 'Cool-down: every session ends quietly, with what was worked let go.';
    case 'practice':
      return `${because.ofRung ? 'Practice of the rung in hand' : 'Prepares for the first rung'}: two clean sessions, each of two sets a side at its own top, 48 hours apart, count for the next gate.`;
    case 'need':
      return `For ${needInWords(because.need)}.`;
    case 'finding':
      return `“${because.check}”${because.side === 'whole' ? '' : `, ${because.side}`}: ${because.reason}`;
    case 'always':
      return 'In every week, by your word.';
    case 'focus':
      return `For the day’s focus: ${FOCI[because.focus].toLowerCase()}.`;
    case 'balance':
      return 'For balance between push and pull.';
    case 'pairs':
      return `Pairs with “${because.withName}”: new range needs stability in the same direction.`;
    case 'template':
      return 'From the template.';
    case 'new':
      return 'New, so half dose.';
    case 'rebuilding':
      return 'Reduced dose: the joint is being rebuilt.';
    case 'light week':
      return 'Half the sets in a light week.';
  }
}

/** What a week would be without a drill, in sentences. */
export function withoutInWords(without: readonly Without[]): string {
  return without
    .map((one) => {
      switch (one.code) {
        case 'less':
          return `Without it ${needName(one.need)} gets ${doses(one.has)} of work that week in place of ${doses(one.had)}.`;
        case 'alone':
          return `“${one.name}” would stand without stability.`;
        case 'nothing':
          return 'Without it nothing that is needed would be missing; it fills time that is there.';
      }
    })
    .join(' ');
}

const doses = (amount: number) => (amount === 0 ? 'none' : `${amount.toFixed(1)} doses`);
