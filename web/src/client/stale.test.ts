import { describe, expect, it } from 'vitest';
import { libraryStales, stales, TAGS } from './stale.ts';

describe('what a write makes stale', () => {
  it('is only what rests on it: a week planned anew does not ask for checks and verdict of its trainee', () => {
    expect(stales('plan', 'a', undefined)).toEqual([{ type: 'Plans', id: 'a' }, 'Verdicts', 'PlanUses']);
    expect(stales('picture', 'a', undefined)).toEqual([{ type: 'Pictures', id: 'a' }]);
  });

  it('is the verdict and its lists wherever a fact behind a gate changes', () => {
    for (const write of ['profile', 'check', 'screening', 'calibration', 'session', 'symptom', 'clearance'] as const)
      expect(stales(write, 'a', undefined)).toEqual(expect.arrayContaining([{ type: 'Readiness', id: 'a' }, 'Verdicts']));
  });

  it('is nothing when no server answered', () => {
    expect(stales('check', 'a', { status: 'FETCH_ERROR' })).toEqual([]);
    expect(libraryStales({ status: 'TIMEOUT_ERROR' })).toEqual([]);
  });

  it('is everything judged when the library changed, and still no schools, bands, templates or routines', () => {
    const kept = TAGS.filter((tag) => !libraryStales(undefined).includes(tag));
    expect(kept).toEqual([
      'Measuring',
      'LibraryPictures',
      'Schools',
      'Bands',
      'Templates',
      'Routines',
      'Groups',
      'Classes',
      'Archived',
      'Outcomes',
      'Me',
      'Devices',
      'People',
      'Copies',
    ]);
  });
});
