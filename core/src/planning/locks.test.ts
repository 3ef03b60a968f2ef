import seedrandom from 'seedrandom';
import { expect, inject, it } from 'vitest';
import { type Drill, isLoaded } from '../drills/index.ts';
import { closedBecause } from '../floor/index.ts';
import { checkClosedBy } from '../library/index.ts';
import { judgeReadiness } from '../readiness/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { CAUTION_IDS, type CautionInForce, cautionOf, type Permit } from '../safety/index.ts';
import { DEFAULT_SCHOOLS } from '../schools/index.ts';
import { bodyModel } from '../statics/index.ts';
import { exclusionOf } from './words/index.ts';
import { madeUpTrainee } from './madeUpTrainee.ts';
import { proposeByRules } from './proposeByRules.ts';
import { fitTemplate } from './template.ts';

const TRAINEES = inject('long') ? 2000 : 60;
const LOCKS = CAUTION_IDS.filter((id) => cautionOf(id).kind === 'lock');

/** What strains, read off the drill itself and not by the rules under test. */
function strains(drill: Drill): boolean {
  const effort = drill.effort.scale === 'tension' ? drill.effort.max / 10 : drill.effort.max;
  const setUp = { ...drill.support?.setUp } as { readonly hands?: string };
  const weight = drill.equipment.some((e) => e === 'weight' || e === 'heavy weight');
  return effort >= 5 || weight || drill.position === 'inverted' || isLoaded(drill) || setUp.hands === 'one';
}

it('with any lock nothing straining is open anywhere; a permit opens exactly what it covers', () => {
  const random = seedrandom('locks');
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  let [closedByLock, openedByPermit] = [0, 0];
  for (let i = 0; i < TRAINEES; i++) {
    const made = madeUpTrainee(`lock ${i}`, { weeks: 1 });
    const { library, foothold } = made;
    const permit: Permit | undefined =
      random() < 0.5
        ? undefined
        : {
            ...{ loadPerArm: one([0, 0.1, 0.25, 0.5, 1]), effort: one([2, 4, 6, 10]), until: '2027-01-01' as CalendarDay },
            ...{ overhead: random() < 0.5, hanging: random() < 0.5, headDown: random() < 0.3 },
          };
    const id = one(LOCKS);
    const lock: CautionInForce = { id, because: [{ code: 'not screened' }], ...(permit ? { permit } : {}) };
    const cautions = [lock, ...made.cautions];
    const limits = { library, cautions, foothold, equipment: library.drills.flatMap((d) => d.equipment) };
    const mayBe = (drill: Drill): boolean => {
      if (!permit) return !strains(drill);
      if (!strains(drill)) return true;
      const effort = drill.effort.scale === 'tension' ? drill.effort.max / 10 : drill.effort.max;
      const share = drill.handLoad?.share ?? 0;
      // Two hands share it at best; how one alone is loaded is the model's to say.
      return (
        effort <= permit.effort &&
        share / 2 <= permit.loadPerArm + 0.01 &&
        (permit.hanging || drill.position !== 'hanging') &&
        (permit.headDown || drill.position !== 'inverted')
      );
    };

    const proposal = proposeByRules({
      ...{ ...made, cautions, schools: DEFAULT_SCHOOLS, equipment: limits.equipment, sessionMinutes: 45, lastWeekDose: 300 },
      ...{ trainingDays: made.brief.days.map((d) => d.weekday), newId: () => 'n' },
    });
    const items = library.drills.map((d) => ({ drillId: d.id, sets: 1 }));
    const template = fitTemplate({ sessions: [{ week: 0, weekday: 'Monday', place: 'gym', form: 'sets', items }] } as const, {
      ...{ ...made, cautions, knownDrills: [], weekStart: '2026-11-30' as CalendarDay, newId: () => 'n' },
    });
    const floor = (drill: Drill) => closedBecause(drill, { symptoms: [] }, { stopSigns: [], cautions }) === undefined;
    const picked = library.drills.filter((d) => exclusionOf(d, limits) === undefined);
    const planned = [...proposal.sessions, ...template.sessions].flatMap((s) => s.items.map((item) => library.asPlanned(item)));
    for (const drill of [...picked, ...planned, ...library.drills.filter(floor)])
      expect([i, id, permit, drill.id, mayBe(drill)]).toEqual([i, id, permit, drill.id, true]);
    closedByLock += library.drills.length - picked.length;

    const ladder = library.ladder(foothold.ladderId);
    const { closedRungs, gate } = judgeReadiness({
      ...{ library, ladder, body: bodyModel({ statureM: 1.7, massKg: 70 }), now: new Date('2026-11-24T12:00:00Z') },
      screening: { cautions, locks: permit ? [] : [{ code: 'caution', caution: lock }] },
      ...{ capacities: [], checkDates: new Map(), clearances: [], sessions: [], symptoms: [], openStopSigns: [] },
      ...{ skips: new Map(), knownSince: [] },
    });
    for (const rung of ladder.rungs)
      if (!closedRungs[rung.id]) expect([rung.id, mayBe(library.drill(rung.practice))]).toEqual([rung.id, true]);
    if (!permit) expect(gate?.unmet.map((f) => f.rule)).toContain('screening');

    for (const measure of library.everyMeasure) {
      if (checkClosedBy(measure, [lock])) continue;
      const squeezes = measure.unit === 'kg';
      const onTheHands = ['hanging', 'plank', 'hands and knees'].includes(measure.position) && measure.unit !== 'deg';
      if (!permit) expect([measure.id, squeezes || onTheHands || measure.position === 'hanging']).toEqual([measure.id, false]);
    }
    // What a permit opens, it opens: a drill within it that only this lock closes.
    if (permit && id !== 'fever')
      openedByPermit += library.drills.filter((d) => strains(d) && exclusionOf(d, { ...limits, cautions: [lock] }) === undefined).length;
  }
  // It would prove nothing if nothing were ever closed, or opened.
  expect(closedByLock).toBeGreaterThan(TRAINEES * 50);
  expect(openedByPermit).toBeGreaterThan(TRAINEES);
});
