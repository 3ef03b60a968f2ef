import { exclusion } from '../exclusion.ts';
import { BRIEF_LIMITS } from '../brief.ts';
import { dayShort } from '../spacing.ts';
import { bent, type Program, type Solve } from '../../solver/index.ts';
import { type BlockInput, type BlockTask, closedEverywhere } from './task.ts';

/** The shortest useful drill between warm-up and cool-down, in seconds (project default). */
const ONE_DRILL_SECONDS = 120;

/** Why a brief cannot be planned at all, with the smallest change that helps; nothing when it can be tried. */
export function refusalBefore(input: BlockInput): string | undefined {
  const { brief, library } = input;
  const { min, max } = BRIEF_LIMITS.weeks;
  if (!Number.isInteger(brief.weeks) || brief.weeks < min || brief.weeks > max)
    return `A block has ${min} to ${max} weeks; ${brief.weeks} were asked for. Plan ${Math.min(max, Math.max(min, Math.round(brief.weeks) || min))}, and the next ones when they come near.`;
  if (brief.days.length === 0) return 'No training day is chosen. Choose at least one.';
  const both = brief.always.find((id) => brief.never.includes(id));
  if (both) return `“${library.drill(both).name}” is wanted in every week and in none. Take it off one of the two lists.`;
  for (const id of brief.always) {
    const why = closedEverywhere(library.drill(id), input);
    if (why) return `“${library.drill(id).name}” is wanted in every week, but may not be planned: ${why} Take it off that list.`;
  }
  return undefined;
}

/** Why nothing can be chosen from what was laid out; nothing when something can. */
export function refusalOf(task: BlockTask): string | undefined {
  const { input, slots, frames } = task;
  if (slots.length === 0 && input.kept.length === 0)
    return input.brief.pauses.length > 0
      ? 'Every training day of these weeks lies in a pause or is over. Shorten the pause, or plan later weeks.'
      : 'The training days of these weeks are over. Plan the next week, or add a session by hand.';
  const needed = slots.map((_, i) => Math.ceil(((frames[i]?.mobility.seconds ?? 0) + ONE_DRILL_SECONDS) / 60));
  if (slots.length > 0 && slots.every((slot, i) => slot.minutes < (needed[i] ?? 0))) {
    const longest = Math.max(...slots.map((s) => s.minutes));
    return `${longest} minutes cannot hold the warm-up, one drill and a cool-down; ${Math.min(...needed)} minutes would.`;
  }
  if (slots.length > 0 && task.options.length === 0) return nothingAllowed(input);
  return undefined;
}

/** What can keep every drill out, and what the coach can do about it. */
const KEPT_OUT = {
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
} as const;

/** Says what keeps most drills out; the practices of rungs, which a signature opens, are not counted. */
function nothingAllowed(input: BlockInput): string {
  const { brief, library } = input;
  const equipment = brief.equipment[brief.days[0]?.place ?? 'gym'];
  const count = { never: 0, equipment: 0, beyond: 0, caution: 0 };
  for (const drill of library.drills.filter((d) => !d.rung)) {
    const kind = brief.never.includes(drill.id) ? 'never' : exclusion(drill, { ...input, equipment })?.kind;
    if (kind && kind !== 'rung') count[kind] += 1;
  }
  const most = (Object.keys(count) as (keyof typeof count)[]).reduce((a, b) => (count[b] > count[a] ? b : a));
  return `No drill is left that may be planned: ${count[most]} ${KEPT_OUT[most].why}. ${KEPT_OUT[most].change}`;
}

/** What it costs to break each rule by one unit, when something must give (project defaults). */
const PRICES = {
  minutes: 1 / 60,
  always: 8,
  pinned: 8,
  spacing: 12,
  'loaded days': 12,
  ramp: 0.05,
  'joint ramp': 0.05,
  pairs: 12,
} as const;

/**
 * The smallest changes that make an impossible brief possible, in sentences.
 *
 * @param task what was laid out
 * @param program its programme, which has no answer
 */
export async function smallestChanges(task: BlockTask, program: Program, solve: Solve): Promise<string> {
  const { program: elastic, breaches } = bent(program, PRICES);
  const { values } = await solve(elastic, { seconds: 3, gap: 0.05 });
  const { library } = task.input;
  const changes = breaches.flatMap(({ variable, row }) => {
    const amount = values?.[variable] ?? 0;
    const broken = program.rows[row];
    if (amount < 1e-6 || !broken) return [];
    return [changeFor(broken.rule, amount, broken.about ?? '', (id) => library.drill(id).name)];
  });
  const unique = [...new Set(changes)];
  return unique.length === 0
    ? 'These wishes cannot all be kept. Take a pin or a drill of every week away.'
    : `These wishes cannot all be kept. The smallest change that helps: ${unique.slice(0, 3).join('; ')}.`;
}

function changeFor(rule: string, amount: number, about: string, nameOf: (id: string) => string): string {
  if (rule === 'minutes') return `give ${dayShort(about as never)} ${Math.ceil(amount / 60)} more ${amount > 60 ? 'minutes' : 'minute'}`;
  if (rule === 'always') return `take “${nameOf(about)}” off the drills of every week`;
  if (rule === 'pinned') return `unpin “${nameOf(about)}”`;
  if (rule === 'spacing' || rule === 'loaded days')
    return `unpin a loaded drill: ${about} would be loaded twice within 48 hours, or more than two days a week`;
  if (rule === 'pairs') return `leave “${nameOf(about)}” out, or allow stability beside it`;
  return `unpin a loaded drill, or allow ${Math.ceil(amount)} body-weight seconds more in the week of ${about}`;
}
