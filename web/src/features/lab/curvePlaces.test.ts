import { bodyModel, loadCurve, notchesOf, type SetUp, withNotch } from '@myokinet/core/statics';
import { describe, expect, it } from 'vitest';
import { placeOf, ticksOf } from './curvePlaces.ts';

const body = bodyModel({ statureM: 1.72, massKg: 68 });

describe('a set-up on its curve', () => {
  it.each<SetUp>([{ position: 'push-up' }, { position: 'plank' }, { position: 'supported-hang' }, { position: 'pull-up' }])(
    'stands at the notch it was made from: $position',
    (base) => {
      notchesOf(base).forEach((notch, i) => expect(placeOf(withNotch(base, notch))).toBeCloseTo(i, 6));
    },
  );

  it('between two notches stands between them', () => {
    const low = placeOf({ position: 'plank', leanM: 0.05 }) ?? 0;
    expect(placeOf({ position: 'plank', leanM: 0.055 })).toBeCloseTo(low + 0.5, 6);
  });

  it('nothing to turn has no place', () => {
    expect(placeOf({ position: 'handstand' })).toBeUndefined();
  });
});

it('ticks say the dial’s figure, and which dial where there are two', () => {
  const setUp: SetUp = { position: 'push-up' };
  const words = ticksOf(setUp, loadCurve(body, setUp)).map((t) => t.words);
  expect(words[0]).toMatch(/^hands \d+ cm$/);
  expect(words.at(-1)).toBe('feet 80 cm');
  expect(ticksOf({ position: 'plank' }, loadCurve(body, { position: 'plank' })).at(-1)?.words).toBe('35 cm');
});
