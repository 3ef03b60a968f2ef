import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { BLADES, DEFAULT_SCHOOLS, type Schools } from '../schools/index.ts';
import {
  bladeOf,
  cuesOf,
  type Drill,
  doseInWords,
  drillSeconds,
  effortInWords,
  faultsOf,
  handLoadDose,
  handLoadInWords,
  isLoaded,
  tempoInWords,
  tensionSeconds,
  unitSeconds,
} from './index.ts';

const library = openLibrary(BUILT_IN);
const drillOf = library.drill;

describe('dose', () => {
  it('of slow, continuous work is told in minutes', () => {
    const said = (min: number, max: number) => doseInWords({ sets: 1, min, max }, { unit: 's', perSide: false });
    expect([said(240, 240), said(90, 90), said(130, 130), said(120, 180)]).toEqual(['1 × 4 min', '1 × 90 s', '1 × 130 s', '1 × 120–180 s']);
  });

  const plank = drillOf('plank');
  const dose = { sets: 3, min: 20, max: 30, restSeconds: 45 };

  it('adds up tension, rests and one change-over, worked by hand', () => {
    expect(plank.dose).toMatchObject({ unit: 's', perSide: false });
    expect(tensionSeconds(plank, dose)).toBe(90);
    expect(drillSeconds(plank, dose)).toBe(90 + 2 * 45 + 30);
    expect(handLoadDose(plank, dose)).toBeCloseTo(90 * 0.69, 9);
  });

  it('counts a repetition by its tempo, a breath as five seconds, and both sides of a sided drill', () => {
    expect(unitSeconds({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 } })).toBe(6);
    expect(unitSeconds({ unit: 'breaths' })).toBe(5);
    const sided = drillOf('supported-one-shoulder-pack');
    expect(tensionSeconds(sided, { sets: 2, max: 5 })).toBe(2 * 5 * 2 * 6);
  });

  it('is said as a coach says it, by count and by feel', () => {
    expect(doseInWords(dose, plank.dose)).toBe('3 × 20–30 s');
    expect(doseInWords({ sets: 2, min: 5, max: 5 }, { unit: 'reps', perSide: true })).toBe('2 × 5 reps a side');
    expect(doseInWords(dose, plank.dose, 'feel')).toBe('3 × by feel, up to 30 s');
    expect(tempoInWords({ unit: 'reps', tempo: { out: 4, hold: 1, back: 2 } })).toBe('4 s out, 1 s held, 2 s back');
    expect(tempoInWords(plank.dose)).toBeUndefined();
    expect(effortInWords(drillOf('shoulder-circles-tension').effort)).toBe('10–30% tension');
    expect(handLoadInWords(plank)).toBe('push, about 69% of body weight');
    expect(handLoadInWords(drillOf('neck-loosening'))).toBe('none');
  });

  it('is loaded from a fifth of body weight in the hands', () => {
    expect(isLoaded(plank)).toBe(true);
    expect(isLoaded(drillOf('wall-scapular-push-up'))).toBe(false);
  });
});

describe('cues and faults follow the blade school', () => {
  const under = (blade: (typeof BLADES)[number] | 'by drill') => ({ ...DEFAULT_SCHOOLS, blade });
  const hang = drillOf('supported-packed-hang');
  const tabletop = drillOf('tabletop-scapular-push-up');
  const overhead = drillOf('wall-slides');

  it('each drill has its own rule: sweep in tabletop, follow overhead, and above the head under load for all (common practice, no source)', () => {
    expect([hang, tabletop, overhead].map((d) => bladeOf(d, under('by drill')))).toEqual(['follow', 'sweep', 'follow']);
    expect(bladeOf(drillOf('practice-strict-pull-up'), under('set'))).toBe('follow');
    expect(bladeOf(drillOf('low-bar-rows'), under('set'))).toBe('set');
    expect(bladeOf(drillOf('band-pull-aparts'), under('set'))).toBe('set');
    expect(bladeOf(drillOf('wrist-circles'), under('set'))).toBeUndefined();
  });

  it('a school takes its place, but a full sweep never under load outside hands and knees', () => {
    expect([hang, tabletop, overhead].map((d) => bladeOf(d, under('follow')))).toEqual(['follow', 'sweep', 'follow']);
    expect([hang, tabletop, overhead].map((d) => bladeOf(d, under('sweep')))).toEqual(['follow', 'sweep', 'sweep']);
  });

  it('the cue of the school stands beside the drill’s own', () => {
    expect(cuesOf(overhead, under('set'))).toEqual([overhead.cue, 'Blades flat and low on the ribs, not squeezed together.']);
    expect(cuesOf(drillOf('wrist-circles'), under('set'))).toHaveLength(1);
    expect(cuesOf(drillOf('block-squeeze'), under('set'))[1]).toBe('Stay with the breath in: back and down, arms heavy.');
  });

  it('a fault of one school is looked for under that school alone', () => {
    const looked = (drill: Drill, blade: Schools['blade']) => faultsOf(drill, under(blade), BUILT_IN_LIBRARY.faults).map(({ id }) => id);
    expect(looked(overhead, 'follow')).toContain('blade-held-down');
    expect(looked(overhead, 'set')).not.toContain('blade-held-down');
    expect(looked(drillOf('hands-open'), 'set')).toContain('blades-pinch');
    const ofSchools = BUILT_IN_LIBRARY.faults.filter((f) => f.under).map((f) => f.id);
    expect(looked(drillOf('wrist-circles'), 'set').filter((id) => ofSchools.includes(id))).toEqual([]);
  });

  it('no school cues away the travel of the blade where the drill is done for it', () => {
    for (const drill of BUILT_IN_LIBRARY.drills.filter((d) => d.bladeTravels))
      for (const blade of ['set', 'sweep', 'follow'] as const)
        expect([drill.id, bladeOf(drill, under(blade))]).toEqual([drill.id, bladeOf(drill, under('by drill'))]);
  });
});
