import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { DEFAULT_SCHOOLS } from '../schools/index.ts';
import { doseBeyondInWords, doseShortInWords } from '../words/index.ts';
import { propose } from './block/testing.ts';
import { doseFindings, doseKindsOf, doseShortfalls, mostOf, setSeconds, withinDoses } from './doseLimits.ts';
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

describe('the least of a kind', () => {
  const short = (...sessions: readonly PlannedSession[]) =>
    doseShortfalls(sessions, library).map((f) => [f.kind, f.measure, f.has, f.least]);

  it('stability and strength: twice a week, six and four sets', () => {
    expect(short(session(23, ['plank', 3]), session(25, ['plank', 3]))).toEqual([]);
    expect(short(session(23, ['plank', 6]))).toEqual([['stability', 'week days', 1, 2]]);
    expect(short(session(23, ['low-bar-rows', 1]), session(26, ['low-bar-rows', 2]))).toEqual([['strength', 'week sets', 3, 4]]);
  });

  it('skill: five tries; fingertips: fifteen seconds; long holds: five minutes; nothing at all is not too little', () => {
    const skill = library.drill('bar-landing-practice');
    expect(skill.dose.max).toBe(6);
    expect(short({ ...session(23, [skill.id, 1]), items: session(23, [skill.id, 1]).items.map((i) => ({ ...i, max: 4 })) })).toEqual([
      ['skill', 'week tries', 4, 5],
    ]);
    const tips = library.drill('practice-tips-plank');
    expect(short(session(23, [tips.id, 1])).filter(([kind]) => kind === 'fingers')).toHaveLength(tips.dose.max < 15 ? 1 : 0);
    // All long holds of the library close sessions, and so build nothing by themselves; a studio's own may be work.
    const own = openLibrary({
      ...BUILT_IN,
      drills: BUILT_IN.drills.map((d) => (d.id === 'forearm-stretch' ? { ...d, phase: 'isolation' } : d)),
    });
    const hold = (sets: number) => doseShortfalls([session(23, ['forearm-stretch', sets])], own).map((f) => [f.kind, f.has, f.least]);
    expect([hold(5), hold(4)]).toEqual([[], [['mobility passive', 240, 300]]]);
    expect(short(session(23, ['forearm-stretch', 1]))).toEqual([]);
    expect(short()).toEqual([]);
  });

  it('is told at a week’s last session, in its own words', () => {
    const made = madeUpTrainee('1');
    const week = [session(30, ['plank', 1]), { ...session(30, ['plank', 1]), id: 'later', day: '2026-12-02' as CalendarDay }];
    const told = reviewPlan(week, { ...made, library, knownDrills: [], cautions: [] });
    expect(told).toContainEqual({
      sessionId: 'later',
      advice: true,
      broken: { code: 'dose short', short: { kind: 'stability', measure: 'week sets', has: 2, least: 6 } },
      sentence: 'Stability work: 2 sets in the week; fewer than 6 change little. Give it more, or leave it out.',
    });
    const say = (measure: 'week tries' | 'week seconds' | 'session seconds' | 'week days') =>
      doseShortInWords({ kind: 'skill', measure, has: 1, least: 5 });
    expect([say('week tries'), say('week seconds'), say('session seconds'), say('week days')].map((s) => s.slice(0, 40))).toEqual([
      'Skill: 1 try in the week; fewer than 5 c',
      'Skill: 1 seconds in the week; less than ',
      'Skill: 1 seconds in one session; less th',
      'Skill on 1 day of the week; fewer than 5',
    ]);
  });
});
