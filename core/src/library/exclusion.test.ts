import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { isLoaded, strainOf } from '../drills/index.ts';
import { strainOfCheck } from '../measuring/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { CAUTION_IDS, type CautionId, cautionOf, isStraining, type Permit } from '../safety/index.ts';
import { checkClosedBy, exclusionByCaution } from './index.ts';

const LOCKS = CAUTION_IDS.filter((id) => cautionOf(id).kind === 'lock');
const under = (id: CautionId, permit?: Permit) => [{ id, because: [], ...(permit ? { permit } : {}) }];
const PERMIT: Permit = { loadPerArm: 0.3, overhead: false, hanging: false, headDown: false, effort: 6, until: '2027-01-10' as CalendarDay };

describe('a lock stops work (professional judgement, from memory, no single source)', () => {
  it.each(LOCKS)('%s closes every drill that strains or loads the hands, every rung and every check on the hands', (id) => {
    const open = library.drills.filter((d) => !exclusionByCaution(d, under(id)));
    expect(open.filter((d) => isLoaded(d) || (d.effort.scale === 'effort' && d.effort.max >= 5) || d.rung).map((d) => d.id)).toEqual([]);
    expect(open.filter((d) => d.position === 'inverted' || d.equipment.includes('heavy weight')).map((d) => d.id)).toEqual([]);
    const checks = library.measures.filter((m) => !checkClosedBy(m, under(id)));
    expect(checks.filter((m) => ['plank', 'hanging', 'hands and knees'].includes(m.position) || m.unit === 'kg').map((m) => m.id)).toEqual(
      [],
    );
  });

  it('leaves unloaded mobility and the ranges without load, so that nobody has to do nothing', () => {
    const open = library.drills.filter((d) => !exclusionByCaution(d, under('medical-hold')));
    expect(open.filter((d) => d.quality === 'mobility active').length).toBeGreaterThan(30);
    expect(open.every((d) => !isStraining(strainOf(d)))).toBe(true);
    for (const id of ['shoulder-flexion', 'wrist-extension', 'side-reach', 'blade-winging'])
      expect([id, checkClosedBy(library.measure(id), under('medical-hold'))]).toEqual([id, undefined]);
  });

  it('of somebody who was never screened leaves unloaded work only', () => {
    expect(exclusionByCaution(library.drill('plank'), under('unscreened'))?.id).toBe('unscreened');
    expect(exclusionByCaution(library.drill('arm-circles'), under('unscreened'))).toBeUndefined();
  });
});

describe('a permit opens exactly what it covers', () => {
  const open = (id: string, permit: Permit) => exclusionByCaution(library.drill(id), under('medical-hold', permit)) === undefined;

  it.each<[string, boolean, Partial<Permit>]>([
    // 41 % of body weight on two arms, effort 6
    ['heel-lifts-to-thumb', true, {}],
    ['heel-lifts-to-thumb', false, { loadPerArm: 0.2 }],
    ['heel-lifts-to-thumb', false, { effort: 5 }],
    // 69 % on two arms
    ['plank-scapular-push-up', false, {}],
    ['plank-scapular-push-up', true, { loadPerArm: 0.35 }],
    // 25 % on two arms, hanging
    ['practice-quarter-hang', false, {}],
    ['practice-quarter-hang', false, { overhead: true }],
    ['practice-quarter-hang', true, { overhead: true, hanging: true }],
    ['practice-wall-handstand', false, { loadPerArm: 0.5, overhead: true }],
    ['practice-wall-handstand', true, { loadPerArm: 0.5, overhead: true, headDown: true }],
    // all of it on one arm
    ['practice-free-taps', false, { loadPerArm: 0.99, overhead: true, hanging: true }],
    ['practice-free-taps', true, { loadPerArm: 1, overhead: true, hanging: true }],
  ])('%s: %s with %j', (id, may, own) => expect(open(id, { ...PERMIT, ...own })).toBe(may));

  it('of checks as of drills', () => {
    const closed = (id: string, own: Partial<Permit>) => checkClosedBy(library.measure(id), under('night-pain', { ...PERMIT, ...own }));
    expect(closed('free-hang', { loadPerArm: 0.5, effort: 7 })?.id).toBe('night-pain');
    expect(closed('free-hang', { loadPerArm: 0.5, effort: 7, overhead: true, hanging: true })).toBeUndefined();
    expect(closed('grip', { effort: 8 })?.id).toBe('night-pain');
    expect(closed('grip', { effort: 9 })).toBeUndefined();
  });
});

describe('what asks first restricts meanwhile', () => {
  it.each<[CautionId, string, boolean]>([
    ['blood-thinners', 'practice-straight-swings', false],
    ['blood-thinners', 'practice-wall-handstand', false],
    ['blood-thinners', 'plank', true],
    ['seizures', 'practice-quarter-hang', false],
    ['raised-pressure', 'plank', false],
    ['tendon-medicine', 'practice-half-hang', true],
    ['tendon-medicine', 'practice-strict-pull-up', false],
    ['recent-birth', 'practice-wall-push-up', false],
    ['recent-birth', 'arm-circles', true],
    ['from-60', 'practice-straight-swings', false],
    ['from-60', 'practice-wall-handstand', false],
    ['from-60', 'practice-free-hang', true],
    ['from-60', 'plank', true],
  ])('%s and %s: open %s', (id, drill, open) => expect(exclusionByCaution(library.drill(drill), under(id)) === undefined).toBe(open));
});

it('a check that reads a weight or counts on the hands strains, a range does not', () => {
  const straining = library.measures.filter((m) => isStraining(strainOfCheck(m))).map((m) => m.id);
  expect(straining).toEqual(expect.arrayContaining(['grip', 'plank-hold', 'free-hang', 'hand-load-push', 'seated-press', 'lean-hold']));
  for (const id of ['shoulder-flexion', 'pronation', 'wall-slide-height', 'strap-pass-through', 'confidence'])
    expect(straining).not.toContain(id);
});
