import { type Dial, dialInWords, type LoadCurve, modelOf, type Notch, type SetUp, stretchesOf } from '@myokinet/core/statics';

const TICKS = 6;

export interface CurveTick {
  readonly at: number;
  readonly words: string;
}

/** A few places along the dials, by the figure that the dial shows there. */
export function ticksOf(setUp: SetUp, { notches, points }: LoadCurve): readonly CurveTick[] {
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
