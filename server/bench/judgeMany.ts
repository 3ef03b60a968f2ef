import { BUILT_IN_LIBRARY as LIBRARY } from '@myokinet/core/catalogue';
import { demandsOn } from '@myokinet/core/ladders';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { addDays } from '@myokinet/core/quantities';
import { checkKey, judgeReadiness, type ReadinessFacts } from '@myokinet/core/readiness';
import { bodyModel } from '@myokinet/core/statics';

/** The facts of many trainees, how to judge them all, and how long merely copying them takes. */
export function judgeMany(trainees: number) {
  const now = new Date();
  const facts = Array.from({ length: trainees }, (_, n) => factsOf(n, now));
  const plain = facts.map(({ checkDates, library: _, ...rest }) => ({ ...rest, checkDates: [...checkDates] }));
  return {
    judge: () => facts.map(judgeReadiness),
    copy: () => structuredClone(plain),
  };
}

const BODY = bodyModel({ statureM: 1.72, massKg: 70 });

function factsOf(n: number, now: Date): ReadinessFacts {
  const ladder = LIBRARY.ladder(n % 2 === 0 ? 'push-up' : 'hang-and-swing');
  const here = n % 7;
  const rung = ladder.rungs[here];
  const next = ladder.rungs[here + 1];
  if (!rung || !next) throw new Error('The ladders have nine rungs.');
  const demands = [...demandsOn(rung, BODY, LIBRARY.measure), ...demandsOn(next, BODY, LIBRARY.measure)];
  const capacities = [...new Map(demands.map((d) => [checkKey(d.measureId, d.side), d])).values()].map(({ measureId, side, value }) =>
    capacityFromTrials(
      LIBRARY.measure(measureId),
      [0, 1, 2].map((i) => ({ side, value: value * 0.95 + i * LIBRARY.measure(measureId).limits.step })),
      {
        takenAt: addDays(now, -(n % 20)),
      },
    ),
  );
  const sessions = Array.from({ length: 12 }, (_, i) => ({
    id: `s${i}`,
    performedAt: addDays(now, -1 - 2.3 * i),
    clean: i % 4 !== 0,
    practised: [rung.practice, 'plank'].map((drillId) => ({ drillId, top: true, load: 1 })),
    symptoms: [
      { intensity: 0, kind: 'none', place: 'shoulder', side: 'whole', moment: 'next morning', at: addDays(now, -0.4 - 2.3 * i) } as const,
    ],
  }));
  return {
    ladder,
    body: BODY,
    library: LIBRARY,
    screening: { cautions: [], locks: [] },
    capacities,
    skips: new Map(),
    knownSince: [],
    checkDates: new Map(capacities.map((c) => [checkKey(c.measureId, c.side), { latest: c.takenAt, lateAfter: [] }])),
    clearances: [
      {
        id: 'c',
        ladderId: ladder.id,
        rungId: rung.id,
        signedAt: addDays(now, -10),
        signedBy: 'BC',
        figures: capacities.map(({ measureId, side, takenAt }) => ({ measureId, side, takenAt })),
      },
    ],
    sessions,
    symptoms: sessions.flatMap((s) => s.symptoms),
    openStopSigns: [],
    now,
  };
}
