import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { CheckDto, inspect } from '../contracts/index.ts';
import { instant } from '../quantities/index.ts';
import { describe, expect, it } from 'vitest';
import { blankCheck, cellKey, type CheckDraft, checkFrom, readCell, readMeasure } from './draft.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

let made = 0;
/** A valid UUID v7, another one each time. */
const newId = () => `0190d0a0-0000-7000-8000-${String(++made).padStart(12, '0')}`;
const now = instant('2026-11-24T12:00:00Z');
const flexion = measureOf('shoulder-flexion');

function typed(texts: Readonly<Record<string, string>>): CheckDraft {
  return {
    ...blankCheck(newId, now),
    cells: Object.fromEntries(Object.entries(texts).map(([key, text]) => [key, { trialId: newId(), text }])),
  };
}

describe('a cell', () => {
  it.each([
    ['', {}],
    ['  ', {}],
    ['160', { value: 160 }],
    [' 160,5 ', { value: 160.5 }],
    ['0', { value: 0 }],
  ])('%j', (text, read) => expect(readCell(flexion, text)).toEqual(read));

  it.each([
    ['400', /above the limit of 200°/],
    ['-4', /below the limit of 0°/],
    ['1e999', /a number is needed/],
    ['abc', /a number is needed, from 0° to 200°/],
    ['NaN', /a number is needed/],
  ])('%j says what is wrong', (text, problem) => expect(readCell(flexion, text).problem).toMatch(problem));
});

describe('a draft', () => {
  const draft = typed({
    [cellKey('shoulder-flexion', 'left', 0)]: '158',
    [cellKey('shoulder-flexion', 'left', 1)]: '400',
    [cellKey('shoulder-flexion', 'left', 2)]: '162',
    [cellKey('plank-hold', 'whole', 0)]: '40',
    [cellKey('plank-hold', 'whole', 1)]: '',
  });

  it('shows the capacity of what is readable so far, side by side', () => {
    const [left, right] = readMeasure(draft, flexion, now);
    expect(left).toMatchObject({ side: 'left', capacity: { value: 160, trials: 2 } });
    expect(left?.problems).toHaveLength(1);
    expect(right).toEqual({ side: 'right', problems: [] });
  });

  it('becomes a request the server takes, with stable ids', () => {
    const dto = checkFrom(draft, now, measureOf);
    expect(dto.trials.map((t) => [t.measureId, t.side, t.value])).toEqual([
      ['shoulder-flexion', 'left', 158],
      ['shoulder-flexion', 'left', 162],
      ['plank-hold', 'whole', 40],
    ]);
    expect(checkFrom(draft, now, measureOf)).toEqual(dto);
    expect(inspect(CheckDto, dto, { now: new Date(now), library: BUILT_IN_LIBRARY }).problems).toEqual([]);
  });
});
