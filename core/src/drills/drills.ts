import { Refusal } from '../errors.ts';
import { ACTIVATION } from './catalogue/activation.ts';
import { HANG_PRACTICE } from './catalogue/hangPractice.ts';
import { COOL_DOWN, MOBILITY } from './catalogue/mobility.ts';
import { OPENERS } from './catalogue/openers.ts';
import { PUSH_PRACTICE } from './catalogue/pushPractice.ts';
import { STABILITY } from './catalogue/stability.ts';
import { STRENGTH } from './catalogue/strength.ts';
import type { Drill } from './drill.ts';

/** Every drill the product ships. */
export const DRILLS: readonly Drill[] = [
  ...OPENERS,
  ...MOBILITY,
  ...ACTIVATION,
  ...STABILITY,
  ...HANG_PRACTICE,
  ...PUSH_PRACTICE,
  ...STRENGTH,
  ...COOL_DOWN,
];

const BY_ID = new Map(DRILLS.map((d) => [d.id, d]));

/**
 * The drill of this id.
 *
 * @throws Refusal `drill-unknown`
 */
export function drillOf(id: string): Drill {
  const drill = BY_ID.get(id);
  if (!drill) throw new Refusal('drill-unknown', `There is no drill called "${id}".`);
  return drill;
}

export function isDrill(id: unknown): id is string {
  return typeof id === 'string' && BY_ID.has(id);
}
