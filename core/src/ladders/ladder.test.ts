import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import { COMMON_PRACTICE } from '../reference/index.ts';
import { bodyModel } from '../statics/index.ts';
import { demandsOn, type Rung, type RungDemand } from './index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const rungOf = (demand: Partial<RungDemand>): Rung => ({
  id: 'rung',
  name: 'Rung',
  setUp: 'As it is.',
  pose: 'plank',
  practice: 'plank',
  demands: [
    { measureId: 'grip', value: 0.4, unit: 'kg', per: 'bodyMass', direction: 'at least', origin: COMMON_PRACTICE, ...demand } as RungDemand,
  ],
});
const asked = (massKg: number, demand: Partial<RungDemand> = {}) =>
  demandsOn(rungOf(demand), bodyModel({ statureM: 1.75, massKg }), measureOf).map((d) => d.value);

describe('a demand that is a share of body mass', () => {
  // By hand: 0.4 × 70 = 28.0, × 71 = 28.4, × 70.5 = 28.2, × 73 = 29.2, to the nearest half kilogram.
  it.each([
    [70, 28],
    [71, 28.5],
    [70.5, 28],
    [73, 29],
  ])('of somebody of %d kg asks %d kg, to the half kilogram, on both sides', (mass, kg) => expect(asked(mass)).toEqual([kg, kg]));

  it('that is absolute stays as it is written', () => {
    const { per: _, ...absolute } = rungOf({}).demands[0] as RungDemand;
    const rung = { ...rungOf({}), demands: [{ ...absolute, value: 31.3 } as RungDemand] };
    expect(demandsOn(rung, bodyModel({ statureM: 1.75, massKg: 70 }), measureOf).map((d) => d.value)).toEqual([31.3, 31.3]);
  });

  it('of a set-up that cannot be built asks for all of body weight', () => {
    const [demand] = demandsOn(
      rungOf({ measureId: 'hand-load-push', unit: 'percentBodyWeight', per: 'setUpLoad', value: 1 } as Partial<RungDemand>),
      bodyModel({ statureM: 1.75, massKg: 70 }),
      measureOf,
    );
    expect([demand?.value, demand?.basis]).toEqual([100, expect.stringContaining('can not be built')]);
  });
});
