import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { CheckReply, RecordReply } from '@myokinet/core/contracts';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { addDays, instant } from '@myokinet/core/quantities';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { changeInWords, originWords, sidesInWords } from '../checks/index.ts';
import { eventsOf, historyOf, occasionInWords } from './historyOf.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = instant('2026-11-24T12:00:00Z');
const capacity = (measureId: string, values: readonly number[], takenAt = now, side: 'left' | 'right' = 'left') =>
  capacityFromTrials(
    measureOf(measureId),
    values.map((value) => ({ side, value })),
    { takenAt },
  );
const check = (daysAgo: number, values: readonly number[], own: object = {}): CheckReply => {
  const takenAt = addDays(now, -daysAgo);
  return {
    ...{ id: newId(), takenAt, note: '', coach: 'Coach', skips: [] },
    trials: values.map((value) => ({ id: newId(), measureId: 'shoulder-flexion', side: 'left', value, ...own })),
    capacities: [capacity('shoulder-flexion', values, takenAt)],
  };
};

describe('the history of a check', () => {
  const [history] = historyOf(
    [check(2, [170, 171, 172]), check(30, [150, 151, 152]), check(60, [150, 150, 151])],
    BUILT_IN_LIBRARY.everyMeasure,
  );

  it('is oldest first, side by side, with the trials behind each figure', () => {
    expect(history?.measure.id).toBe('shoulder-flexion');
    expect(history?.series.map((s) => s.side)).toEqual(['left']);
    expect(history?.series[0]?.occasions.map((o) => o.capacity.value)).toEqual([150 + 1 / 3, 151, 171]);
    expect(history?.series[0]?.occasions[2]?.trials).toEqual([170, 171, 172]);
  });

  it('says of each occasion whether it is a real change', () => {
    const say = (i: number) => occasionInWords(history!.measure, history!.series[0]!, i);
    expect(say(0)).toMatch(/^150° ± \d°, trials 150°, 150°, 151°$/);
    expect(say(1)).toMatch(/; \+1°, inside the error band \(real from \d°\)$/);
    expect(say(2)).toMatch(/; \+20°, a real change$/);
    expect(say(9)).toBe('not taken');
  });

  it('leaves out corrected trials and names where figures came from', () => {
    const simulated = { reading: { kind: 'instrument', instrument: 'Simulated inclinometer', simulated: true } };
    const corrected = { ...check(1, [150, 160], simulated) };
    const [first, second] = corrected.trials;
    const [one] = historyOf([{ ...corrected, trials: [{ ...first!, replacedBy: newId() }, second!] }], BUILT_IN_LIBRARY.everyMeasure);
    expect(one?.series[0]?.occasions[0]).toMatchObject({ trials: [160], origin: 'simulated inclinometer' });
  });
});

it('puts clearances, withdrawals and symptoms in order of time; a painless note is no event', () => {
  const symptom = (intensity: number) => ({
    ...{
      id: newId(),
      sessionId: null,
      at: addDays(now, -3),
      intensity,
      place: 'wrist',
      side: 'left',
      kind: 'ache',
      moment: 'during',
      note: '',
    },
  });
  const record = {
    ...{ sessions: [], stopSigns: [], symptoms: [symptom(2), symptom(0)] },
    clearances: [{ rungName: 'Plank', signedAt: addDays(now, -9), withdrawnAt: addDays(now, -1), withdrawnReason: 'ache' }],
  } as unknown as RecordReply;
  expect(eventsOf(record).map((e) => `${e.kind}: ${e.words}`)).toEqual([
    'signed: Plank signed',
    'symptom: ache, left wrist, 2 of 10',
    'withdrawn: Plank withdrawn: ache',
  ]);
  expect(eventsOf(undefined)).toEqual([]);
});

describe('comparisons in words', () => {
  it('of grades go by better and worse', () => {
    const winging = measureOf('blade-winging');
    expect(changeInWords(winging, capacity('blade-winging', [1]), capacity('blade-winging', [0]))).toBe('winging slight before: better');
    expect(changeInWords(winging, capacity('blade-winging', [1]), capacity('blade-winging', [1]))).toBe('as before');
  });

  it('of the two sides name the one ahead', () => {
    const grip = measureOf('grip');
    expect(sidesInWords(grip, capacity('grip', [40, 40, 40]), capacity('grip', [40, 40, 40]))).toBe('sides alike');
    expect(sidesInWords(grip, capacity('grip', [40, 40, 40]), capacity('grip', [30, 30, 30]))).toMatch(
      /^left ahead by 10 kg \(weaker side 75%\)/,
    );
    expect(sidesInWords(grip, capacity('grip', [40, 40, 40]), capacity('grip', [39, 39, 39]))).toMatch(/^sides alike: 1 kg apart/);
  });
});

describe('where a figure comes from', () => {
  it.each([
    [undefined, undefined],
    [{ kind: 'instrument', instrument: 'Simulated scale', simulated: true }, 'simulated scale'],
    [{ kind: 'instrument', instrument: 'Stopwatch of the page', simulated: false }, 'stopwatch of the page'],
    [
      { kind: 'picture', instrument: 'Picture', simulated: false, points: [{ id: 'a', x: 1, y: 1, placedBy: 'suggested' }] },
      'picture, points suggested',
    ],
    [
      {
        kind: 'trace',
        instrument: 'a.csv',
        simulated: false,
        trace: { seconds: 9, rate: 50, counted: 5, corrections: [{ what: 'leave out', at: 2 }] },
      },
      'trace, a.csv, count corrected once',
    ],
  ] as const)('%#', (reading, words) => expect(originWords(reading as Parameters<typeof originWords>[0])).toBe(words));
});
