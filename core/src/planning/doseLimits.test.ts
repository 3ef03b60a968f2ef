import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { DEFAULT_SCHOOLS } from '../schools/index.ts';
import { doseBeyondInWords } from '../words/index.ts';
import { propose } from './block/testing.ts';
import { doseFindings, doseKindsOf, mostOf, setSeconds, withinDoses } from './doseLimits.ts';
import { madeUpTrainee } from './madeUpTrainee.ts';
import type { PlannedSession } from './plan.ts';
import { proposeByRules } from './proposeByRules.ts';
import { reviewPlan } from './reviewPlan.ts';

// All figures: professional judgement, from memory, no single published source.

const all = new Set(library.drills.map((d) => d.id));
const session = (day: number, ...items: readonly (readonly [string, number])[]): PlannedSession => ({
  id: `s${day}`,
  day: `2026-11-${String(day).padStart(2, '0')}` as CalendarDay,
  items: items.map(([drillId, sets], i) => {
    const { min, max, restSeconds } = library.drill(drillId).dose;
    return { id: `${day}-${i}`, drillId, sets, min, max, restSeconds, why: '' };
  }),
});
const codes = (sessions: readonly PlannedSession[], known: ReadonlySet<string> = all) =>
  doseFindings(sessions, library, known).map((f) => [f.sessionId, f.kind, f.measure, f.has, f.most]);

describe('the most of a kind', () => {
  it('strength and stability: twelve sets a week for a joint', () => {
    const pull = 'low-bar-rows';
    expect(codes([session(23, [pull, 6]), session(25, [pull, 6])])).toEqual([]);
    expect(codes([session(23, [pull, 6]), session(25, [pull, 7])])).toEqual([['s25', 'strength', 'week sets', 13, 12]]);
    // Another joint has its own.
    expect(codes([session(23, [pull, 12], ['wrist-curls', 12])])).toEqual([]);
    expect(codes([session(23, ['plank', 13])]).map(([, kind]) => kind)).toEqual(['stability']);
  });

  it('skill: four days a week', () => {
    const lean = 'bar-landing-practice';
    expect(codes([23, 24, 25, 26].map((d) => session(d, [lean, 2])))).toEqual([]);
    expect(codes([23, 24, 25, 26, 27].map((d) => session(d, [lean, 2])))).toEqual([['s27', 'skill', 'week days', 5, 4]]);
  });

  it('fingertips: twice a week, three days apart, two minutes', () => {
    const tips = 'practice-tips-plank';
    expect(codes([session(23, [tips, 3]), session(26, [tips, 3])])).toEqual([]);
    expect(codes([session(23, [tips, 3]), session(25, [tips, 3])])).toEqual([['s25', 'fingers', 'apart', 2, 3]]);
    expect(codes([session(23, [tips, 1]), session(26, [tips, 1]), session(29, [tips, 1])])).toEqual([
      ['s29', 'fingers', 'week days', 3, 2],
    ]);
    expect(codes([session(23, [tips, 13])]).map(([, kind, measure]) => [kind, measure])).toContainEqual(['fingers', 'session seconds']);
  });

  it('long holds: two minutes a session for a joint, each side for itself', () => {
    const stretch = library.drills.find((d) => d.quality === 'mobility passive' && d.dose.unit === 's' && d.dose.perSide)!;
    const perSet = setSeconds(stretch, stretch.dose, 'mobility passive');
    expect(perSet).toBe(stretch.dose.max);
    const fits = Math.floor(120 / perSet);
    expect(codes([session(23, [stretch.id, fits])])).toEqual([]);
    expect(codes([session(23, [stretch.id, fits + 1])])[0]?.slice(1, 3)).toEqual(['mobility passive', 'session seconds']);
  });

  it('head down: two minutes in all at first, as long as it likes once it is known', () => {
    const down = 'practice-forearm-dog';
    const sets = Math.ceil(121 / setSeconds(library.drill(down), library.drill(down).dose, 'head down'));
    expect(codes([session(23, [down, sets])], new Set())).toContainEqual(expect.arrayContaining(['s23', 'head down', 'session seconds']));
    expect(codes([session(23, [down, sets])]).map(([, kind]) => kind)).not.toContain('head down');
  });

  it('no drill of the library alone goes beyond it at its own dose', () => {
    for (const d of library.drills)
      for (const kind of doseKindsOf(d, false)) {
        const most = mostOf(kind, 'session seconds') ?? Number.POSITIVE_INFINITY;
        expect([d.id, d.dose.sets * setSeconds(d, d.dose, kind) <= most]).toEqual([d.id, true]);
      }
  });

  it('sets are taken away, then drills, and what is within stays', () => {
    const fine = session(23, ['low-bar-rows', 6]);
    const [first, second] = withinDoses([fine, session(25, ['low-bar-rows', 9], ['plank', 3])], library, all);
    expect([first, second?.items.map((i) => i.sets)]).toEqual([fine, [6, 3]]);
    const tips = withinDoses([session(23, ['practice-tips-plank', 2]), session(24, ['practice-tips-plank', 2])], library, all);
    expect(tips.map((s) => s.items.length)).toEqual([1, 0]);
  });
});

it('no week of 40 made-up trainees goes beyond it, by rules or by the solver; a hand-made one is told', async () => {
  for (let i = 0; i < 40; i++) {
    const made = madeUpTrainee(`doses ${i}`, { weeks: 1 });
    const known = new Set(made.knownDrills);
    const byRules = proposeByRules({
      ...made,
      ...{ schools: DEFAULT_SCHOOLS, equipment: made.brief.equipment.gym, trainingDays: made.brief.days.map((d) => d.weekday) },
      ...{ sessionMinutes: 60, lastWeekDose: 0, newId: () => `${Math.random()}` },
    });
    expect(doseFindings(byRules.sessions, made.library, known)).toEqual([]);
    if (i >= 8) continue;
    const { sessions } = await propose(made);
    expect(doseFindings(sessions, made.library, known)).toEqual([]);
  }
  const made = madeUpTrainee('1');
  const told = reviewPlan([session(30, ['low-bar-rows', 13])], { ...made, library, knownDrills: [], cautions: [] }).map((f) => f.sentence);
  expect(told).toContain('Strength work for the scapula: 13 sets in the week by here; 12 are the most.');
});

it('says each limit in its own words', () => {
  const say = (measure: 'week days' | 'session seconds' | 'apart') => doseBeyondInWords({ kind: 'fingers', measure, has: 1, most: 3 });
  expect([say('week days'), say('session seconds'), say('apart')]).toEqual([
    'Fingertips on 1 days of the week; 3 are the most.',
    'Fingertips: 1 seconds in this session; 3 are the most.',
    'Fingertips 1 day after the last time; 3 at least lie between.',
  ]);
});
