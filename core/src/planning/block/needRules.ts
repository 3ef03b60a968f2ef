import type { PlannedDose } from '../plan.ts';
import type { Model } from './model.ts';
import { PRACTICE, RETURNS } from './rules.ts';
import type { Option } from './task.ts';

/** How much of what a full dose gives a need one set gives. */
function effectOfSet({ drill, full }: Option, measureId: string): number {
  return (drill.trains[measureId] ?? 0) / full;
}

/** What the work of each week is worth: it adds up for each need, and returns less the more there is. */
export function needRules(model: Model): void {
  const { builder, task, claim } = model;
  task.weeks.forEach((_, week) => {
    for (const { measureId, weight } of task.needs) {
      const work = model.ofWeek(
        week,
        (o) => effectOfSet(o, measureId) * claim(o.drill),
        (items) => items.reduce((sum, item) => sum + effectOfItem(model, item, measureId), 0),
      );
      if (work.sure === 0 && work.terms.every(([, factor]) => factor === 0)) continue;
      const parts = RETURNS.map(({ width, slope }) => builder.variable({ worth: weight * slope, upper: width, stage: week }));
      builder.row('returns', [...work.terms, ...parts.map((p) => [p, -1] as const)], { least: -work.sure });
    }
    const practice = model.inWeek(week).filter(({ option }) => option.drill.id === task.practiceId);
    if (practice.length === 0) return;
    const done = builder.variable({ worth: PRACTICE.worth, upper: PRACTICE.doses, stage: week });
    builder.row('returns', [[done, -1], ...model.over(practice, (o) => 1 / o.full)], { least: 0 });
  });
}

function effectOfItem({ library, claim }: Model, item: PlannedDose, measureId: string): number {
  const drill = library.drill(item.drillId);
  return (drill.trains[measureId] ?? 0) * Math.min(1, item.sets / drill.dose.sets) * claim(drill);
}
