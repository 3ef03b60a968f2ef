import type { BodySide } from '../anatomy/index.ts';
import { type Measure, measureSides, stopsMovement } from '../measuring/index.ts';
import { cellKey, type CheckDraft, readCell } from './draft.ts';

/** One trial of a battery, where it goes. */
export interface TrialStep {
  readonly key: string;
  readonly side: BodySide;
  readonly ordinal: number;
}

/** Units of an effort: the other side goes while this one rests. */
const EFFORTS: readonly Measure['unit'][] = ['s', 'kg', 'reps'];

/** The trials of a check in the order they are taken. */
export function stepsOf(measure: Measure): readonly TrialStep[] {
  const sides = measureSides(measure);
  const ordinals = Array.from({ length: measure.trials }, (_, i) => i);
  const step = (side: BodySide, ordinal: number) => ({ key: cellKey(measure.id, side, ordinal), side, ordinal });
  return EFFORTS.includes(measure.unit)
    ? ordinals.flatMap((ordinal) => sides.map((side) => step(side, ordinal)))
    : sides.flatMap((side) => ordinals.map((ordinal) => step(side, ordinal)));
}

export type CheckState = 'skipped' | 'done' | 'begun' | 'open';

/** How far one check of the battery is; what was stopped is settled, whatever was reached. */
export function stateOf(measure: Measure, { cells, skips }: Pick<CheckDraft, 'cells' | 'skips'>): CheckState {
  const reason = skips[measure.id];
  if (reason && stopsMovement(reason)) return 'skipped';
  const filled = stepsOf(measure).filter(({ key }) => readCell(measure, cells[key]?.text ?? '').value !== undefined).length;
  if (filled === 0) return reason ? 'skipped' : 'open';
  return filled === stepsOf(measure).length ? 'done' : 'begun';
}

/** Where to go on: the first check that is neither done nor skipped. */
export function whereToGoOn(measures: readonly Measure[], draft: Pick<CheckDraft, 'cells' | 'skips'>): Measure | undefined {
  return measures.find((m) => ['begun', 'open'].includes(stateOf(m, draft)));
}

/** The first trial of a check that has no figure yet; the first of all when every one has. */
export function firstEmpty(measure: Measure, { cells }: Pick<CheckDraft, 'cells'>): number {
  const at = stepsOf(measure).findIndex(({ key }) => !cells[key]?.text.trim());
  return Math.max(0, at);
}
