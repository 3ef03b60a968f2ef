import type { Phase } from '../../drills/index.ts';
import { MOST_PER_PHASE } from '../composeSession.ts';
import type { Model, Placed } from './model.ts';
import { HELD } from './rules.ts';

/** What holds inside each session: one dose a drill, the minutes, and so many drills of a kind. */
export function sessionRules(model: Model): void {
  const { builder, task, inSlot } = model;
  task.slots.forEach((slot, s) => {
    const here = inSlot(s);
    for (const one of here) {
      if (one.option.pinned) builder.row('pinned', model.count([one]), { least: 1, about: one.option.drill.id });
      if ((model.levels[one.index]?.length ?? 0) > 1) builder.row('one dose', model.count([one]), { most: 1 });
    }
    const held = builder.variable({ worth: HELD, upper: 1, stage: slot.week });
    builder.row('held', [[held, 1], ...model.count(here, -1)], { most: 0 });
    const frame = model.framed(s, (f) => f.seconds);
    const work = model.over(
      here,
      (o) => o.perSetSeconds,
      (o) => o.onceSeconds,
    );
    builder.row('minutes', [...work, ...frame.terms], { most: slot.minutes * 60 - frame.sure, about: slot.day });
    for (const phase of new Set(here.map(({ option }) => option.drill.phase))) {
      const alike = here.filter(({ option }) => option.drill.phase === phase);
      builder.row('phases', model.count(alike), { most: phaseLimit(phase, alike) });
    }
  });
}

/** Pinned drills stand even where they are more than a session usually holds of their kind. */
function phaseLimit(phase: Phase, alike: readonly Placed[]): number {
  return Math.max(MOST_PER_PHASE[phase] ?? 1, alike.filter(({ option }) => option.pinned).length);
}
