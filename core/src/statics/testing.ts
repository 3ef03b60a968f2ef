import fc from 'fast-check';
import { bodyModel, type Body } from './bodyModel.ts';
import { modelOf, type SetUp, STATIC_POSITIONS } from './setUp.ts';

/** Bodies as they come, for property tests. */
export const anyBody: fc.Arbitrary<Body> = fc
  .record({
    sex: fc.constantFrom('female' as const, 'male' as const, 'unstated' as const),
    statureM: fc.double({ min: 1.3, max: 2.1, noNaN: true }),
    massKg: fc.double({ min: 30, max: 150, noNaN: true }),
  })
  .map(bodyModel);

/** Set-ups of any position, every dial and choice anywhere in its limits; not all of them can be built. */
export const anySetUp: fc.Arbitrary<SetUp> = fc.constantFrom(...STATIC_POSITIONS).chain((position) => {
  const { dials, choices } = modelOf(position);
  return fc
    .record({
      ...Object.fromEntries(Object.entries(dials).map(([key, d]) => [key, fc.double({ min: d.min, max: d.max, noNaN: true })])),
      ...Object.fromEntries(Object.entries(choices).map(([key, c]) => [key, fc.constantFrom(...c.options)])),
    })
    .map((values) => ({ position, ...values }) as unknown as SetUp);
});
