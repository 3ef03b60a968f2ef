import type { Blade, Schools } from '../schools/index.ts';
import { type Drill, EQUIPMENT, type Equipment, isLoaded } from './drill.ts';
import { strainOf } from './strain.ts';
import type { FaultEntry } from './fault.ts';
import type { Breathing } from './teaching.ts';
import { situationOf } from './placed.ts';

type Coached = Pick<
  Drill,
  | 'blade'
  | 'bladeCues'
  | 'bladeTravels'
  | 'cue'
  | 'faults'
  | 'faultNotes'
  | 'teaching'
  | 'handLoad'
  | 'position'
  | 'effort'
  | 'support'
  | 'pose'
  | 'equipment'
  | 'dose'
  | 'quality'
>;

/** What each blade school says where a drill has no words of its own (common practice, no source). */
const BLADE_CUES: Readonly<Record<Blade, string>> = {
  set: 'Blades flat and low on the ribs, not squeezed together.',
  sweep: 'Go to both ends: drawn together without a pinch, then pushed wide.',
  follow: 'Let the blades turn up and forward with the arms.',
};

/** Hanging, the blade turns up with the arm and is held there; no school has it down and back (professional judgement, from memory). */
const HANGING_CUE = 'Long neck: the blades stay turned up with the arms, held and not pulled together.';

/** Whether the arms are above the head under load: there the blade turns upward, whatever the school. */
export function isOverheadUnderLoad(drill: Coached): boolean {
  const { overhead, externalWeight } = strainOf(drill);
  return overhead && (isLoaded(drill) || externalWeight);
}

/**
 * The rule for the shoulder blade in a drill: the school's, or the drill's own. A full sweep is
 * taught only unloaded or on hands and knees; elsewhere the drill's own rule stands. Where the blade's travel is what the drill is done
 * for, its own rule stands in every school. Above the head under load it follows the arm in every school.
 *
 * @returns nothing where the blade does not matter
 * @example bladeOf(packedHang, { ...DEFAULT_SCHOOLS, blade: 'set' }) // 'follow'
 */
export function bladeOf(drill: Coached, { blade }: Pick<Schools, 'blade'>): Blade | undefined {
  if (drill.blade && isOverheadUnderLoad(drill)) return 'follow';
  if (!drill.blade || drill.bladeTravels || blade === 'by drill') return drill.blade;
  if (blade === 'sweep' && isLoaded(drill) && drill.position !== 'hands and knees') return drill.blade;
  return blade;
}

/** What a blade school says in this drill. */
export function bladeCue(drill: Coached, blade: Blade): string {
  if (drill.position === 'hanging' && isOverheadUnderLoad(drill)) return HANGING_CUE;
  return drill.bladeCues?.[blade] ?? BLADE_CUES[blade];
}

/** The cues of a drill under the schools chosen: its own first, then the blade's. */
export function cuesOf(drill: Coached, schools: Pick<Schools, 'blade'>): readonly string[] {
  const blade = bladeOf(drill, schools);
  return blade ? [drill.cue, bladeCue(drill, blade)] : [drill.cue];
}

/**
 * A fault as it is told in a drill: the drill's own words first, then those for how the body is placed, then the fault's own.
 *
 * @example faultIn(library.drill('halo'), shrug).regression // 'A lighter weight.'
 */
export function faultIn(drill: Coached, fault: FaultEntry): FaultEntry {
  const { part, ...told }: FaultEntry = { ...fault, ...fault.placed?.[situationOf(drill)], ...drill.faultNotes?.[fault.id] };
  // A part that the drill does not have is none to look at.
  const has = part !== undefined && (drill.teaching?.steps.some((step) => step.part === part) ?? true);
  return has ? { ...told, part } : told;
}

/**
 * The faults to look for under the schools chosen, as they are told in this drill: the drill's own, and those of the blade school.
 *
 * @param faults the faults of the library
 * @example faultsOf(plank, DEFAULT_SCHOOLS, library.faults)[0] // { id: 'hips-sag', part: 'hold', … }
 */
export function faultsOf(drill: Coached, schools: Pick<Schools, 'blade'>, faults: readonly FaultEntry[]): readonly FaultEntry[] {
  const blade = bladeOf(drill, schools);
  const situation = situationOf(drill);
  const byId = new Map(faults.map((f) => [f.id, f]));
  // Pushing above the head the shoulders rise with the arms: that is technique.
  const rises = drill.position !== 'hanging' && isOverheadUnderLoad(drill);
  const own = drill.faults.flatMap((id) => {
    const fault = byId.get(id);
    return fault && (fault.under === undefined || fault.under === blade) && !(rises && id === 'shrug') ? [fault] : [];
  });
  const ofSchool = faults.filter((f) => f.under !== undefined && f.under === blade && (!f.only || f.only.includes(situation)));
  return [...new Set([...own, ...ofSchool])].map((fault) => faultIn(drill, fault));
}

/** The breath by part of the movement: as the dose was planned, else as the drill is taught. */
export function breathOf({ dose, teaching }: Pick<Drill, 'dose' | 'teaching'>): Breathing | undefined {
  return dose.course?.breath ?? teaching?.breath;
}

/** What stands in for equipment that is not at hand. */
export interface StandIn {
  readonly equipment: Equipment;
  readonly standIn: string;
}

/**
 * What stands in for the equipment of a drill that is not at hand.
 *
 * @example standInsFor(wristRoller, ['band']) // [{ equipment: 'weight', standIn: 'filled bottle or can' }]
 */
export function standInsFor(
  { equipment, standIns }: Pick<Drill, 'equipment' | 'standIns'>,
  atHand: readonly Equipment[],
): readonly StandIn[] {
  return equipment.flatMap((e) => {
    const standIn = atHand.includes(e) ? undefined : standIns[e];
    return standIn ? [{ equipment: e, standIn }] : [];
  });
}

/**
 * The stand-ins in a sentence; nothing where everything is at hand.
 *
 * @example standInsInWords([{ equipment: 'weight', standIn: 'filled bottle or can' }]) // 'Instead of the weight: filled bottle or can.'
 */
export function standInsInWords(standIns: readonly StandIn[]): string | undefined {
  if (standIns.length === 0) return undefined;
  return `Instead of the ${standIns.map(({ equipment, standIn }) => `${EQUIPMENT[equipment]}: ${standIn}`).join('; of the ')}.`;
}
