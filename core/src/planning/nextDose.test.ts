import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { addDays, type Instant, instant } from '../quantities/index.ts';
import type { Feeling } from '../readiness/index.ts';
import type { Symptom } from '../safety/index.ts';
import { type DrillDone, nextDose } from './index.ts';
import { doseBecauseInWords } from './words/index.ts';

const library = openLibrary(BUILT_IN);
const withDial = library.drills.find((d) => d.support && d.handLoad && !d.dose.perSide)!;
const without = library.drills.find((d) => !d.handLoad && !d.dose.perSide && d.dose.unit === 'reps' && d.dose.sets > 1)!;
const now = new Date('2026-11-25T18:00:00Z');
const daysAgo = (days: number): Instant => instant(new Date(addDays(now, -days)));

const dose = (drill = withDial) => ({
  sets: drill.dose.sets,
  min: drill.dose.min,
  max: drill.dose.max,
  restSeconds: drill.dose.restSeconds,
});
function done(days: number, own: Partial<DrillDone> = {}, drill = withDial): DrillDone {
  const { sets, max } = drill.dose;
  return {
    at: daysAgo(days),
    effort: 5,
    plannedSets: sets,
    max,
    sets: Array.from({ length: sets }, () => ({ amount: max, faults: [] })),
    symptoms: [],
    ...own,
  };
}
const felt = (days: number, feeling: Feeling) => done(days, { sets: [{ amount: 5, feeling, faults: [] }] });
const symptom = (intensity: number, kind: Symptom['kind'] = 'ache'): Symptom => ({
  intensity,
  kind,
  place: 'elbow',
  side: 'left',
  moment: 'during',
  at: daysAgo(1),
});
const count = (history: readonly DrillDone[], drill = withDial, own = dose(drill), practice = false) =>
  nextDose(history, { drill, dose: own, practice }, 'count');

describe('the next dose by count', () => {
  it('is asked for only after the drill was done', () => expect(count([])).toBeUndefined());

  it('is five points of body weight more after two clean sessions 48 hours apart, and the practice earns the check', () => {
    expect(count([done(1), done(4)])).toMatchObject({ change: 'more', loadChange: 0.05, offersCheck: false });
    const earned = count([done(1), done(4)], withDial, dose(), true)!;
    expect(earned.offersCheck).toBe(true);
    expect(doseBecauseInWords(earned)).toContain('check is earned');
  });

  it('is the same after one, or after two on days in a row', () => {
    expect(count([done(1)])).toMatchObject({ change: 'same', because: { code: 'clean once', wanted: 2 } });
    expect(count([done(1), done(2)])).toMatchObject({ change: 'same', because: { code: 'too close' } });
  });

  it.each<[string, Partial<DrillDone>, string]>([
    [
      'a fault that stayed',
      { sets: Array.from({ length: withDial.dose.sets }, () => ({ amount: withDial.dose.max, faults: [{ mended: false }] })) },
      'a fault stayed',
    ],
    ['effort of 8', { effort: 8 }, 'effort was 8 of 10'],
    ['pain of 3', { symptoms: [symptom(3)] }, 'ache 3/10, left elbow'],
    [
      'a set short of the top',
      { sets: Array.from({ length: withDial.dose.sets }, () => ({ amount: withDial.dose.min - 1, faults: [] })) },
      'not every set reached',
    ],
    ['a set left out', { sets: [] }, `0 of ${withDial.dose.sets} sets`],
  ])('is held by %s', (_, own, reason) => {
    const held = count([done(1, own), done(4)])!;
    expect(held).toMatchObject({ change: 'same', loadChange: 0 });
    expect(doseBecauseInWords(held)).toContain(reason);
  });

  it.each<[string, Symptom]>([
    ['pain of 5', symptom(5)],
    ['a pinch', symptom(1, 'pinch')],
    ['tingling', symptom(2, 'numbness or tingling')],
  ])('goes a step back after %s', (_, sign) =>
    expect(count([done(1, { symptoms: [sign] }), done(4)])).toMatchObject({ change: 'back', loadChange: -0.1 }),
  );

  it('is the full number of sets once a new drill was clean at half of them', () => {
    const half = { ...dose(without), sets: 1 };
    const once = done(1, { plannedSets: 1, sets: [{ amount: without.dose.max, faults: [] }] }, without);
    expect(count([once], without, half)).toMatchObject({ change: 'more', dose: { sets: without.dose.sets } });
  });

  it('grows in repetitions where no dial turns the load, and never beyond twice the start', () => {
    const { max } = without.dose;
    expect(count([done(1, {}, without), done(4, {}, without)], without)?.dose.max).toBe(max + Math.max(1, Math.round(max * 0.2)));
    const grown = { ...dose(without), max: max * 2 };
    const long = [1, 4].map((days) =>
      done(days, { max: max * 2, sets: Array.from({ length: without.dose.sets }, () => ({ amount: max * 2, faults: [] })) }, without),
    );
    expect(count(long, without, grown)?.dose.max).toBe(max * 2);
  });
});

describe('the next dose by feel', () => {
  it.each<[string, DrillDone[], string, number]>([
    ['too easy twice', [felt(1, 'too easy'), felt(3, 'too easy')], 'more', 0.05],
    ['too easy once', [felt(1, 'too easy'), felt(3, 'right')], 'same', 0],
    ['right', [felt(1, 'right'), felt(3, 'too easy')], 'same', 0],
    ['too much', [felt(1, 'too much')], 'less', -0.05],
    ['clenched', [felt(1, 'clenched')], 'back', -0.1],
    ['not noted', [done(1)], 'same', 0],
  ])('%s', (_, history, change, loadChange) =>
    expect(nextDose(history, { drill: withDial, dose: dose() }, 'feel')).toMatchObject({ change, loadChange }),
  );

  it('counts the hardest set of a session', () => {
    const mixed = done(1, {
      sets: [
        { amount: 5, feeling: 'too easy', faults: [] },
        { amount: 5, feeling: 'too much', faults: [] },
      ],
    });
    expect(nextDose([mixed], { drill: withDial, dose: dose() }, 'feel')?.change).toBe('less');
  });
});
