import type { Joint, Motion } from '../anatomy/index.ts';
import type { Origin } from '../reference/index.ts';
import type { CautionId } from '../safety/index.ts';
import type { PoseName } from '../statics/index.ts';
import type { FaultId } from './faults.ts';

/** Parts of a session, in the order in which they are done. */
export const PHASES = [
  'wrists and forearms',
  'warm-up',
  'active mobility',
  'blade activation',
  'stability',
  'skill',
  'strength',
  'isolation',
  'cool-down',
] as const;
export type Phase = (typeof PHASES)[number];

/** Phases whose drills must be done in full for a session to count as clean. */
export const LOADING_PHASES: readonly Phase[] = ['blade activation', 'stability', 'skill', 'strength'];

export const POSITIONS = ['standing', 'at a wall', 'seated', 'hands and knees', 'prone', 'supine', 'side', 'hanging'] as const;
export type Position = (typeof POSITIONS)[number];

export const EQUIPMENT = {
  bar: 'pull-up bar',
  step: 'step or box',
  strap: 'strap or belt',
  band: 'elastic band',
  weight: 'small weight, 0.5–2 kg',
  block: 'firm block',
  wall: 'wall',
  bench: 'table, chair or bench',
  'row of bars': 'row of bars or rings',
} as const;
export type Equipment = keyof typeof EQUIPMENT;

export type Quality = 'mobility active' | 'mobility passive' | 'activation' | 'stability' | 'strength' | 'skill' | 'warm-up';
export type DoseUnit = 'reps' | 's' | 'breaths';

/** What a drill is done for by default. */
export interface DoseRange {
  readonly unit: DoseUnit;
  readonly min: number;
  readonly max: number;
  readonly sets: number;
  readonly perSide: boolean;
  readonly restSeconds: number;
  /** Seconds one unit takes: tempo of a repetition, length of a breath, 1 for seconds. */
  readonly secondsPerUnit: number;
}

/** How a drill loads the hands. `share` is a share of body weight, a project default until a set-up computes it. */
export interface HandLoad {
  readonly direction: 'push' | 'pull';
  readonly share: number;
  readonly joints: readonly Joint[];
}

export interface Drill {
  readonly id: string;
  readonly name: string;
  readonly phase: Phase;
  readonly joint: Joint;
  readonly motions: readonly Motion[];
  readonly quality: Quality;
  readonly position: Position;
  readonly pose: PoseName;
  readonly equipment: readonly Equipment[];
  readonly dose: DoseRange;
  /** Absent: the hands carry next to nothing. */
  readonly handLoad?: HandLoad;
  /** Which checks it trains, and how strongly (1–3). */
  readonly trains: Readonly<Record<string, 1 | 2 | 3>>;
  readonly cue: string;
  readonly faults: readonly FaultId[];
  readonly excludedBy: readonly CautionId[];
  /** Rung practice: offered only to a trainee who stands on this rung or above. */
  readonly rung?: { readonly ladderId: string; readonly rungId: string };
  readonly origin: Origin;
}

/** Share of body weight in the hands from which a drill counts as loaded (project default). */
const LOADED_FROM = 0.2;

/** Whether a drill is loaded work that needs 48 hours before the same again. */
export function isLoaded(drill: Drill): boolean {
  return (drill.handLoad?.share ?? 0) >= LOADED_FROM;
}
