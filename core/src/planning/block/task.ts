import type { Joint } from '../../anatomy/index.ts';
import { type Dose, type Drill, handLoadDose, isLoaded, type Manner } from '../../drills/index.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import type { Library } from '../../library/index.ts';
import type { CautionInForce } from '../../safety/index.ts';
import type { LeadShown } from '../../measuring/index.ts';
import type { Schools } from '../../schools/index.ts';
import type { PlanBrief } from '../brief.ts';
import { candidatesFor, type LeftOut, type LeftOutBecause } from '../candidates.ts';
import { exclusion, type Foothold } from '../exclusion.ts';
import type { PlanNote } from '../planNote.ts';
import { fitsFocus, usualWork } from '../focus.ts';
import { calms, type ComposedItem, frame } from '../frame.ts';
import { isChosenPhase } from '../kinds.ts';
import { type Need, type NeedFacts, needsFrom, worth } from '../needs.ts';
import { itemSeconds, jointsLoadedBy, loadedJoints, type Place, type PlannedItem, type PlannedSession, type SessionForm } from '../plan.ts';
import { type ClosedJoints, closedJoints, type Loading, loadingsOf } from '../closedJoints.ts';
import { type BlockWeek, type Slot, slotsOf } from './slots.ts';
import type { LastLoaded } from '../plannerFacts.ts';
import { whenIn } from '../spacing.ts';
import { doseFor, halvedDose } from '../usualDose.ts';
import type { WeekDose } from '../week.ts';
import { practiceOf } from '../practiceOf.ts';

/** Everything a block of weeks must obey and serve. */
export interface BlockInput extends NeedFacts {
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly cautions: readonly CautionInForce[];
  readonly foothold: Foothold;
  readonly schools: Schools;
  readonly brief: PlanBrief;
  /** A Monday. */
  readonly weekStart: CalendarDay;
  readonly notBefore?: CalendarDay | undefined;
  /** Whole weeks since the first session on record; 0 before it. */
  readonly weeksIn: number;
  /** Drills done before; others start at half dose. */
  readonly knownDrills: readonly string[];
  /** Drills that the last weeks' sessions had clean. */
  readonly didWell: readonly string[];
  /** The week whose hand load this block builds on; absent when nothing was logged. */
  readonly buildOn?: WeekDose | undefined;
  /** When each joint was last loaded. */
  readonly lastLoaded: LastLoaded;
  /** What the newest figures lead on to: their drills are tried first. */
  readonly leads?: readonly LeadShown[] | undefined;
  /** The weight, band or tempo that each drill was last done with. */
  readonly lastManner?: Readonly<Record<string, Manner>> | undefined;
  /** An open stop sign: no loaded work until it is closed. */
  readonly stopped?: string | undefined;
  /** Sessions that stay as they are: done, or pinned whole. */
  readonly kept: readonly PlannedSession[];
  /** Pinned drills of sessions that are planned anew. */
  readonly pinned: readonly { readonly day: CalendarDay; readonly item: PlannedItem }[];
}

/** A drill that may stand in a slot, with what it takes and gives there. */
export interface Option {
  readonly slot: number;
  readonly drill: Drill;
  readonly dose: Dose;
  /** Sets that give a need all that the drill can give. */
  readonly full: number;
  /** Sets at most, and while the drill is new. */
  readonly most: number;
  readonly mostNew: number;
  /** Never done before: half of its dose in its first week; of a single set in the whole block. */
  readonly isNew: boolean;
  readonly perSetSeconds: number;
  readonly onceSeconds: number;
  /** Body-weight seconds a set. */
  readonly push: number;
  readonly pull: number;
  /** Joints that it loads. */
  readonly joints: readonly Joint[];
  /** A pinned drill stands with these sets. */
  readonly pinned?: PlannedItem;
}

/** A warm-up and cool-down that a slot has when it is loaded, or when it is not. */
export interface Frame {
  readonly items: readonly ComposedItem[];
  readonly seconds: number;
}

export interface BlockTask {
  readonly input: BlockInput;
  readonly needs: readonly Need[];
  readonly slots: readonly Slot[];
  readonly weeks: readonly BlockWeek[];
  readonly options: readonly Option[];
  readonly frames: readonly { readonly loaded: Frame; readonly mobility: Frame }[];
  readonly closed: readonly ClosedJoints[];
  readonly practiceId?: string | undefined;
  readonly leftOut: readonly LeftOut[];
  /** Drills that may be planned where the first session is held. */
  readonly allowed: readonly Drill[];
  /** What may end a session, slot by slot. */
  readonly closers: readonly (readonly Drill[])[];
  /** What shaped the weeks before anything was chosen. */
  readonly notes: readonly PlanNote[];
}

/** A drill worth less than this is not looked at: it could only fill time. */
const WORTH_LOOKING_AT = 0.05;

/** Lays out what can be chosen: slots, the drills that may stand in each, and their frames. */
export function blockTask(input: BlockInput): BlockTask {
  const { library, brief, schools, cautions } = input;
  const needs = needsFrom(input, library.measure);
  const { slots, weeks, notes } = slotsOf({ ...input, rhythm: schools.rhythm, taken: input.kept.map((s) => s.day) });
  const byPlace = new Map<Place, ReturnType<typeof candidatesFor>>();
  const at = (place: Place) => {
    const found = byPlace.get(place) ?? candidatesAt(place, input);
    byPlace.set(place, found);
    return found;
  };
  const certain = loadedForCertain(input);
  const practiceId = practiceOf(input.foothold, library, at(slots[0]?.place ?? 'gym').allowed);
  const closed = slots.map((slot) => closedJoints(slot, brief.events, certain));
  const frames = slots.map((slot) =>
    framesOf(slot, at(slot.place).allowed, needs, { ...input, light: weeks[slot.week]?.light !== undefined }),
  );
  const known = new Set(input.knownDrills);
  const balancing = balancingDrills(input, needs);
  const led = new Set((input.leads ?? []).flatMap(({ lead }) => lead.drills));
  const options = slots.flatMap((slot, i) => {
    const framed = new Set([...(frames[i]?.loaded.items ?? []), ...(frames[i]?.mobility.items ?? [])].map((item) => item.drillId));
    const pinned = input.pinned
      .filter((p) => p.day === slot.day && !framed.has(p.item.drillId))
      .map(({ item }) => pinnedOption(i, slot.form, item, library));
    const free = at(slot.place)
      .allowed.filter((drill) => !framed.has(drill.id) && !pinned.some((p) => p.drill.id === drill.id))
      .filter((drill) =>
        mayStand(drill, slot, closed[i], { needs, practiceId, brief, balancing, stopped: input.stopped !== undefined, led }),
      )
      .map((drill) => optionOf(i, slot.form, drill, doseFor(drill, { cautions, sets: input.foothold.shown.sets }), known.has(drill.id)));
    return [...pinned, ...free];
  });
  const { allowed, leftOut } = at(slots[0]?.place ?? 'gym');
  const closers = slots.map((slot) => at(slot.place).allowed.filter(calms));
  return { input, needs, slots, weeks, options, frames, closed, practiceId, allowed, closers, leftOut, notes };
}

function candidatesAt(place: Place, input: BlockInput): ReturnType<typeof candidatesFor> {
  const limits = { ...input, equipment: input.brief.equipment[place] };
  const { allowed, leftOut } = candidatesFor(limits);
  const never = new Set(input.brief.never);
  return {
    allowed: allowed.filter((d) => !never.has(d.id)),
    leftOut: [...leftOut, ...allowed.filter((d) => never.has(d.id)).map((d) => ({ drillId: d.id, because: { kind: 'never' } as const }))],
  };
}

/** Why a drill may not stand anywhere in the block; nothing when it may somewhere. */
export function closedEverywhere(drill: Drill, input: BlockInput): LeftOutBecause | undefined {
  if (input.brief.never.includes(drill.id)) return { kind: 'never' };
  const places = [...new Set<Place>(['gym', ...input.brief.days.map((d) => d.place)])];
  const whys = places.map((place) => exclusion(drill, { ...input, equipment: input.brief.equipment[place] }));
  return whys.every((why) => why !== undefined) ? whys[0] : undefined;
}

function mayStand(
  drill: Drill,
  slot: Slot,
  closed: ClosedJoints | undefined,
  rules: {
    readonly needs: readonly Need[];
    readonly practiceId: string | undefined;
    readonly brief: PlanBrief;
    readonly balancing: ReadonlySet<string>;
    readonly stopped: boolean;
    readonly led: ReadonlySet<string>;
  },
): boolean {
  if (drill.rung && drill.id !== rules.practiceId) return false;
  if (drill.byChoice) return rules.brief.always.includes(drill.id) || rules.brief.likes.includes(drill.id);
  if (!fitsFocus(drill, slot.focus)) return false;
  if (!isChosenPhase(drill.phase) || drill.phase === 'cool-down') return rules.brief.always.includes(drill.id);
  if (isLoaded(drill) && (!slot.loadable || rules.stopped || loadedJoints(drill).some((j) => closed?.has(j)))) return false;
  const { always, likes } = rules.brief;
  const wanted =
    drill.id === rules.practiceId ||
    rules.led.has(drill.id) ||
    always.includes(drill.id) ||
    likes.includes(drill.id) ||
    rules.balancing.has(drill.id);
  return wanted || worth(drill, rules.needs, []) >= WORTH_LOOKING_AT;
}

/** So many drills of a direction that no need asks for are looked at, to balance the other. */
const MOST_BALANCING = 6;

/** Drills that load the hands in a direction which nothing that is needed does: the gentlest first, those done before ahead of others. */
function balancingDrills(input: BlockInput, needs: readonly Need[]): ReadonlySet<string> {
  if (input.brief.balance >= 1) return new Set();
  const known = new Set(input.knownDrills);
  const places = new Set<Place>(input.brief.days.map((d) => d.place));
  const drills = [...new Map([...places].flatMap((p) => candidatesAt(p, input).allowed).map((d) => [d.id, d])).values()].filter(
    (d) => isLoaded(d) && !d.rung,
  );
  const needed = (direction: 'push' | 'pull') =>
    drills.some((d) => d.handLoad?.direction === direction && worth(d, needs, []) >= WORTH_LOOKING_AT);
  const missing = (['push', 'pull'] as const).filter((direction) => !needed(direction));
  return new Set(
    missing.flatMap((direction) =>
      drills
        .filter((d) => d.handLoad?.direction === direction)
        .sort((a, b) => Number(known.has(b.id)) - Number(known.has(a.id)) || (a.handLoad?.share ?? 0) - (b.handLoad?.share ?? 0))
        .slice(0, MOST_BALANCING)
        .map((d) => d.id),
    ),
  );
}

function optionOf(slot: number, form: SessionForm, drill: Drill, usual: Dose, known: boolean): Option {
  // Of a single set half of its repetitions or seconds, for as long as the block knows it as new; of more the rows leave half.
  const dose = known || usual.sets > 1 ? usual : halvedDose(usual);
  const { perSet, once } = itemSeconds(drill, dose, form);
  const load = handLoadDose(drill, { sets: 1, max: dose.max });
  return {
    slot,
    drill,
    dose,
    full: dose.sets,
    most: dose.sets,
    mostNew: known ? dose.sets : halvedDose(dose).sets,
    isNew: !known,
    perSetSeconds: perSet,
    onceSeconds: once,
    push: drill.handLoad?.direction === 'push' ? load : 0,
    pull: drill.handLoad?.direction === 'pull' ? load : 0,
    joints: loadedJoints(drill),
  };
}

function pinnedOption(slot: number, form: SessionForm, item: PlannedItem, library: Library): Option {
  const drill = library.asPlanned(item);
  return { ...optionOf(slot, form, drill, item, true), full: Math.max(item.sets, drill.dose.sets), pinned: item };
}

function framesOf(
  slot: Slot,
  allowed: readonly Drill[],
  needs: readonly Need[],
  { cautions, foothold, schools, library, light }: BlockInput & { readonly light: boolean },
): { readonly loaded: Frame; readonly mobility: Frame } {
  const of = (kind: 'loaded' | 'mobility'): Frame => {
    const items = frame({
      kind,
      allowed,
      needs,
      cautions,
      sets: foothold.shown.sets,
      stretching: schools.stretching,
      form: slot.form,
      minutes: slot.minutes,
      work: usualWork(slot.focus),
      light,
    });
    const seconds = items.reduce((sum, item) => {
      const { perSet, once } = itemSeconds(library.drill(item.drillId), item, slot.form);
      return sum + perSet * item.sets + once;
    }, 0);
    return { items, seconds };
  };
  return { loaded: of('loaded'), mobility: of('mobility') };
}

/** What loads joints near the block whatever is chosen. */
function loadedForCertain({ kept, lastLoaded, library, brief }: BlockInput): readonly Loading[] {
  const here = kept.map(({ day, items }) => ({ when: whenIn(day, brief.days), joints: jointsLoadedBy(items, library) }));
  return [...here, ...loadingsOf(lastLoaded).filter(({ when }) => kept.every((s) => s.day !== when.day))];
}
