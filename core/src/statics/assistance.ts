import { type Assistance, bandForce, type BandCurve } from './bands.ts';
import { evaluate } from './handLoad.ts';
import { USUAL } from './assumptions.ts';
import type { Body } from './bodyModel.ts';
import { hung } from './hanging.ts';
import { buildOf } from './stance.ts';

/**
 * What a band hung from the bar takes at the bottom and the top of a pull-up.
 *
 * @param under what stands in the band
 * @throws Refusal `set-up-impossible` where the band would lift the whole trainee
 * @example pullUpAssistance(body, band, 'feet') // { bottom: 0.34, top: 0.21, beyondReadings: false }
 */
export function pullUpAssistance(body: Body, band: BandCurve, under: 'feet' | 'knees' = 'feet'): Assistance {
  const taken = (at: 'bottom' | 'top') => 1 - evaluate(body, { position: 'pull-up', at, under, band }, USUAL).loadShare;
  return { bottom: taken('bottom'), top: taken('top'), beyondReadings: stretchAtBottom(body, band, under) > band.mostM + 0.02 };
}

function stretchAtBottom(body: Body, { slackM }: BandCurve, under: 'feet' | 'knees'): number {
  const joints = hung(buildOf(body, USUAL), {});
  return -(under === 'knees' ? joints.knee.y : joints.heel.y) - slackM;
}

export interface BandPick {
  readonly band: BandCurve;
  readonly under: 'feet' | 'knees';
  readonly assistance: Assistance;
}

/**
 * The bands of a studio in order of how near they come to a wanted assistance at the bottom; those that would lift the
 * trainee are left out.
 *
 * @param wanted share of body weight
 */
export function bandsFor(body: Body, bands: readonly BandCurve[], wanted: number): readonly BandPick[] {
  return bands
    .flatMap((band) => (['feet', 'knees'] as const).map((under) => ({ band, under })))
    .filter(({ band, under }) => bandForce(band, stretchAtBottom(body, band, under) + band.slackM) < body.weightN)
    .map(({ band, under }): BandPick => ({ band, under, assistance: pullUpAssistance(body, band, under) }))
    .sort((a, b) => Math.abs(a.assistance.bottom - wanted) - Math.abs(b.assistance.bottom - wanted));
}
