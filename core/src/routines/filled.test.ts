import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PHASES } from '../drills/index.ts';
import { mayDo } from '../planning/index.ts';
import { madeUpTrainee } from '../planning/madeUpTrainee.ts';
import { byUrgency } from '../readiness/index.ts';
import { filledFor, type RoutineBlock, type RoutineStep, routineSeconds } from './index.ts';

const place = (i: number, own: object = {}): RoutineStep => ({
  ...{ id: `place ${i}`, kind: 'choice', phase: 'stability', seconds: 40, restSeconds: 20 },
  ...own,
});
const block = (steps: readonly RoutineStep[]): RoutineBlock => ({ id: 'b', name: '', part: 'work', way: 'once', mirrored: false, steps });
const whom = (seed: string) => {
  const { headrooms, ...facts } = madeUpTrainee(seed);
  return { facts: { ...facts, equipment: facts.brief.equipment.gym }, headrooms };
};

describe('a routine with places to fill', () => {
  it('is filled for anybody with what they may do, of the kind asked for, and with nothing twice', () => {
    fc.assert(
      fc.property(fc.nat({ max: 500 }), fc.array(fc.constantFrom(...PHASES), { minLength: 1, maxLength: 6 }), (seed, phases) => {
        const { facts, headrooms } = whom(String(seed));
        const steps = phases.map((phase, i) => place(i, { phase }));
        const { routine, chosen } = filledFor({ blocks: [block(steps)] }, { facts, headrooms });
        const drills = [...chosen.values()];
        expect(new Set(drills).size).toBe(drills.length);
        expect(routine.blocks[0]?.steps.map((s) => s.kind)).toEqual(drills.map(() => 'drill'));
        for (const [step, id] of chosen) {
          const drill = facts.library.drill(id);
          expect(drill.phase).toBe(phases[Number(step.split(' ')[1])]);
          expect(mayDo(facts, { drillId: id, ...drill.dose }).answer).not.toBe('may not');
        }
        // Each side has the seconds that the place has, or less.
        expect(routineSeconds(routine, facts.library.drill)).toBeLessThanOrEqual(drills.length * (2 * 40 + 20) + 60);
      }),
      { numRuns: 60 },
    );
  });

  it('trains what holds back most, where something of the kind that may be done does', () => {
    let compared = 0;
    for (let seed = 0; seed < 40; seed++) {
      const { facts, headrooms } = whom(String(seed));
      const limiters = [...headrooms].sort(byUrgency).map((h) => h.demand.measureId);
      const firstTrained = (trains: object) => limiters.findIndex((m) => m in trains);
      const open = facts.library.drills.filter(
        (d) => d.phase === 'stability' && !d.rung && !d.byChoice && mayDo(facts, { drillId: d.id, ...d.dose }).answer !== 'may not',
      );
      const served = open.map((d) => firstTrained(d.trains)).filter((at) => at >= 0);
      if (served.length === 0) continue;
      compared += 1;
      const { chosen } = filledFor({ blocks: [block([place(0)])] }, { facts, headrooms });
      expect(firstTrained(facts.library.drill(chosen.get('place 0') ?? '').trains)).toBe(Math.min(...served));
    }
    expect(compared).toBeGreaterThan(10);
  });

  it('leaves a place out where nothing of the kind may be done', () => {
    const { facts, headrooms } = whom('7');
    const locked = { ...facts, equipment: [], library: { ...facts.library, drills: [] } };
    expect(filledFor({ blocks: [block([place(0)])] }, { facts: locked, headrooms }).routine.blocks[0]?.steps).toEqual([]);
  });
});
