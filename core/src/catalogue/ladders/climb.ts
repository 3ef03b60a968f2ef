import type { Joint } from '../../anatomy/index.ts';
import type { Drill } from '../../drills/index.ts';
import type { Ladder, Rung } from '../../ladders/index.ts';
import { projectDefault } from '../../reference/index.ts';
import { drill } from '../drills/entry.ts';

/** How a rung is practised once it is signed; what its ladder shares is left out. */
type Practice = Pick<Drill, 'dose' | 'cue' | 'trains'> &
  Partial<Pick<Drill, 'name' | 'position' | 'equipment' | 'excludedBy' | 'faults' | 'aids' | 'easier' | 'phase' | 'quality' | 'effort'>> & {
    /** Where the practice is not called after its rung. */
    readonly id?: string;
    /** Share of body weight in the hands, where no set-up says it; 0 for none. */
    readonly share?: number;
  };

interface RungEntry extends Omit<Rung, 'practice'> {
  readonly practice: Practice;
}

/** What the practices of a ladder share. */
type Shared = Pick<Drill, 'phase' | 'joint' | 'alsoWorks' | 'motions' | 'quality' | 'position' | 'faults'> &
  Pick<Partial<Drill>, 'blade'> & {
    readonly direction: 'push' | 'pull';
    readonly loads: readonly Joint[];
  };

interface Climb extends Omit<Ladder, 'rungs'> {
  readonly shared: Shared;
  /** Lowest first. */
  readonly rungs: readonly RungEntry[];
}

const ORIGIN = projectDefault('dose from common practice, hand load by the rung’s description');

/**
 * A ladder and the drills its rungs are practised in. Each practice has the one before as its easier
 * neighbour, and the general drills that it names.
 */
export function climb({ shared, rungs, ...ladder }: Climb): { readonly ladder: Ladder; readonly practices: readonly Drill[] } {
  const { direction, loads, ...common } = shared;
  const idOf = (rung: RungEntry) => rung.practice.id ?? `practice-${rung.id}`;
  return {
    ladder: { ...ladder, rungs: rungs.map((rung) => ({ ...rung, practice: idOf(rung) })) },
    practices: rungs.map((rung, i) => {
      const { share: stated = 0, id: _id, easier = [], ...practice } = rung.practice;
      const load = { direction, joints: loads };
      const before = rungs[i - 1];
      const handLoad = rung.support
        ? { handLoad: load, support: rung.support }
        : stated > 0
          ? { handLoad: { ...load, share: stated } }
          : {};
      return drill({
        ...common,
        name: rung.name,
        pose: rung.pose,
        origin: ORIGIN,
        ...practice,
        easier: [...(before ? [idOf(before)] : []), ...easier],
        id: idOf(rung),
        ...handLoad,
        rung: { ladderId: ladder.id, rungId: rung.id },
      });
    }),
  };
}
