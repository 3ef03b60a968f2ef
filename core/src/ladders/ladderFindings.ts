import { Refusal } from '../errors.ts';
import type { MeasureOf } from '../measuring/index.ts';
import { type HandLoadReading, isFlatHanded, type KnownBody, plannedLoads, supportOn, type SupportPlan } from '../statics/index.ts';
import { type Demand, demandsOn, type Ladder, type Rung } from './ladder.ts';

/**
 * Where a ladder asks for less than its own set-ups need, or does not climb.
 * - `tolerance`: less load tolerated on an arm than the set-up puts there, by more than ten points of body weight
 * - `wrist`: less loaded wrist extension than the set-up bends the wrist, up to what healthy wrists have
 * - `grip`: less grip than one hand must hold
 * - `climbs`: less on an arm than the rung below, and nothing said by what else it is harder
 */
export type LadderFinding = {
  readonly rungId: string;
  /** What the set-up needs, in the unit of the check; of `climbs` the load on an arm of the rung below, in percent of body weight. */
  readonly needed: number;
  readonly asked: number;
} & ({ readonly code: 'tolerance' | 'wrist' | 'grip'; readonly measureIds: readonly string[] } | { readonly code: 'climbs' });

/** Ten points of body weight on an arm (professional judgement, from memory). */
const TOLERANCE_POINTS = 10;
/** Up to here on an arm nothing has to be shown before: where anybody begins. */
const ENTRY_POINTS = 23;
/** Load on a flat hand from which the wrist is held in its bend by the body's weight; below, the heel of the hand may lift (project default). */
const WRIST_FROM_POINTS = 16;
/** Beyond it half of healthy wrists stay short: a wedge or handles take the rest (professional judgement, from memory). */
const MOST_WRIST_DEG = 95;
/** What a folded mat or wedge takes off (project default). */
const WEDGE_DEG = 10;
/** A hook holds more than a fist squeezes (professional judgement, from memory). */
export const LOAD_PER_GRIP = 1.5;
/** A carried weight is at most two fifths of what the hand squeezes (professional judgement, from memory). */
export const MOST_OF_GRIP = 0.4;
/** A free hang of so many seconds shows what a scale cannot: all of body weight on two hands. */
const FREE_HANG_SECONDS = 10;
const POINTS = 100;
/** Less than this is the same load. */
const SAME_POINTS = 2;

/**
 * Holds a ladder against the model of the body: rungs that ask for less than their set-up needs, and rungs that are lighter than the one
 * below without saying why.
 *
 * @param ladder the ladder, lowest rung first
 * @param body on whom it is held
 * @param measureOf the checks of the studio
 * @returns none when all is well; rungs whose set-up the model does not know, or this body can not build, are passed over
 * @example ladderFindings(library.ladder('push-up'), body, library.measure) // []
 */
export function ladderFindings(ladder: Ladder, body: KnownBody, measureOf: MeasureOf): readonly LadderFinding[] {
  const points = (rung: Rung | undefined) => {
    const share = rung?.support && plannedLoads(body, rung.support)?.perArm;
    return share === undefined ? undefined : share * POINTS;
  };
  return ladder.rungs.flatMap((rung, i): LadderFinding[] => {
    const onArm = points(rung);
    const reading = rung.support && readingOf(rung.support, body);
    if (!rung.support || onArm === undefined || !reading) return [];
    const demands = demandsOn(rung, body, measureOf);
    const below = points(ladder.rungs[i - 1]);
    return [
      ...tolerance(rung, demands, onArm, rung.support),
      ...wrist(rung, demands, onArm, rung.support, reading),
      ...grip(rung, demands, rung.support, reading, body),
      ...(below !== undefined && onArm < below - SAME_POINTS && !rung.climbs
        ? [{ code: 'climbs', rungId: rung.id, needed: Math.round(below), asked: Math.round(onArm) } as const]
        : []),
    ];
  });
}

const BOTH_HANDS = ['hand-load-push', 'hand-load-hang', 'forearm-load'] as const;
const ONE_HAND = 'one-hand-load-hang';

function asked(demands: readonly Demand[], measureId: string): number | undefined {
  return demands.find((d) => d.measureId === measureId)?.value;
}

/** What the demands show that one arm tolerates, in points of body weight. */
function shownOnArm(demands: readonly Demand[]): number {
  const oneHand = asked(demands, ONE_HAND) ?? 0;
  const both = Math.max(0, ...BOTH_HANDS.map((id) => asked(demands, id) ?? 0)) / 2;
  const hung = (asked(demands, 'free-hang') ?? 0) >= FREE_HANG_SECONDS ? POINTS / 2 : 0;
  return Math.max(oneHand, both, hung);
}

function tolerance({ id }: Rung, demands: readonly Demand[], onArm: number, { setUp }: SupportPlan): LadderFinding[] {
  // A weight in the hand loads the grip, which has a line of its own.
  if (onArm <= ENTRY_POINTS || setUp.position === 'carry') return [];
  const shown = shownOnArm(demands);
  if (shown >= onArm - TOLERANCE_POINTS - SAME_POINTS / 2) return [];
  const measureIds = [...BOTH_HANDS, ONE_HAND];
  return [{ code: 'tolerance', rungId: id, measureIds, needed: Math.round(onArm - TOLERANCE_POINTS), asked: Math.round(shown) }];
}

function wrist({ id }: Rung, demands: readonly Demand[], onArm: number, { setUp }: SupportPlan, reading: HandLoadReading): LadderFinding[] {
  if (onArm < WRIST_FROM_POINTS || !isFlatHanded(setUp)) return [];
  const needed = Math.min(MOST_WRIST_DEG, reading.wristExtensionDeg - WEDGE_DEG);
  const has = asked(demands, 'wrist-extension-loaded') ?? 0;
  if (has >= needed - 0.5) return [];
  return [{ code: 'wrist', rungId: id, measureIds: ['wrist-extension-loaded'], needed: Math.round(needed), asked: has }];
}

function grip(
  { id }: Rung,
  demands: readonly Demand[],
  { setUp }: SupportPlan,
  reading: HandLoadReading,
  body: KnownBody,
): LadderFinding[] {
  const held = (reading.gripPerHandN / body.weightN) * body.massKg;
  const needed = held / (setUp.position === 'carry' ? MOST_OF_GRIP : LOAD_PER_GRIP);
  const has = asked(demands, 'grip') ?? 0;
  // Half a kilogram is the step of the dynamometer.
  return has >= needed - 0.5 ? [] : [{ code: 'grip', rungId: id, measureIds: ['grip'], needed: Math.round(needed * 2) / 2, asked: has }];
}

function readingOf(support: SupportPlan, body: KnownBody): HandLoadReading | undefined {
  try {
    return supportOn(body, support).reading;
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}
