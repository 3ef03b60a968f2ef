import type { Strain } from '../safety/index.ts';
import type { PoseName } from '../statics/index.ts';
import type { Drill } from './drill.ts';

type Told = Pick<Drill, 'effort' | 'handLoad' | 'support' | 'pose' | 'position' | 'equipment' | 'dose' | 'quality'>;

/** Self-made tension in percent, told as an effort out of ten. */
const TENSION_TO_EFFORT = 0.1;
const LONG_HOLD_SECONDS = 20;
/** Poses in which one arm carries alone. */
const ONE_ARMED: ReadonlySet<PoseName> = new Set<PoseName>([
  'plank, one arm raised',
  'side plank',
  'forearm side plank',
  'hands and knees, one arm raised',
  'one-hand tap, feet light',
  'free hang, one-hand tap',
  'hand-to-hand travel',
  'standing, weight at the side',
]);
const HEAD_LOW: ReadonlySet<PoseName> = new Set<PoseName>(['standing, forward fold', 'pike', 'forearm dog', 'crouched lean, feet light']);
const OVERHEAD: ReadonlySet<PoseName> = new Set<PoseName>([
  'standing, arms overhead',
  'standing, weight overhead',
  'back to a wall, arms up',
  'seated on the floor, arms up',
  'supine, arms overhead',
]);
/** Positions of the statics from which one comes down or out of balance. */
const MAY_FALL: readonly string[] = ['swing', 'free-hang', 'handstand', 'forearm-balance', 'arm-balance', 'pull-up', 'dip'];

/** Of these, what one kicks up into or swings in. */
const KICK_UP: readonly string[] = ['swing', 'handstand', 'forearm-balance'];

/**
 * How a drill strains the body, from its effort, its load and its position.
 *
 * @example strainOf(library.drill('plank')) // { effort: 6, loadPerArm: 0.345, headDown: false, … }
 */
export function strainOf({ effort, handLoad, support, pose, position, equipment, dose, quality }: Told): Strain {
  const hardest = effort.scale === 'tension' ? effort.max * TENSION_TO_EFFORT : effort.max;
  const setUp: Readonly<Record<string, unknown>> = { ...support?.setUp };
  const oneArmed = isOneArmed({ support, pose });
  return {
    effort: hardest,
    loadPerArm: armLoadOf({ handLoad, support, pose }),
    loadInAll: handLoad?.share ?? 0,
    overhead: position === 'hanging' || position === 'inverted' || setUp.where === 'overhead' || OVERHEAD.has(pose),
    hanging: position === 'hanging',
    headDown: position === 'inverted' || HEAD_LOW.has(pose),
    oneArmed: oneArmed && handLoad !== undefined,
    longHold: dose.unit === 's' && dose.max > LONG_HOLD_SECONDS && quality !== 'mobility passive' && hardest >= 5,
    externalWeight: equipment.includes('heavy weight') || equipment.includes('weight'),
    kickUp: typeof setUp.position === 'string' && KICK_UP.includes(setUp.position),
    mayFall: typeof setUp.position === 'string' && MAY_FALL.includes(setUp.position),
  };
}

/** Whether one arm carries alone. */
export function isOneArmed({ support, pose }: Pick<Told, 'pose'> & { readonly support?: Told['support'] | undefined }): boolean {
  const setUp: Readonly<Record<string, unknown>> = { ...support?.setUp };
  return setUp.hands === 'one' || ONE_ARMED.has(pose);
}

/**
 * Share of body weight on one arm, the more loaded one: what one hand carries is not halved.
 *
 * @example armLoadOf(library.drill('practice-free-hang')) // 0.5
 * @example armLoadOf(library.drill('practice-free-taps')) // 1
 */
export function armLoadOf({
  handLoad,
  ...told
}: Pick<Told, 'pose'> & { readonly handLoad?: Told['handLoad'] | undefined; readonly support?: Told['support'] | undefined }): number {
  return handLoad?.perArm ?? (handLoad?.share ?? 0) / (isOneArmed(told) ? 1 : 2);
}
