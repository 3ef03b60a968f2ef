import { BUILT_IN_LIBRARY as LIBRARY } from '@myokinet/core/catalogue';
import { type DemandOutlook, forecastCapacity, forecastGate, type GateOutlook, scaleOf } from '@myokinet/core/forecast';
import type { Capacity } from '@myokinet/core/measuring';
import { addDays, type Amount } from '@myokinet/core/quantities';
import seedrandom from 'seedrandom';

const NOW = new Date('2026-03-01T12:00:00Z');
const DRAWS = 2000;
const DOSES = Array.from({ length: 12 }, () => 6);

/** A gate that asks five checks of both sides, all of them rising and short by a little. */
function outlook(): GateOutlook {
  const checks = ['wrist-extension', 'wrist-flexion', 'shoulder-flexion', 'shoulder-external-rotation', 'grip'];
  return {
    demands: checks.flatMap((id) => (['left', 'right'] as const).map((side) => demand(id, side))),
    waits: { blocked: [], days: 3, sessions: [{ rule: 'clean-sessions', missing: 2, hoursApart: 48 }] },
    rhythm: { sessionsPerWeek: 2, minutes: 45, held: 8, counted: 6 },
    nextCheckDays: 7,
    checkDays: 14,
  };
}

function demand(id: string, side: 'left' | 'right'): DemandOutlook {
  const measure = LIBRARY.measure(id);
  const scale = scaleOf(measure);
  const figure = (i: number) => scale.back(scale.of(50) + i * 0.5 * scale.usualError);
  const history = [0, 1, 2, 3, 4].map((i): Capacity => ({
    ...{ measureId: id, side, trials: 3, takenAt: addDays(NOW, -14 * (4 - i)), errorBasis: 'default' },
    value: figure(i) as Amount,
    band: 3 as Amount,
    standardError: 2 as Amount,
  }));
  return {
    ...{ measureId: id, side, passesDays: 0, freshDays: 28, weeklySets: 6, work: [] },
    passing: { from: scale.of(figure(6)) },
    trend: forecastCapacity(history, DOSES, measure, { now: NOW }),
  };
}

/** One forecast, and as many normal draws as a hundred a future alone. */
export function forecastOne() {
  const one = outlook();
  return {
    draws: DRAWS,
    draw: () => forecastGate({ ...one, draws: DRAWS }, seedrandom.alea('bench')),
    drawAlone: () => manyNormals(seedrandom.alea('bench'), DRAWS * 100),
  };
}

/** By Box and Muller 1958, so that the baseline is not the code it is held against. */
function manyNormals(random: () => number, count: number): number {
  let sum = 0;
  for (let i = 0; i < count; i++) sum += Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return sum;
}
