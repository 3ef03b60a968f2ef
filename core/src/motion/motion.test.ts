import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../errors.ts';
import { pointsOf } from './contact.ts';
import {
  frameAt,
  mirrored,
  prepare,
  both,
  one,
  momentAt,
  type Movement,
  rangesOf,
  skeletonOf,
  frameOf,
  isbOf,
  fromIsb,
  travelIn,
  heldRanges,
} from './index.ts';
import { FIGURES, MIDDLE, MIDDLE_JOINTS, middleAt, PAIRED, PAIRED_JOINTS, pairedAt } from './joints.ts';
import { bladeTurn } from './skeleton.ts';
import { armMovers, legMovers, pelvisMovers, slopeOf } from './slopes.ts';
import { aboutX, aboutY, aboutZ, after, apart, type Turn, type Vec } from './space.ts';

const frame = frameOf({ stature: 1.7 });

/** Any pose within human limits. */
const anyPose = fc.array(fc.double({ min: 0.02, max: 0.98, noNaN: true }), { minLength: FIGURES, maxLength: FIGURES }).map((shares) => {
  const figures = new Float64Array(FIGURES);
  const put = (at: number, [min, max]: readonly [number, number]) => (figures[at] = min + (max - min) * shares[at]!);
  for (const at of [0, 1, 2]) put(at, [-1, 1]);
  for (const joint of MIDDLE_JOINTS) put(middleAt(joint), MIDDLE[joint]);
  for (const side of ['left', 'right'] as const) for (const joint of PAIRED_JOINTS) put(pairedAt(side, joint), PAIRED[joint]);
  return figures;
});

const near = (a: Vec, b: Vec, within = 1e-9) => expect(apart(a, b)).toBeLessThan(within);

const PUSH_UP: Movement = {
  start: { at: [0, 0, 0.45], pitch: 72, both: { plane: 90, raise: 74, pronate: 80, wrist: 87, ankle: 12 } },
  keys: [{ by: [0.05, 0, -0.2], pitch: 84, both: { elbow: 96, plane: 20, raise: 52 } }],
  contacts: [...both('palm'), ...both('ball')],
  view: 'side',
};

describe('the skeleton', () => {
  it('keeps every bone as long as it is, whatever the pose', () => {
    fc.assert(
      fc.property(anyPose, (figures) => {
        const s = skeletonOf(frame, figures);
        for (const { shoulder, elbow, wrist, knuckles, hip, knee, ankle } of [s.left, s.right]) {
          const { lengths } = frame;
          const bones = [
            [shoulder, elbow, lengths.upperArm],
            [elbow, wrist, lengths.forearm],
            [wrist, knuckles, lengths.hand],
            [hip, knee, lengths.thigh],
            [knee, ankle, lengths.shank],
          ] as const;
          for (const [a, b, length] of bones) expect(apart(a, b)).toBeCloseTo(length, 9);
        }
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  it('bends where anatomy says: forward, outward, up', () => {
    const at = (set: Partial<Record<string, number>>, side: 'left' | 'right' = 'right') => {
      const figures = new Float64Array(FIGURES);
      for (const [joint, value] of Object.entries(set)) figures[pairedAt(side, joint as 'raise')] = value!;
      return skeletonOf(frame, figures)[side];
    };
    const arm = frame.lengths.upperArm;
    near(at({ plane: 90, raise: 90 }).elbow, [arm, at({}).shoulder[1], at({ raise: 90 }).shoulder[2]], 0.02);
    expect(at({ plane: 0, raise: 90 }).elbow[1]).toBeLessThan(-0.4);
    expect(at({ plane: 0, raise: 90 }, 'left').elbow[1]).toBeGreaterThan(0.4);
    expect(at({ plane: -90, raise: 40 }).elbow[0]).toBeLessThan(-0.15);
    // Elbow bent at the side: the forearm points forward; turned outward it points to the side.
    expect(at({ elbow: 90 }).wrist[0]).toBeCloseTo(frame.lengths.forearm, 6);
    expect(at({ elbow: 90, rotate: 90 }).wrist[1]).toBeLessThan(-0.4);
    expect(at({ elbow: 90, rotate: 90 }, 'left').wrist[1]).toBeGreaterThan(0.4);
    // Palm down, the wrist extends upward.
    expect(at({ elbow: 90, pronate: 90, wrist: 60 }).knuckles[2]).toBeGreaterThan(at({ elbow: 90 }).wrist[2] + 0.05);
    expect(at({ elbow: 90, pronate: 0, deviate: 25 }).knuckles[2]).toBeGreaterThan(at({ elbow: 90 }).wrist[2] + 0.02);
    expect(at({ hip: 90 }).knee[0]).toBeCloseTo(frame.lengths.thigh, 6);
    expect(at({ knee: 90 }).ankle[0]).toBeLessThan(-0.3);
    expect(at({ ankle: 20 }).toe[2]).toBeGreaterThan(at({}).toe[2] + 0.05);
  });

  it('turns the blade one part for two at the shoulder (Inman, Saunders & Abbott 1944, from memory)', () => {
    expect(bladeTurn(90, 0)).toBeCloseTo(30, 9);
    expect(bladeTurn(180, 0)).toBeCloseTo(60, 9);
    expect(bladeTurn(-20, 0)).toBe(0);
  });

  it('has the shoulder of the ISB sequence, Y–X–Y, and finds its way back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -90, max: 140 }),
        fc.integer({ min: 0, max: 180 }),
        fc.integer({ min: -90, max: 90 }),
        (plane, raise, rotate) => {
          expect(fromIsb(isbOf({ plane, raise, rotate }))).toEqual({ plane, raise, rotate });
          const figures = new Float64Array(FIGURES);
          figures[pairedAt('right', 'plane')] = plane;
          figures[pairedAt('right', 'raise')] = raise;
          figures[pairedAt('right', 'rotate')] = rotate;
          const { planeOfElevation, elevation, axialRotation } = isbOf({ plane, raise, rotate });
          // Their axes: x forward, y up, z to the right. About y is about our z; a right arm's elevation about the forward axis turns it outward.
          const theirs = after(after(aboutZ(planeOfElevation), aboutX(-elevation)), aboutZ(axialRotation));
          skeletonOf(frame, figures).right.upperArmTurn.forEach((v, i) => expect(v).toBeCloseTo((theirs as Turn)[i]!, 9));
        },
      ),
      { seed: 3 },
    );
  });

  it('knows how far every point goes for a degree: as differences say', () => {
    const limbs = [
      ['arm', 'palm'],
      ['arm', 'forearm'],
      ['leg', 'sole'],
      ['leg', 'knee'],
    ] as const;
    fc.assert(
      fc.property(anyPose, (figures) => {
        const s = skeletonOf(frame, figures);
        for (const mover of [...pelvisMovers(s, figures), ...armMovers(s, figures, 'right'), ...legMovers(s, figures, 'left')]) {
          const side = mover.side ?? 'right';
          const moved = (by: number) => {
            const next = Float64Array.from(figures);
            next[mover.at] = next[mover.at]! + by;
            return skeletonOf(frame, next);
          };
          const h = 1e-4;
          for (const [limb, part] of limbs) {
            const points = (k: typeof s) => pointsOf(k, { part, side, on: { kind: 'level', z: 0 } }, 1.7);
            points(s).forEach((point, i) => {
              const [a, b] = [points(moved(-h))[i]!.at, points(moved(h))[i]!.at];
              for (const axis of [0, 1, 2] as const)
                expect(slopeOf(mover, point, limb, axis)).toBeCloseTo((b[axis] - a[axis]) / (2 * h), 5);
            });
          }
        }
      }),
      { numRuns: 40, seed: 11 },
    );
  });
});

describe('a movement', () => {
  const prepared = prepare(PUSH_UP, { stature: 1.7 });

  it('keeps its hands and feet where they were put', () => {
    const palms = frameAt(prepared, 0).right;
    for (let i = 0; i <= 24; i += 1) {
      const { right } = frameAt(prepared, i / 24);
      for (const part of ['heelOfHand', 'indexKnuckle', 'littleKnuckle', 'ball'] as const) near(right[part], palms[part], 0.001);
    }
    expect(palms.heelOfHand[2]).toBeCloseTo(0, 3);
  });

  it('mirrored is the same body in a mirror', () => {
    const sided: Movement = {
      ...PUSH_UP,
      contacts: [...both('ball'), one('right', 'palm'), one('left', 'palm')],
      keys: [{ off: ['right palm'], right: { plane: 60, raise: 168, wrist: 0 } }],
    };
    const [a, b] = [frameAt(prepare(sided, { stature: 1.7 }), 1), frameAt(prepare(mirrored(sided), { stature: 1.7 }), 1)];
    const flipped = ([x, y, z]: Vec): Vec => [x, -y, z];
    for (const part of ['shoulder', 'elbow', 'wrist', 'knee', 'ball'] as const) near(a.right[part], flipped(b.left[part]), 0.002);
  });

  it('says what cannot be done, and where', () => {
    const far: Movement = { ...PUSH_UP, keys: [{ shift: { 'right palm': [0, 0, 1.4] } }] };
    expect(() => prepare(far, { stature: 1.7 })).toThrow(Refusal);
    const detail = (m: Movement) => {
      try {
        prepare(m, { stature: 1.7 });
      } catch (error) {
        return (error as Refusal).detail;
      }
      return undefined;
    };
    expect(detail(far)).toMatch(/^Pose 1: the .* misses its support by \d+ mm\.$/);
    expect(detail({ ...PUSH_UP, contacts: [], keys: [{ both: { elbow: 190 } }] })).toBe('Pose 1: left elbow at 190°, beyond 155°.');
  });

  it('asks for the ranges that it shows, under load where hands carry', () => {
    const asked = rangesOf(prepared);
    const wrist = asked.find((r) => r.range === 'wrist extension' && r.side === 'right');
    expect(wrist).toMatchObject({ loaded: true });
    expect(wrist!.degrees).toBeGreaterThan(80);
    expect(asked.filter((r) => r.range === 'wrist extension')).toHaveLength(2);
    const lifted = rangesOf(
      prepare({ start: { right: { plane: 90 } }, keys: [{ right: { raise: 140 } }], contacts: [], view: 'side' }, { stature: 1.7 }),
    );
    expect(lifted).toEqual([{ range: 'shoulder flexion', side: 'right', degrees: 140, loaded: false }]);
  });

  it('is held against what was shown, with its error band and its age', () => {
    const asked = [{ range: 'shoulder flexion', side: 'left', degrees: 150, loaded: false }] as const;
    const measure = { id: 'shoulder-flexion', freshDays: 28 };
    const state = (value: number, takenAt = '2026-11-20T10:00:00.000Z', side = 'left') =>
      heldRanges(
        asked,
        [{ measureId: 'shoulder-flexion', side, value, band: 5, takenAt }] as never,
        new Map([['shoulder-flexion', measure]]) as never,
        new Date('2026-11-28'),
      )[0]?.state;
    expect(state(156)).toBe('enough');
    expect(state(152)).toBe('about');
    expect(state(140)).toBe('short');
    expect(state(156, '2026-09-20T10:00:00.000Z')).toBe('stale');
    expect(state(156, undefined, 'right')).toBe('unchecked');
    expect(heldRanges([{ ...asked[0], range: 'shoulder across' }], [], new Map(), new Date())[0]?.state).toBe('not measured');
  });

  it('where a range is short, says what makes the movement fit: a wedge as far as one goes, a straight wrist, or a smaller way', () => {
    const fit = (range: 'wrist extension' | 'shoulder flexion', loaded: boolean, value: number) => {
      const check = range === 'shoulder flexion' ? 'shoulder-flexion' : loaded ? 'wrist-extension-loaded' : 'wrist-extension';
      const known = new Map([[check, { id: check, freshDays: 28 }]]) as never;
      const capacities = [{ measureId: check, side: 'left', value, band: 4, takenAt: '2026-11-20T10:00:00.000Z' }] as never;
      return heldRanges([{ range, side: 'left', degrees: 85, loaded }], capacities, known, new Date('2026-11-28'))[0]?.fit;
    };
    expect(fit('wrist extension', true, 70)).toEqual({ kind: 'heel raised', degrees: 15 });
    expect(fit('wrist extension', true, 59)).toEqual({ kind: 'straight wrist' });
    expect(fit('wrist extension', false, 70)).toEqual({ kind: 'as far as', degrees: 70 });
    expect(fit('shoulder flexion', true, 70)).toEqual({ kind: 'as far as', degrees: 70 });
    // Too close to call is not short.
    expect(fit('wrist extension', true, 82)).toBeUndefined();
  });
});

describe('the pace of a figure', () => {
  const tempo = { out: 2, hold: 1, back: 4 };

  it('goes out, holds and comes back with the tempo', () => {
    const travels = [0, 1, 2, 2.5, 3, 5, 7].map((t) => momentAt({}, tempo, t).travel);
    expect(travels).toEqual([0, 0.5, 1, 1, 1, 0.5, 0]);
    expect(momentAt({ round: true }, tempo, 3.5).travel).toBe(0.5);
    expect(momentAt({}, { out: 0, hold: 0, back: 0 }, 3).travel).toBe(0);
  });

  it('is where the counter is', () => {
    expect(travelIn({}, 'out', 0.25, 9)).toBe(0.25);
    expect(travelIn({}, 'back', 0.25, 9)).toBe(0.75);
    expect(travelIn({}, 'hold', 0.25, 9)).toBe(1);
    expect(travelIn({}, 'in', 0.5, 9)).toBe(0.5);
    expect(travelIn({}, 'still', 0, 0.75)).toBe(0.5);
    expect(travelIn({ round: true }, 'back', 0.5, 9)).toBe(0.75);
  });
});

it('turns are those of the hand rule', () => {
  const z: Vec = [0, 0, 1];
  const at = (t: Turn): Vec => [t[2], t[5], t[8]];
  near(at(aboutY(90)), [1, 0, 0]);
  near(at(aboutX(90)), [0, -1, 0]);
  near(at(aboutZ(90)), z);
});
