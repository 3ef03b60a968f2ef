import type { BodySide } from '../anatomy/index.ts';
import type { CheckDto, ReadingDto } from '../contracts/index.ts';
import {
  type Capacity,
  capacityFromTrials,
  type Measure,
  type MeasureOf,
  measureSides,
  type OwnError,
  type SkipReason,
  stopsMovement,
  strayTrial,
  trialFrom,
} from '../measuring/index.ts';
import type { Instant } from '../quantities/index.ts';
import { trialProblemInWords } from '../words/index.ts';

/** A check while it is being taken: texts as typed, so that nothing typed is ever lost. */
export interface CheckDraft {
  readonly id: string;
  /** Said where it was taken earlier; else fixed when it is first sent, so that a second try is the same request. */
  readonly takenAt: string | null;
  readonly startedAt: string;
  /** Which checks it is about: `gate`, `ladder`, `all`, or measure ids. */
  readonly scope: string;
  readonly note: string;
  readonly cells: Cells;
  /** By measure. */
  readonly skips: Skips;
  /** What the server has of it, by `cellKey`, `skip/…` or `note`. */
  readonly synced: Readonly<Record<string, string>>;
}

export type Cells = Readonly<Record<string, Cell>>;
export type Skips = Readonly<Record<string, SkipReason>>;

export interface Cell {
  readonly trialId: string;
  readonly text: string;
  /** Where the figure comes from; absent when it was typed. */
  readonly reading?: ReadingDto;
}

/** A battery before its first figure. */
export function blankCheck(newId: () => string, startedAt: Instant): CheckDraft {
  return { id: newId(), takenAt: null, startedAt, scope: 'gate', note: '', cells: {}, skips: {}, synced: {} };
}

export function cellKey(measureId: string, side: BodySide, ordinal: number): string {
  return `${measureId}/${side}/${ordinal}`;
}

/** What stands in one cell: nothing yet, a figure, or text with the reason it is none. */
export function readCell(measure: Measure, text: string): { readonly value?: number; readonly problem?: string } {
  const trimmed = text.trim().replace(',', '.').replace('−', '-');
  if (trimmed === '') return {};
  const value = Number(trimmed);
  const problem = trialProblemInWords(measure, value);
  return problem ? { problem } : { value };
}

export interface SideReading {
  readonly side: BodySide;
  readonly capacity?: Capacity;
  readonly problems: readonly string[];
  /** One trial that does not agree with the others, and which of them. */
  readonly stray?: { readonly ordinal: number; readonly off: number };
}

/** The capacities that the figures already give, and what is wrong with the rest. */
export function readMeasure(draft: Pick<CheckDraft, 'cells'>, measure: Measure, now: Instant, ownError?: OwnError): readonly SideReading[] {
  return measureSides(measure).map((side) => {
    const cells = Array.from({ length: measure.trials }, (_, ordinal) => {
      const cell = draft.cells[cellKey(measure.id, side, ordinal)];
      return { ordinal, reading: cell?.reading, ...readCell(measure, cell?.text ?? '') };
    });
    const filled = cells.flatMap(({ value, ...cell }) => (value === undefined ? [] : [{ ...cell, value }]));
    const trials = filled.map(({ value, reading }) => trialFrom(side, value, reading));
    const problems = cells.flatMap(({ problem }) => (problem ? [problem] : []));
    if (trials.length === 0) return { side, problems };
    const stray = strayTrial(
      measure,
      trials.map((t) => t.value),
      ownError?.within?.sd,
    );
    return {
      side,
      problems,
      capacity: capacityFromTrials(measure, trials, { takenAt: now, ownError }),
      ...(stray ? { stray: { ordinal: filled[stray.index]?.ordinal ?? 0, off: stray.off } } : {}),
    };
  });
}

/** The request a draft stands for: every readable figure, in order, and what stopped a movement or was left out. */
export function checkFrom(draft: CheckDraft, takenAt: string, measureOf: MeasureOf): CheckDto {
  const trials = Object.entries(draft.cells).flatMap(([key, { trialId, text, reading }]) => {
    const [measureId = '', side = ''] = key.split('/');
    const { value } = readCell(measureOf(measureId), text);
    return value === undefined ? [] : [{ id: trialId, measureId, side: side as BodySide, value, ...(reading ? { reading } : {}) }];
  });
  const taken = new Set(trials.map((t) => t.measureId));
  const skips = Object.entries(draft.skips).flatMap(([measureId, reason]) =>
    taken.has(measureId) && !stopsMovement(reason) ? [] : [{ measureId, reason }],
  );
  return { id: draft.id, takenAt, note: draft.note, trials, skips };
}
