import type { BodySide } from '@myokinet/core/anatomy';
import type { RepeatabilityTestDto } from '@myokinet/core/contracts';
import { type Measure, measureSides, type Repeatability, repeatability } from '@myokinet/core/measuring';
import { newId } from '../../client/newId.ts';
import { trialProblemInWords } from '@myokinet/core/words';

/** A repeatability test while it is typed: one line for each body or side that is measured twice. */
export interface TestDraft {
  readonly id: string;
  readonly takenAt: string | null;
  readonly measureId: string;
  readonly kind: 'one coach' | 'two coaches';
  readonly otherCoach: string;
  readonly rows: readonly TestRow[];
}

export interface TestRow {
  readonly id: string;
  readonly traineeId: string;
  readonly side: BodySide;
  /** Figures as typed, parted by spaces. */
  readonly first: string;
  readonly second: string;
}

/** A check with an error of measuring: what a test can tell something about. */
export const isTestable = (m: Measure) => m.error.kind === 'amount';
const FEWEST = 3;

/** @param measure the first of the checks that can be tested */
export function blankTest(measure: Measure): TestDraft {
  const measureId = measure.id;
  return {
    ...{ id: newId(), takenAt: null, measureId, kind: 'one coach', otherCoach: '' },
    rows: Array.from({ length: FEWEST }, () => blankRow(measure)),
  };
}

export function blankRow(measure: Measure): TestRow {
  return { id: newId(), traineeId: '', side: measureSides(measure)[0] ?? 'whole', first: '', second: '' };
}

/** Another check: the lines stay, on sides that it has. */
export function forMeasure(draft: TestDraft, measure: Measure): TestDraft {
  const sides = measureSides(measure);
  return {
    ...draft,
    measureId: measure.id,
    rows: draft.rows.map((r) => ({ ...r, side: sides.includes(r.side) ? r.side : (sides[0] ?? 'whole') })),
  };
}

interface ReadFigures {
  readonly values: readonly number[];
  readonly problem?: string;
}

/** Figures parted by spaces; a comma inside one is a decimal point. */
export function figuresOf(measure: Measure, text: string): ReadFigures {
  const values = text
    .trim()
    .split(/[\s;]+/)
    .filter((t) => t !== '')
    .map((t) => Number(t.replace(',', '.').replace('−', '-')));
  const problem = values.map((v) => trialProblemInWords(measure, v)).find((p) => p);
  return { values, ...(problem ? { problem } : {}) };
}

export interface ReadTest {
  /** The first thing wrong with each line, by its id. */
  readonly problems: Readonly<Record<string, string>>;
  readonly result?: Repeatability;
  readonly dto?: RepeatabilityTestDto;
}

/** What the test says so far, and what keeps it from being saved. */
export function readTest(draft: TestDraft, measure: Measure, takenAt: string): ReadTest {
  const lines = draft.rows.map((row) => ({ row, first: figuresOf(measure, row.first), second: figuresOf(measure, row.second) }));
  const problems: Record<string, string> = {};
  for (const { row, first, second } of lines) {
    const begun = first.values.length > 0 || second.values.length > 0;
    const twin = lines.find((l) => l.row.id !== row.id && l.row.traineeId === row.traineeId && l.row.side === row.side);
    const problem =
      first.problem ??
      second.problem ??
      (begun && row.traineeId === '' ? 'Whose figures are these?' : undefined) ??
      (begun && (first.values.length === 0 || second.values.length === 0) ? 'Both times are needed.' : undefined) ??
      (begun && twin && twin.row.id < row.id ? 'This body and side is there already.' : undefined);
    if (problem) problems[row.id] = problem;
  }
  const whole = lines.filter(({ row, first, second }) => !problems[row.id] && first.values.length > 0 && second.values.length > 0);
  if (whole.length < FEWEST) return { problems };
  const dto: RepeatabilityTestDto = {
    ...{ id: draft.id, takenAt, measureId: draft.measureId, kind: draft.kind },
    otherCoach: draft.kind === 'two coaches' ? draft.otherCoach.trim() : '',
    repeated: whole.map(({ row: { traineeId, side }, first, second }) => ({
      ...{ traineeId, side, measureId: draft.measureId },
      first: [...first.values],
      second: [...second.values],
    })),
  };
  return { problems, result: repeatability(whole.map(({ first, second }) => [first.values, second.values])), dto };
}
