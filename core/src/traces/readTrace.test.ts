import fc from 'fast-check';
import seedrandom from 'seedrandom';
import { describe, expect, it } from 'vitest';
import { cleanCount, countAfter, readTrace, type Samples, traceSummary, trimmed } from './index.ts';

const RATE = 100;

/** `count` movements between 0° and `range`, each lasting `period` seconds, with a second of rest at either end. */
function movement({ count = 6, range = 60, period = 3, noise = 0, rate = RATE, seed = 1 } = {}): Samples {
  const normal = normalFrom(seed);
  const length = Math.round((count * period + 2) * rate);
  const times = Array.from({ length }, (_, i) => i / rate);
  const angles = times.map((t) => {
    const at = Math.max(0, Math.min(count * period, t - 1));
    return (range / 2) * (1 - Math.cos((2 * Math.PI * at) / period)) + noise * normal();
  });
  return { times, angles };
}

function normalFrom(seed: number): () => number {
  const random = seedrandom(String(seed));
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

const from = (length: number, angle: (t: number) => number, rate = RATE): Samples => {
  const times = Array.from({ length }, (_, i) => i / rate);
  return { times, angles: times.map(angle) };
};

describe('repetitions', () => {
  it('are counted with range, tempo, speed and evenness', () => {
    const { repetitions } = readTrace(movement());
    expect(repetitions).toHaveLength(6);
    for (const r of repetitions) {
      expect(r.range).toBeCloseTo(60, 0);
      expect(r.peak).toBeCloseTo(60, 0);
      // Half of three seconds each way: the slow ends belong to it.
      expect(r.outTime).toBeCloseTo(1.5, 1);
      expect(r.backTime).toBeCloseTo(1.5, 1);
      expect(r.evenness).toBeGreaterThan(0.95);
      // The steepest part of a cosine of 30° and 3 s: 30·2π/3 = 62.8°/s.
      expect(r.peakSpeed).toBeCloseTo(62.8, 0);
    }
    expect(repetitions[1]!.turn - repetitions[0]!.turn).toBeCloseTo(3, 1);
  });

  it('are counted exactly up to noise with a standard deviation of 8 % of the range (seeded)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 15 }),
        fc.integer({ min: 20, max: 150 }),
        fc.integer({ min: 15, max: 50 }),
        fc.integer({ min: 0, max: 8 }),
        fc.constantFrom(25, 50, 100, 200),
        fc.integer(),
        (count, range, tenths, noisePercent, rate, seed) => {
          const trace = movement({ count, range, period: tenths / 10, noise: (range * noisePercent) / 100, rate, seed });
          expect(readTrace(trace).repetitions).toHaveLength(count);
        },
      ),
      { seed: 7, numRuns: 120 },
    );
  });

  it.each([0, 3, 4.5, 6])('have the range that they have, also with noise of %s° on 60° (seeded)', (noise) => {
    const ranges = [1, 2, 3, 4].flatMap((seed) => readTrace(movement({ noise, seed, count: 10 })).repetitions.map((r) => r.range));
    expect(ranges).toHaveLength(40);
    const mean = ranges.reduce((sum, r) => sum + r, 0) / ranges.length;
    // The largest of noisy samples alone would run high by 5 to 12 %.
    expect(mean / 60).toBeGreaterThan(0.97);
    expect(mean / 60).toBeLessThan(1.03);
  });

  it('take as long as they take, between pauses too', () => {
    // Two seconds down below, out in 1.2 s with even speed, one second up there, back in 2 s.
    const angle = (t: number) => {
      const at = Math.max(0, t - 1) % 6.2;
      if (t < 1 || at < 2) return 0;
      if (at < 3.2) return (60 * (at - 2)) / 1.2;
      return at < 4.2 ? 60 : 60 - (60 * (at - 4.2)) / 2;
    };
    const { repetitions } = readTrace(from(Math.round((1 + 4 * 6.2) * RATE), angle));
    expect(repetitions).toHaveLength(4);
    for (const r of repetitions.slice(0, 3)) {
      expect(Math.abs(r.outTime - 1.2)).toBeLessThan(0.15);
      expect(Math.abs(r.backTime - 2)).toBeLessThan(0.2);
    }
  });

  it('may start at the far end: a movement down and up counts just so', () => {
    const { times, angles } = movement({ count: 4 });
    expect(readTrace({ times, angles: Array.from(angles, (a) => 180 - a) }).repetitions.map((r) => Math.round(r.peak))).toEqual([
      120, 120, 120, 120,
    ]);
  });

  it('leave out the half that was not finished', () => {
    const { times, angles } = movement({ count: 3, period: 4 });
    const cut = Math.round((1 + 2 * 4 + 2) * RATE);
    expect(readTrace({ times: Array.from(times).slice(0, cut), angles: Array.from(angles).slice(0, cut) }).repetitions).toHaveLength(2);
  });

  it('ignore unrest below five degrees', () => expect(readTrace(movement({ range: 4 })).repetitions).toHaveLength(0));

  it('know a slow way back, and where the way out sticks', () => {
    // Up in 3 s with one second more between 40° and 50°, down in 6 s.
    const knots: [number, number][] = [
      [1, 0],
      [2.2, 40],
      [3.5, 50],
      [5, 100],
      [11, 0],
    ];
    const angle = (t: number) => {
      const i = knots.findIndex(([at]) => t < at);
      if (i <= 0) return 0;
      const [[t0, a0] = [0, 0], [t1, a1] = [0, 0]] = [knots[i - 1], knots[i]];
      return a0 + ((a1 - a0) * (t - t0)) / (t1 - t0);
    };
    const [r] = readTrace(from(12 * RATE, angle)).repetitions;
    expect(r!.backTime).toBeGreaterThan(1.3 * r!.outTime);
    expect(r!.evenness).toBeLessThan(0.75);
    expect(r!.sticking?.angle).toBeCloseTo(45, 0);
    expect(r!.sticking?.slowdown).toBeGreaterThan(3);
    expect(readTrace(movement()).repetitions[0]!.sticking).toBeUndefined();
  });

  it('obey the coach, who may leave out one and add another', () => {
    const reading = readTrace(movement({ count: 5 }));
    const out = { what: 'leave out', at: reading.repetitions[1]!.turn } as const;
    expect(countAfter(reading, [])).toBe(5);
    expect(countAfter(reading, [out])).toBe(4);
    expect(countAfter(reading, [out, out])).toBe(4);
    expect(countAfter(reading, [out, { what: 'count as well', at: 0.5 }])).toBe(5);
    expect(countAfter(reading, [{ what: 'leave out', at: 0.123 }])).toBe(5);
  });
});

/** Movements of the ranges given, one after another, each lasting its seconds. */
function set(ranges: readonly number[], seconds: readonly number[] = ranges.map(() => 3)): Samples {
  const starts = seconds.map((_, i) => seconds.slice(0, i).reduce((sum, s) => sum + s, 1));
  const end = seconds.reduce((sum, s) => sum + s, 2);
  return from(Math.round(end * RATE), (t) => {
    const nth = starts.findLastIndex((s) => t >= s);
    const at = t - (starts[nth] ?? 0);
    return nth < 0 || at > seconds[nth]! ? 0 : (ranges[nth]! / 2) * (1 - Math.cos((2 * Math.PI * at) / seconds[nth]!));
  });
}

describe('a clean count', () => {
  it('ends where the range falls off: 41, 41, 39, 37, 31, 25, 22, 20° is about five, not eight', () => {
    const reading = readTrace(set([41, 41, 39, 37, 31, 25, 22, 20]));
    expect(reading.repetitions).toHaveLength(8);
    expect(countAfter(reading, [])).toBe(5);
    expect(cleanCount(reading.repetitions).fellOff).toMatchObject({ what: 'range', at: reading.repetitions[5]!.turn });
    // The coach saw that the sixth was whole.
    expect(countAfter(reading, [{ what: 'count as well', at: reading.repetitions[5]!.turn }])).toBe(6);
  });

  it('ends where the tempo is lost, hurried or stuck', () => {
    expect(cleanCount(readTrace(set([40, 40, 40, 40], [3, 3, 3, 1.2])).repetitions)).toMatchObject({
      clean: 3,
      fellOff: { what: 'tempo' },
    });
    expect(cleanCount(readTrace(set([40, 40, 40, 40], [3, 3, 3, 6])).repetitions)).toMatchObject({ clean: 3, fellOff: { what: 'tempo' } });
  });

  it('of an even set is all of it, and none of none', () => {
    expect(cleanCount(readTrace(movement({ count: 9 })).repetitions)).toEqual({ clean: 9 });
    expect(cleanCount([])).toEqual({ clean: 0 });
  });
});

describe('a summary', () => {
  it('keeps range, tempo, evenness and a curve of at most 120 points', () => {
    const summary = traceSummary(readTrace(set([41, 41, 39, 37, 31, 25, 22, 20])));
    expect(summary).toMatchObject({ quantity: 'angle', clean: 5, fellOff: 'range' });
    expect(summary.range).toBeCloseTo((41 + 41 + 39 + 37 + 31) / 5, 0);
    expect(summary.tempo).toBeCloseTo(3, 0);
    expect(summary.curve.length).toBeGreaterThan(60);
    expect(summary.curve.length).toBeLessThanOrEqual(120);
    expect(traceSummary(readTrace(from(RATE, () => 40)))).not.toHaveProperty('range');
  });

  it('is of the part that was kept: walking in and out cut off', () => {
    const walking = set([90, 40, 40, 40, 90]);
    expect(countAfter(readTrace(walking), [])).toBe(5);
    expect(countAfter(readTrace(trimmed(walking, 4, 13)), [])).toBe(3);
    expect(trimmed({ times: [10, 11, 12], angles: [5, 6, 7] }, 0.5, 2)).toEqual({ times: [11, 12], angles: [6, 7] });
  });
});

describe('a trace of something else', () => {
  it('is read in its own scale', () => {
    const load = from(20 * RATE, (t) => (t < 2 || t > 18 ? 0 : 400 + Math.sin(t)));
    expect(() => readTrace(from(20 * RATE, (t) => 800 + t))).toThrow('can be read');
    expect(readTrace(load, { quantity: 'load' }).hold!.mean).toBeCloseTo(400, 0);
    // 1.5 m/s² of a slow push is a movement, 1.5° are not.
    const shaken = from(20 * RATE, (t) => 0.75 * Math.sin((2 * Math.PI * t) / 2));
    expect(readTrace(shaken, { quantity: 'acceleration' }).repetitions.length).toBeGreaterThan(7);
    expect(readTrace(shaken).repetitions).toHaveLength(0);
  });

  it('of exactly 20 samples a second is read, its times rounded to the millisecond or not', () => {
    for (const times of [0.05, 0.0501]) {
      const samples = {
        times: Array.from({ length: 200 }, (_, i) => Math.round(i * times * 1000) / 1000),
        angles: new Array(200).fill(40),
      };
      expect(readTrace(samples).hold!.mean).toBeCloseTo(40, 6);
    }
  });
});

describe('a hold', () => {
  it('is the longest stretch inside the tolerance, with its mean and steadiness', () => {
    // Ramp to 90° in 2 s, held 10 s swaying ±1° at 0.5 Hz, down in 2 s.
    const angle = (t: number) => (t < 2 ? 45 * t : t < 12 ? 90 + Math.sin(2 * Math.PI * 0.5 * (t - 2)) : Math.max(0, 90 - 45 * (t - 12)));
    const { hold } = readTrace(from(15 * RATE, angle));
    expect(hold!.to - hold!.from).toBeGreaterThan(9.9);
    expect(hold!.to - hold!.from).toBeLessThan(10.3);
    expect(hold!.mean).toBeCloseTo(90, 0);
    // The sway alone is 0.71°; the last moments of the ramps inside ±3° add a little.
    expect(hold!.sd).toBeGreaterThan(0.7);
    expect(hold!.sd).toBeLessThan(0.9);
    const strict = readTrace(from(15 * RATE, angle), { tolerance: 0.5 }).hold;
    expect(strict!.to - strict!.from).toBeLessThan(2);
  });
});

describe('shake and swing', () => {
  it('shake is what trembles between 4 and 12 Hz, whatever the limb does besides', () => {
    const still = readTrace(from(10 * RATE, (t) => 90 + 1.5 * Math.sin(2 * Math.PI * 7 * t)));
    expect(still.shake).toBeCloseTo(1.5 * Math.SQRT1_2, 1);
    const moving = readTrace(from(20 * RATE, (t) => 45 - 45 * Math.cos(2 * Math.PI * 0.3 * t) + 1.5 * Math.sin(2 * Math.PI * 7 * t)));
    expect(moving.shake).toBeCloseTo(1.5 * Math.SQRT1_2, 1);
    expect(readTrace(from(10 * RATE, () => 90)).shake).toBeCloseTo(0, 6);
  });

  it('is not told where the sampling is too slow for it', () => expect(readTrace(from(200, (t) => 45 * t, 20)).shake).toBeUndefined());

  it('swing has the peak to peak and period of a pendulum', () => {
    const { swing } = readTrace(from(10 * RATE, (t) => 10 * Math.sin((2 * Math.PI * t) / 1.6)));
    expect(swing.peakToPeak).toBeCloseTo(20, 0);
    expect(swing.period).toBeCloseTo(1.6, 1);
    // A hanging body of 1 m between bar and centre of mass, as a point mass: T = 2π√(l/g) = 2.006 s.
    const hanging = readTrace(from(12 * RATE, (t) => 6 * Math.exp(-t / 8) * Math.cos((2 * Math.PI * t) / 2.006)));
    expect(hanging.swing.period).toBeCloseTo(2.006, 1);
  });
});

describe('a bad trace', () => {
  const good = movement({ count: 4 });
  const times = Array.from(good.times);
  const angles = Array.from(good.angles);

  it('loses what is nonsense, and says how much', () => {
    const spoilt = angles.map((a, i) => (i % 50 === 7 ? Number.NaN : i % 50 === 30 ? 9999 : a));
    const reading = readTrace({ times, angles: spoilt });
    expect(reading.repetitions).toHaveLength(4);
    expect(reading.notices).toEqual(['56 values that no body can show left out.']);
  });

  it('loses times that repeat or run backwards', () => {
    const reading = readTrace({
      times: [...times.slice(0, 300), times[299]!, times[100]!, ...times.slice(300)],
      angles: [...angles.slice(0, 300), 5, 5, ...angles.slice(300)],
    });
    expect(reading.repetitions).toHaveLength(4);
    expect(reading.notices).toEqual([
      '1 sample with a time that was there already left out.',
      '1 sample whose time runs backwards left out.',
    ]);
  });

  it('counts nothing across a gap', () => {
    const inside = (t: number) => t < 4.2 || t > 5.8;
    const kept = times.map((t, i) => [t, angles[i]!] as const).filter(([t]) => inside(t));
    const reading = readTrace({ times: kept.map(([t]) => t), angles: kept.map(([, a]) => a) });
    expect(reading.stretches).toHaveLength(2);
    expect(reading.repetitions).toHaveLength(3);
    expect(reading.notices).toEqual(['1 gap, 1.6 s without samples; nothing is counted across them.']);
  });

  it('of one sample a second is refused with the limit', () =>
    expect(() => readTrace(from(60, (t) => t, 1))).toThrow(
      'The trace has about 1.0 samples a second; at least 20 are needed to tell a repetition from noise.',
    ));

  it('of 5,000 samples a second is thinned', () => {
    const reading = readTrace(movement({ count: 2, rate: 5000 }));
    expect(reading.rate).toBeCloseTo(200, 6);
    expect(reading.repetitions).toHaveLength(2);
    expect(reading.notices).toEqual(['5000 samples a second are more than a body needs: 25 at a time were averaged.']);
  });

  it('of two hours is read for its first half hour', () => {
    const reading = readTrace(from(2 * 3600 * 50, (t) => 30 - 30 * Math.cos((2 * Math.PI * t) / 6), 50));
    expect(reading.duration).toBeCloseTo(1800, 0);
    expect(reading.notices).toEqual(['Only the first 30 minutes were read; the limit of a trace.']);
  });

  it.each<[string, Samples]>([
    ['nothing', { times: [], angles: [] }],
    ['one sample', { times: [0], angles: [4] }],
    ['only nonsense', { times: [0, 1, 2], angles: [Number.NaN, Number.NaN, Infinity] }],
    ['times backwards', { times: [3, 2, 1, 0], angles: [1, 2, 3, 4] }],
  ])('with %s is refused', (_, samples) => expect(() => readTrace(samples)).toThrow(/can be read; at least half must be numbers/));

  it('too short to read is refused', () =>
    expect(() => readTrace(from(10, (t) => t))).toThrow('No part of the trace lasts half a second without a gap.'));
});
