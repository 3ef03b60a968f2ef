import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import { cellKey, type Cells } from './draft.ts';
import { firstEmpty, stateOf, stepsOf, whereToGoOn } from './steps.ts';

const { measure: measureOf, measures: MEASURES } = BUILT_IN_LIBRARY;

let made = 0;
/** A valid UUID v7, another one each time. */
const newId = () => `0190d0a0-0000-7000-8000-${String(++made).padStart(12, '0')}`;
const flexion = measureOf('shoulder-flexion');
const typed = (texts: Readonly<Record<string, string>>): Cells =>
  Object.fromEntries(Object.entries(texts).map(([key, text]) => [key, { trialId: newId(), text }]));
const all = (measureId: string, text: string): Cells =>
  typed(Object.fromEntries(stepsOf(measureOf(measureId)).map(({ key }) => [key, text])));

describe('the trials of a check', () => {
  it('stay on one side for a range, so that the goniometer is set up once', () =>
    expect(stepsOf(flexion).map((s) => `${s.side} ${s.ordinal}`)).toEqual(['left 0', 'left 1', 'left 2', 'right 0', 'right 1', 'right 2']));

  it('change sides for an effort, so that one rests while the other works', () =>
    expect(stepsOf(measureOf('grip')).map((s) => s.side)).toEqual(['left', 'right', 'left', 'right', 'left', 'right']));

  it('are each there once, for every check', () => {
    for (const measure of MEASURES) {
      const keys = stepsOf(measure).map((s) => s.key);
      expect(new Set(keys).size).toBe(keys.length);
      expect(keys).toHaveLength(measure.trials * (measure.sided ? 2 : 1));
    }
  });
});

describe('how far a battery is', () => {
  const skips = {};
  it('knows open, begun, done and skipped checks; a figure that cannot be is none', () => {
    const one = cellKey('shoulder-flexion', 'left', 0);
    expect(stateOf(flexion, { cells: {}, skips })).toBe('open');
    expect(stateOf(flexion, { cells: typed({ [one]: '158' }), skips })).toBe('begun');
    expect(stateOf(flexion, { cells: typed({ [one]: '958' }), skips })).toBe('open');
    expect(stateOf(flexion, { cells: all('shoulder-flexion', '158'), skips })).toBe('done');
    expect(stateOf(flexion, { cells: {}, skips: { 'shoulder-flexion': 'pain' } })).toBe('skipped');
    expect(stateOf(flexion, { cells: typed({ [one]: '158' }), skips: { 'shoulder-flexion': 'pain' } })).toBe('skipped');
    expect(stateOf(flexion, { cells: typed({ [one]: '158' }), skips: { 'shoulder-flexion': 'out of time' } })).toBe('begun');
  });

  it('goes on at the first check and trial that is missing', () => {
    const measures = [flexion, measureOf('grip')];
    const cells = all('shoulder-flexion', '158');
    expect(whereToGoOn(measures, { cells, skips })?.id).toBe('grip');
    expect(whereToGoOn(measures, { cells, skips: { grip: 'no equipment' } })).toBeUndefined();
    expect(firstEmpty(flexion, { cells: typed({ [cellKey('shoulder-flexion', 'left', 0)]: '158' }) })).toBe(1);
    expect(firstEmpty(flexion, { cells })).toBe(0);
  });
});
