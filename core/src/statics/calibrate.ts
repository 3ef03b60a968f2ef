import { Refusal } from '../errors.ts';
import { ASSUMPTION_NAMES, type Assumed, type Belief, LIMITS_IN_SD, MODEL_SD, usualBelief } from './assumptions.ts';
import type { Body } from './bodyModel.ts';
import type { Span } from './handLoad.ts';
import { checked, modelOf, type SetUp, stated } from './setUp.ts';
import { buildOf, type ContactName } from './stance.ts';

/** One reading of a bathroom scale in a named set-up. */
export interface ScaleReading {
  readonly setUp: SetUp;
  /** What stands on the scale. */
  readonly under: ContactName;
  readonly kg: number;
  /** Body mass on the day, in kilograms. */
  readonly massKg: number;
  /** The coach has been asked, and stands by it. */
  readonly insisted?: boolean | undefined;
}

export interface JudgedReading {
  /** Share of body weight on the hands (or forearms) that the reading means. */
  readonly measured: number;
  /** What the model expected before it, and the band about it. */
  readonly expected: number;
  readonly band: Span;
  /** Questioned readings teach nothing until the coach insists; unusable ones fit the trainee's body no longer. */
  readonly state: 'used' | 'questioned' | 'insisted' | 'unusable';
}

export interface Calibration {
  readonly belief: Belief;
  /** In the order given. */
  readonly readings: readonly JudgedReading[];
}

/** Standard deviation of a reading: half a kilogram, or one per cent of what stands on the scale (project default). */
const scaleSd = (kg: number) => Math.max(0.5, 0.01 * kg);

/** Times the model is taken for a straight line, each time at the values found before. */
const PASSES = 6;

/** Whether the load of a position follows from its geometry, so that a scale can teach about the trainee. */
export function canCalibrate({ position }: Pick<SetUp, 'position'>): boolean {
  const { assumes } = modelOf(position);
  return assumes.length > 0 && !assumes.includes('heldShare') && !assumes.includes('bandForce');
}

/**
 * What may stand on a scale in a set-up.
 *
 * @example scalePlaces(body, { position: 'push-up' }) // ['hands', 'feet']
 */
export function scalePlaces(body: Body, setUp: SetUp): readonly ContactName[] {
  return [...new Set(contactsOf(body, setUp, usualBelief(body).assumed).map((c) => c.name))];
}

/**
 * Learns from scale readings how a trainee holds the arms and where the hands press: a Gaussian belief about the
 * assumptions, updated reading by reading (linearised, and linearised again at the values found).
 *
 * @param body the trainee's body
 * @param readings oldest first; each is judged against what the ones before it taught
 * @returns what is believed then, and each reading with what became of it; those that `readingProblem` refuses are unusable
 * @example calibrate(body, [{ setUp: { position: 'push-up' }, under: 'feet', kg: 20.3, massKg: 70 }]).belief.readings // 1
 */
export function calibrate(body: Body, readings: readonly ScaleReading[]): Calibration {
  let belief = usualBelief(body);
  const taken: Taken[] = [];
  const judged = readings.map((reading): JudgedReading => {
    if (readingProblem(body, reading)) return { measured: 0, expected: 0, band: { low: 0, high: 0 }, state: 'unusable' };
    const measured = measuredShare(body, reading);
    const { share: expected, slopes } = predicted(body, reading.setUp, belief.assumed, belief);
    const noise = (scaleSd(reading.kg) / reading.massKg) ** 2 + MODEL_SD ** 2;
    const half = LIMITS_IN_SD * Math.sqrt(quadratic(slopes, belief.covariance) + noise);
    const off = Math.abs(measured - expected) / half;
    const state = off <= 1 ? 'used' : reading.insisted ? 'insisted' : 'questioned';
    if (state !== 'questioned') {
      // A reading that contradicts the model counts for less, the more it does.
      taken.push({ setUp: reading.setUp, measured, noise: noise * Math.max(1, off) ** 2 });
      belief = learnt(body, taken);
    }
    return { measured, expected, band: { low: Math.max(0, expected - half), high: expected + half }, state };
  });
  return { belief, readings: judged };
}

interface Taken {
  readonly setUp: SetUp;
  readonly measured: number;
  readonly noise: number;
}

function learnt(body: Body, taken: readonly Taken[]): Belief {
  const prior = usualBelief(body);
  let at = prior.assumed;
  let covariance = prior.covariance;
  for (let pass = 0; pass < PASSES; pass++) {
    const linear = taken.map((t) => ({ ...t, ...predicted(body, t.setUp, at, prior) }));
    const start = at;
    let mean = ASSUMPTION_NAMES.map((name) => prior.assumed[name]);
    covariance = prior.covariance;
    for (const { measured, noise, share, slopes } of linear) {
      const spread = covariance.map((row) => row.reduce((sum, c, k) => sum + c * (slopes[k] ?? 0), 0));
      const total = spread.reduce((sum, s, k) => sum + s * (slopes[k] ?? 0), 0) + noise;
      const foreseen = share + mean.reduce((sum, m, k) => sum + (slopes[k] ?? 0) * (m - start[ASSUMPTION_NAMES[k] ?? 'armLeanDeg']), 0);
      const gain = spread.map((s) => s / total);
      mean = mean.map((m, k) => m + (gain[k] ?? 0) * (measured - foreseen));
      covariance = covariance.map((row, i) => row.map((c, k) => c - (gain[i] ?? 0) * (spread[k] ?? 0)));
    }
    at = Object.fromEntries(ASSUMPTION_NAMES.map((name, k) => [name, mean[k]])) as unknown as Assumed;
  }
  return { assumed: at, covariance, readings: taken.length };
}

function contactsOf(body: Body, setUp: SetUp, assumed: Assumed) {
  const stance = modelOf(setUp.position).place(buildOf(body, assumed), stated(checked(setUp)), assumed);
  return [...stance.supports, ...stance.others].filter((c) => c.surface === 'level');
}

function handShare(body: Body, setUp: SetUp, assumed: Assumed): number {
  return contactsOf(body, setUp, assumed).reduce((sum, c) => (isHands(c.name) ? sum + c.fy : sum), 0);
}

/** The share on the hands under given assumptions, and how it changes with each. */
function predicted(body: Body, setUp: SetUp, assumed: Assumed, { covariance }: Belief): { share: number; slopes: readonly number[] } {
  const { assumes } = modelOf(setUp.position);
  const share = handShare(body, setUp, assumed);
  const slopes = ASSUMPTION_NAMES.map((name, i) => {
    const step = Math.sqrt(covariance[i]?.[i] ?? 0) / 2;
    if (!assumes.includes(name) || step === 0) return 0;
    const at = (value: number) => handShare(body, setUp, { ...assumed, [name]: value });
    return (at(assumed[name] + step) - at(assumed[name] - step)) / (2 * step);
  });
  return { share, slopes };
}

/**
 * Why a reading can not calibrate the model, in a sentence that names the limit; `undefined` where it can.
 *
 * @example readingProblem(body, { setUp: { position: 'push-up' }, under: 'feet', kg: 200, massKg: 70 })
 * // 'A scale under the feet shows from 0 kg to 70 kg here, not 200 kg.'
 */
export function readingProblem(body: Body, { setUp, under, kg, massKg }: ScaleReading): string | undefined {
  if (!canCalibrate(setUp))
    return 'The load of this position is set by how hard the trainee pushes, so a scale shows it but teaches nothing.';
  if (!(massKg >= 20 && massKg <= 250)) return `Body mass must be from 20 kg to 250 kg, not ${massKg} kg.`;
  let contacts: ReturnType<typeof contactsOf>;
  try {
    contacts = contactsOf(body, setUp, usualBelief(body).assumed);
  } catch (error) {
    if (error instanceof Refusal) return error.detail;
    throw error;
  }
  if (!contacts.some((c) => c.name === under)) return `Nothing of this set-up stands on a scale under the ${under}.`;
  const all = contacts.reduce((sum, c) => sum + c.fy, 0) * massKg;
  return kg >= 0 && kg <= all ? undefined : `A scale under the ${under} shows from 0 kg to ${Math.round(all)} kg here, not ${kg} kg.`;
}

/** A reading as share of body weight on the hands: what is not on the scale is in the hands, whatever the sideways forces. */
function measuredShare(body: Body, { setUp, under, kg, massKg }: ScaleReading): number {
  if (isHands(under)) return kg / massKg;
  const contacts = contactsOf(body, setUp, usualBelief(body).assumed);
  const elsewhere = contacts.filter((c) => c.name !== under && !isHands(c.name));
  const all = contacts.reduce((sum, c) => sum + c.fy, 0);
  return all - kg / massKg - elsewhere.reduce((sum, c) => sum + c.fy, 0);
}

const isHands = (name: ContactName) => name === 'hands' || name === 'forearms';

function quadratic(slopes: readonly number[], covariance: Belief['covariance']): number {
  return slopes.reduce((sum, s, i) => sum + s * slopes.reduce((inner, t, k) => inner + t * (covariance[i]?.[k] ?? 0), 0), 0);
}
