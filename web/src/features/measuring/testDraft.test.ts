import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { inspect, RepeatabilityTestDto } from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { blankRow, blankTest, figuresOf, forMeasure, readTest, type TestDraft } from './testDraft.ts';

const flexion = BUILT_IN_LIBRARY.measure('shoulder-flexion');
const now = instant('2026-11-24T12:00:00Z');
const bodies = [newId(), newId(), newId()];
const filled = (own: Partial<TestDraft> = {}): TestDraft => ({
  ...blankTest(flexion),
  measureId: 'shoulder-flexion',
  rows: [
    ['158 160', '161'],
    ['170', '168 169'],
    ['145', '149,5'],
  ].map(([first = '', second = ''], i) => ({ ...blankRow(flexion), traineeId: bodies[i] ?? '', first, second })),
  ...own,
});

describe('a repeatability test as it is typed', () => {
  it('reads figures parted by spaces, and names the one that cannot be', () => {
    expect(figuresOf(flexion, ' 158  160,5 ')).toEqual({ values: [158, 160.5] });
    expect(figuresOf(flexion, '158 400').problem).toMatch(/above the limit of 200°/);
    expect(figuresOf(flexion, 'abc').problem).toMatch(/a number is needed/);
    expect(figuresOf(flexion, '')).toEqual({ values: [] });
  });

  it('gives its result from three lines on, and a request the server takes', () => {
    const { result, dto, problems } = readTest(filled(), flexion, now);
    expect(problems).toEqual({});
    // Differences of the means: 2, −1.5 and 4.5; SEM² of one occasion is half the mean square of what is left, plus the shift.
    expect(result).toMatchObject({ targets: 3, occasions: 2, degreesOfFreedom: 2 });
    expect(inspect(RepeatabilityTestDto, dto, { now: new Date(now), library: BUILT_IN_LIBRARY }).problems).toEqual([]);
  });

  it('says what each line lacks', () => {
    const draft = filled();
    const [a, b, c] = draft.rows;
    const rows = [
      { ...a!, traineeId: '' },
      { ...b!, second: '' },
      { ...c!, traineeId: bodies[1]! },
    ];
    const { problems, result } = readTest({ ...draft, rows }, flexion, now);
    expect(Object.values(problems)).toEqual(['Whose figures are these?', 'Both times are needed.', 'This body and side is there already.']);
    expect(result).toBeUndefined();
  });

  it('goes over to another check with the sides that it has', () => {
    expect(forMeasure(filled(), BUILT_IN_LIBRARY.measure('arm-lean')).rows.every((r) => r.side === 'whole')).toBe(true);
    expect(forMeasure(filled(), BUILT_IN_LIBRARY.measure('grip')).rows.every((r) => r.side === 'left')).toBe(true);
  });
});
