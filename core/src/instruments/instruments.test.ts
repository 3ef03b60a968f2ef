import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import seedrandom from 'seedrandom';
import { describe, expect, it } from 'vitest';
import type { Motion } from '../anatomy/index.ts';
import type { WorkingPosition } from '../measuring/index.ts';
import { readTrace } from '../traces/index.ts';
import {
  handLoadFromScale,
  held,
  instrumentFor,
  peak,
  SCENARIOS,
  type Script,
  standInReading,
  steadyPeak,
  steadyReading,
  tiltFeels,
  turnIn,
  turnPlane,
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

  it('of a squeeze that lasts less than a tenth of a second is the mean of what there is, else a whole tenth counts', () => {
    expect(peak({ times: [0, 0.02, 0.04], values: [10, 20, 60] })).toEqual({ value: 30, unrest: 0, readings: 3 });
    // The first readings span no tenth of a second yet: 90 for a moment at the start is no peak.
    const start = Array.from({ length: 50 }, (_, i) => (i < 3 ? 90 : 40));
    const told = peak({ times: start.map((_, i) => 3 + i / 50), values: start });
    expect(told.value).toBeLessThan(75);
    expect(told.readings).toBeGreaterThan(4);
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

describe('a direction', () => {
  const zero = upFrom(0, 0);
  const plane = turnPlane(zero, upFrom(20, 0))!;

  it('is told by a small turn, after which the other way is negative', () => {
    for (let degrees = -150; degrees <= 150; degrees += 10) expect(turnIn(plane, upFrom(degrees, 0)).angle).toBeCloseTo(degrees, 6);
    expect(turnIn(turnPlane(zero, upFrom(-20, 0))!, upFrom(-65, 0)).angle).toBeCloseTo(65, 6);
    expect(turnPlane(zero, upFrom(5, 0))).toBeUndefined();
    expect(turnPlane(zero, upFrom(178, 0))).toBeUndefined();
  });

  it('goes on beyond straight up: 190° is not 170°, whichever edge the phone lies along (seeded)', () => {
    const random = seedrandom('tilt');
    for (let n = 0; n < 200; n++) {
      const [beta, gamma] = [random() * 360 - 180, random() * 160 - 80];
      const start = upFrom(beta, gamma);
      // Any turn about any level axis through the device, by Rodrigues' formula.
      const any = upFrom(random() * 360 - 180, random() * 160 - 80);
      const further = turnPlane(start, any);
      if (!further) continue;
      const [kx, ky, kz] = further.axis;
      const turned = (degrees: number) => {
        const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        const [x, y, z] = start;
        return [x * c + (ky * z - kz * y) * s, y * c + (kz * x - kx * z) * s, z * c + (kx * y - ky * x) * s] as const;
      };
      let seen = 0;
      for (let degrees = 0; degrees <= 200; degrees += 10) seen = turnIn(further, turned(degrees), seen).angle;
      expect(seen).toBeCloseTo(200, 6);
      let back = 0;
      for (let degrees = 0; degrees >= -30; degrees -= 10) back = turnIn(further, turned(degrees), back).angle;
      expect(back).toBeCloseTo(-30, 6);
    }
  });

  it('knows how far it leans out of its plane', () => expect(turnIn(plane, upFrom(0, 25)).outOfPlane).toBeCloseTo(25, 6));

  it('about the vertical is not felt, and such a check is not offered', () => {
    const felt = (id: string) => tiltFeels(measureOf(id));
    expect(['shoulder-flexion', 'wrist-extension', 'pronation', 'shoulder-external-rotation', 'elbow-extension'].map(felt)).toEqual(
      new Array(5).fill(true),
    );
    expect(
      ['horizontal-adduction', 'neck-rotation', 'radial-deviation', 'ulnar-deviation', 'pike-hip-angle', 'elbow-crease'].map(felt),
    ).toEqual(new Array(6).fill(false));
    // Lying down the vertical is another way through the body.
    const moved = (motion: Motion, position: WorkingPosition) => tiltFeels({ motion, position, joint: 'shoulder' });
    expect(moved('abduction', 'supine')).toBe(false);
    expect(moved('horizontal adduction', 'supine')).toBe(true);
    expect([moved('rotation', 'standing'), moved('rotation', 'seated'), moved('rotation', 'hands and knees')]).toEqual([
      false,
      false,
      true,
    ]);
  });
});

describe('a still moment', () => {
  const range = { unit: 'deg', min: -360, max: 360 } as const;
  const asked = { range, zeroed: true, directed: true };
  const stream = (value: (t: number) => number, seconds = 3): Stream => {
    const times = Array.from({ length: seconds * RATE }, (_, i) => i / RATE);
    return { times, values: times.map(value) };
  };
  const why = (s: Stream, more: object = {}, kind: 'angle' | 'load' = 'angle') => {
    const reading = steadyReading(s, kind, { ...asked, ...more });
    return 'unsteady' in reading ? reading.unsteady.why : reading.taken;
  };

  it('gives its mean, with its scatter for an error', () =>
    expect(why(stream((t) => 160 + Math.sin(2 * Math.PI * 4 * t)))).toMatchObject({
      value: expect.closeTo(160, 0) as number,
      unrest: expect.closeTo(0.7, 1) as number,
    }));

  it.each<[string, Stream, object, string]>([
    ['never set to zero', stream(() => 90), { zeroed: false }, 'not set to zero'],
    ['never told which way', stream(() => 90), { directed: false }, 'direction unknown'],
    ['just begun', { times: [0, 0.02], values: [90, 90] }, {}, 'too short'],
    ['still rising', stream((t) => 30 * t), {}, 'drifting'],
    ['drifting 4° a second', stream((t) => 90 + 10 * t), {}, 'drifting'],
    ['trembling', stream((t) => 90 + 5 * Math.sin(2 * Math.PI * 6 * t)), {}, 'moving'],
    ['at its stop', stream(() => 360), {}, 'over range'],
    ['leaning out of the plane', stream(() => 90), { outOfPlane: 31 }, 'out of plane'],
  ])('%s there is none', (_, s, more, expected) => expect(why(s, more)).toBe(expected));

  it('a load needs two quiet seconds, and a squeeze starts at nothing', () => {
    const kg = { range: { unit: 'kg', min: -20, max: 250 } } as const;
    expect(
      why(
        stream(() => 30, 4),
        kg,
        'load',
      ),
    ).toMatchObject({ value: 30 });
    expect(
      why(
        stream((t) => 30 + 3 * t, 4),
        kg,
        'load',
      ),
    ).toBe('drifting');
    const squeeze = (rest: number) =>
      steadyPeak(
        stream((t) => (t < 0.5 ? rest : 40)),
        { ...kg, zeroed: true },
      );
    expect(squeeze(0)).toMatchObject({ taken: { value: 40 } });
    expect(squeeze(4)).toEqual({ unsteady: { why: 'does not start at zero', by: 4, limit: 1.5 } });
    // What it shows at first counts, not what it comes down to later; a quiver of a kilogram is nothing.
    const falling = stream((t) => (t < 0.4 ? 4 : t < 2 ? 40 : 0));
    expect(steadyPeak(falling, { ...kg, zeroed: true })).toMatchObject({ unsteady: { why: 'does not start at zero' } });
    expect(squeeze(1.5)).toMatchObject({ taken: { value: 40 } });
    expect(squeeze(-1.6)).toMatchObject({ unsteady: { by: -1.6 } });
    expect(
      steadyPeak(
        stream((t) => (t < 0.5 ? 0 : 40)),
        { ...kg, zeroed: false },
      ),
    ).toEqual({ unsteady: { why: 'not set to zero' } });
    expect(steadyPeak({ times: [0, 0.1], values: [0, 40] }, { ...kg, zeroed: true })).toMatchObject({ unsteady: { why: 'too short' } });
    // The peak was at the end of its range, though the hand has let go since.
    const beyond = stream((t) => (t > 0.5 && t < 1.5 ? 250 : 0));
    expect(steadyPeak(beyond, { ...kg, zeroed: true })).toEqual({ unsteady: { why: 'over range', value: 250, limit: 250 } });
  });

  it('is as still as its limits: at them it counts, beyond them not', () => {
    const swaying = (by: number) => why(stream((t) => 90 + by * Math.SQRT2 * Math.sin(2 * Math.PI * 4 * t)));
    expect(swaying(1.9)).toMatchObject({ unrest: expect.closeTo(1.9, 1) as number });
    expect(swaying(2.2)).toBe('moving');
    expect(why(stream((t) => 90 + 5.6 * t))).toMatchObject({ readings: expect.any(Number) as number });
    expect(why(stream((t) => 90 - 6.4 * t))).toBe('drifting');
    expect(
      why(
        stream(() => 90),
        { outOfPlane: 20 },
      ),
    ).toMatchObject({ value: 90 });
    expect(why(stream(() => -360))).toBe('over range');
    expect(why({ times: [0, 0.25, 0.5], values: [90, 90, 90] })).toMatchObject({ value: 90, readings: 3 });
  });
});

describe('a trace as the figure of a check', () => {
  const act = (script: Script, seconds: number) => readTrace(asSamples(play(script, seconds)));

  it('is a count, and the coach has the last word', () => {
    const reading = act({ movement: 'repetitions', target: 50, scenario: 'clean' }, 0.5 + 5 * 3 + 0.4);
    const counted = MEASURES.find((m) => instrumentFor(m)?.kind === 'inclinometer' && m.unit === 'reps')!;
    expect(traceFigure(counted, reading, {})?.value).toBe(5);
    expect(traceFigure(counted, reading, { corrections: [{ what: 'leave out', at: reading.repetitions[0]!.turn }] })?.value).toBe(4);
  });

  it('is a swing, a position or the length of a hold', () => {
    const swing = act({ movement: 'swing', target: 20, scenario: 'clean' }, 8);
    expect(traceFigure(measureOf('release-swing'), swing, {})?.said).toMatch(/^1\d°/);
    const held = act({ movement: 'rise and hold', target: 160, scenario: 'clean' }, 7);
    expect(traceFigure(measureOf('shoulder-flexion'), held, {})?.value).toBeCloseTo(160, -0.5);
    expect(traceFigure(measureOf('shoulder-flexion'), held, { zero: 10 })?.value).toBeCloseTo(150, -0.5);
    const seconds = traceFigure(measureOf('plank-hold'), held, {})!.value;
    expect(seconds).toBeGreaterThan(4.9);
    expect(seconds).toBeLessThan(6.6);
  });

  it('is nothing for a squeeze, unless it is of a load', () => {
    const squeeze = asSamples(play({ movement: 'squeeze', target: 40, scenario: 'clean' }, 4));
    expect(traceFigure(measureOf('grip'), readTrace(squeeze), {})).toBeUndefined();
    expect(traceFigure(measureOf('grip'), readTrace(squeeze, { quantity: 'load' }), {})!.value).toBeCloseTo(40, -0.3);
  });

  it('is no angle and no hold out of accelerations', () => {
    const shaken = readTrace(asSamples(play({ movement: 'repetitions', target: 40, scenario: 'clean' }, 14)), { quantity: 'acceleration' });
    for (const id of ['shoulder-flexion', 'release-swing', 'plank-hold', 'grip'])
      expect(traceFigure(measureOf(id), shaken, {})).toBeUndefined();
    const counted = MEASURES.find((m) => m.device === 'repetitions')!;
    expect(traceFigure(counted, shaken, {})!.value).toBe(4);
  });

  it('of a swing that lost its sides is asked for: 12° up from zero each time may be 24° from end to end', () => {
    const swinging = (t: number) => 12 * Math.exp(-t / 30) * Math.sin((2 * Math.PI * t) / 2);
    const of = (value: (t: number) => number) => {
      const times = Array.from({ length: 10 * RATE }, (_, i) => i / RATE);
      return readTrace({ times, angles: times.map(value) });
    };
    const whole = of(swinging);
    expect(whole.swing.folded).toBeUndefined();
    expect(traceFigure(measureOf('release-swing'), whole, {})!.value).toBeCloseTo(23, -0.5);
    const folded = of((t) => Math.abs(swinging(t)));
    expect(folded.swing.folded).toBe(true);
    expect(traceFigure(measureOf('release-swing'), folded, {})).toBeUndefined();
    expect(traceFigure(measureOf('release-swing'), folded, { sides: 'two' })!.value).toBeGreaterThan(20);
    expect(traceFigure(measureOf('release-swing'), folded, { sides: 'one' })!.value).toBeLessThan(13);
  });
});
