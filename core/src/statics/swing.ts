import { Refusal } from '../errors.ts';
import { USUAL } from './assumptions.ts';
import { type Body, GRAVITY } from './bodyModel.ts';
import { pendulumOf, pendulumSwing, pointMassBound } from './pendulum.ts';
import { buildOf } from './stance.ts';

export interface SwingReading {
  /** Of one whole swing there and back at this amplitude. */
  readonly periodS: number;
  /** Of a very small swing: 2π√(I/(m·g·d)). */
  readonly smallPeriodS: number;
  /** Pull on the bar at the lowest point, as a multiple of body weight. */
  readonly peakTensionRatio: number;
  /** What a point mass on a string would pull: never less than the body does. */
  readonly pointMassBound: number;
  readonly perHandN: number;
  /** Bar to centre of mass. */
  readonly centreM: number;
}

/**
 * A straight body swinging stiffly from a bar.
 *
 * @param amplitudeDeg swing to each side from plumb, 0 to 90°
 * @param hands how many hold on
 * @throws Refusal `set-up-impossible` outside 0 to 90°
 * @example swing(bodyModel({ sex: 'male', statureM: 1.75, massKg: 70 }), 30) // { periodS: 2.2, peakTensionRatio: 1.2, … }
 */
export function swing(body: Body, amplitudeDeg: number, hands: 1 | 2 = 2): SwingReading {
  if (!(amplitudeDeg >= 0 && amplitudeDeg <= 90))
    throw new Refusal('set-up-impossible', `A swing must be from 0° to 90° to each side, not ${amplitudeDeg}°.`);
  const pendulum = pendulumOf(buildOf(body, USUAL));
  const { periodS, smallPeriodS, peakTensionRatio } = pendulumSwing(pendulum, amplitudeDeg);
  return {
    periodS,
    smallPeriodS,
    peakTensionRatio,
    pointMassBound: pointMassBound(amplitudeDeg),
    perHandN: (peakTensionRatio * body.weightN) / hands,
    centreM: pendulum.centreM,
  };
}

/** A hand in kilograms, with its error. */
export interface HandForce {
  readonly kg: number;
  readonly bandKg: number;
}

/**
 * Fingers hooked round a bar hold more than they close with on a dynamometer: about half as much again, give or take
 * a sixth (project default; coaches let people hang whose grip reads well below half of body weight).
 */
const [HOOK, HOOK_DOUBT] = [1.5, 0.25];

/**
 * What a hand can be expected to hold on a bar, from what it closes with on a dynamometer.
 *
 * @example holdFrom({ kg: 40, bandKg: 2 }) // { kg: 60, bandKg: 10.4 }
 */
export function holdFrom({ kg, bandKg }: HandForce): HandForce {
  return { kg: HOOK * kg, bandKg: Math.hypot(HOOK * bandKg, HOOK_DOUBT * kg) };
}

export interface GripDemand {
  readonly state: 'spare' | 'on the mark' | 'short' | 'unknown';
  readonly inWords: string;
}

/**
 * What a swing asks of the grip, against the dynamometer.
 *
 * @param perHandN pull on one hand
 * @param grip weaker hand's reading and its error, in kilograms; absent when never read
 */
export function swingGrip(perHandN: number, grip: HandForce | undefined): GripDemand {
  const asked = perHandN / GRAVITY;
  if (!grip) return { state: 'unknown', inWords: `This asks ${Math.round(asked)} kg of each hand; the grip has not been read yet.` };
  const hold = holdFrom(grip);
  const spare = hold.kg - asked;
  const state = spare >= hold.bandKg ? 'spare' : spare > -hold.bandKg ? 'on the mark' : 'short';
  const difference = `${Math.abs(Math.round(spare))} kg ${spare >= 0 ? 'spare' : 'short'}`;
  return {
    state,
    inWords: `This asks ${Math.round(asked)} kg of each hand; the weaker hand closes with ${Math.round(grip.kg)} ± ${Math.round(grip.bandKg)} kg, which holds about ${Math.round(hold.kg)} ± ${Math.round(hold.bandKg)} kg: ${state === 'on the mark' ? 'inside the error band' : difference}.`,
  };
}
