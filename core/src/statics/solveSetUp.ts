import { Refusal } from '../errors.ts';
import { usualBelief } from './assumptions.ts';
import { evaluate, type Figures, handLoad, type HandLoadReading, type KnownBody } from './handLoad.ts';
import { type Dial, dialInWords } from './position.ts';
import type { StaticPosition } from './positions/index.ts';
import { type AnyModel, checked, choiceOf, dialOf, modelOf, type SetUp, stretchesOf } from './setUp.ts';

export interface Wanted {
  /** Load on the hands as a fraction of body weight; at a wall the whole force. */
  readonly verticalShare: number;
  /** Wrists may be bent no further, in degrees. */
  readonly wristLimitDeg?: number | undefined;
  /** Fingers of one hand hold no more, in newtons. */
  readonly gripLimitN?: number | undefined;
}

export type Binding = 'wanted load' | 'wrist' | 'grip';

export interface Solved {
  /** Rounded to what can be set up. */
  readonly setUp: SetUp;
  /** What the rounded set-up gives. */
  readonly reading: HandLoadReading;
  readonly binds: Binding;
  readonly inWords: string;
}

/** A place of one dial that can be set up. */
export interface Notch {
  readonly dial: string;
  readonly value: number;
}

/** Loads this close to an end of the range count as its end. */
const TOLERANCE = 0.0005;

/**
 * The set-up of a position that puts a wanted load on the hands: a search along its dials from easiest to hardest,
 * rounded to what a coach can set up. A wrist or grip limit that is met first stops it there.
 *
 * @param position a position, or a set-up whose other dials and choices are kept
 * @throws Refusal `load-out-of-reach`, saying the nearest load and its set-up
 * @example solveSetUp(body, 'push-up', { verticalShare: 0.55 }).setUp // { position: 'push-up', handHeightM: 0.36, footHeightM: 0 }
 */
export function solveSetUp(body: KnownBody, position: StaticPosition | SetUp, wanted: Wanted): Solved {
  const base = checked(typeof position === 'string' ? ({ position } as SetUp) : position);
  const { name } = modelOf(base.position);
  if (!(wanted.verticalShare > 0 && wanted.verticalShare <= 3))
    throw outOfReach(`A wanted load must be above 0% and at most 300% of body weight, not ${percent(wanted.verticalShare)}.`);
  const search = searchOf(body, base);
  if (!search) return asItStands(body, base, wanted, name);

  const { notches, first, last, figuresAt, loadAt } = search;
  if (wanted.verticalShare < loadAt(first) - TOLERANCE || wanted.verticalShare > loadAt(last) + TOLERANCE) {
    const nearest = wanted.verticalShare < loadAt(first) ? first : last;
    throw outOfReach(
      `${name} gives ${nearest === first ? 'at least' : 'at most'} ${percent(loadAt(nearest), 1)} of body weight on this trainee, with ${notchInWords(base, notchAt(notches, nearest))}; ${percent(wanted.verticalShare, 1)} is out of reach.`,
    );
  }
  let chosen = nearestNotch(search, wanted.verticalShare);
  const wedged = withWedge(base, figuresAt(chosen), wanted);
  if (wedged) return solveSetUp(body, wedged, wanted);
  let binds: Binding = 'wanted load';
  while (chosen >= first) {
    const limit = limitBroken(figuresAt(chosen), wanted);
    if (!limit) break;
    binds = limit;
    chosen -= 1;
  }
  if (chosen < first) {
    const what = binds === 'wrist' ? `a wrist bent no further than ${Math.round(wanted.wristLimitDeg ?? 0)}°` : 'the grip of one hand';
    throw outOfReach(`${name}: even its easiest set-up asks more than ${what} allows; add a wedge, or take handles.`);
  }
  const notch = notchAt(notches, chosen);
  const setUp = withNotch(base, notch);
  const reading = handLoad(body, setUp);
  const wedge = modelOf(base.position).dials.wedgeDeg ? dialOf(base, 'wedgeDeg') : 0;
  const at = `${notchInWords(base, notch)}${wedge > 0 ? ` and a wedge of ${wedge}° under the hands` : ''}`;
  return { setUp, reading, binds, inWords: inWords(reading, binds, wanted, at) };
}

/**
 * The set-up nearest to a wanted load, without limits and without its reading; `undefined` where nothing can be turned
 * or the load lies outside what the position gives.
 */
export function nearestSetUp(body: KnownBody, base: SetUp, wanted: number): SetUp | undefined {
  const search = searchOf(body, base);
  if (!search) return undefined;
  const { notches, first, last, loadAt } = search;
  if (wanted < loadAt(first) - TOLERANCE || wanted > loadAt(last) + TOLERANCE) return undefined;
  return withNotch(base, notchAt(notches, nearestNotch(search, wanted)));
}

interface Search {
  readonly notches: readonly Notch[];
  /** First and last notch that can be built. */
  readonly first: number;
  readonly last: number;
  readonly figuresAt: (index: number) => Figures | undefined;
  readonly loadAt: (index: number) => number;
}

function searchOf(body: KnownBody, base: SetUp): Search | undefined {
  const notches = notchesOf(base);
  if (notches.length === 0) return undefined;
  const { assumed } = body.belief ?? usualBelief(body);
  const figuresAt = (index: number): Figures | undefined => {
    try {
      return evaluate(body, withNotch(base, notchAt(notches, index)), assumed);
    } catch (error) {
      if (error instanceof Refusal) return undefined;
      throw error;
    }
  };
  // What can be built is one stretch: too easy to be held at one end, out of reach at the other.
  const built = someBuilt(notches.length, (i) => figuresAt(i) !== undefined);
  if (built === undefined) throw outOfReach(`${modelOf(base.position).name}: no set-up of it can be built for this trainee.`);
  const first = lastBuilt(built, 0, (i) => figuresAt(i) !== undefined);
  const last = lastBuilt(built, notches.length - 1, (i) => figuresAt(i) !== undefined);
  return { notches, first, last, figuresAt, loadAt: (index) => figuresAt(index)?.loadShare ?? Number.NaN };
}

/** How many notches are looked at before every single one is. */
const LOOKS = 16;

/** Some notch that can be built: looked for here and there, then everywhere. */
function someBuilt(count: number, works: (index: number) => boolean): number | undefined {
  for (let i = 0; i <= LOOKS; i++) {
    const at = Math.round(((count - 1) * i) / LOOKS);
    if (works(at)) return at;
  }
  for (let i = 0; i < count; i++) if (works(i)) return i;
  return undefined;
}

/** The last notch that can be built on the way from one that can to an end. */
function lastBuilt(from: number, end: number, works: (index: number) => boolean): number {
  if (works(end)) return end;
  let [good, bad] = [from, end];
  while (Math.abs(bad - good) > 1) {
    const middle = (good + bad) >> 1;
    if (works(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

/** The load grows along the notches, so that the crossing lies between two neighbours. */
function nearestNotch({ first, last, loadAt }: Search, wanted: number): number {
  let [low, high] = [first, last];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (loadAt(middle) <= wanted) low = middle;
    else high = middle;
  }
  return Math.abs(loadAt(high) - wanted) < Math.abs(loadAt(low) - wanted) ? high : low;
}

/**
 * The set-up with a wedge that brings the wrist back inside its limit, a whole degree up; `undefined` where none is
 * needed, the position has none, or it has as much as it takes.
 */
function withWedge(base: SetUp, figures: Figures | undefined, { wristLimitDeg }: Wanted): SetUp | undefined {
  const spec = modelOf(base.position).dials.wedgeDeg;
  // A wedge turns flat hands only.
  if (!spec || !figures || wristLimitDeg === undefined || choiceOf(base, 'hands') !== 'flat') return undefined;
  const before = dialOf(base, 'wedgeDeg');
  const missing = Math.ceil(figures.wristExtensionDeg - wristLimitDeg - 1e-9);
  const wedge = Math.min(spec.max, before + missing);
  return missing > 0 && wedge > before ? ({ ...base, wedgeDeg: wedge } as SetUp) : undefined;
}

function asItStands(body: KnownBody, base: SetUp, wanted: Wanted, name: string): Solved {
  const reading = handLoad(body, base);
  if (Math.abs(reading.loadShare - wanted.verticalShare) > 0.02)
    throw outOfReach(`${name} puts ${percent(reading.loadShare)} of body weight on the hands, and nothing on it can be turned.`);
  const limit = limitBroken(reading, wanted);
  if (limit) throw outOfReach(`${name} asks more of the ${limit} than is allowed, and nothing on it can be turned.`);
  return { setUp: base, reading, binds: 'wanted load', inWords: inWords(reading, 'wanted load', wanted, name) };
}

function limitBroken(figures: Figures | undefined, { wristLimitDeg, gripLimitN }: Wanted): 'wrist' | 'grip' | undefined {
  if (!figures) return undefined;
  if (wristLimitDeg !== undefined && figures.wristExtensionDeg > wristLimitDeg + 1e-9) return 'wrist';
  if (gripLimitN !== undefined && figures.gripPerHandN > gripLimitN + 1e-9) return 'grip';
  return undefined;
}

function inWords({ loadShare }: Figures, binds: Binding, { verticalShare, wristLimitDeg }: Wanted, at: string): string {
  const gives = `${at} gives ${percent(loadShare)} of body weight`;
  const text = {
    'wanted load': `${gives}, the nearest to ${percent(verticalShare)} that can be set up.`,
    wrist: `${gives}: the wrists may bend to ${Math.round(wristLimitDeg ?? 0)}° and no further, so ${percent(verticalShare)} has to wait.`,
    grip: `${gives}: the grip of one hand stops it there, so ${percent(verticalShare)} has to wait.`,
  }[binds];
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Every place of the dials that can be set up, from easiest to hardest. */
export function notchesOf(base: SetUp): readonly Notch[] {
  const stretches = stretchesOf(base);
  const before = known.get(stretches);
  if (before) return before;
  const notches = listNotches(modelOf(base.position).dials, stretches);
  known.set(stretches, notches);
  return notches;
}

/** The same for every set-up of a position, and asked for in every search. */
const known = new WeakMap<object, readonly Notch[]>();

function listNotches(dials: AnyModel['dials'], stretches: AnyModel['harder']): readonly Notch[] {
  return stretches.flatMap(({ dial, from, to }, i) => {
    const { step } = dials[dial] as Dial;
    const count = Math.round(Math.abs(to - from) / step);
    // A following stretch begins where the one before has ended.
    const begin = i > 0 ? 1 : 0;
    return Array.from({ length: count + 1 - begin }, (_, n) => {
      const value = from + (to - from) * ((n + begin) / count);
      return { dial, value: Math.round(value * 1e6) / 1e6 };
    });
  });
}

function notchAt(notches: readonly Notch[], index: number): Notch {
  const notch = notches[index];
  if (!notch) throw new Refusal('unexpected', 'A search went past the end of its dial.');
  return notch;
}

/** The set-up with one dial at a notch; the other dials of the search stand where their stretch ended or has yet to begin. */
export function withNotch(base: SetUp, { dial, value }: Notch): SetUp {
  const harder = stretchesOf(base);
  const at = harder.findIndex((s) => s.dial === dial);
  const turned: Record<string, unknown> = { ...base };
  harder.forEach((s, i) => {
    if (i !== at) turned[s.dial] = i < at ? s.to : s.from;
  });
  turned[dial] = value;
  return turned as unknown as SetUp;
}

function notchInWords(base: SetUp, { dial, value }: Notch): string {
  const spec = modelOf(base.position).dials[dial] as Dial;
  return `${spec.label.toLowerCase()} ${dialInWords(spec, value)}`;
}

function outOfReach(detail: string): Refusal {
  return new Refusal('load-out-of-reach', detail);
}

const percent = (share: number, decimals = 0) => `${(share * 100).toFixed(decimals)}%`;
