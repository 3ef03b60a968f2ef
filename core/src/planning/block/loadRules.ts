import type { Joint } from '../../anatomy/index.ts';
import { growthOf } from '../brief.ts';
import { jointsLoadedBy, plannedHandLoad } from '../plan.ts';
import { dayShort, restedBetween } from '../spacing.ts';
import type { Model, Sum } from './model.ts';
import { BALANCE_START, type BlockRule, JOINT_START, SMALL } from './rules.ts';
import { LIGHT } from './slots.ts';
import type { Option } from './task.ts';

/** What holds for the load on the hands: days apart, slow growth, push and pull alike. */
export function loadRules(model: Model): void {
  const joints = [...new Set(model.task.options.flatMap((o) => o.joints))];
  const carrying = joints.map((joint) => daysApart(model, joint));
  // A session is called loaded only where something loads a joint: its warm-up hangs on that.
  model.loaded.forEach((session, slot) => {
    const loads = carrying.flatMap((byslot) => byslot[slot] ?? []);
    model.builder.row('carrying', [[session, 1], ...loads.map((v) => [v, -1] as const)], { most: 0 });
  });
  growth(model);
  model.task.weeks.forEach((_, week) => {
    balance(model, week);
  });
}

/** A joint that is loaded makes its session a loaded one, and has 48 hours before the next. */
function daysApart(model: Model, joint: Joint): readonly (number | undefined)[] {
  const { builder, task, library } = model;
  const carrying = task.slots.map((_, slot) => {
    const users = model.inSlot(slot).filter(({ option }) => option.joints.includes(joint));
    const session = model.loaded[slot];
    if (users.length === 0 || session === undefined) return undefined;
    const carries = builder.variable({ upper: 1, integer: true, stage: model.stageOf(slot), lead: true });
    builder.row('carrying', [[carries, 1], ...model.count(users, -1)], { most: 0 });
    for (const one of users) builder.row('carrying', [[carries, 1], ...model.count([one], -1)], { least: 0 });
    builder.row(
      'carrying',
      [
        [session, 1],
        [carries, -1],
      ],
      { least: 0 },
    );
    return carries;
  });
  task.slots.forEach((a, i) => {
    for (let k = i + 1; k < task.slots.length; k++) {
      const [first, second, b] = [carrying[i], carrying[k], task.slots[k]];
      if (first === undefined || second === undefined || !b || restedBetween(a, b)) continue;
      builder.row(
        'spacing',
        [
          [first, 1],
          [second, 1],
        ],
        { most: 1, about: joint },
      );
    }
  });
  task.weeks.forEach(({ loadedDays }, week) => {
    const taken = model.keptIn(week).filter((s) => jointsLoadedBy(s.items, library).has(joint)).length;
    const days = model.slotsIn(week).flatMap((slot) => carrying[slot] ?? []);
    builder.row(
      'loaded days',
      days.map((v) => [v, 1] as const),
      { most: Math.max(0, loadedDays - taken), about: joint },
    );
  });
  return carrying;
}

/**
 * The hand load of each week against the last that was no light one, in all and by joint: the first against what was logged, warm-ups
 * and all; the others work against work, since a week of more sessions warms up more often.
 */
function growth(model: Model): void {
  const { task, library } = model;
  const { buildOn } = task.input;
  const total: Part = (of, week) =>
    of(
      week,
      (o) => o.push + o.pull,
      (items) => sumOf(plannedHandLoad(items, library)),
    );
  const joints = [...new Set(task.options.flatMap((o) => o.drill.handLoad?.joints ?? []))];
  const ofJoint =
    (joint: Joint): Part =>
    (of, week) =>
      of(week, loadOn(joint), (items) => plannedHandLoad(items, library).byJoint[joint] ?? 0);
  task.weeks.forEach((_, week) => {
    keepGrowth(model, 'ramp', week, total, { base: buildOn?.dose, start: 0 });
    for (const joint of joints)
      keepGrowth(model, 'joint ramp', week, ofJoint(joint), { base: buildOn && (buildOn.byJoint?.[joint] ?? 0), start: JOINT_START });
  });
}

/** A part of the load, of a whole week or of its work alone. */
type Part = (of: Model['ofWeek'], week: number) => Sum;

const loadOn = (joint: Joint) => (o: Option) => (o.drill.handLoad?.joints.includes(joint) ? o.push + o.pull : 0);
const sumOf = ({ push, pull }: { readonly push: number; readonly pull: number }) => push + pull;

interface Base {
  /** What the block builds on; absent where nothing was logged. */
  readonly base: number | undefined;
  /** What may be begun with whatever was there before. */
  readonly start: number;
}

function keepGrowth(model: Model, rule: BlockRule, week: number, part: Part, { base, start }: Base): void {
  const { task, builder, ofWeek, workOf } = model;
  const factor = task.weeks[week]?.light ? LIGHT : 1 + growthOf(task.input.brief, task.input.cautions);
  const about = dayShort(task.weeks[week]?.weekStart ?? task.input.weekStart);
  const before = lastFullWeek(model, week);
  if (before === undefined) {
    if (base === undefined) return;
    const here = part(ofWeek, week);
    // Warm-ups and kept work cannot be undone: where they alone are too much, they leave nothing to add.
    builder.row(rule, here.terms, { most: Math.max(0, Math.max(factor * base, start) - here.sure), about });
    return;
  }
  const [here, earlier] = [part(workOf, week), part(workOf, before)];
  const room = factor * earlier.sure + start - here.sure;
  builder.row(rule, [...here.terms, ...earlier.terms.map(([v, f]) => [v, -factor * f] as const)], {
    most: here.sure > 0 ? Math.max(0, room) : room,
    about,
  });
}

/** The nearest week before that is no light one and has sessions. */
function lastFullWeek({ task, slotsIn, keptIn }: Model, week: number): number | undefined {
  for (let w = week - 1; w >= 0; w--) if (!task.weeks[w]?.light && slotsIn(w).length + keptIn(w).length > 0) return w;
  return undefined;
}

/** Push and pull within a fifth of each other where both can be trained; what lies further apart costs a little for every second. */
function balance(model: Model, week: number): void {
  const { builder, library, task } = model;
  if (task.input.brief.balance >= 1) return;
  const here = model.inWeek(week);
  if (!here.some(({ option }) => option.push > 0) || !here.some(({ option }) => option.pull > 0)) return;
  const side = (name: 'push' | 'pull') =>
    model.ofWeek(
      week,
      (o) => o[name],
      (items) => plannedHandLoad(items, library)[name],
    );
  const [push, pull] = [side('push'), side('pull')];
  for (const [less, more] of [
    [push, pull],
    [pull, push],
  ] as const) {
    const apart = builder.variable({ worth: SMALL.unbalanced, stage: week });
    const share = 1 - task.input.brief.balance;
    builder.row('balance', [...less.terms, [apart, 1], ...more.terms.map(([v, f]) => [v, -share * f] as const)], {
      least: share * more.sure - less.sure - BALANCE_START,
    });
  }
}
