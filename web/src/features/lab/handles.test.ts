import { bodyModel, handLoad, modelOf, type SetUp, STATIC_POSITIONS } from '@myokinet/core/statics';
import { describe, expect, it } from 'vitest';
import { clampTo, dragged, handlesOf } from './handles.ts';

const body = bodyModel({ statureM: 1.72, massKg: 68 });
const handles = (setUp: SetUp) => handlesOf(body, setUp, handLoad(body, setUp).stance);

describe('the handles of a set-up', () => {
  it('stand where the dial acts, and go the way it goes', () => {
    const [hands, feet] = handles({ position: 'push-up', handHeightM: 0.3 });
    expect(hands).toMatchObject({ dial: 'handHeightM', label: 'Height under the hands' });
    expect(hands?.at.y).toBeCloseTo(0.3, 9);
    expect(hands?.travel.y).toBeCloseTo(1, 6);
    expect(feet).toMatchObject({ dial: 'footHeightM' });
  });

  it('follow the finger: a dial that was dragged brings its handle under it', () => {
    const setUp: SetUp = { position: 'plank', leanM: 0.05 };
    const [lean] = handles(setUp);
    if (!lean) throw new Error('no handle');
    const value = dragged({ value: 0.05, ...(modelOf('plank').dials.leanM ?? { min: 0, max: 0, step: 1 }) }, lean, {
      x: lean.travel.x * 0.06,
      y: lean.travel.y * 0.06,
    });
    expect(value).toBeCloseTo(0.11, 9);
    const moved = handles({ position: 'plank', leanM: value })[0];
    expect((moved?.at.x ?? 0) - lean.at.x).toBeCloseTo(lean.travel.x * 0.06, 2);
  });

  it('are found for every dial with a place, in every position that has one', () => {
    const found = STATIC_POSITIONS.flatMap((position) => handles({ position } as SetUp).map((h) => h.dial));
    expect(new Set(found).size).toBeGreaterThanOrEqual(9);
  });
});

it('a dial stays in its limits and at places that can be set up', () => {
  const dial = { min: 0, max: 1.3, step: 0.01 };
  expect(clampTo(0.3249, dial)).toBe(0.32);
  expect(clampTo(9, dial)).toBe(1.3);
  expect(clampTo(-1, dial)).toBe(0);
});
