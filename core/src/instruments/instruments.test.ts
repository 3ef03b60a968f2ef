import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import seedrandom from 'seedrandom';
import { describe, expect, it } from 'vitest';
import { readTrace } from '../traces/index.ts';
import {
  handLoadFromScale,
  held,
  instrumentFor,
  peak,
  SCENARIOS,
  type Script,
  standInReading,
  type Stream,
  traceFigure,
  turnedSince,
  upFrom,
} from './index.ts';

const { measure: measureOf, measures: MEASURES } = BUILT_IN_LIBRARY;

const RATE = 50;

/** What a stand-in gives until it is stopped or drops out. */
function play(script: Script, seconds: number): Stream & { readonly lost: boolean } {
  const random = seedrandom('stand-in');
  const times: number[] = [];
  const values: number[] = [];
  for (let i = 0; i < seconds * RATE; i++) {
    const reading = standInReading(script, i / RATE, random);
    if (reading === 'lost') return { times, values, lost: true };
    times.push(i / RATE);
    values.push(reading);
  }
  return { times, values, lost: false };
}

const asSamples = ({ times, values }: Stream) => ({ times, angles: values });

describe('a stand-in', () => {
  it('reads what it acts', () => {
    expect(held(play({ movement: 'rise and hold', target: 160, scenario: 'clean' }, 4), 0.5).value).toBeCloseTo(160, 0);
    expect(held(play({ movement: 'step on', target: 35, scenario: 'clean' }, 4), 2).value).toBeCloseTo(35, 0);
    expect(peak(play({ movement: 'squeeze', target: 42, scenario: 'clean' }, 4)).value).toBeCloseTo(42, 0);
    const swing = readTrace(asSamples(play({ movement: 'swing', target: 20, scenario: 'clean' }, 10))).swing;
    expect(swing.peakToPeak).toBeGreaterThan(16);
    expect(swing.period).toBeCloseTo(2, 1);
    const reps = readTrace(asSamples(play({ movement: 'repetitions', target: 50, scenario: 'clean' }, 0.5 + 7 * 3 + 0.4)));
    expect(reps.repetitions).toHaveLength(7);
  });

  it('shakes, drifts, drops out and talks nonsense when told to', () => {
    const act = (scenario: Script['scenario']) => play({ movement: 'rise and hold', target: 100, scenario }, 8);
    const still = (scenario: Script['scenario']) => {
      const { times, values } = act(scenario);
      return readTrace({ times: times.slice(100), angles: values.slice(100) });
    };
    expect(still('shaking').shake).toBeGreaterThan(3 * still('clean').shake!);
    expect(act('drifting').values.at(-1)!).toBeGreaterThan(106);
    expect(act('dropped connection')).toMatchObject({ lost: true });
    expect(act('dropped connection').times.at(-1)).toBeCloseTo(2.5, 1);
    expect(still('nonsense values').notices[0]).toMatch(/values that no body can show left out/);
    expect(SCENARIOS).toHaveLength(5);
  });
});

describe('a figure off a stream', () => {
  const times = [0, 0.1, 0.2, 0.3, 0.4];

  it('is the mean of the last moments, with its unrest', () => {
    expect(held({ times, values: [0, 0, 40, 42, 44] }, 0.2)).toEqual({ value: 42, unrest: 2, readings: 3 });
    expect(() => held({ times: [], values: [] }, 1)).toThrow('has not given a reading');
  });

  it('of a squeeze is its peak, and one spike is none', () => {
    const squeeze = Array.from({ length: 100 }, (_, i) => (i === 50 ? 90 : 40));
    const at100 = squeeze.map((_, i) => i / 100);
    expect(peak({ times: at100, values: squeeze }).value).toBeLessThan(46);
    expect(() => peak({ times: [], values: [] })).toThrow('has not given a reading');
  });

  it('of a scale is the share in the hands, wherever the scale lies', () => {
    expect(handLoadFromScale(21, 70, 'under the hands')).toBeCloseTo(30, 9);
    expect(handLoadFromScale(21, 70, 'under the feet')).toBeCloseTo(70, 9);
  });
});

it('each check that is read off an instrument knows which', () => {
  const kinds = new Set(MEASURES.map((m) => instrumentFor(m)?.kind));
  expect(kinds).toEqual(new Set(['inclinometer', 'dynamometer', 'scale', 'timer', undefined]));
  expect(instrumentFor(measureOf('release-swing'))).toEqual({ kind: 'inclinometer', movement: 'swing' });
  expect(instrumentFor(measureOf('peel-test'))).toBeUndefined();
});

describe('a phone as an inclinometer', () => {
  it('feels how far it has turned, whichever edge it lies along', () => {
    expect(turnedSince(upFrom(0, 0), upFrom(35, 0))).toBeCloseTo(35, 9);
    expect(turnedSince(upFrom(0, 0), upFrom(0, -50))).toBeCloseTo(50, 9);
    expect(turnedSince(upFrom(90, 0), upFrom(-20, 0))).toBeCloseTo(110, 9);
    expect(turnedSince(upFrom(0, 0), upFrom(180, 0))).toBeCloseTo(180, 9);
    expect(turnedSince(upFrom(30, 40), upFrom(30, 40))).toBeCloseTo(0, 6);
  });

  it('stays exact for the smallest turns, where an arc cosine would not', () =>
    expect(turnedSince(upFrom(12, 3), upFrom(12.001, 3))).toBeCloseTo(0.001, 6));
});

describe('a trace as the figure of a check', () => {
  const act = (script: Script, seconds: number) => readTrace(asSamples(play(script, seconds)));

  it('is a count, and the coach has the last word', () => {
    const reading = act({ movement: 'repetitions', target: 50, scenario: 'clean' }, 0.5 + 5 * 3 + 0.4);
    const counted = MEASURES.find((m) => instrumentFor(m)?.kind === 'inclinometer' && m.unit === 'reps')!;
    expect(traceFigure(counted, reading, [])?.value).toBe(5);
    expect(traceFigure(counted, reading, [{ what: 'leave out', at: reading.repetitions[0]!.turn }])?.value).toBe(4);
  });

  it('is a swing, a position or the length of a hold', () => {
    const swing = act({ movement: 'swing', target: 20, scenario: 'clean' }, 8);
    expect(traceFigure(measureOf('release-swing'), swing, [])?.words).toMatch(/^swing from end to end, 1\d°/);
    const held = act({ movement: 'rise and hold', target: 160, scenario: 'clean' }, 7);
    expect(traceFigure(measureOf('shoulder-flexion'), held, [])?.value).toBeCloseTo(160, -0.5);
    const seconds = traceFigure(measureOf('plank-hold'), held, [])!.value;
    expect(seconds).toBeGreaterThan(4.9);
    expect(seconds).toBeLessThan(6.6);
  });

  it('is nothing for a squeeze', () =>
    expect(traceFigure(measureOf('grip'), act({ movement: 'swing', target: 20, scenario: 'clean' }, 4), [])).toBeUndefined());
});
