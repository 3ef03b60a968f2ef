import { Refusal } from '../errors.ts';
import { HANG_MEASURES, SUPPORT_MEASURES } from './catalogue/supportAndHang.ts';
import { SHOULDER_MEASURES } from './catalogue/shoulder.ts';
import { WRIST_AND_GRIP_MEASURES } from './catalogue/wristAndGrip.ts';
import { type Measure, WORKING_POSITIONS } from './measure.ts';

/** Every check the product knows, in the order of working positions. */
export const MEASURES: readonly Measure[] = [...SHOULDER_MEASURES, ...WRIST_AND_GRIP_MEASURES, ...SUPPORT_MEASURES, ...HANG_MEASURES].sort(
  (a, b) => WORKING_POSITIONS.indexOf(a.position) - WORKING_POSITIONS.indexOf(b.position),
);

const BY_ID = new Map(MEASURES.map((m) => [m.id, m]));

/**
 * The check of this id.
 *
 * @throws Refusal `measure-unknown`
 * @example measureOf('grip').unit // 'kg'
 */
export function measureOf(id: string): Measure {
  const measure = BY_ID.get(id);
  if (!measure) throw new Refusal('measure-unknown', `There is no check called "${id}".`);
  return measure;
}

export function isMeasure(id: unknown): id is string {
  return typeof id === 'string' && BY_ID.has(id);
}
