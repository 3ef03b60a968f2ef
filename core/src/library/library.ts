import { Refusal } from '../errors.ts';
import { type Drill, type Manner, type Fault, type FaultEntry, type FaultId } from '../drills/index.ts';
import type { Ladder, Rung } from '../ladders/index.ts';
import { type Measure, type MeasureOf, WORKING_POSITIONS } from '../measuring/index.ts';
import type { PlannedLoads, SupportPlan } from '../statics/index.ts';

/** What a library is made of: plain data that can be stored, sent and compared. */
export interface LibraryContent {
  readonly drills: readonly Drill[];
  readonly ladders: readonly Ladder[];
  readonly measures: readonly Measure[];
  readonly faults: readonly FaultEntry[];
  /** Ids of entries kept for the record and no longer offered. */
  readonly setAside: readonly string[];
}

/** The kinds of entries a studio can make its own, and where a library keeps them. */
export const LIST_OF = { drill: 'drills', ladder: 'ladders', measure: 'measures', fault: 'faults' } as const;
export type EntryKind = keyof typeof LIST_OF;
export const ENTRY_KINDS = Object.keys(LIST_OF) as readonly EntryKind[];
export type LibraryEntry = Drill | Ladder | Measure | FaultEntry;

/** A drill in a plan or a log, with a set-up of its own where it has one. */
export interface Planned {
  readonly drillId: string;
  readonly support?: SupportPlan;
  /** The weight, band or tempo it is done with, where one was named. */
  readonly manner?: Manner;
}

export const EMPTY_LIBRARY: LibraryContent = { drills: [], ladders: [], measures: [], faults: [], setAside: [] };

/** Drills, ladders, checks and faults with the ways to find them. Records may name what is no longer offered. */
export interface Library {
  /** What may be planned, practised and chosen. */
  readonly drills: readonly Drill[];
  readonly ladders: readonly Ladder[];
  /** Checks that may be taken and asked for, in the order of working positions. */
  readonly measures: readonly Measure[];
  /** The same with those that were retired: what records may name. */
  readonly everyMeasure: readonly Measure[];
  /** Faults that may be looked for. */
  readonly faults: readonly FaultEntry[];
  readonly content: LibraryContent;
  /** @throws Refusal `drill-unknown` */
  readonly drill: (id: string) => Drill;
  readonly hasDrill: (id: unknown) => id is string;
  /**
   * A drill as it is planned: in the item's own set-up where it has one, which then decides its hand load.
   *
   * @throws Refusal `drill-unknown`
   */
  readonly asPlanned: (item: Planned) => Drill;
  /** Drills that name this one as their easier neighbour. */
  readonly harderThan: (id: string) => readonly Drill[];
  readonly easierThan: (id: string) => readonly Drill[];
  /** @throws Refusal `ladder-unknown` */
  readonly ladder: (id: string) => Ladder;
  readonly hasLadder: (id: unknown) => id is string;
  /** @throws Refusal `ladder-unknown` */
  readonly rung: (ladderId: string, rungId: string) => Rung;
  /** A rung's name for the record; its id where a coach has since taken it out. */
  readonly rungName: (ladderId: string, rungId: string) => string;
  /** A check, retired or not. */
  readonly measure: MeasureOf;
  readonly hasMeasure: (id: unknown) => id is string;
  /** An entry of any kind, offered or not. */
  readonly entry: (kind: EntryKind, id: string) => LibraryEntry | undefined;
  /** A fault, retired or not; one that nobody knows any more is called by its id. */
  readonly fault: (id: FaultId) => Fault;
  readonly hasFault: (id: unknown) => id is FaultId;
  /** The rungs in which a drill is practised. */
  readonly practisedOn: (drillId: string) => readonly { readonly ladder: Ladder; readonly rung: Rung }[];
}

/** Drills that were called otherwise: devices that were away and files written before still name them so. */
const RENAMED: ReadonlyMap<string, string> = new Map([['towel-wringing', 'grip-squeezes']]);

/**
 * What a drill is called today; anything else is handed back as it is.
 *
 * @example drillIdNow('towel-wringing') // 'grip-squeezes'
 */
export function drillIdNow<T>(id: T): T | string {
  return (typeof id === 'string' && RENAMED.get(id)) || id;
}

/**
 * Opens a library: the same content, indexed.
 *
 * @param content drills and ladders; the last of two entries with one id counts
 * @example openLibrary(BUILT_IN).drill('plank').name // 'Plank'
 */
export function openLibrary(content: LibraryContent): Library {
  const drills = new Map(content.drills.map((d) => [d.id, d]));
  const ladders = new Map(content.ladders.map((l) => [l.id, l]));
  const measures = new Map(content.measures.map((m) => [m.id, m]));
  const faults = new Map(content.faults.map((f) => [f.id, f]));
  const setAside = new Set(content.setAside);
  const offered = <T extends { readonly id: string }>(all: Iterable<T>) => [...all].filter(({ id }) => !setAside.has(id));
  const everyMeasure = [...measures.values()].sort((a, b) => WORKING_POSITIONS.indexOf(a.position) - WORKING_POSITIONS.indexOf(b.position));
  const harder = new Map<string, Drill[]>();
  for (const drill of offered(drills.values()))
    for (const easier of drill.easier) harder.set(easier, [...(harder.get(easier) ?? []), drill]);

  const drill = (id: string): Drill => {
    const found = drills.get(id) ?? drills.get(drillIdNow(id));
    if (!found) throw new Refusal('drill-unknown', `There is no drill called "${id}".`);
    return found;
  };
  const ladder = (id: string): Ladder => {
    const found = ladders.get(id);
    if (!found) throw new Refusal('ladder-unknown', `There is no ladder called "${id}".`);
    return found;
  };
  return {
    drills: offered(drills.values()),
    ladders: offered(ladders.values()),
    measures: offered(everyMeasure),
    everyMeasure,
    faults: offered(faults.values()),
    content,
    drill,
    hasDrill: (id): id is string => typeof id === 'string' && (drills.has(id) || drills.has(drillIdNow(id))),
    asPlanned: ({ drillId, support, manner }) =>
      inManner(
        inSetUp(drill(drillId), support, () => undefined),
        manner,
        () => undefined,
      ),
    harderThan: (id) => harder.get(id) ?? [],
    easierThan: (id) => drill(id).easier.flatMap((e) => drills.get(e) ?? []),
    ladder,
    hasLadder: (id): id is string => typeof id === 'string' && ladders.has(id),
    rung: (ladderId, rungId) => {
      const found = ladder(ladderId).rungs.find((r) => r.id === rungId);
      if (!found) throw new Refusal('ladder-unknown', `The ladder "${ladderId}" has no rung called "${rungId}".`);
      return found;
    },
    rungName: (ladderId, rungId) =>
      ladders.get(ladderId)?.rungs.find((r) => r.id === rungId)?.name ?? nameOfMoved(ladderId, rungId, content) ?? rungId,
    measure: (id) => {
      const found = measures.get(id);
      if (!found) throw new Refusal('measure-unknown', `There is no check called "${id}".`);
      return found;
    },
    hasMeasure: (id): id is string => typeof id === 'string' && measures.has(id),
    entry: (kind, id) => ({ drill: drills, ladder: ladders, measure: measures, fault: faults })[kind].get(id),
    fault: (id) => faults.get(id) ?? { name: id, cue: '', regression: '' },
    hasFault: (id): id is FaultId => typeof id === 'string' && faults.has(id),
    practisedOn: (drillId) =>
      [...ladders.values()].flatMap((l) => l.rungs.filter((rung) => rung.practice === drillId).map((rung) => ({ ladder: l, rung }))),
  };
}

/** What a set-up puts on the hands, and on the more loaded one, as shares of body weight; `undefined` where nobody knows. */
export type LoadsOf = (support: SupportPlan) => PlannedLoads | undefined;

/** A drill in another set-up; `loadsOf` says what that puts on the hands. */
export function inSetUp(drill: Drill, support: SupportPlan | undefined, loadsOf: LoadsOf): Drill {
  if (!support || !drill.handLoad) return drill;
  const { perArm: _, wristDeg: __, ...before } = drill.handLoad;
  const loads = loadsOf(support);
  const share = support.wanted ?? loads?.share ?? before.share;
  return { ...drill, support, handLoad: { ...before, ...loads, share } };
}

/** A drill done with a weight, a band or at a tempo of its own; a weight that is carried is what the set-up puts on the hand. */
export function inManner(drill: Drill, manner: Manner | undefined, loadsOf: LoadsOf): Drill {
  if (!manner) return drill;
  const { setUp } = drill.support ?? {};
  const carried = manner.kg !== undefined && setUp?.position === 'carry' ? { setUp: { ...setUp, weightKg: manner.kg } } : undefined;
  // Only what is done on each side has sides that take turns.
  const { alternating: _, ...rest } = manner.course ?? {};
  const course = drill.dose.perSide ? manner.course : rest;
  const dose = { ...drill.dose, ...(manner.tempo ? { tempo: manner.tempo } : {}), ...(manner.course && course ? { course } : {}) };
  return { ...inSetUp(drill, carried, loadsOf), dose, manner };
}

/** What a rung was called that has moved to another place. */
function nameOfMoved(ladderId: string, rungId: string, { ladders }: LibraryContent): string | undefined {
  for (const { id, carries = [] } of ladders)
    for (const moved of carries) if (moved.rungId === rungId && (moved.ladderId ?? id) === ladderId) return moved.name;
  return undefined;
}
