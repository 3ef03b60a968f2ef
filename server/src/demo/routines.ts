import type { RoutineDto } from '@myokinet/core/contracts';
import { BUILT_IN_COACH } from '../actor.ts';
import type { Services } from '../services.ts';

type Step = readonly [drillId: string, amount: number, restSeconds?: number];
type Block = Omit<RoutineDto['blocks'][number], 'id' | 'steps'>;

const block = (own: Partial<Block>): Block => ({ name: '', part: 'work', way: 'once', mirrored: false, ...own });

/** What a studio might teach: made up for the demo. */
const ROUTINES: readonly {
  readonly name: string;
  readonly purpose: RoutineDto['purpose'];
  readonly blocks: readonly (readonly [Block, readonly Step[]])[];
}[] = [
  {
    name: 'Before a climb',
    purpose: 'preparation',
    blocks: [
      [
        block({ name: 'Warm', part: 'warm-up' }),
        [
          ['march-and-swing', 90],
          ['wrist-circles', 12],
          ['arm-circles', 8],
        ],
      ],
      [
        block({ name: 'Shoulders and grip', way: 'rounds', rounds: 2 }),
        [
          ['wall-slides', 6, 15],
          ['feet-easy-hang', 15, 30],
          ['wall-scapular-push-up', 8, 20],
        ],
      ],
    ],
  },
  {
    name: 'Three minutes from the desk',
    purpose: 'short break',
    blocks: [
      [
        block({ way: 'stations', breaths: 4 }),
        [
          ['neck-loosening', 3],
          ['wall-slides', 4],
          ['wrist-circles', 10],
        ],
      ],
    ],
  },
];

/** Routines of the demo’s studio. */
export function seedRoutines({ routines }: Pick<Services, 'routines'>, newId: () => string): void {
  for (const { name, purpose, blocks } of ROUTINES)
    routines.save(BUILT_IN_COACH, newId(), {
      ...{ revision: newId(), basedOn: null, name, purpose, note: '' },
      blocks: blocks.map(([own, steps]) => ({
        ...own,
        id: newId(),
        steps: steps.map(([drillId, amount, restSeconds = 0]) => ({ id: newId(), kind: 'drill', drillId, amount, restSeconds })),
      })),
    });
}
