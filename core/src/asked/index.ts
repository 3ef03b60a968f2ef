import type { RangeName } from '../motion/index.ts';
import { ASKED } from './table.ts';

/** The most of a range that a built-in movement asks of either side, degrees, and whether it is asked under load. */
export interface AskedPeak {
  readonly range: RangeName;
  readonly degrees: number;
  readonly loaded: boolean;
}

const PEAKS: ReadonlyMap<string, readonly AskedPeak[]> = new Map(
  Object.entries(ASKED).map(([id, peaks]) => [id, peaks.map(([range, degrees, loaded]) => ({ range, degrees, loaded: loaded === 1 }))]),
);

/**
 * The ranges that a drill's movement asks for, as they were worked out beforehand on a body of 1.70 m: its own, or those of the drill that
 * it was written from. Nothing where neither has a movement of its own.
 *
 * @example askedOf({ id: 'plank' }) // [{ range: 'wrist extension', degrees: 88, loaded: true }, …]
 */
export function askedOf({ id, movement = id }: { readonly id: string; readonly movement?: string | undefined }): readonly AskedPeak[] {
  return PEAKS.get(movement) ?? [];
}

/**
 * The most of a range that a drill's movement asks for, loaded or not, or under load alone; 0 where it asks for none worth saying.
 *
 * @example mostAsked({ id: 'plank' }, 'wrist extension') // 88
 */
export function mostAsked(drill: Parameters<typeof askedOf>[0], range: RangeName, which: 'any' | 'loaded' = 'any'): number {
  return Math.max(0, ...askedOf(drill).flatMap((a) => (a.range === range && (which === 'any' || a.loaded) ? [a.degrees] : [])));
}
