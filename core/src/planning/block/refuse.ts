import { exclusion } from '../exclusion.ts';
import { BRIEF_LIMITS } from '../brief.ts';
import type { KeptOut, PlanRefusal, SmallestChange } from '../planNote.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import { bent, type Program, type Solve } from '../../solver/index.ts';
import { type BlockInput, type BlockTask, closedEverywhere } from './task.ts';

/** The shortest useful drill between warm-up and cool-down, in seconds (project default). */
const ONE_DRILL_SECONDS = 120;

/** Why a brief cannot be planned at all, with the smallest change that helps; nothing when it can be tried. */
export function refusalBefore(input: BlockInput): PlanRefusal | undefined {
  const { brief, library } = input;
  const { min, max } = BRIEF_LIMITS.weeks;
  if (!Number.isInteger(brief.weeks) || brief.weeks < min || brief.weeks > max) return { code: 'weeks', asked: brief.weeks, min, max };
  if (brief.days.length === 0) return { code: 'no day' };
  const both = brief.always.find((id) => brief.never.includes(id));
  if (both) return { code: 'wanted and not', name: library.drill(both).name };
  for (const id of brief.always) {
    const because = closedEverywhere(library.drill(id), input);
    if (because) return { code: 'wanted but closed', name: library.drill(id).name, because };
  }
  return undefined;
}

/** Why nothing can be chosen from what was laid out; nothing when something can. */
export function refusalOf(task: BlockTask): PlanRefusal | undefined {
  const { input, slots, frames } = task;
  if (slots.length === 0 && input.kept.length === 0) return { code: input.brief.pauses.length > 0 ? 'all in pauses' : 'days over' };
  const needed = slots.map((_, i) => Math.ceil(((frames[i]?.mobility.seconds ?? 0) + ONE_DRILL_SECONDS) / 60));
  if (slots.length > 0 && slots.every((slot, i) => slot.minutes < (needed[i] ?? 0))) {
    return { code: 'too short', minutes: Math.max(...slots.map((s) => s.minutes)), needed: Math.min(...needed) };
  }
  if (slots.length > 0 && task.options.length === 0) return nothingAllowed(input);
  return undefined;
}

/** What keeps most drills out; the practices of rungs, which a signature opens, are not counted. */
function nothingAllowed(input: BlockInput): PlanRefusal {
  const { brief, library } = input;
  const equipment = brief.equipment[brief.days[0]?.place ?? 'gym'];
  const count: Record<KeptOut, number> = { never: 0, equipment: 0, beyond: 0, caution: 0 };
  for (const drill of library.drills.filter((d) => !d.rung)) {
    const kind = brief.never.includes(drill.id) ? 'never' : exclusion(drill, { ...input, equipment })?.kind;
    if (kind && kind !== 'rung' && kind !== 'weight') count[kind] += 1;
  }
  const kind = (Object.keys(count) as KeptOut[]).reduce((a, b) => (count[b] > count[a] ? b : a));
  return { code: 'nothing allowed', kind, drills: count[kind] };
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
 * The smallest changes that make an impossible brief possible.
 *
 * @param task what was laid out
 * @param program its programme, which has no answer
 */
export async function smallestChanges(task: BlockTask, program: Program, solve: Solve): Promise<PlanRefusal> {
  const { program: elastic, breaches } = bent(program, PRICES);
  const { values } = await solve(elastic, { seconds: 3, gap: 0.05 });
  const { library } = task.input;
  const changes = breaches.flatMap(({ variable, row }) => {
    const amount = values?.[variable] ?? 0;
    const broken = program.rows[row];
    if (amount < 1e-6 || !broken) return [];
    return [changeFor(broken.rule, amount, broken.about ?? '', (id) => library.drill(id).name)];
  });
  const unique = [...new Map(changes.map((c) => [JSON.stringify(c), c])).values()];
  return { code: 'changes', changes: unique.slice(0, MOST_CHANGES) };
}

const MOST_CHANGES = 3;

function changeFor(rule: string, amount: number, about: string, nameOf: (id: string) => string): SmallestChange {
  if (rule === 'minutes') return { code: 'minutes', day: about as CalendarDay, minutes: Math.ceil(amount / 60) };
  if (rule === 'always') return { code: 'always', name: nameOf(about) };
  if (rule === 'pinned') return { code: 'unpin', name: nameOf(about) };
  if (rule === 'spacing' || rule === 'loaded days') return { code: 'unpin load', joint: about };
  if (rule === 'pairs') return { code: 'pair', name: nameOf(about) };
  return { code: 'growth', week: about, seconds: Math.ceil(amount) };
}
