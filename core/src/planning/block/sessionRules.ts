import { mostOfPhase } from '../kinds.ts';
import type { Model } from './model.ts';
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
    kinds(model, s);
  });
}

/** So many drills of a phase, more light ones while nothing is loaded; pinned drills stand even beyond it. */
function kinds({ builder, task, loaded, count, inSlot }: Model, slot: number): void {
  const here = inSlot(slot);
  const { minutes = 0 } = task.slots[slot] ?? {};
  const session = loaded[slot];
  for (const phase of new Set(here.map(({ option }) => option.drill.phase))) {
    const alike = here.filter(({ option }) => option.drill.phase === phase);
    const pinned = alike.filter(({ option }) => option.pinned).length;
    const [light, heavy] = [false, true].map((isLoaded) => Math.max(mostOfPhase(phase, { minutes, loaded: isLoaded }), pinned)) as [
      number,
      number,
    ];
    const less = session === undefined || light === heavy ? [] : [[session, light - heavy] as const];
    builder.row('phases', [...count(alike), ...less], { most: light });
  }
}
