import { sideLabel } from '../anatomy/index.ts';
import { BREATH_SECONDS, type Drill, type Phase, strainOf } from '../drills/index.ts';
import { exclusionByCaution, type Library } from '../library/index.ts';
import { FRAME_PHASES, STATION_SECONDS } from '../planning/index.ts';
import { type CautionInForce, isStraining, type SymptomContext, symptomResponses } from '../safety/index.ts';
import { responseInWords, cautionInWords } from '../words/index.ts';
import type { SetPlace } from './events.ts';
import { type ItemState, type RunState, samePlace, sidesOfDrill } from './run.ts';

/** One set on one side, in the order in which a session comes to it. */
export interface Step extends SetPlace {
  readonly item: ItemState;
  readonly drill: Drill;
  readonly rounds: number;
  /** Warm-up comes before the rounds and cool-down after the last, each in sets, in whatever form the session is. */
  readonly part: 'before' | 'rounds' | 'after';
}

/**
 * Every set of a run in order. Sets: drill after drill. Circuit and flow: round after round, one set of each drill, between warm-up and
 * cool-down. Left before right.
 *
 * @throws Refusal `drill-unknown`
 * @example stepsOf(run, library).map((s) => s.round) // sets: [1, 2, 1, 2]; circuit: [1, 1, 2, 2]
 */
export function stepsOf({ head, items }: RunState, library: Library): readonly Step[] {
  const all = items.flatMap((item): Step[] => {
    const drill = library.asPlanned(item.now);
    // Where it was planned: a drill in its place comes when it would have come.
    const part = partOf(library.asPlanned(item.planned).phase);
    return Array.from({ length: item.now.sets }, (_, i) =>
      sidesOfDrill(drill).map((side) => ({ itemId: item.now.id, round: i + 1, side, item, drill, rounds: item.now.sets, part })),
    ).flat();
  });
  if (head.form === 'sets') return all;
  const of = (part: Step['part']) => all.filter((step) => step.part === part);
  return [...of('before'), ...of('rounds').toSorted((a, b) => a.round - b.round), ...of('after')];
}

function partOf(phase: Phase): Step['part'] {
  if (!FRAME_PHASES.includes(phase)) return 'rounds';
  return phase === 'cool-down' ? 'after' : 'before';
}

/** What closes drills from outside the run. */
export interface Holds {
  /** Open stop signs and locks, as sentences: whatever strains waits. */
  readonly stopSigns: readonly string[];
  /** Cautions in force: each closes what it closes, also of what was planned before. */
  readonly cautions: readonly CautionInForce[];
  /** What a symptom of the run is read beside; strictly where that is not known. */
  readonly felt?: SymptomContext | undefined;
}

/**
 * Why a drill may not be done now; nothing where it may. After a stop sign whatever strains ends, and whatever works the joint that
 * hurts; the rest of the body goes on. An emergency ends everything.
 *
 * @throws Refusal `drill-unknown`
 */
export function closedBecause(
  drill: Drill,
  { symptoms }: Pick<RunState, 'symptoms'>,
  { stopSigns, cautions, felt }: Holds,
): string | undefined {
  const emergency = cautions.find((c) => c.id === 'emergency' && !c.permit);
  if (emergency) return cautionInWords(emergency);
  const responses = symptomResponses(symptoms, felt ?? { history: [] }).filter((r) => r.act === 'stop');
  const hurt = responses.find((r) =>
    [drill.joint, ...drill.alsoWorks, ...(drill.handLoad?.joints ?? [])].some((j) => r.joints.includes(j)),
  );
  if (hurt) return responseInWords(hurt.finding);
  const [reason] = [...responses.map((r) => responseInWords(r.finding)), ...stopSigns];
  if (reason !== undefined && isStraining(strainOf(drill))) return reason;
  const caution = exclusionByCaution(drill, cautions);
  return caution && cautionInWords(caution);
}

/** Steps that are still to be done. */
export function openSteps(run: RunState, library: Library, holds: Holds): readonly Step[] {
  return stepsOf(run, library).filter((step) => !step.item.skipped && !isDone(step) && !closedBecause(step.drill, run, holds));
}

/** A round begun with another drill is not done again with the one that took its place. */
function isDone(step: Step): boolean {
  return step.item.done.some((d) => samePlace(d, step) || (d.round === step.round && d.as.drillId !== step.drill.id));
}

/** What lies between two sets. */
export interface Transition {
  readonly kind: 'start' | 'side' | 'rest' | 'change' | 'station';
  /** Seconds it is given; 0 where the coach decides. */
  readonly seconds: number;
  /** The next set starts by itself when the time is up. */
  readonly runsOn: boolean;
  /** What to announce, a sentence each. */
  readonly says: readonly string[];
}

/** Seconds to change sides (project default). */
const SIDE_SECONDS = 10;
/** Seconds to get ready for another drill (project default). */
const CHANGE_SECONDS = 30;

/**
 * What comes between one set and the next: a rest, the other side, another drill, another position.
 *
 * @example transitionTo(plankLeft, plankRight, 'sets') // { kind: 'side', seconds: 10, runsOn: false, says: ['Other side: right.'] }
 */
export function transitionTo(from: Step | undefined, to: Step, form: RunState['head']['form']): Transition {
  const runsOn = form !== 'sets' && from !== undefined;
  const moved = from && from.drill.position !== to.drill.position ? [`Change of position: ${to.drill.position}.`] : [];
  if (!from) return { kind: 'start', seconds: 0, runsOn: false, says: [`Begin ${to.drill.position}.`] };
  if (from.itemId === to.itemId && from.round === to.round)
    return { kind: 'side', seconds: form === 'flow' ? BREATH_SECONDS : SIDE_SECONDS, runsOn, says: [`Other side: ${to.side}.`] };
  if (form !== 'sets')
    return {
      kind: 'station',
      seconds: form === 'flow' ? BREATH_SECONDS : STATION_SECONDS,
      runsOn,
      says: [...roundSaid(from, to), `Next: ${stepName(to)}.`, ...moved],
    };
  if (from.itemId === to.itemId)
    return from.item.now.restSeconds === 0
      ? { kind: 'rest', seconds: 0, runsOn: true, says: [`Straight on: set ${to.round} of ${to.rounds}.`] }
      : { kind: 'rest', seconds: from.item.now.restSeconds, runsOn, says: [`Rest, then set ${to.round} of ${to.rounds}.`] };
  return { kind: 'change', seconds: CHANGE_SECONDS, runsOn, says: [`Next: ${stepName(to)}.`, ...moved] };
}

function roundSaid(from: Step, to: Step): readonly string[] {
  if (to.part === 'after') return from.part === 'after' ? [] : ['Cool-down.'];
  return to.part === 'rounds' && (from.part !== 'rounds' || from.round !== to.round) ? [`Round ${to.round}.`] : [];
}

function stepName({ drill, side }: Step): string {
  return side === 'whole' ? drill.name : `${drill.name}, ${sideLabel(side).toLowerCase()}`;
}

/**
 * Whose turn it is in a group: the next after the one who has just worked who still has a set to do.
 *
 * @param open sets each still has to do
 * @param last index of who worked last; −1 before the first
 * @returns −1 when nobody has anything left
 * @example whoseTurn([2, 0, 1], 0) // 2
 */
export function whoseTurn(open: readonly number[], last: number): number {
  for (let i = 1; i <= open.length; i++) {
    const index = (last + i) % open.length;
    if ((open[index] ?? 0) > 0) return index;
  }
  return -1;
}
