import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { capacityFromTrials, trialFrom } from '../measuring/index.ts';
import { instant } from '../quantities/index.ts';
import { bodyModel, dialOf, handLoad, modelOf, type SetUp } from '../statics/index.ts';
import { HELD_SECONDS, substituteBand, substituteFigure, substituteProblem, substitutesFor } from './index.ts';

const man = bodyModel({ sex: 'male', statureM: 1.741, massKg: 73 });
const push = library.measure('hand-load-push');
const hang = library.measure('hand-load-hang');
const grip = library.measure('grip');

describe('a lean-back hang, by hand', () => {
  it.each([1.2, 1.4, 1.6])('bar at %d m: the moments about the heel cancel along straight arms', (barHeightM) => {
    const { stance, loadShare, centreOfMass, perHandN, gripPerHandN } = handLoad(man, { position: 'lean-back-hang', barHeightM });
    const { shoulder, knuckles, elbow, heel } = stance.joints;
    // Weight × its way behind the heel = pull × the distance of the arms' line from the heel.
    const arms = Math.hypot(knuckles.x - shoulder.x, knuckles.y - shoulder.y);
    const lever = Math.abs(knuckles.x * (shoulder.y - knuckles.y) - knuckles.y * (shoulder.x - knuckles.x)) / arms;
    expect(loadShare).toBeCloseTo(-centreOfMass.x / lever, 6);
    expect(perHandN).toBeCloseTo((loadShare * man.weightN) / 2, 6);
    expect(gripPerHandN).toBeCloseTo(perHandN, 6);
    // The body stands behind its heel, which stays on the floor; elbow, shoulder and bar lie in one line.
    expect(centreOfMass.x).toBeLessThan(0);
    expect(Math.hypot(heel.x, heel.y)).toBeLessThan(1e-9);
    const off = (elbow.x - shoulder.x) * (knuckles.y - shoulder.y) - (elbow.y - shoulder.y) * (knuckles.x - shoulder.x);
    expect(off).toBeCloseTo(0, 9);
  });

  it('weighs more the lower the bar, and with the heels ahead of it; a bar that is too high is told', () => {
    const at = (setUp: Omit<Extract<SetUp, { position: 'lean-back-hang' }>, 'position'>) =>
      handLoad(man, { position: 'lean-back-hang', ...setUp }).loadShare;
    expect([at({ barHeightM: 1.6 }), at({ barHeightM: 1.3 }), at({ barHeightM: 1 })]).toEqual(
      [at({ barHeightM: 1.6 }), at({ barHeightM: 1.3 }), at({ barHeightM: 1 })].toSorted((a, b) => a - b),
    );
    expect(at({ heelsAheadM: 0.4 })).toBeGreaterThan(at({ heelsAheadM: 0 }));
    expect(() => at({ barHeightM: 2.2, heelsAheadM: -0.2 })).toThrow();
  });
});

describe('without an instrument', () => {
  it('there is a set-up for every check of rung one that needs a scale or a dynamometer', () => {
    const needed = library.ladders
      .flatMap((l) => l.rungs[0]?.demands ?? [])
      .map((d) => library.measure(d.measureId))
      .filter((m) => m.device === 'weight on a scale' || m.device === 'squeeze');
    expect(new Set(needed.map((m) => m.id)).size).toBeGreaterThan(2);
    for (const measure of needed) expect([measure.id, substitutesFor(measure).length > 0]).toEqual([measure.id, true]);
    for (const { setUp, dial } of ['hand-load-push', 'hand-load-hang', 'forearm-load', 'grip'].flatMap((id) => substitutesFor({ id }))) {
      expect(Object.keys(modelOf(setUp.position).dials)).toContain(dial);
      expect(dialOf(setUp, dial)).toBeDefined();
    }
    expect(substitutesFor({ id: 'shoulder-flexion' })).toEqual([]);
  });

  it('shows what was held and no more, with a band of its own', () => {
    const weight = substituteFigure(grip, man, { position: 'carry', weightKg: 14 });
    expect(weight).toEqual({ value: 14, standardError: expect.closeTo(0.7, 9) as number });
    // 73 kg on two hands, rounded down to what the instrument could read.
    expect(substituteFigure(grip, man, { position: 'free-hang' }).value).toBe(36.5);
    expect(substituteFigure(hang, man, { position: 'free-hang' })).toEqual({ value: 100, standardError: 3 });
    const setUp: SetUp = { position: 'push-up' };
    const { loadShare, bands } = handLoad(man, setUp);
    const figure = substituteFigure(push, man, setUp);
    expect(figure.value).toBe(Math.floor(loadShare * 100));
    expect(substituteBand(figure)).toBeGreaterThanOrEqual(((bands.loadShare.high - bands.loadShare.low) / 2) * 100 * (1.645 / 1.96) - 1e-3);
  });

  it('counts at a gate, with a wider band than the instrument has', () => {
    const { value, standardError } = substituteFigure(push, man, { position: 'wall-push' });
    const reading = { kind: 'set-up', simulated: false, standardError };
    const takenAt = instant(new Date('2026-11-20T10:00:00Z'));
    const [typed, held] = [undefined, reading].map((r) =>
      capacityFromTrials(
        push,
        [1, 2].map(() => trialFrom('whole', value, r)),
        { takenAt },
      ),
    );
    expect(held?.provisional).toBeUndefined();
    expect(held!.band).toBeGreaterThan(typed!.band);
  });

  it('is worked out again: another figure, a short hold or another set-up stands for nothing', () => {
    const setUp: SetUp = { position: 'lean-back-hang', barHeightM: 1.4 };
    const { value } = substituteFigure(hang, man, setUp);
    const ask = (own: Partial<Parameters<typeof substituteProblem>[2]>, measure = hang) =>
      substituteProblem(measure, man, { setUp, heldSeconds: HELD_SECONDS, value, ...own });
    expect(ask({})).toBeUndefined();
    expect(ask({ heldSeconds: 9.9 })).toBe('held too short');
    expect(ask({ value: value + 5 })).toBe('another figure');
    expect(ask({ setUp: { position: 'plank' } })).toBe('no substitute');
    expect(ask({}, library.measure('shoulder-flexion'))).toBe('no substitute');
    fc.assert(
      fc.property(
        fc.integer({ min: -40, max: 40 }),
        (off) => (ask({ value: value + off }) === undefined) === Math.abs(off) <= hang.limits.step,
      ),
    );
  });
});
