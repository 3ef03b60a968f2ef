import type { PlanDto, RecordReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { Library } from '@myokinet/core/library';
import { type DrillDone, FRAME_PHASES, nextDose, type NextDose } from '@myokinet/core/planning';
import type { CalendarDay, Instant } from '@myokinet/core/quantities';
import type { Symptom } from '@myokinet/core/safety';
import type { Schools } from '@myokinet/core/schools';
import { type KnownBody, supportOn } from '@myokinet/core/statics';
import type { ItemDraft } from './planDraft.ts';

/** A change of a drill's next doses, pencilled beside the plan until the coach accepts it. */
export interface PencilledDose {
  readonly drillId: string;
  readonly next: NextDose;
  /** The item as it would be. */
  readonly to: Pick<ItemDraft, 'sets' | 'min' | 'max' | 'support'>;
  /** Coming items that it concerns. */
  readonly itemIds: readonly string[];
}

/** How each drill was done, newest first. */
export function historyOf(record: RecordReply): ReadonlyMap<string, readonly DrillDone[]> {
  const history = new Map<string, DrillDone[]>();
  for (const session of [...record.sessions].sort((a, b) => b.performedAt.localeCompare(a.performedAt)))
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
  readonly record: RecordReply;
  readonly library: Library;
  readonly body: KnownBody;
  readonly progress: Schools['progress'];
  readonly practiceId: string | undefined;
  readonly today: CalendarDay;
  readonly done: ReadonlySet<string>;
}

/**
 * What the record pencils into the coming sessions. A drill whose next dose was changed since it was last done has been decided
 * upon, and is left alone.
 */
export function pencilledDoses(weeks: readonly PlanDto[], given: Circumstances): readonly PencilledDose[] {
  const { record, library, body, progress, practiceId, today, done } = given;
  const history = historyOf(record);
  const coming = weeks
    .flatMap((w) => w.sessions)
    .filter((s) => s.day >= today && !done.has(s.id))
    .sort((a, b) => a.day.localeCompare(b.day))
    .flatMap((s) => s.items);
  const byDrill = new Map<string, ItemDraft[]>();
  for (const item of coming) byDrill.set(item.drillId, [...(byDrill.get(item.drillId) ?? []), item]);
  return [...byDrill].flatMap(([drillId, items]): PencilledDose[] => {
    const [item] = items;
    const past = history.get(drillId);
    const lastItem = record.sessions.flatMap((s) => s.items).find((i) => i.drillId === drillId && i.sets.length > 0);
    if (!item || !past || !lastItem || !sameDose(item, lastItem) || FRAME_PHASES.includes(library.drill(drillId).phase)) return [];
    const drill = library.asPlanned(item);
    const next = nextDose(
      past,
      { drill: { ...drill, dose: library.drill(drillId).dose }, dose: item, practice: drillId === practiceId },
      progress,
    );
    if (!next || (next.change === 'same' && !next.offersCheck)) return [];
    const to = appliedTo(item, next, { library, body });
    const alike = items.filter((i) => sameDose(i, item)).map((i) => i.id);
    return same(item, to) ? [] : [{ drillId, next, to, itemIds: alike }];
  });
}

function sameDose(a: Pick<ItemDraft, 'max' | 'support'>, b: Pick<ItemDraft, 'max' | 'support'>): boolean {
  return a.max === b.max && JSON.stringify(a.support ?? null) === JSON.stringify(b.support ?? null);
}

function same(item: ItemDraft, to: PencilledDose['to']): boolean {
  return item.sets === to.sets && item.min === to.min && sameDose(item, to);
}

/** The item with its next dose: the dial turned to the new load where there is one, else other repetitions, seconds or breaths. */
function appliedTo(item: ItemDraft, next: NextDose, { library, body }: Pick<Circumstances, 'library' | 'body'>): PencilledDose['to'] {
  const { sets, min, max } = next.dose;
  const drill = library.asPlanned(item);
  const share = drill.handLoad?.share;
  const own = item.support ? { support: item.support } : {};
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
  return { sets, min, max, support };
}

/** The weeks with a pencilled dose inked in. */
export function withDoses(weeks: readonly PlanDto[], doses: readonly PencilledDose[]): readonly PlanDto[] {
  const change = (item: ItemDraft): ItemDraft => {
    const dose = doses.find((d) => d.itemIds.includes(item.id));
    return dose ? { ...item, ...dose.to } : item;
  };
  const ids = new Set(doses.flatMap((d) => d.itemIds));
  return weeks
    .filter((w) => w.sessions.some((s) => s.items.some((i) => ids.has(i.id))))
    .map((w) => ({ ...w, sessions: w.sessions.map((s) => ({ ...s, items: s.items.map(change) })) }));
}
