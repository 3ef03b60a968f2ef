import { Refusal } from '../errors.ts';
import { type Drill, type Manner, sameManner } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { Symptom } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import { type KnownBody, supportOn, type SupportPlan } from '../statics/index.ts';
import { type DrillDone, nextDose, type NextDose } from './nextDose.ts';
import { FRAME_PHASES } from './plan.ts';
import { beyondShown, type Shown } from './shown.ts';

/** A logged session, as far as the next doses rest on it. */
export interface LoggedDoses {
  readonly performedAt: string;
  readonly effort: number;
  readonly symptoms: readonly (Omit<Symptom, 'at'> & { readonly at: string })[];
  readonly items: readonly (Pick<DrillDone, 'plannedSets' | 'max' | 'sets'> & {
    readonly drillId: string;
    readonly min: number;
    readonly support?: SupportPlan;
    readonly manner?: Manner;
  })[];
}

/** A drill as it is planned, as far as its next dose concerns it. */
export interface PlannedToGrow {
  readonly id: string;
  readonly drillId: string;
  readonly sets: number;
  readonly min: number;
  readonly max: number;
  readonly restSeconds: number;
  readonly support?: SupportPlan;
  readonly manner?: Manner;
}

interface Week<Item> {
  readonly sessions: readonly { readonly id: string; readonly day: string; readonly items: readonly Item[] }[];
}

/** A change of a drill's next doses, pencilled beside the plan until the coach accepts it. */
export interface PencilledDose {
  readonly drillId: string;
  readonly next: NextDose;
  /** The item as it would be. */
  readonly to: Pick<PlannedToGrow, 'sets' | 'min' | 'max' | 'support' | 'manner'>;
  /** Coming items that it concerns. */
  readonly itemIds: readonly string[];
}

/** How each drill was done, newest first. */
export function drillHistory(sessions: readonly LoggedDoses[]): ReadonlyMap<string, readonly DrillDone[]> {
  const history = new Map<string, DrillDone[]>();
  for (const session of [...sessions].sort((a, b) => b.performedAt.localeCompare(a.performedAt)))
    for (const item of session.items) {
      if (item.sets.length === 0) continue;
      const done: DrillDone = {
        at: session.performedAt as Instant,
        effort: session.effort,
        plannedSets: item.plannedSets,
        max: item.max,
        sets: item.sets,
        symptoms: session.symptoms.map((s): Symptom => ({ ...s, at: s.at as Instant })),
      };
      history.set(item.drillId, [...(history.get(item.drillId) ?? []), done]);
    }
  return history;
}

interface Circumstances {
  readonly logged: readonly LoggedDoses[];
  readonly library: Library;
  readonly body: KnownBody;
  readonly progress: Schools['progress'];
  readonly practiceId: string | undefined;
  readonly today: CalendarDay;
  readonly done: ReadonlySet<string>;
  /** What no dose goes beyond; absent: nobody knows. */
  readonly shown?: Shown | undefined;
}

/**
 * What the record pencils into the coming sessions. A drill whose next dose was changed since it was last done has been decided
 * upon, and is left alone.
 */
export function pencilledDoses(weeks: readonly Week<PlannedToGrow>[], given: Circumstances): readonly PencilledDose[] {
  const { logged, library, body, progress, practiceId, today, done, shown } = given;
  const history = drillHistory(logged);
  const coming = weeks
    .flatMap((w) => w.sessions)
    .filter((s) => s.day >= today && !done.has(s.id))
    .sort((a, b) => a.day.localeCompare(b.day))
    .flatMap((s) => s.items);
  const byDrill = new Map<string, PlannedToGrow[]>();
  for (const item of coming) byDrill.set(item.drillId, [...(byDrill.get(item.drillId) ?? []), item]);
  return [...byDrill].flatMap(([drillId, items]): PencilledDose[] => {
    const [item] = items;
    const past = history.get(drillId);
    const lastItem = logged.flatMap((s) => s.items).find((i) => i.drillId === drillId && i.sets.length > 0);
    // More sets than were planned then are a decision too: a raise that was accepted must not at once bring the next one.
    const decided = !lastItem || !item || !sameDose(item, lastItem) || item.sets > lastItem.plannedSets;
    if (!past || decided || FRAME_PHASES.includes(library.drill(drillId).phase)) return [];
    const drill = library.asPlanned(item);
    const next = nextDose(
      past,
      {
        drill: { ...drill, dose: { ...drill.dose, ...rangeOf(library.drill(drillId).dose) } },
        dose: item,
        practice: drillId === practiceId,
      },
      progress,
    );
    if (!next || (next.change === 'same' && !next.offersCheck)) return [];
    const to = appliedTo(item, next, { library, body });
    const alike = items.filter((i) => sameDose(i, item)).map((i) => i.id);
    const { support, manner } = to;
    const heavier = library.asPlanned({ drillId, ...(support ? { support } : {}), ...(manner ? { manner } : {}) });
    const tooMuch = (next.loadChange > 0 || next.manner) && next.change === 'more' && shown && beyondShown(heavier, shown);
    return tooMuch || same(item, to) ? [] : [{ drillId, next, to, itemIds: alike }];
  });
}

type ToCompare = Pick<PlannedToGrow, 'max' | 'support' | 'manner'>;

function sameDose(a: ToCompare, b: ToCompare): boolean {
  return a.max === b.max && JSON.stringify(a.support ?? null) === JSON.stringify(b.support ?? null) && sameManner(a.manner, b.manner);
}

/** Sets, repetitions and sides as the library has them; the tempo stays that of the plan. */
const rangeOf = ({ tempo: _, ...range }: Drill['dose']) => range;

function same(item: PlannedToGrow, to: PencilledDose['to']): boolean {
  return item.sets === to.sets && item.min === to.min && sameDose(item, to);
}

/** The item with its next dose: the dial turned to the new load where there is one, else other repetitions, seconds or breaths. */
function appliedTo(item: PlannedToGrow, next: NextDose, { library, body }: Pick<Circumstances, 'library' | 'body'>): PencilledDose['to'] {
  const { sets, min, max } = next.dose;
  const drill = library.asPlanned(item);
  const share = drill.handLoad?.share;
  const manner = next.manner ?? item.manner;
  const done = manner ? { manner } : {};
  const own = { ...(item.support ? { support: item.support } : {}), ...done };
  if (next.loadChange === 0 || !drill.support || share === undefined) return { sets, min, max, ...own };
  const wanted = Math.max(0.01, Math.round((share + next.loadChange) * 100) / 100);
  const support = { setUp: drill.support.setUp, wanted };
  try {
    // Where the set-up cannot be turned so far, the nearest it can is meant.
    const { reading } = supportOn(body, support);
    if (Math.abs(reading.loadShare - share) < 0.005) return { sets, min, max, ...own };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { sets, min, max, ...own };
  }
  return { sets, min, max, support, ...done };
}

/** The weeks with a pencilled dose inked in: those that change. */
export function withDoses<Item extends PlannedToGrow, W extends Week<Item>>(
  weeks: readonly W[],
  doses: readonly PencilledDose[],
): readonly W[] {
  const ids = new Set(doses.flatMap((d) => d.itemIds));
  const change = (item: Item): Item => {
    const dose = doses.find((d) => d.itemIds.includes(item.id));
    return dose ? { ...item, ...dose.to } : item;
  };
  return weeks
    .filter((w) => w.sessions.some((s) => s.items.some((i) => ids.has(i.id))))
    .map((w) => ({ ...w, sessions: w.sessions.map((s) => ({ ...s, items: s.items.map(change) })) }));
}
