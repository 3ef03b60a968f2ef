import type { Joint } from '../../anatomy/index.ts';
import type { Drill } from '../../drills/index.ts';
import { countsByJoint, DOSE_LIMITS, type DoseKind, doseKindsOf, mostOf, setSeconds } from '../doseLimits.ts';
import type { PlannedDose } from '../plan.ts';
import { calendarDaysBetween } from '../spacing.ts';
import type { Model, Placed } from './model.ts';

/** The most that a week and a session hold of each kind of work; what is pinned or kept stands even beyond it. */
export function doseRules(model: Model): void {
  const known = new Set(model.task.input.knownDrills);
  for (const kind of Object.keys(DOSE_LIMITS) as DoseKind[]) {
    const isOf = (drill: Drill) => doseKindsOf(drill, known.has(drill.id)).includes(kind);
    const concerned = model.task.options.filter((o) => isOf(o.drill));
    const joints: readonly (Joint | undefined)[] = countsByJoint(kind) ? [...new Set(concerned.map((o) => o.drill.joint))] : [undefined];
    for (const joint of joints) {
      const of: Concerned = { kind, counts: (drill) => isOf(drill) && (joint === undefined || drill.joint === joint) };
      weekSets(model, of);
      sessionSeconds(model, of);
      days(model, of);
    }
  }
}

interface Concerned {
  readonly kind: DoseKind;
  readonly counts: (drill: Drill) => boolean;
}

const pinnedOnly = (some: readonly Placed[], figure: (one: Placed) => number) =>
  some.reduce((sum, one) => sum + (one.option.pinned ? figure(one) : 0), 0);

function weekSets(model: Model, { kind, counts }: Concerned): void {
  const most = mostOf(kind, 'week sets');
  if (most === undefined) return;
  const setsOf = (items: readonly PlannedDose[]) =>
    items.reduce((sum, item) => sum + (counts(model.library.asPlanned(item)) ? item.sets : 0), 0);
  model.task.weeks.forEach((_, week) => {
    const { terms, sure } = model.ofWeek(week, (o) => (counts(o.drill) ? 1 : 0), setsOf);
    const pinned = pinnedOnly(
      model.inWeek(week).filter(({ option }) => counts(option.drill)),
      ({ option }) => option.pinned?.sets ?? 0,
    );
    model.builder.row('doses', terms, { most: Math.max(most, sure + pinned) - sure });
  });
}

function sessionSeconds(model: Model, { kind, counts }: Concerned): void {
  const most = mostOf(kind, 'session seconds');
  if (most === undefined) return;
  model.task.slots.forEach((_, slot) => {
    const here = model.inSlot(slot).filter(({ option }) => counts(option.drill));
    if (here.length === 0) return;
    const frame = model.framed(slot, ({ items }) =>
      items.reduce((sum, item) => {
        const drill = model.library.drill(item.drillId);
        return sum + (counts(drill) ? item.sets * setSeconds(drill, item, kind) : 0);
      }, 0),
    );
    const pinned = pinnedOnly(here, ({ option }) => (option.pinned?.sets ?? 0) * setSeconds(option.drill, option.dose, kind));
    const terms = model.over(here, (o) => setSeconds(o.drill, o.dose, kind));
    model.builder.row('doses', [...terms, ...frame.terms], { most: Math.max(most, pinned + frame.sure) - frame.sure });
  });
}

/** So many days a week, and so many days apart: each session that holds any of it counts once. */
function days(model: Model, { kind, counts }: Concerned): void {
  const [weekDays, apart] = [mostOf(kind, 'week days'), mostOf(kind, 'apart')];
  if (weekDays === undefined && apart === undefined) return;
  const { builder, task } = model;
  const holds = task.slots.map((slot, s) => {
    const here = model.inSlot(s).filter(({ option }) => counts(option.drill));
    if (here.length === 0) return undefined;
    const variable = builder.variable({ upper: 1, stage: slot.week });
    for (const one of here) builder.row('doses', [[variable, 1], ...model.count([one], -1)], { least: 0 });
    return { variable, pinned: here.some(({ option }) => option.pinned) };
  });
  const kept = task.input.kept.filter((s) => s.items.some((item) => counts(model.library.asPlanned(item))));
  task.weeks.forEach((_, week) => {
    if (weekDays === undefined) return;
    const here = model.slotsIn(week).flatMap((s) => holds[s] ?? []);
    const already = model.keptIn(week).filter((s) => kept.includes(s)).length;
    if (here.length + already <= weekDays) return;
    const pinned = here.filter((h) => h.pinned).length;
    builder.row(
      'doses',
      here.map(({ variable }) => [variable, 1] as const),
      { most: Math.max(weekDays, already + pinned) - already },
    );
  });
  if (apart === undefined) return;
  task.slots.forEach((a, i) => {
    const first = holds[i];
    if (!first) return;
    if (!first.pinned && kept.some((s) => Math.abs(calendarDaysBetween(s.day, a.day)) < apart))
      builder.row('doses', [[first.variable, 1]], { most: 0 });
    for (let k = i + 1; k < task.slots.length; k++) {
      const [second, b] = [holds[k], task.slots[k]];
      if (!second || !b || calendarDaysBetween(a.day, b.day) >= apart || (first.pinned && second.pinned)) continue;
      builder.row(
        'doses',
        [
          [first.variable, 1],
          [second.variable, 1],
        ],
        { most: 1 },
      );
    }
  });
}
