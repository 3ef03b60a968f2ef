import type { Drill } from '@myokinet/core/drills';
import type { Ladder, Rung } from '@myokinet/core/ladders';
import type { Measure } from '@myokinet/core/measuring';

export const STUDIO_ORIGIN = { kind: 'studio', note: '' } as const;

/** A drill with everything still to be said. */
export function blankDrill(id: string): Drill {
  return {
    id,
    name: '',
    phase: 'stability',
    joint: 'shoulder',
    alsoWorks: [],
    motions: ['flexion'],
    quality: 'stability',
    position: 'standing',
    pose: 'standing',
    equipment: [],
    dose: { unit: 'reps', min: 8, max: 10, sets: 2, perSide: false, restSeconds: 40, tempo: { out: 2, hold: 0, back: 2 } },
    effort: { scale: 'effort', min: 3, max: 5 },
    trains: {},
    cue: '',
    faults: [],
    easier: [],
    excludedBy: [],
    aids: [],
    standIns: {},
    origin: STUDIO_ORIGIN,
  };
}

/** A drill to start from; it is nobody's rung practice. */
export function copyOfDrill({ rung: _, ...drill }: Drill, id: string): Drill {
  return { ...drill, id, movement: drill.movement ?? drill.id, name: `${drill.name}, copy`, origin: STUDIO_ORIGIN };
}

export function blankRung(id: string, practice: string): Rung {
  return { id, name: '', setUp: '', pose: 'standing', practice, demands: [] };
}

export function blankLadder(id: string, rung: Rung): Ladder {
  return { id, name: '', kind: 'push', aim: '', warnings: [], rungs: [rung] };
}

/** A check with everything still to be said. */
export function blankMeasure(id: string): Measure {
  return {
    id,
    name: '',
    phrase: '',
    unit: 'deg',
    joint: 'shoulder',
    motion: 'flexion',
    sided: true,
    better: 'more',
    trials: 3,
    combine: 'mean',
    error: { kind: 'amount', within: 2, between: 3, degreesOfFreedom: 4 },
    freshDays: 28,
    limits: { min: 0, max: 180, step: 1 },
    position: 'standing',
    instrument: '',
    protocol: [],
    origin: STUDIO_ORIGIN,
  };
}
