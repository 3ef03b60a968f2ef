import type { Joint } from '../../anatomy/index.ts';
import type { Drill } from '../../drills/index.ts';
import type { Ladder, Rung } from '../../ladders/index.ts';
import { projectDefault } from '../../reference/index.ts';
import { drill } from '../drills/entry.ts';
import type { Untaught } from '../teaching/index.ts';

/** How a rung is practised once it is signed; what its ladder shares is left out. */
type Practice = Pick<Drill, 'dose' | 'cue' | 'trains'> &
  Partial<Pick<Drill, 'name' | 'position' | 'equipment' | 'excludedBy' | 'aids' | 'easier' | 'phase' | 'quality' | 'effort'>> & {
    /** Where the practice is not called after its rung. */
    readonly id?: string;
    /** Share of body weight in the hands, where no set-up says it; 0 for none. */
    readonly share?: number;
  };

/** A rung with how it is practised. */
export interface RungEntry extends Omit<Rung, 'practice'> {
  readonly practice: Practice;
}

/** What the practices of a ladder share. */
type Shared = Pick<Drill, 'phase' | 'joint' | 'alsoWorks' | 'motions' | 'quality' | 'position'> &
  Pick<Partial<Drill>, 'blade'> & {
    readonly direction: 'push' | 'pull';
    readonly loads: readonly Joint[];
  };

/** A drill of the same kind that is no rung. */
type Beside = Practice & Pick<Drill, 'id' | 'name' | 'pose'> & Pick<Rung, 'support'>;

interface Climb extends Omit<Ladder, 'rungs'> {
  readonly shared: Shared;
  /** Lowest first. */
  readonly rungs: readonly RungEntry[];
  readonly besides?: readonly Beside[];
}

const ORIGIN = projectDefault('dose from common practice, hand load by the rung’s description');

/**
 * A ladder and the drills its rungs are practised in. Each practice has the one before as its easier
 * neighbour, and the general drills that it names.
 */
export function climb({ shared, rungs, besides = [], ...ladder }: Climb): {
  readonly ladder: Ladder;
  readonly practices: readonly Untaught[];
} {
  const idOf = (rung: RungEntry) => rung.practice.id ?? `practice-${rung.id}`;
  return {
    ladder: { ...ladder, rungs: rungs.map((rung) => ({ ...rung, practice: idOf(rung) })) },
    practices: [
      ...rungs.map((rung, i) => {
        const { easier = [], ...practice } = rung.practice;
        const { name, pose } = rung;
        const support = rung.support ? { support: rung.support } : {};
        const before = rungs[i - 1];
        return practised(
          shared,
          { name, pose, ...support, ...practice, id: idOf(rung), easier: [...(before ? [idOf(before)] : []), ...easier] },
          {
            ladderId: ladder.id,
            rungId: rung.id,
          },
        );
      }),
      ...besides.map((beside) => practised(shared, beside)),
    ],
  };
}

/** A drill with what its ladder shares filled in. */
function practised({ direction, loads, ...common }: Shared, { share = 0, support, ...own }: Beside, rung?: Drill['rung']): Untaught {
  const load = { direction, joints: loads };
  const handLoad = support ? { handLoad: load, support } : share > 0 ? { handLoad: { ...load, share } } : {};
  return drill({ ...common, origin: ORIGIN, ...own, ...handLoad, ...(rung ? { rung } : {}) });
}
