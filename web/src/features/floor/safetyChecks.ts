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

/** What holds the body, and how many times its mass it should be rated for (professional judgement, from memory). */
const HOLDS_THE_BODY: readonly Equipment[] = ['bar', 'row of bars', 'post', 'band'];
const RATED = { still: 2, swinging: 3 } as const;

/** What the equipment and positions of a session ask for before it starts. */
export function safetyChecks(
  drills: readonly (Pick<Drill, 'equipment' | 'position'> & { readonly support?: Drill['support'] })[],
  massKg: number,
): readonly string[] {
  const equipment = new Set(drills.flatMap((d) => d.equipment));
  const swings = drills.some((d) => d.support?.setUp.position === 'swing');
  const held = HOLDS_THE_BODY.filter((e) => equipment.has(e));
  const rated = Math.ceil((massKg * (swings ? RATED.swinging : RATED.still)) / 10) * 10;
  return [
    ...[...equipment].flatMap((e) => BY_EQUIPMENT[e] ?? []),
    ...(held.length > 0 ? [`What the body hangs on is rated for ${rated} kg at least: ${swings ? 'three times' : 'twice'} its mass.`] : []),
    ...(drills.some((d) => d.position === 'inverted')
      ? ['A spotter stands by for inversions, and a cushion lies where a fall frightens.']
      : []),
  ];
}
