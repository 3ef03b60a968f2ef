import seedrandom from 'seedrandom';
import { BUILT_IN_LIBRARY as LIBRARY } from '../catalogue/index.ts';
import { EQUIPMENT_IDS } from '../drills/index.ts';
import { demandsOn } from '../ladders/index.ts';
import { fittedTo } from '../library/index.ts';
import { capacityFromTrials, type Measure } from '../measuring/index.ts';
import { addDays, type CalendarDay } from '../quantities/index.ts';
import { headroom } from '../readiness/index.ts';
import { CAUTION_IDS } from '../safety/index.ts';
import { DEFAULT_SCHOOLS } from '../schools/index.ts';
import { bodyModel } from '../statics/index.ts';
import { ANYTHING_SHOWN } from './shown.ts';
import { defaultBrief, type PlanBrief } from './brief.ts';
import type { BlockInput } from './block/task.ts';
import { WEEKDAYS } from './plan.ts';

const NOW = new Date('2026-11-24T12:00:00');

/**
 * A trainee made up from a seed, for tests and measurements: body, ladder, headroom, history, equipment and cautions all vary.
 *
 * @example madeUpTrainee('7').brief.days.length // 4
 */
export function madeUpTrainee(seed: string, own: Partial<PlanBrief> = {}, days = 4): BlockInput {
  const random = seedrandom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)] as T;
  const some = <T>(items: readonly T[], share: number) => items.filter(() => random() < share);
  const body = bodyModel({ statureM: between(1.5, 1.95), massKg: between(50, 100), sex: pick(['female', 'male']) });
  const library = fittedTo(LIBRARY, body);
  const ladder = pick(library.ladders.filter((l) => l.rungs.length > 3));
  const here = Math.floor(random() * (ladder.rungs.length - 1)) - 1;
  const rung = ladder.rungs[here + 1] ?? ladder.rungs[0];
  const headrooms = (rung ? demandsOn(rung, body, library.measure) : []).map((demand) => {
    const measure = library.measure(demand.measureId);
    const value = inSteps(demand.value * between(0.7, 1.25), measure);
    const trials = [1, 2, 3].map(() => ({ side: demand.side, value }));
    return headroom(random() < 0.1 ? undefined : capacityFromTrials(measure, trials, { takenAt: addDays(NOW, -3) }), demand, measure, NOW);
  });
  const trained = random() < 0.8;
  const trainingDays = WEEKDAYS.filter((_, i) => [0, 1, 3, 5, 6, 2, 4].slice(0, days).includes(i));
  const equipment = some(EQUIPMENT_IDS, 0.8);
  const brief = { ...defaultBrief({ trainingDays, sessionMinutes: 10 * Math.round(between(3, 6)), equipment }), ...own };
  return {
    library,
    // Drawn by themselves: a caution that is added changes nobody else.
    cautions: CAUTION_IDS.filter((id) => seedrandom(`${seed} ${id}`)() < 0.025).map((id) => ({ id, because: [{ code: 'not screened' }] })),
    foothold: { ladderId: ladder.id, here, shown: ANYTHING_SHOWN },
    schools: DEFAULT_SCHOOLS,
    brief,
    weekStart: '2026-11-30' as CalendarDay,
    weeksIn: trained ? Math.floor(between(4, 60)) : 0,
    headrooms,
    knownDrills: trained ? some(library.drills, 0.6).map((d) => d.id) : [],
    didWell: trained ? some(library.drills, 0.2).map((d) => d.id) : [],
    ...(trained ? { buildOn: buildOn(between(60, 600)) } : {}),
    lastLoaded: {},
    kept: [],
    pinned: [],
  };
}

/** A figure as the instrument can read it. */
function inSteps(value: number, { limits: { min, max, step } }: Measure): number {
  return Math.min(max, Math.max(min, Number((Math.round(value / step) * step).toFixed(3))));
}

function buildOn(dose: number) {
  const half = dose / 2;
  return {
    weekStart: '2026-11-23' as CalendarDay,
    dose,
    byJoint: { wrist: half, grip: half, shoulder: dose, scapula: dose, elbow: half, forearm: half },
  };
}
