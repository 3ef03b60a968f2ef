import type { Measure } from '../measuring/index.ts';
import { bandOfReading } from '../measuring/index.ts';
import { handLoad, type KnownBody, type SetUp } from '../statics/index.ts';

/** A set-up that stands in for an instrument: what it puts on the hands is known without one. */
export interface Substitute {
  readonly setUp: SetUp;
  /** The dial that is turned until it holds what is wanted. */
  readonly dial: string;
}

/** A hold shorter than this shows nothing, seconds: twice the quiet seconds that a scale is read for (project default). */
export const HELD_SECONDS = 10;

/**
 * What a studio without a scale or a dynamometer can take instead: by check the set-ups whose load follows from heights and distances, or
 * from litres of water. What was held for ten quiet seconds was tolerated, and no more is claimed.
 */
const SUBSTITUTES: Readonly<Record<string, readonly Substitute[]>> = {
  'hand-load-push': [
    { setUp: { position: 'wall-push' }, dial: 'distanceM' },
    { setUp: { position: 'kneeling-push-up' }, dial: 'handHeightM' },
    { setUp: { position: 'push-up', handHeightM: 0.6 }, dial: 'handHeightM' },
    { setUp: { position: 'plank' }, dial: 'leanM' },
  ],
  'hand-load-hang': [
    { setUp: { position: 'lean-back-hang', barHeightM: 1.4 }, dial: 'barHeightM' },
    { setUp: { position: 'lean-back-hang', heelsAheadM: 0.3 }, dial: 'heelsAheadM' },
    { setUp: { position: 'free-hang' }, dial: 'addedKg' },
  ],
  'forearm-load': [{ setUp: { position: 'forearm-plank' }, dial: 'leanM' }],
  grip: [
    { setUp: { position: 'carry' }, dial: 'weightKg' },
    { setUp: { position: 'free-hang' }, dial: 'addedKg' },
  ],
};

/** The set-ups that may stand in for the instrument of a check; none where it needs no instrument, or nothing can. */
export function substitutesFor({ id }: Pick<Measure, 'id'>): readonly Substitute[] {
  return SUBSTITUTES[id] ?? [];
}

/** A figure that a held set-up shows, with its own standard error in the unit of the check. */
export interface SubstituteFigure {
  readonly value: number;
  readonly standardError: number;
}

/** How far the weight of a filled bag or can may be off, and how unlike two hands may carry, as shares (project defaults). */
const UNSURE = { weight: 0.05, hands: 0.1 } as const;
/** A held set-up is never surer than this, percent of body weight: nobody stands exactly where the tape says (project default). */
const LEAST_ERROR = 3;
/** Half of a band of 95 of 100 is so many standard errors. */
const SIGMAS = 1.96;

/**
 * What a set-up held for ten seconds shows in a check, with the band of the model; for a grip the load of one hand in kilograms, which
 * is the least that the hand can do.
 *
 * @param setUp one of {@link substitutesFor}, its dials turned
 * @throws Refusal `set-up-impossible`
 * @example substituteFigure(library.measure('grip'), body, { position: 'carry', weightKg: 14 }) // { value: 14, standardError: 0.7 }
 */
export function substituteFigure(measure: Pick<Measure, 'id' | 'limits'>, body: KnownBody, setUp: SetUp): SubstituteFigure {
  const { loadShare, bands, perHandN } = handLoad(body, setUp);
  const half = (bands.loadShare.high - bands.loadShare.low) / 2 / SIGMAS;
  const stepped = (value: number) => Number((Math.floor(value / measure.limits.step + 1e-9) * measure.limits.step).toFixed(3));
  if (measure.id !== 'grip') {
    return { value: stepped(loadShare * 100), standardError: Math.max(LEAST_ERROR, half * 100) };
  }
  const kg = (perHandN / body.weightN) * body.massKg;
  return { value: stepped(kg), standardError: kg * (setUp.position === 'carry' ? UNSURE.weight : UNSURE.hands) };
}

/** Why a substitute does not stand as it was entered. */
export type SubstituteProblem = 'no substitute' | 'held too short' | 'another figure';

/**
 * Whether a figure is what its set-up shows on this trainee: it is worked out again.
 *
 * @returns nothing where it stands
 */
export function substituteProblem(
  measure: Pick<Measure, 'id' | 'limits'>,
  body: KnownBody,
  { setUp, heldSeconds, value }: { readonly setUp: SetUp; readonly heldSeconds: number; readonly value: number },
): SubstituteProblem | undefined {
  if (!substitutesFor(measure).some((s) => s.setUp.position === setUp.position)) return 'no substitute';
  if (heldSeconds < HELD_SECONDS) return 'held too short';
  return Math.abs(substituteFigure(measure, body, setUp).value - value) > measure.limits.step + 1e-9 ? 'another figure' : undefined;
}

/** Half-width of the band that a substitute brings of its own, one-sided 95 %. */
export function substituteBand({ standardError }: SubstituteFigure): number {
  return bandOfReading(standardError);
}
