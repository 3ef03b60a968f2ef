import {
  type Dial,
  dialInWords,
  handLoad,
  type KnownBody,
  modelOf,
  type Notch,
  notchesOf,
  stretchesOf,
  type SetUp,
  withNotch,
} from '@myokinet/core/statics';

export interface CurvePoint {
  /** Place along the dials from easiest to hardest. */
  readonly at: number;
  readonly load: number;
  readonly band: readonly [low: number, high: number];
  readonly wristDeg: number;
  readonly gripKg: number;
}

export interface Curve {
  readonly points: readonly CurvePoint[];
  readonly length: number;
  readonly ticks: readonly { readonly at: number; readonly words: string }[];
}

/** About as many points as the eye can tell apart on the page. */
const POINTS = 48;
const TICKS = 6;
const PERCENT = 100;
const NEWTONS_PER_KG = 9.80665;

/** Load against the dials of a position, from its easiest set-up to its hardest. */
export function curveOf(body: KnownBody, setUp: SetUp): Curve {
  const notches = notchesOf(setUp);
  const stride = Math.max(1, Math.round(notches.length / POINTS));
  const places = notches.map((_, i) => i).filter((i) => i % stride === 0 || i === notches.length - 1);
  const points = places.flatMap((at): CurvePoint[] => {
    try {
      const { loadShare, bands, wristExtensionDeg, gripPerHandN } = handLoad(body, withNotch(setUp, notches[at] as Notch));
      return [
        {
          at,
          load: loadShare * PERCENT,
          band: [bands.loadShare.low * PERCENT, bands.loadShare.high * PERCENT],
          wristDeg: wristExtensionDeg,
          gripKg: gripPerHandN / NEWTONS_PER_KG,
        },
      ];
    } catch {
      // Out of reach there: the curve ends where the set-up does.
      return [];
    }
  });
  return { points, length: notches.length - 1, ticks: ticksOf(setUp, notches, points) };
}

function ticksOf(setUp: SetUp, notches: readonly Notch[], points: readonly CurvePoint[]): Curve['ticks'] {
  const [first, last] = [points[0]?.at ?? 0, points.at(-1)?.at ?? notches.length - 1];
  const { dials } = modelOf(setUp.position);
  const shared = stretchesOf(setUp).length > 1;
  const count = Math.min(TICKS, last - first + 1);
  return Array.from({ length: count }, (_, i) => {
    const at = Math.round(first + ((last - first) * i) / Math.max(1, count - 1));
    const notch = notches[at] as Notch;
    const spec = dials[notch.dial] as Dial;
    const which = shared && notch.value !== 0 ? `${SHORT[notch.dial] ?? ''} ` : '';
    return { at, words: `${which}${dialInWords(spec, notch.value)}` };
  });
}

/** Which of several dials a tick is about. */
const SHORT: Readonly<Record<string, string>> = { handHeightM: 'hands', footHeightM: 'feet', bandShare: 'band', addedKg: 'with' };

/** Where a set-up stands along its curve; between two places where a dial is not at a whole one. */
export function placeOf(setUp: SetUp): number | undefined {
  const values = setUp as unknown as Readonly<Record<string, number | undefined>>;
  const { dials } = modelOf(setUp.position);
  let before = 0;
  let found: number | undefined;
  for (const { dial, from, to } of stretchesOf(setUp)) {
    const { step, usual } = dials[dial] as Dial;
    const value = values[dial] ?? usual;
    const steps = Math.round(Math.abs(to - from) / step);
    const turned = Math.abs(value - from) / step;
    // The last stretch that has left its beginning holds the place.
    if (turned > 1e-9 || found === undefined) found = before + Math.min(steps, turned);
    before += steps;
  }
  return found;
}
