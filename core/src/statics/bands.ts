import { Refusal } from '../errors.ts';
import { GRAVITY } from './bodyModel.ts';

/** Force of a band against its stretch: F = linear·e + quadratic·e², e in metres beyond slack, F in newtons. */
export interface BandCurve {
  readonly name: string;
  /** N/m. */
  readonly linear: number;
  /** N/m². */
  readonly quadratic: number;
  /** Length at which it begins to pull, in metres. */
  readonly slackM: number;
  /** Longest stretch that was read; beyond it the curve is a guess. */
  readonly mostM: number;
}

/** One reading off a luggage scale: how far beyond its slack length the band was stretched, and what the scale showed. */
export interface BandReading {
  readonly stretchM: number;
  readonly forceN: number;
}

export interface BandFit extends Pick<BandCurve, 'linear' | 'quadratic' | 'mostM'> {
  /** Largest difference between a reading and the curve, in newtons. */
  readonly worstN: number;
}

/** A luggage scale shows at most 200 kg. */
const MOST_N = 200 * GRAVITY + 1e-6;

/** How far a reading may lie off the curve, as a share of the largest force (project default; a luggage scale in the hand shakes). */
const OFF = 0.12;

/**
 * Fits F = a·e + b·e² through zero to two to four readings by least squares, such that it never falls up to the longest
 * stretch. Readings that no rising curve describes are refused.
 *
 * @param readings stretch in metres and force in newtons
 * @throws Refusal `band-nonsense`, with the reason
 * @example fitBand([{ stretchM: 0.5, forceN: 78 }, { stretchM: 1, forceN: 137 }]) // { linear: 176, quadratic: -39, … }
 */
export function fitBand(readings: readonly BandReading[]): BandFit {
  if (readings.length < 2 || readings.length > 4)
    throw new Refusal('band-nonsense', `A band needs two to four readings, not ${readings.length}.`);
  const sorted = [...readings].sort((a, b) => a.stretchM - b.stretchM);
  sorted.forEach(({ stretchM, forceN }, i) => {
    if (!(stretchM > 0 && stretchM <= 4))
      throw new Refusal('band-nonsense', `A stretch must be above 0 cm and at most 400 cm, not ${cm(stretchM)}.`);
    if (!(forceN > 0 && forceN <= MOST_N))
      throw new Refusal('band-nonsense', `A force must be above 0 kg and at most 200 kg, not ${kg(forceN)}.`);
    const before = sorted[i - 1];
    if (!before) return;
    if (stretchM - before.stretchM < 0.02)
      throw new Refusal('band-nonsense', `Two readings at ${cm(stretchM)} say nothing about the curve; stretch further between them.`);
    if (forceN <= before.forceN)
      throw new Refusal(
        'band-nonsense',
        `At ${cm(stretchM)} the band pulls ${kg(forceN)}, no more than at ${cm(before.stretchM)}: a band that is stretched further pulls harder. Read again.`,
      );
  });
  const points = sorted.map(({ stretchM: e, forceN: f }) => ({ e, f }));
  const most = points.at(-1)?.e ?? 0;
  const curve = risingCurve(points, most);
  const worstN = Math.max(...points.map(({ e, f }) => Math.abs(f - curve.linear * e - curve.quadratic * e * e)));
  const largest = Math.max(...points.map((p) => p.f));
  if (worstN > OFF * largest)
    throw new Refusal(
      'band-nonsense',
      `One reading lies ${Math.round(worstN / GRAVITY)} kg off the best curve through the others, more than ${Math.round(OFF * 100)}% of the strongest pull. Read again, from the same slack length.`,
    );
  return { ...curve, mostM: most, worstN };
}

interface ForceAt {
  readonly e: number;
  readonly f: number;
}

function quadraticThroughZero(points: readonly ForceAt[]): { linear: number; quadratic: number } {
  let [ee, e3, e4, fe, fe2] = [0, 0, 0, 0, 0];
  for (const { e, f } of points) {
    ee += e * e;
    e3 += e ** 3;
    e4 += e ** 4;
    fe += f * e;
    fe2 += f * e * e;
  }
  const determinant = ee * e4 - e3 * e3;
  return { linear: (fe * e4 - fe2 * e3) / determinant, quadratic: (ee * fe2 - e3 * fe) / determinant };
}

/** At the longest stretch a band still gets harder, by at least this part of its first hardness. */
const LAST_SLOPE = 0.02;

/** The best curve, or where that one falls at either end, the best one that just does not. */
function risingCurve(points: readonly ForceAt[], most: number): { linear: number; quadratic: number } {
  const best = quadraticThroughZero(points);
  if (best.linear < 0) return { linear: 0, quadratic: scaled(points, (e) => e * e) };
  if (best.linear + 2 * best.quadratic * most > LAST_SLOPE * best.linear) return best;
  const bend = (LAST_SLOPE - 1) / (2 * most);
  const linear = scaled(points, (e) => e + bend * e * e);
  return { linear, quadratic: linear * bend };
}

/** The multiple of a shape that lies nearest to the readings. */
function scaled(points: readonly ForceAt[], shape: (e: number) => number): number {
  return points.reduce((sum, { e, f }) => sum + shape(e) * f, 0) / points.reduce((sum, { e }) => sum + shape(e) ** 2, 0);
}

/** Pull of a band stretched to a length, in newtons; nothing while it is slack. */
export function bandForce({ linear, quadratic, slackM }: Pick<BandCurve, 'linear' | 'quadratic' | 'slackM'>, lengthM: number): number {
  const e = Math.max(0, lengthM - slackM);
  return Math.max(0, linear * e + quadratic * e * e);
}

/** What a band takes at the two ends of a pull-up, as shares of body weight. */
export interface Assistance {
  readonly bottom: number;
  readonly top: number;
  /** At the bottom it is stretched further than it was ever read: the figure is a guess. */
  readonly beyondReadings: boolean;
}

const kg = (newtons: number) => `${Math.round((newtons / GRAVITY) * 10) / 10} kg`;
const cm = (metres: number) => `${Math.round(metres * 100)} cm`;
