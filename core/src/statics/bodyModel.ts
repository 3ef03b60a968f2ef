import { Refusal } from '../errors.ts';
import { BODY_SEGMENTS, type SegmentName, SEGMENTS, type Sex } from '../reference/index.ts';

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665;

/** What a body may measure; outside it is a slip of the pen. */
export const BODY_LIMITS = {
  statureM: { min: 1, max: 2.3 },
  massKg: { min: 20, max: 250 },
  armM: { min: 0.25, max: 0.95 },
  legM: { min: 0.4, max: 1.3 },
} as const;

export interface BodyMeasures {
  /** Absent or unstated: a blend of both published samples. */
  readonly sex?: Sex | 'unstated' | undefined;
  readonly statureM: number;
  readonly massKg: number;
  /** The trainee's own measures, in place of those scaled to stature. */
  readonly overrides?: BodyOverrides | undefined;
}

export interface BodyOverrides {
  /** Shoulder to wrist, straight arm. */
  readonly armM?: number | undefined;
  /** Hip to ankle, straight leg. */
  readonly legM?: number | undefined;
}

export interface Segment {
  readonly lengthM: number;
  /** Of one side where there are two. */
  readonly massKg: number;
  /** Of body mass, of one side where there are two. */
  readonly massShare: number;
  /** Centre of mass as a share of the length: from the proximal end (head: from the vertex, foot: from the heel). */
  readonly centre: number;
  /** How many the body has. */
  readonly count: 1 | 2;
}

/** A trainee as rigid segments. */
export interface Body {
  readonly statureM: number;
  readonly massKg: number;
  readonly weightN: number;
  readonly segments: Readonly<Record<SegmentName, Segment>>;
  /** Shoulder to wrist. */
  readonly armM: number;
  /** Hip to ankle. */
  readonly legM: number;
  readonly ankleHeightM: number;
  /** Along the sole. */
  readonly heelToAnkleM: number;
  readonly heelToBallM: number;
  /** Mid-shoulder to the top of the head. */
  readonly shoulderToCrownM: number;
  /** Which measures were the trainee's own. */
  readonly own: readonly (keyof BodyOverrides)[];
}

/** Height of the ankle joint over the sole as a share of stature: Winter, Biomechanics and Motor Control (from memory). */
const ANKLE_HEIGHT = 0.039;
/** Project defaults: where on the sole the ankle stands and the ball of the foot lies, as shares of its length. */
const HEEL_TO_ANKLE = 0.22;
const HEEL_TO_BALL = 0.72;

const PAIRED: ReadonlySet<SegmentName> = new Set(['upperArm', 'forearm', 'hand', 'thigh', 'shank', 'foot']);

export type SegmentLengths = Readonly<Record<SegmentName, number>>;

/**
 * Segment lengths in metres: the published sample of the same sex scaled to stature, or a blend of both.
 *
 * @example segmentLengths({ sex: 'male', stature: 1.741 }).thigh // 0.4222
 */
export function segmentLengths({ sex, stature }: { readonly sex?: Sex | undefined; readonly stature: number }): SegmentLengths {
  return bySegment((name) => blended(sex, (table) => (table.segments[name].length / table.stature) * stature));
}

/**
 * The body as rigid segments: lengths, masses and centres of mass after de Leva 1996 (from memory), scaled to stature.
 *
 * @param measures sex, stature in metres, mass in kilograms; own measures override the scaled lengths
 * @throws Refusal `body-implausible`, naming the measure and its limits
 * @example bodyModel({ sex: 'female', statureM: 1.68, massKg: 62 }).segments.trunk.massKg // 26.4
 */
export function bodyModel({ sex, statureM, massKg, overrides = {} }: BodyMeasures): Body {
  const given: Partial<Record<keyof typeof BODY_LIMITS, number | undefined>> = { statureM, massKg, ...overrides };
  for (const key of Object.keys(BODY_LIMITS) as (keyof typeof BODY_LIMITS)[]) inLimits(key, given[key]);
  if (!Number.isFinite(statureM) || !Number.isFinite(massKg)) throw new Refusal('body-implausible', 'Stature and mass are needed.');

  const known = sex === 'unstated' ? undefined : sex;
  const scaled = segmentLengths({ sex: known, stature: statureM });
  const armScale = overrides.armM === undefined ? 1 : overrides.armM / (scaled.upperArm + scaled.forearm);
  const legScale = overrides.legM === undefined ? 1 : overrides.legM / (scaled.thigh + scaled.shank);
  const scaleOf: Partial<Record<SegmentName, number>> = { upperArm: armScale, forearm: armScale, thigh: legScale, shank: legScale };
  // The published shares are rounded: they add up to 99.99 or 100.00.
  const percent = (name: SegmentName) => blended(known, ({ segments: s }) => s[name].mass);
  const whole = SEGMENTS.reduce((sum, name) => sum + percent(name) * (PAIRED.has(name) ? 2 : 1), 0);
  const segments = bySegment((name): Segment => {
    const massShare = percent(name) / whole;
    return {
      lengthM: scaled[name] * (scaleOf[name] ?? 1),
      massKg: massShare * massKg,
      massShare,
      centre: blended(known, ({ segments: s }) => s[name].centre) / 100,
      count: PAIRED.has(name) ? 2 : 1,
    };
  });

  const legM = segments.thigh.lengthM + segments.shank.lengthM;
  const ankleHeightM = ANKLE_HEIGHT * statureM;
  const shoulderToCrownM = statureM - ankleHeightM - legM - segments.trunk.lengthM;
  if (shoulderToCrownM < segments.head.lengthM)
    throw new Refusal('body-implausible', `A leg of ${cm(legM)} leaves no room for the head in a stature of ${cm(statureM)}.`);
  return {
    statureM,
    massKg,
    weightN: massKg * GRAVITY,
    segments,
    armM: segments.upperArm.lengthM + segments.forearm.lengthM,
    legM,
    ankleHeightM,
    heelToAnkleM: HEEL_TO_ANKLE * segments.foot.lengthM,
    heelToBallM: HEEL_TO_BALL * segments.foot.lengthM,
    shoulderToCrownM,
    own: (Object.keys(overrides) as (keyof BodyOverrides)[]).filter((key) => overrides[key] !== undefined),
  };
}

const MEASURE_NAMES = { statureM: 'Stature', massKg: 'Mass', armM: 'Arm length', legM: 'Leg length' } as const;

function inLimits(key: keyof typeof BODY_LIMITS, value: number | undefined): void {
  if (value === undefined) return;
  const { min, max } = BODY_LIMITS[key];
  const words = key === 'massKg' ? (v: number) => `${v} kg` : cm;
  if (!(value >= min && value <= max))
    throw new Refusal('body-implausible', `${MEASURE_NAMES[key]} must be from ${words(min)} to ${words(max)}, not ${words(value)}.`);
}

const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

function blended(sex: Sex | undefined, of: (table: (typeof BODY_SEGMENTS)[Sex]) => number): number {
  return sex ? of(BODY_SEGMENTS[sex]) : (of(BODY_SEGMENTS.female) + of(BODY_SEGMENTS.male)) / 2;
}

function bySegment<T>(make: (name: SegmentName) => T): Readonly<Record<SegmentName, T>> {
  return Object.fromEntries(SEGMENTS.map((name) => [name, make(name)])) as Record<SegmentName, T>;
}
