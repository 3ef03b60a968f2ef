import { describe, expect, it } from 'vitest';
import { measureOf, MEASURES } from '../measuring/index.ts';
import { CAUTIONS } from '../safety/index.ts';
import { POSES } from '../statics/index.ts';
import { doseInWords, DRILLS, drillOf, drillSeconds, EQUIPMENT, FAULTS, handLoadDose, isLoaded, PHASES, tensionSeconds } from './index.ts';

describe('the catalogue', () => {
  it('holds at least 25 drills besides the practice of rungs, each id once', () => {
    expect(DRILLS.filter((d) => !d.rung).length).toBeGreaterThanOrEqual(25);
    expect(new Set(DRILLS.map((d) => d.id)).size).toBe(DRILLS.length);
  });

  it('names only checks, faults, cautions, equipment and drawings that exist', () => {
    for (const d of DRILLS) {
      for (const id of Object.keys(d.trains)) expect(measureOf(id).id).toBe(id);
      for (const id of d.faults) expect(FAULTS[id]).toBeDefined();
      for (const id of d.excludedBy) expect(CAUTIONS[id]).toBeDefined();
      for (const e of d.equipment) expect(EQUIPMENT[e]).toBeDefined();
      expect(POSES[d.pose]).toBeDefined();
    }
  });

  it('has a drill for every check and every phase', () => {
    const trained = new Set(DRILLS.flatMap((d) => Object.keys(d.trains)));
    expect(MEASURES.filter((m) => !trained.has(m.id)).map((m) => m.id)).toEqual([]);
    expect(PHASES.filter((p) => !DRILLS.some((d) => d.phase === p))).toEqual([]);
  });

  it('keeps the hurt, the young and the lax away from what would hurt them', () => {
    const forbiddenBy = (caution: string) => DRILLS.filter((d) => (d.excludedBy as readonly string[]).includes(caution));
    for (const d of DRILLS.filter((x) => x.quality === 'mobility passive' && x.joint === 'shoulder')) {
      expect(d.excludedBy).toContain('lax-joints');
      expect(d.excludedBy).toContain('shoulder-dislocated');
    }
    for (const d of DRILLS.filter((x) => x.pose === 'prone')) expect(d.excludedBy).toContain('pregnancy');
    for (const d of DRILLS.filter((x) => x.handLoad?.direction === 'pull' && x.handLoad.share >= 1))
      expect(d.excludedBy).toContain('elbow-pain');
    expect(forbiddenBy('wrist-injury').length).toBeGreaterThan(5);
    expect(forbiddenBy('minor').length).toBeGreaterThan(0);
  });

  it('refuses an unknown drill by name', () => expect(() => drillOf('moonwalk')).toThrow('There is no drill called "moonwalk".'));
});

describe('dose', () => {
  const plank = drillOf('plank');
  const dose = { sets: 3, min: 20, max: 30, restSeconds: 45 };

  it('adds up tension, rests and one change-over, worked by hand', () => {
    expect(plank.dose).toMatchObject({ unit: 's', perSide: false, secondsPerUnit: 1 });
    expect(tensionSeconds(plank, dose)).toBe(90);
    expect(drillSeconds(plank, dose)).toBe(90 + 2 * 45 + 30);
    expect(handLoadDose(plank, dose)).toBeCloseTo(90 * (plank.handLoad?.share ?? 0), 9);
  });

  it('counts both sides of a sided drill', () => {
    const sided = DRILLS.find((d) => d.dose.perSide && d.dose.unit === 'reps');
    expect(sided && tensionSeconds(sided, { sets: 2, max: 5 })).toBe(2 * 5 * 2 * (sided?.dose.secondsPerUnit ?? 0));
  });

  it('is said as a coach says it', () => {
    expect(doseInWords(dose, plank.dose)).toBe('3 × 20–30 s');
    expect(doseInWords({ sets: 2, min: 5, max: 5 }, { unit: 'reps', perSide: true })).toBe('2 × 5 reps a side');
  });

  it('is loaded from a fifth of body weight in the hands', () => {
    expect(isLoaded(plank)).toBe(true);
    expect(isLoaded(drillOf('wall-scapular-push-up'))).toBe(false);
  });
});
