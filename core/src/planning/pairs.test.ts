import { expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { FRAME_PHASES } from './plan.ts';
import { isPartner } from './pairs.ts';

const { drills, drill } = BUILT_IN_LIBRARY;

it('every active mobility drill has a stability partner in the catalogue (practice: new range needs stability beside it)', () => {
  const mobile = drills.filter((d) => d.quality === 'mobility active' && !FRAME_PHASES.includes(d.phase));
  expect(mobile.length).toBeGreaterThan(15);
  expect(mobile.filter((d) => !drills.some((other) => isPartner(d, other))).map((d) => d.id)).toEqual([]);
});

it('a partner is of the same joint and direction, or braces there; the forearm is held by the wrist', () => {
  const [flexion, across, turns] = ['straight-arm-lifts', 'active-arm-across', 'stick-turns'].map((id) => drills.find((d) => d.id === id));
  expect(isPartner(across!, drill('opposite-reach'))).toBe(true);
  expect(isPartner(across!, drill('band-external-rotation'))).toBe(false);
  expect(isPartner(turns!, drill('heel-lifts-to-thumb'))).toBe(true);
  if (flexion) expect(isPartner(flexion, drill('heel-lifts-to-thumb'))).toBe(false);
});
