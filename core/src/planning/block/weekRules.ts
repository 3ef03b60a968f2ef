import { isPartner } from '../pairs.ts';
import type { Model, Placed } from './model.ts';
import { DULL_AFTER, SMALL } from './rules.ts';

/** What holds over each week: drills of every week, new range with its stability, light weeks, new drills at half dose, little monotony. */
export function weekRules(model: Model): void {
  model.task.weeks.forEach((_, week) => {
    const here = model.inWeek(week);
    const byDrill = new Map<string, Placed[]>();
    for (const one of here) byDrill.set(one.option.drill.id, [...(byDrill.get(one.option.drill.id) ?? []), one]);
    for (const same of byDrill.values()) {
      notTooOften(model, week, same);
      halfWhileNew(model, week, same);
    }
    everyWeek(model, week, byDrill);
    pairs(model, week);
    if (model.task.weeks[week]?.light)
      for (const one of here) if (!one.option.pinned) aboveHalf(model, one, 'light', Math.ceil(one.option.most / 2));
  });
}

function notTooOften({ builder, count }: Model, week: number, same: readonly Placed[]): void {
  if (same.length <= DULL_AFTER) return;
  const again = builder.variable({ worth: SMALL.again, stage: week });
  builder.row('again', [[again, 1], ...count(same, -1)], { least: -DULL_AFTER });
}

function everyWeek(model: Model, week: number, byDrill: ReadonlyMap<string, readonly Placed[]>): void {
  const { task, builder, slotsIn, keptIn, count } = model;
  if (slotsIn(week).length === 0) return;
  const standing = [...keptIn(week).flatMap((s) => s.items), ...slotsIn(week).flatMap((s) => task.frames[s]?.mobility.items ?? [])];
  for (const id of task.input.brief.always)
    if (!standing.some((item) => item.drillId === id)) builder.row('always', count(byDrill.get(id) ?? []), { least: 1, about: id });
}

/** Range that is won is held: each active mobility drill has stability of the same joint and direction in its week, where there is any. */
function pairs(model: Model, week: number): void {
  const here = model.inWeek(week);
  const standing = model.keptIn(week).flatMap((s) => s.items.map((item) => model.library.drill(item.drillId)));
  for (const one of here) {
    const { drill, pinned } = one.option;
    if (drill.quality !== 'mobility active' || pinned || standing.some((d) => isPartner(drill, d))) continue;
    const partners = here.filter(({ option }) => isPartner(drill, option.drill));
    if (partners.length > 0)
      model.builder.row('pairs', [...model.count([one], -1), ...model.count(partners)], { least: 0, about: drill.id });
  }
}

/** A drill that is new has half its sets at most until it has been done in an earlier week. */
function halfWhileNew(model: Model, week: number, same: readonly Placed[]): void {
  const first = same[0];
  if (!first || first.option.mostNew >= first.option.most) return;
  const { id } = first.option.drill;
  const weeksBefore = Array.from({ length: week }, (_, w) => w);
  if (weeksBefore.some((w) => model.keptIn(w).some((s) => s.items.some((item) => item.drillId === id)))) return;
  const before = weeksBefore.flatMap((w) => model.inWeek(w).filter(({ option }) => option.drill.id === id));
  const known = model.builder.variable({ upper: before.length === 0 ? 0 : 1, stage: week });
  if (before.length > 0) model.builder.row('new', [[known, 1], ...model.count(before, -1)], { most: 0 });
  for (const one of same) aboveHalf(model, one, 'new', one.option.mostNew, known);
}

/** No dose above so many sets, unless `known` allows it. */
function aboveHalf(model: Model, { index }: Placed, rule: 'light' | 'new', most: number, known?: number): void {
  const above = (model.levels[index] ?? []).filter(({ sets }) => sets > most).map(({ variable }) => [variable, 1] as const);
  model.builder.row(rule, known === undefined ? above : [...above, [known, -1]], { most: 0 });
}
