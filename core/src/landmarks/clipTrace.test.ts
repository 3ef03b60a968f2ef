import { describe, expect, it } from 'vitest';
import { readTrace } from '../traces/index.ts';
import { clipTrustInWords } from '../words/index.ts';
import { CLIP_CURVES, type ClipFrame, clipTrace, type Keypoint } from './index.ts';

const SIZE = { width: 480, height: 640 };
const RATE = 25;

/** A body from its right side, arm raised by so many degrees, elbow and hip bent as told; the left is seen worse. */
function body(raised: number, { elbow = 180, dx = 0, score = 0.8 } = {}): readonly Keypoint[] {
  const along = (from: { x: number; y: number }, degrees: number, length: number) => ({
    x: from.x + length * Math.cos((degrees * Math.PI) / 180),
    y: from.y - length * Math.sin((degrees * Math.PI) / 180),
  });
  const shoulder = { x: 240 + dx, y: 200 };
  const upper = raised - 90;
  const bent = along(shoulder, upper, 90);
  const parts = {
    shoulder,
    elbow: bent,
    wrist: along(bent, upper + 180 - elbow, 85),
    hip: { x: 240 + dx, y: 360 },
    knee: { x: 240 + dx, y: 470 },
    ankle: { x: 240 + dx, y: 580 },
    ear: { x: 238 + dx, y: 140 },
  };
  return Object.entries(parts).flatMap(([part, at]) => [
    { name: `right ${part}` as Keypoint['name'], ...at, score },
    { name: `left ${part}` as Keypoint['name'], x: at.x + 4, y: at.y, score: score / 2 },
  ]);
}

/** Five raises between 20 and 140°, two seconds each, a second of rest before and after. */
const raising = (change: (frame: ClipFrame, i: number) => ClipFrame = (f) => f): readonly ClipFrame[] =>
  Array.from({ length: 12 * RATE }, (_, i) => {
    const time = i / RATE;
    const inside = time > 1 && time < 11;
    return change({ time, keypoints: body(inside ? 80 - 60 * Math.cos(Math.PI * (time - 1)) : 20) }, i);
  });

describe('a clip as a trace', () => {
  const trace = (
    frames = raising(),
    curve: (typeof CLIP_CURVES)[number] = 'shoulder',
    side: 'left' | 'right' | 'better seen' = 'better seen',
  ) => clipTrace(frames, { curve, side }, SIZE);

  it('follows the side that is seen better, and reads like any other trace', () => {
    const { samples, quantity, ...trust } = trace();
    expect(trust).toMatchObject({ side: 'right', seen: 1, gaps: [], findings: [] });
    expect(trust.confidence).toBeCloseTo(0.8, 9);
    const reading = readTrace(samples, { quantity });
    expect(reading.repetitions).toHaveLength(5);
    for (const { range, outTime } of reading.repetitions) {
      expect(Math.abs(range - 120)).toBeLessThan(3);
      expect(Math.abs(outTime - 1)).toBeLessThan(0.15);
    }
  });

  it.each([
    ['shoulder', body(140), 140],
    ['elbow', body(30, { elbow: 95 }), 95],
    ['hip', body(30), 180],
    ['knee', body(30), 180],
  ] as const)('reads the angle at the %s', (curve, keypoints, degrees) => {
    const still = Array.from({ length: 50 }, (_, i) => ({ time: i / RATE, keypoints }));
    expect(trace(still, curve).samples.angles[0]).toBeCloseTo(degrees, 6);
  });

  it('reads a swing with its sides, and heights in hundredths of the body', () => {
    const still = (keypoints: readonly Keypoint[]) => Array.from({ length: 50 }, (_, i) => ({ time: i / RATE, keypoints }));
    const hung = (ahead: number): readonly Keypoint[] => [
      ...body(30).filter((k) => !k.name.endsWith('wrist') && !k.name.endsWith('hip')),
      { name: 'right wrist', x: 240, y: 100, score: 0.9 },
      { name: 'right hip', x: 240 + ahead, y: 300, score: 0.9 },
    ];
    expect(trace(still(hung(60)), 'swing', 'right').samples.angles[0]).toBeCloseTo(16.7, 1);
    expect(trace(still(hung(-60)), 'swing', 'right').samples.angles[0]).toBeCloseTo(-16.7, 1);
    const high = trace(still(body(30)), 'shoulder height');
    // 380 pixels above the ankles, of an extent of 440 down and some across.
    expect(high.quantity).toBe('height');
    expect(Number(high.samples.angles[0])).toBeGreaterThan(80);
    expect(Number(high.samples.angles[0])).toBeLessThan(90);
    const plank = (sag: number): readonly Keypoint[] => [
      { name: 'right shoulder', x: 100, y: 300, score: 0.9 },
      { name: 'right hip', x: 250, y: 300 + sag, score: 0.9 },
      { name: 'right ankle', x: 400, y: 300, score: 0.9 },
      { name: 'right ear', x: 60, y: 300, score: 0.9 },
    ];
    expect(trace(still(plank(17)), 'hip line', 'right').samples.angles[0]).toBeCloseTo(5, 1);
    expect(Number(trace(still(plank(-17)), 'hip line', 'right').samples.angles[0])).toBeLessThan(0);
  });

  it('tells breaks of over a quarter of a second, and says so', () => {
    const hidden = trace(raising((f, i) => (i > 50 && i < 62 ? { ...f, keypoints: [] } : f)));
    expect(hidden.gaps).toHaveLength(1);
    expect(hidden.gaps[0]?.from).toBeCloseTo(2, 1);
    expect(clipTrustInWords(hidden)[1]).toContain('One gap over a quarter of a second, the first at 2.0 s');
    const short = trace(raising((f, i) => (i > 50 && i < 55 ? { ...f, keypoints: [] } : f)));
    expect(short.gaps).toEqual([]);
  });

  it('leaves out somebody else whom the model jumps to, and says so', () => {
    const jumping = trace(raising((f, i) => (i % 20 < 2 ? { ...f, keypoints: body(90, { dx: 200 }) } : f)));
    expect(jumping.findings).toEqual(['somebody else']);
    expect(readTrace(jumping.samples, { quantity: 'angle' }).repetitions).toHaveLength(5);
  });

  it('says that a body is small, and that the model is unsure', () => {
    const small = clipTrace(raising(), { curve: 'shoulder', side: 'right' }, { width: 1400, height: 900 });
    expect(small.findings).toEqual(['body small']);
    const unsure = trace(raising((f) => ({ ...f, keypoints: f.keypoints.map((k) => ({ ...k, score: 0.5 })) })));
    expect(unsure.findings).toEqual(['unsure']);
    expect(clipTrustInWords(unsure).join(' ')).toContain('seen more surely');
  });

  it.each([
    ['nobody in it', raising((f) => ({ ...f, keypoints: body(20, { score: 0.1 }) }))],
    ['no frame at all', []],
    [
      'an arm hidden in most of it',
      raising((f, i) => (i % 5 < 3 ? { ...f, keypoints: f.keypoints.filter((k) => !k.name.endsWith('elbow')) } : f)),
    ],
  ])('is none with %s', (_, frames) => {
    expect(() => trace(frames)).toThrow(expect.objectContaining({ code: 'clip-nobody' }) as Error);
  });
});
