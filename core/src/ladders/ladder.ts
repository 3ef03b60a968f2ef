import { type BodySide, sidesOf } from '../anatomy/index.ts';
import type { MeasureOf } from '../measuring/index.ts';
import { type Amount, amount, formatAmount, type Unit } from '../quantities/index.ts';
import type { Origin } from '../reference/index.ts';
import { type KnownBody, plannedLoads, type PoseName, type SupportPlan } from '../statics/index.ts';

export const DEMAND_DIRECTIONS = ['at least', 'at most', 'within'] as const;
export type DemandDirection = (typeof DEMAND_DIRECTIONS)[number];

/** What a demand may be a share of. */
export const DEMAND_SHARES = ['bodyMass', 'setUpLoad'] as const;

/** What a rung asks of one check, as written in a ladder. */
export interface RungDemand {
  readonly measureId: string;
  /** In `unit`; a share of body mass, or of the load of the rung’s own set-up (on one hand where the check has sides), where `per` says so. */
  readonly value: number;
  /** Upper end of a demand “within”, whose lower end is `value`. */
  readonly upTo?: number;
  /** The measure's own unit, stated so that a figure never changes its meaning. */
  readonly unit: Unit;
  readonly per?: (typeof DEMAND_SHARES)[number];
  readonly direction: DemandDirection;
  readonly origin: Origin;
  /** The coach lets "on the mark" pass for this demand. */
  readonly allowOnTheMark?: boolean;
}

/** What a rung asks of one side of one trainee, in the measure's unit. */
export interface Demand {
  readonly measureId: string;
  readonly side: BodySide;
  readonly value: Amount;
  /** Upper end of a demand “within”, whose lower end is `value`. */
  readonly upTo?: Amount;
  readonly unit: Unit;
  readonly direction: DemandDirection;
  readonly origin: Origin;
  /** How a relative demand became this figure. */
  readonly basis?: string;
  readonly allowOnTheMark: boolean;
}

export interface Rung {
  readonly id: string;
  readonly name: string;
  /** How the rung is arranged, in a sentence. */
  readonly setUp: string;
  readonly pose: PoseName;
  /** The set-up as the model of the body knows it; absent where the hands carry nothing to speak of. */
  readonly support?: SupportPlan;
  /** By what it is harder than the rung below, where it does not put more on an arm. */
  readonly climbs?: Climbs;
  /** The drill in which the rung is practised once it is signed. */
  readonly practice: string;
  readonly demands: readonly RungDemand[];
}

/** By what a rung may climb instead of by load. */
export const CLIMBS = ['one hand', 'movement', 'depth', 'lean', 'balance', 'head down', 'way out'] as const;
export type Climbs = (typeof CLIMBS)[number];

/** Where a signature counts whose rung is no longer on its ladder: at the nearest load at or below. */
export interface Carried {
  /** The ladder that had it; absent: this one. */
  readonly ladderId?: string;
  readonly rungId: string;
  /** What it was called, for the record. */
  readonly name: string;
  /** The rung of this ladder on which it counts. */
  readonly to: string;
}

export const LADDER_KINDS = ['pull', 'push', 'mixed'] as const;
export type LadderKind = (typeof LADDER_KINDS)[number];

export interface Ladder {
  readonly id: string;
  readonly name: string;
  readonly kind: LadderKind;
  readonly aim: string;
  /** Said wherever the ladder is shown. */
  readonly warnings: readonly string[];
  /** Drills that prepare for the first rung: below it, clean sessions hold one of them. */
  readonly preparation?: readonly string[];
  /** Signatures for rungs that moved. */
  readonly carries?: readonly Carried[];
  /** Where it leaves another ladder. */
  readonly branchOf?: { readonly ladderId: string; readonly rungId: string };
  /** Lowest rung first. */
  readonly rungs: readonly Rung[];
}

/** Resolution a demand relative to body mass is rounded to, in kilograms. */
const RELATIVE_STEP = 0.5;

/**
 * The demands of a rung on one trainee: one for each side, relative ones turned into figures.
 *
 * @param rung a rung of a ladder
 * @param body the trainee's body
 * @param measureOf the checks of the studio
 * @throws Refusal `measure-unknown`
 * @example demandsOn(rung, bodyModel({ statureM: 1.7, massKg: 75 }), library.measure) // grip 0.4 per kg → at least 30 kg, left and right
 */
export function demandsOn(rung: Rung, body: KnownBody, measureOf: MeasureOf): readonly Demand[] {
  return rung.demands.flatMap((asked) => {
    const measure = measureOf(asked.measureId);
    const { figure, basis } = figureOn(asked, rung, body, measure.sided);
    return sidesOf(measure.sided).map((side) => ({
      measureId: asked.measureId,
      side,
      value: amount(figure, asked.unit),
      ...upToOf(asked),
      unit: asked.unit,
      direction: asked.direction,
      origin: asked.origin,
      ...(basis ? { basis } : {}),
      allowOnTheMark: asked.allowOnTheMark ?? false,
    }));
  });
}

/** Shown where a rung's set-up can not be built for a trainee: the demand then stands as a share of body weight. */
const UNBUILDABLE = 1;

function figureOn(
  { value, per }: RungDemand,
  { support }: Pick<Rung, 'support'>,
  body: KnownBody,
  sided: boolean,
): { readonly figure: number; readonly basis?: string } {
  if (per === undefined) return { figure: value };
  if (per === 'bodyMass')
    return {
      figure: Math.round((value * body.massKg) / RELATIVE_STEP) * RELATIVE_STEP,
      basis: `${percent(value)} of ${formatAmount(body.massKg, 'kg')}`,
    };
  const load = support && plannedLoads(body, support)?.[sided ? 'perArm' : 'share'];
  const basis =
    support && load !== undefined
      ? `${value === 1 ? '' : `${percent(value)} of `}this rung’s load${sided ? ', one hand' : ''}`
      : 'the set-up of this rung can not be built for this trainee, so all of body weight is asked';
  return { figure: Math.round(100 * value * (load ?? UNBUILDABLE)), basis };
}

const percent = (share: number) => `${Math.round(share * 100)}%`;

function upToOf({ upTo, unit }: RungDemand): Pick<Demand, 'upTo'> {
  return upTo === undefined ? {} : { upTo: amount(upTo, unit) };
}

/** The checks that a stretch of a ladder asks for, each once. */
export function measuresDemanded(rungs: readonly Rung[]): readonly string[] {
  return [...new Set(rungs.flatMap((r) => r.demands.map((d) => d.measureId)))];
}
