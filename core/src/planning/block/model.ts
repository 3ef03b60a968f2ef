import type { PlannedDose, PlannedSession } from '../plan.ts';
import { type Program, programBuilder, type Terms } from '../../solver/index.ts';
import { claimUnder } from '../composeSession.ts';
import { calendarDaysBetween } from '../spacing.ts';
import { servesIts } from './slots.ts';
import { SMALL } from './rules.ts';
import type { BlockTask, Frame, Option } from './task.ts';

/** A dose of an option: so many sets, and the variable that chooses it. */
export interface Level {
  readonly sets: number;
  readonly variable: number;
}

/** A sum over variables, beside what is there whatever is chosen. */
export interface Sum {
  readonly terms: Terms;
  readonly sure: number;
}

/** An option with its place in the list of options. */
export interface Placed {
  readonly option: Option;
  readonly index: number;
}

export type Model = ReturnType<typeof modelOf>;

/** The variables of a block, and ways to sum over them; rules add their rows. */
export function modelOf(task: BlockTask) {
  const { input, slots, weeks, options, frames } = task;
  const { brief, library } = input;
  const builder = programBuilder();
  const likes = new Set(brief.likes);
  const dislikes = new Set(brief.dislikes);
  const didWell = new Set(input.didWell);
  const led = new Set((input.leads ?? []).flatMap(({ lead }) => lead.drills));
  const claim = claimUnder(input.cautions);
  const stageOf = (slot: number) => slots[slot]?.week ?? 0;

  const levels = options.map((option): readonly Level[] => {
    const { id } = option.drill;
    const liking =
      (likes.has(id) ? SMALL.like : 0) +
      (dislikes.has(id) ? SMALL.dislike : 0) +
      (didWell.has(id) ? SMALL.didWell : 0) +
      (led.has(id) ? SMALL.led : 0) +
      (servesIts(slots[option.slot], option.drill) ? SMALL.focus : 0) +
      option.drill.equipment.length * SMALL.equipment;
    return levelsOf(option).map((sets) => ({ sets, variable: builder.choice(stageOf(option.slot), liking) }));
  });
  const loaded = slots.map((slot) => builder.variable({ upper: slot.loadable ? 1 : 0, integer: true, stage: slot.week, lead: true }));
  const placed = options.map((option, index): Placed => ({ option, index }));
  const byWeek = weeks.map((_, week) => placed.filter(({ option }) => stageOf(option.slot) === week));
  const bySlot = slots.map((_, slot) => placed.filter(({ option }) => option.slot === slot));

  /** Sum of a figure over options, for each set and once where it is chosen at all. */
  const over = (some: readonly Placed[], perSet: (o: Option) => number, once: (o: Option) => number = () => 0): Terms =>
    some.flatMap(({ option, index }) =>
      (levels[index] ?? []).map(({ sets, variable }) => [variable, sets * perSet(option) + once(option)] as const),
    );

  const keptIn = (week: number): readonly PlannedSession[] => {
    const { weekStart } = weeks[week] ?? {};
    if (weekStart === undefined) return [];
    return input.kept.filter(({ day }) => calendarDaysBetween(weekStart, day) >= 0 && calendarDaysBetween(weekStart, day) < 7);
  };

  /** A figure of a slot's warm-up and cool-down: one amount while it is unloaded, another once it is loaded. */
  const framed = (slot: number, figure: (frame: Frame) => number): Sum => {
    const frame = frames[slot];
    const variable = loaded[slot];
    if (!frame || variable === undefined) return { terms: [], sure: 0 };
    const sure = figure(frame.mobility);
    return { terms: [[variable, figure(frame.loaded) - sure]], sure };
  };

  const slotsIn = (week: number) => slots.flatMap((s, i) => (s.week === week ? [i] : []));

  /** A figure of a week's work: of what is chosen, and of the sessions that stay. */
  const workOf = (week: number, perSet: (o: Option) => number, ofItems: (items: readonly PlannedDose[]) => number): Sum => ({
    terms: over(byWeek[week] ?? [], perSet),
    sure: ofItems(keptIn(week).flatMap((s) => s.items)),
  });

  /** The same with the warm-ups and cool-downs. */
  const ofWeek = (week: number, perSet: (o: Option) => number, ofItems: (items: readonly PlannedDose[]) => number): Sum => {
    const work = workOf(week, perSet, ofItems);
    const frameSums = slotsIn(week).map((slot) => framed(slot, (f) => ofItems(f.items)));
    return {
      terms: [...work.terms, ...frameSums.flatMap((f) => f.terms)],
      sure: frameSums.reduce((sum, f) => sum + f.sure, work.sure),
    };
  };

  return {
    task,
    builder,
    library,
    levels,
    loaded,
    claim,
    over,
    /** Whether an option is chosen, summed over some options. */
    count: (some: readonly Placed[], factor = 1): Terms =>
      over(
        some,
        () => 0,
        () => factor,
      ),
    framed,
    keptIn,
    slotsIn,
    ofWeek,
    workOf,
    stageOf,
    inWeek: (week: number) => byWeek[week] ?? [],
    inSlot: (slot: number) => bySlot[slot] ?? [],
  };
}

/** The doses an option can have: one set, half of the sets, all of them. A pinned drill has its own. */
export function levelsOf({ pinned, most }: Pick<Option, 'pinned' | 'most'>): readonly number[] {
  return pinned ? [pinned.sets] : [...new Set([1, Math.ceil(most / 2), most])];
}

export interface BlockProgram {
  readonly program: Program;
  /** For each option of the task its doses. */
  readonly levels: readonly (readonly Level[])[];
  /** For each slot whether it is loaded. */
  readonly loaded: readonly number[];
}
