import type { Drill, Equipment } from '@myokinet/core/drills';

/** What to look at before use (common practice, no source). */
const BY_EQUIPMENT: Readonly<Partial<Record<Equipment, string>>> = {
  bar: 'The bar holds a hard pull, and what is under it is soft.',
  'row of bars': 'Every bar or ring holds a hard pull, and what is under them is soft.',
  band: 'The band has no nicks, and its anchor holds.',
  bench: 'The bench or table stands firm and cannot slide.',
  step: 'The step stands firm.',
  post: 'The post or rope holds a hard pull.',
  'heavy weight': 'The way is free, and there is a place to set the weight down.',
};

/** What the equipment and positions of a session ask for before it starts. */
export function safetyChecks(drills: readonly Pick<Drill, 'equipment' | 'position'>[]): readonly string[] {
  const equipment = new Set(drills.flatMap((d) => d.equipment));
  return [
    ...[...equipment].flatMap((e) => BY_EQUIPMENT[e] ?? []),
    ...(drills.some((d) => d.position === 'inverted')
      ? ['A spotter stands by for inversions, and a cushion lies where a fall frightens.']
      : []),
  ];
}
