import type { BodySide } from '@myokinet/core/anatomy';
import type { CheckDto } from '@myokinet/core/contracts';
import { type Capacity, capacityFromTrials, type Measure, measureOf, measureSides, trialProblem } from '@myokinet/core/measuring';
import type { Instant } from '@myokinet/core/quantities';
import { newId } from '../app/newId.ts';

/** A check while it is being taken: texts as typed, so that nothing typed is ever lost. */
export interface CheckDraft {
  readonly id: string;
  /** Fixed when it is first sent, so that a second try is the same request. */
  readonly takenAt: string | null;
  readonly note: string;
  readonly cells: Readonly<Record<string, Cell>>;
}

export interface Cell {
  readonly trialId: string;
  readonly text: string;
}

export function blankCheck(): CheckDraft {
  return { id: newId(), takenAt: null, note: '', cells: {} };
}

export function cellKey(measureId: string, side: BodySide, ordinal: number): string {
  return `${measureId}/${side}/${ordinal}`;
}

/** What stands in one cell: nothing yet, a figure, or text with the reason it is none. */
export function readCell(measure: Measure, text: string): { readonly value?: number; readonly problem?: string } {
  const trimmed = text.trim().replace(',', '.').replace('−', '-');
  if (trimmed === '') return {};
  const value = Number(trimmed);
  const problem = trialProblem(measure, value);
  return problem ? { problem } : { value };
}

export interface SideReading {
  readonly side: BodySide;
  readonly capacity?: Capacity;
  readonly problems: readonly string[];
}

/** The capacities that the typed figures already give, and what is wrong with the rest. */
export function readMeasure(draft: CheckDraft, measure: Measure, now: Instant): readonly SideReading[] {
  return measureSides(measure).map((side) => {
    const cells = Array.from({ length: measure.trials }, (_, i) =>
      readCell(measure, draft.cells[cellKey(measure.id, side, i)]?.text ?? ''),
    );
    const trials = cells.flatMap(({ value }) => (value === undefined ? [] : [{ side, value }]));
    const problems = cells.flatMap(({ problem }) => (problem ? [problem] : []));
    return { side, problems, ...(trials.length > 0 ? { capacity: capacityFromTrials(measure, trials, { takenAt: now }) } : {}) };
  });
}

/** The request a draft stands for: every readable figure, in order. */
export function checkFrom(draft: CheckDraft, takenAt: string): CheckDto {
  const trials = Object.entries(draft.cells).flatMap(([key, { trialId, text }]) => {
    const [measureId = '', side = ''] = key.split('/');
    const { value } = readCell(measureOf(measureId), text);
    return value === undefined ? [] : [{ id: trialId, measureId, side: side as BodySide, value }];
  });
  return { id: draft.id, takenAt, note: draft.note, trials };
}
