import type { Joint, Motion } from '../anatomy/index.ts';
import type { Origin } from '../reference/index.ts';
import type { CautionId } from '../safety/index.ts';
import type { Blade } from '../schools/index.ts';
import type { PoseName, SupportPlan } from '../statics/index.ts';
import type { DoseRange, Manner } from './doseRange.ts';
import type { FaultId, FaultNote } from './fault.ts';
import type { Teaching } from './teaching.ts';

/** Parts of a session, in the order in which they are done. */
export const PHASES = [
  'pulse',
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

export const POSITIONS = ['standing', 'at a wall', 'seated', 'hands and knees', 'prone', 'supine', 'side', 'hanging', 'inverted'] as const;
export type Position = (typeof POSITIONS)[number];

export const EQUIPMENT = {
  bar: 'pull-up bar',
  step: 'step or box',
  strap: 'strap or belt',
  band: 'elastic band',
  weight: 'small weight, 0.5–2.5 kg',
  'heavy weight': 'heavy weight or filled bag',
  block: 'firm block',
  wall: 'wall',
  bench: 'table, chair or bench',
  stick: 'stick, with a rope and weight',
  ball: 'soft ball',
  post: 'vertical post or rope',
  'row of bars': 'row of bars or rings',
} as const;
export type Equipment = keyof typeof EQUIPMENT;
export const EQUIPMENT_IDS = Object.keys(EQUIPMENT) as readonly Equipment[];

export const QUALITIES = ['mobility active', 'mobility passive', 'activation', 'stability', 'strength', 'skill'] as const;
export type Quality = (typeof QUALITIES)[number];

/** How a drill loads the hands. `share` is a share of body weight: of a typical trainee, or of the one the library was fitted to. */
export interface HandLoad {
  readonly direction: 'push' | 'pull';
  readonly share: number;
  /** Share on the more loaded arm: worked out where the library is fitted to a trainee. */
  readonly perArm?: number;
  /** How far its set-up bends a flat hand back, degrees: worked out there as well. */
  readonly wristDeg?: number;
  readonly joints: readonly Joint[];
}

/** How hard it should feel: effort from 0 to 10, or self-made tension in percent. */
export interface Effort {
  readonly scale: 'effort' | 'tension';
  readonly min: number;
  readonly max: number;
}

/** One drill, as the library holds it. */
export interface Drill {
  readonly id: string;
  readonly name: string;
  readonly phase: Phase;
  /** The joint it is done for. */
  readonly joint: Joint;
  /** Further joints that it works. */
  readonly alsoWorks: readonly Joint[];
  readonly motions: readonly Motion[];
  readonly quality: Quality;
  readonly position: Position;
  readonly pose: PoseName;
  /** The built-in drill whose movement it shows; absent: its own, or else its position alone. */
  readonly movement?: string;
  readonly equipment: readonly Equipment[];
  readonly dose: DoseRange;
  readonly effort: Effort;
  /** Absent: the hands carry next to nothing. */
  readonly handLoad?: HandLoad;
  /** The set-up from which the hand load of one trainee is computed; absent: `share` stands for everybody. */
  readonly support?: SupportPlan;
  /** Which checks it trains, and how strongly (1–3). */
  readonly trains: Readonly<Record<string, 1 | 2 | 3>>;
  readonly cue: string;
  /** Its own rule for the shoulder blade; absent where the blade does not matter. */
  readonly blade?: Blade;
  /** Own cues by blade school, where the general ones do not fit. */
  readonly bladeCues?: Readonly<Partial<Record<Blade, string>>>;
  /** The blade's own travel is its purpose: no blade school turns that into a fault or cues it away. */
  readonly bladeTravels?: true;
  readonly faults: readonly FaultId[];
  /** What it says of some of them in its own way. */
  readonly faultNotes?: Readonly<Record<FaultId, FaultNote>>;
  /** How it is taught; a studio's own drill may have none. */
  readonly teaching?: Teaching;
  /** Neighbours that are a step easier, by id; the harder ones follow from theirs. */
  readonly easier: readonly string[];
  readonly excludedBy: readonly CautionId[];
  /** Proposed only where the coach asks for it. */
  readonly byChoice?: true;
  /** What makes it bearable. */
  readonly aids: readonly string[];
  /** What can stand in for its equipment. */
  readonly standIns: Readonly<Partial<Record<Equipment, string>>>;
  /** Rung practice: offered only to a trainee who stands on this rung or above. */
  readonly rung?: { readonly ladderId: string; readonly rungId: string };
  readonly origin: Origin;
  /** Of a drill as it is planned: the weight, band or tempo it is done with. The library has none. */
  readonly manner?: Manner;
}

/** Share of body weight in the hands from which a drill counts as loaded (project default). */
const LOADED_FROM = 0.2;

/** Whether a drill is loaded work that needs 48 hours before the same again. */
export function isLoaded(drill: Pick<Drill, 'handLoad'>): boolean {
  return (drill.handLoad?.share ?? 0) >= LOADED_FROM;
}

/**
 * How a drill loads the hands, in words.
 *
 * @example handLoadInWords({ handLoad: { direction: 'push', share: 0.69, joints: ['wrist'] } }) // 'push, about 69% of body weight'
 */
export function handLoadInWords({ handLoad }: Pick<Drill, 'handLoad'>): string {
  return handLoad ? `${handLoad.direction}, about ${Math.round(handLoad.share * 100)}% of body weight` : 'none';
}

/** `effort 3–5 of 10`, or `10–30% tension`. */
export function effortInWords({ scale, min, max }: Effort): string {
  return scale === 'tension' ? `${min}–${max}% tension` : `effort ${min}–${max} of 10`;
}
