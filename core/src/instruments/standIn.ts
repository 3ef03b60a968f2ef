import type { DeviceReading, Measure } from '../measuring/index.ts';

/** What a stand-in can be made to do, good and bad. */
export const SCENARIOS = ['clean', 'shaking', 'drifting', 'dropped connection', 'nonsense values'] as const;
export type Scenario = (typeof SCENARIOS)[number];

/** What the imagined body does while the stand-in reads it. */
export type Movement = 'rise and hold' | 'repetitions' | 'swing' | 'squeeze' | 'step on';

export interface Script {
  readonly movement: Movement;
  /** Where the movement goes, in the instrument's unit. */
  readonly target: number;
  readonly scenario: Scenario;
}

/** Which instrument reads a check. */
export type InstrumentKind = 'inclinometer' | 'scale' | 'dynamometer' | 'timer';

type Reader = { readonly kind: 'timer' } | { readonly kind: Exclude<InstrumentKind, 'timer'>; readonly movement: Movement };

const READERS: Readonly<Record<DeviceReading, Reader>> = {
  'angle held': { kind: 'inclinometer', movement: 'rise and hold' },
  swing: { kind: 'inclinometer', movement: 'swing' },
  repetitions: { kind: 'inclinometer', movement: 'repetitions' },
  squeeze: { kind: 'dynamometer', movement: 'squeeze' },
  'weight on a scale': { kind: 'scale', movement: 'step on' },
  time: { kind: 'timer' },
};

/**
 * The instrument that can read a check, and what it reads; nothing for what is asked or looked at.
 *
 * @example instrumentFor({ device: 'squeeze' }) // { kind: 'dynamometer', movement: 'squeeze' }
 */
export function instrumentFor({ device }: Pick<Measure, 'device'>): Reader | undefined {
  return device && READERS[device];
}

/** Seconds after which the connection drops, where it does. */
const DROPS_AFTER = 2.5;
const REPETITION_SECONDS = 3;
const SWING_SECONDS = 2;
const SWING_DECAY = 8;
const RISE_SECONDS = 1.5;
const SQUEEZE_SECONDS = 0.5;
const FATIGUE_AFTER = 3;
/** Share of the target by which a clean reading is unquiet. */
const UNREST = 0.004;
const SHAKE = { share: 0.02, hertz: 8 };
const DRIFT_PER_SECOND = 0.01;
const NONSENSE_EVERY = 0.06;
const NONSENSE = 9999;

/**
 * One reading of a stand-in. The same script, time and random numbers give the same reading.
 *
 * @param script what is acted
 * @param time seconds since the stream began
 * @param random uniform in [0, 1)
 * @returns the reading in the instrument's unit, or `lost` once the connection has dropped
 * @example standInReading({ movement: 'step on', target: 40, scenario: 'clean' }, 5, () => 0.5) // about 40
 */
export function standInReading({ movement, target, scenario }: Script, time: number, random: () => number): number | 'lost' {
  if (scenario === 'dropped connection' && time > DROPS_AFTER) return 'lost';
  if (scenario === 'nonsense values' && random() < NONSENSE_EVERY) return NONSENSE;
  const unrest = target * UNREST * (random() + random() + random() - 1.5) * 2;
  const shake = scenario === 'shaking' ? target * SHAKE.share * Math.sin(2 * Math.PI * SHAKE.hertz * time) : 0;
  const drift = scenario === 'drifting' ? target * DRIFT_PER_SECOND * time : 0;
  return MOVEMENTS[movement](target, time) + unrest + shake + drift;
}

const MOVEMENTS: Readonly<Record<Movement, (target: number, time: number) => number>> = {
  'rise and hold': (target, time) => target * eased(time / RISE_SECONDS),
  repetitions: (target, time) => (target / 2) * (1 - Math.cos((2 * Math.PI * Math.max(0, time - 0.5)) / REPETITION_SECONDS)),
  swing: (target, time) => (target / 2) * Math.exp(-time / SWING_DECAY) * Math.sin((2 * Math.PI * time) / SWING_SECONDS),
  squeeze: (target, time) => target * eased(time / SQUEEZE_SECONDS) * (1 - 0.05 * Math.max(0, time - FATIGUE_AFTER)),
  'step on': (target, time) => target * eased(time),
};

/** From 0 to 1 with rest at both ends. */
function eased(share: number): number {
  const x = Math.max(0, Math.min(1, share));
  return x * x * (3 - 2 * x);
}
