import type { Library } from '../../library/index.ts';
import type { KeptOut, PlanRefusal, SmallestChange } from '../planNote.ts';
import { dayShort } from '../spacing.ts';
import { leftOutInWords } from './may.ts';

/**
 * Why there is no plan, with the smallest change that helps.
 *
 * @example refusalInWords({ code: 'no day' }, library) // 'No training day is chosen. Choose at least one.'
 */
export function refusalInWords(refusal: PlanRefusal, library: Library): string {
  switch (refusal.code) {
    case 'weeks': {
      const { min, max, asked } = refusal;
      return `A block has ${min} to ${max} weeks; ${asked} were asked for. Plan ${Math.min(max, Math.max(min, Math.round(asked) || min))}, and the next ones when they come near.`;
    }
    case 'no day':
      return 'No training day is chosen. Choose at least one.';
    case 'wanted and not':
      return `“${refusal.name}” is wanted in every week and in none. Take it off one of the two lists.`;
    case 'wanted but closed':
      return `“${refusal.name}” is wanted in every week, but may not be planned: ${leftOutInWords(refusal.because, library)} Take it off that list.`;
    case 'all in pauses':
      return 'Every training day of these weeks lies in a pause or is over. Shorten the pause, or plan later weeks.';
    case 'days over':
      return 'The training days of these weeks are over. Plan the next week, or add a session by hand.';
    case 'too short':
      return `${refusal.minutes} minutes cannot hold the ${refusal.warmUp ? `${refusal.warmUp}-minute ` : ''}warm-up, one drill and a cool-down; ${refusal.needed} minutes would.`;
    case 'nothing allowed':
      return `No drill is left that may be planned: ${refusal.drills} ${KEPT_OUT[refusal.kind].why}. ${KEPT_OUT[refusal.kind].change}`;
    case 'changes':
      return refusal.changes.length === 0
        ? 'These wishes cannot all be kept. Take a pin or a drill of every week away.'
        : `These wishes cannot all be kept. The smallest change that helps: ${refusal.changes.map(changeInWords).join('; ')}.`;
    case 'out of time':
      return `No plan was found in ${Math.ceil(refusal.seconds)} seconds. Give it more time, fewer weeks or fewer pins.`;
  }
}

/** What can keep every drill out, and what the coach can do about it. */
const KEPT_OUT: Readonly<Record<KeptOut, { readonly why: string; readonly change: string }>> = {
  never: { why: 'are on the list of what no week has', change: 'Take one or more off that list.' },
  equipment: { why: 'need equipment that is not there', change: 'Add what is at hand under the brief’s equipment.' },
  beyond: {
    why: 'put more on the hands than was shown',
    change: 'Check the hand load that is tolerated, pushing and hanging.',
  },
  caution: {
    why: 'are closed by cautions',
    change: 'Add a session by hand, or have the cautions lifted by a licensed professional.',
  },
};

function changeInWords(change: SmallestChange): string {
  switch (change.code) {
    case 'minutes':
      return `give ${dayShort(change.day)} ${change.minutes} more ${change.minutes > 1 ? 'minutes' : 'minute'}`;
    case 'always':
      return `take “${change.name}” off the drills of every week`;
    case 'unpin':
      return `unpin “${change.name}”`;
    case 'unpin load':
      return `unpin a loaded drill: ${change.joint} would be loaded twice within 48 hours, or more than two days a week`;
    case 'pair':
      return `leave “${change.name}” out, or allow stability beside it`;
    case 'growth':
      return `unpin a loaded drill, or allow ${change.seconds} body-weight seconds more in the week of ${change.week}`;
  }
}
