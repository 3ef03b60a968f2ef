import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../errors.ts';
import { asKilograms, bodyModel, handLoad, modelOf, type SetUp, solveSetUp, STATIC_POSITIONS, stepsBetween, supportOn } from './index.ts';
import { anyBody } from './testing.ts';

const man = bodyModel({ sex: 'male', statureM: 1.75, massKg: 70 });
const TURNED = STATIC_POSITIONS.filter((p) => modelOf(p).harder.length > 0);

describe('a wanted load', () => {
  it('is inverted within what can be set up, on any body and position', () => {
    let found = 0;
    fc.assert(
      fc.property(anyBody, fc.constantFrom(...TURNED), fc.double({ min: 0.05, max: 1.3, noNaN: true }), (body, position, wanted) => {
        let solved: ReturnType<typeof solveSetUp>;
        try {
          solved = solveSetUp(body, position, { verticalShare: wanted });
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal);
          return;
        }
        found += 1;
        const { setUp, reading } = solved;
        expect(handLoad(body, setUp).loadShare).toBeCloseTo(reading.loadShare, 12);
        const { dials, harder } = modelOf(position);
        // No neighbouring notch of the dial that was turned comes nearer.
        for (const { dial } of harder) {
          const { step, min, max } = dials[dial] ?? { step: 1, min: 0, max: 0 };
          const at = (setUp as unknown as Record<string, number>)[dial] ?? 0;
          for (const other of [at - step, at + step]) {
            if (other < min || other > max || (harder.length > 1 && at === 0)) continue;
            let load: number;
            try {
              load = handLoad(body, { ...setUp, [dial]: other } as SetUp).loadShare;
            } catch {
              continue;
            }
            expect(Math.abs(load - wanted)).toBeGreaterThanOrEqual(Math.abs(reading.loadShare - wanted) - 1e-9);
          }
        }
      }),
      { numRuns: 300 },
    );
    expect(found).toBeGreaterThan(80);
  });

  it('gives a bench height in whole centimetres and the load of the rounded one', () => {
    const { setUp, reading, binds, inWords } = solveSetUp(man, 'push-up', { verticalShare: 0.55 });
    expect(setUp).toEqual({ position: 'push-up', handHeightM: 0.36, footHeightM: 0 });
    expect(reading.loadShare).toBeCloseTo(0.55, 2);
    expect(binds).toBe('wanted load');
    expect(inWords).toBe('Height under the hands 36 cm gives 55% of body weight, the nearest to 55% that can be set up.');
  });

  it('raises the feet where the floor is not enough', () => {
    const { setUp } = solveSetUp(man, 'push-up', { verticalShare: 0.7 });
    expect(setUp).toMatchObject({ handHeightM: 0 });
    expect((setUp as { footHeightM: number }).footHeightM).toBeGreaterThan(0.1);
  });

  it('keeps the other dials and choices of a set-up that is given', () => {
    const { setUp } = solveSetUp(man, { position: 'push-up', arms: 'lowered', addedKg: 5 }, { verticalShare: 0.6 });
    expect(setUp).toMatchObject({ arms: 'lowered', addedKg: 5 });
  });

  it('says what the scale must show under the feet of a hang', () => {
    const { reading } = solveSetUp(man, 'supported-hang', { verticalShare: 0.5 });
    expect(reading.scales.feet).toBeCloseTo(35, 9);
  });
});

describe('a limit', () => {
  it('of the wrist is met by a wedge, a whole degree up', () => {
    const { setUp, reading, binds, inWords } = solveSetUp(man, 'plank', { verticalShare: 0.78, wristLimitDeg: 98 });
    expect(binds).toBe('wanted load');
    expect(reading.loadShare).toBeCloseTo(0.78, 2);
    expect(reading.wristExtensionDeg).toBeLessThanOrEqual(98);
    expect(reading.wristExtensionDeg).toBeGreaterThan(97);
    expect((setUp as { wedgeDeg: number }).wedgeDeg).toBeGreaterThan(5);
    expect(inWords).toMatch(/and a wedge of \d+° under the hands gives 78%/);
  });

  it('of the wrist stops a lean where the thickest wedge is not enough, and says so', () => {
    const { reading, binds, inWords } = solveSetUp(man, 'plank', { verticalShare: 0.78, wristLimitDeg: 70 });
    expect(binds).toBe('wrist');
    expect(reading.wristExtensionDeg).toBeLessThanOrEqual(70);
    expect(handLoad(man, { position: 'plank', leanM: 0.1, wedgeDeg: 30 }).wristExtensionDeg).toBeGreaterThan(70);
    expect(inWords).toContain('the wrists may bend to 70° and no further');
  });

  it('of the wrist stops a push-up, which takes no wedge, on a higher surface', () => {
    const { setUp, binds } = solveSetUp(man, 'push-up', { verticalShare: 0.68, wristLimitDeg: 80 });
    expect(binds).toBe('wrist');
    expect((setUp as { handHeightM: number }).handHeightM).toBeGreaterThan(0.1);
  });

  it('of the grip stops a hang', () => {
    const { reading, binds } = solveSetUp(man, 'supported-hang', { verticalShare: 0.9, gripLimitN: 250 });
    expect(binds).toBe('grip');
    expect(asKilograms(reading.gripPerHandN)).toBeLessThanOrEqual(asKilograms(250));
  });

  it('that even the easiest set-up breaks refuses with advice', () => {
    expect(() => solveSetUp(man, 'plank', { verticalShare: 0.7, wristLimitDeg: 45 })).toThrow(
      /a wrist bent no further than 45° allows; add a wedge, or take handles/,
    );
  });
});

describe('a load out of reach', () => {
  it.each([
    [
      'push-up',
      0.95,
      'Push-up gives at most 72.6% of body weight on this trainee, with height under the feet 80 cm; 95.0% is out of reach.',
    ],
    ['plank', 0.2, 'Plank and forward lean gives at least 64.1% of body weight'],
    ['handstand', 0.5, 'Handstand puts 100% of body weight on the hands, and nothing on it can be turned.'],
    ['plank', 0, 'A wanted load must be above 0% and at most 300% of body weight, not 0%.'],
    ['plank', Number.NaN, 'A wanted load must be above 0%'],
  ] as const)('is refused with the nearest possible: %s at %d', (position, verticalShare, sentence) => {
    expect(() => solveSetUp(man, position, { verticalShare })).toThrow(sentence);
  });
});

describe('a plan of a drill or rung', () => {
  it('is turned for the trainee where a load is wanted, and stands as it is where not', () => {
    expect(supportOn(man, { setUp: { position: 'supported-hang' }, wanted: 0.25 }).setUp).toEqual({
      position: 'supported-hang',
      feetShare: 0.75,
    });
    expect(supportOn(man, { setUp: { position: 'push-up', handHeightM: 0.45 } }).reading.loadShare).toBeCloseTo(0.505, 2);
  });

  it('says why it can not be met, and gives the set-up as it stands', () => {
    const { setUp, problem } = supportOn(man, { setUp: { position: 'plank' }, wanted: 0.2 });
    expect(setUp).toEqual({ position: 'plank' });
    expect(problem).toContain('at least 64.1%');
  });
});

describe('between two rungs', () => {
  it('lie steps of about five points', () => {
    const steps = stepsBetween(
      man,
      { setUp: { position: 'push-up', handHeightM: 0.6 } },
      { setUp: { position: 'push-up', handHeightM: 0.15 } },
    );
    const loads = [0.42, ...steps.map((s) => s.reading.loadShare), 0.64];
    expect(steps.length).toBe(3);
    for (let i = 1; i < loads.length; i++) expect(Math.abs((loads[i] ?? 0) - (loads[i - 1] ?? 0) - 0.05)).toBeLessThan(0.02);
  });

  it('of different positions lie steps of whichever reaches the load', () => {
    const steps = stepsBetween(man, { setUp: { position: 'tabletop' } }, { setUp: { position: 'plank', leanM: 0.2 } });
    const positions = steps.map((s) => s.setUp.position);
    expect(positions).toEqual([...positions].sort((a, b) => b.localeCompare(a)));
    expect(new Set(positions)).toEqual(new Set(['tabletop', 'plank']));
  });

  it('there are none where they lie close together or nothing can be turned', () => {
    expect(stepsBetween(man, { setUp: { position: 'plank' } }, { setUp: { position: 'plank', leanM: 0.05 } })).toEqual([]);
    expect(stepsBetween(man, { setUp: { position: 'free-hang' } }, { setUp: { position: 'handstand' } })).toEqual([]);
  });
});
