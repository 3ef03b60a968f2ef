import { describe, expect, it } from 'vitest';
import { ANYTHING_SHOWN } from './shown.ts';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { EQUIPMENT_IDS, isLoaded } from '../drills/index.ts';
import { demandsOn } from '../ladders/index.ts';
import { openLibrary } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { headroom } from '../readiness/index.ts';
import type { CautionId, CautionInForce } from '../safety/index.ts';
import { DEFAULT_SCHOOLS, type Schools } from '../schools/index.ts';
import {
  isLoadedSession,
  type RulesInput,
  proposeByRules,
  defaultBrief,
  type PlanRules,
  reviewPlan,
  sessionMinutes,
  shapeWeek,
  usualDose,
  worksRebuilding,
} from './index.ts';
import { bodyModel } from '../statics/index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00');
const library = openLibrary(BUILT_IN);
let made = 0;
const caution = (id: CautionId): CautionInForce => ({ id, because: [{ code: 'not screened' }] });

function input(schools: Partial<Schools> = {}, own: Partial<RulesInput> = {}): RulesInput {
  return {
    library,
    schools: { ...DEFAULT_SCHOOLS, ...schools },
    weeksIn: 0,
    weekStart: '2026-11-23' as CalendarDay,
    trainingDays: ['Monday', 'Wednesday', 'Friday'],
    sessionMinutes: 45,
    equipment: EQUIPMENT_IDS,
    cautions: [],
    headrooms: demandsOn(library.rung('push-up', 'surface-60'), bodyModel({ statureM: 1.72, massKg: 70 }), measureOf).map((d) =>
      headroom(undefined, d, measureOf(d.measureId), now),
    ),
    foothold: { ladderId: 'push-up', here: 1, shown: ANYTHING_SHOWN },
    knownDrills: library.drills.map((d) => d.id),
    lastWeekDose: 0,
    newId: () => `id-${++made}`,
    ...own,
  };
}
const loadedDays = (p: ReturnType<typeof proposeByRules>) => p.sessions.filter((s) => isLoadedSession(s.items, library)).map((s) => s.day);

const rules = ({ lastWeekDose: _, ...given }: RulesInput): PlanRules => ({ ...given, brief: { ...defaultBrief(given), deloadEvery: 0 } });

describe('rhythm (common practice, no source)', () => {
  it.each<[Schools['rhythm'], number, number]>([
    ['training days', 3, 2],
    ['little daily', 7, 2],
    ['stability twice', 7, 2],
    ['one or two long', 2, 2],
    ['building up', 2, 2],
  ])('%s: %d sessions, %d of them loaded, and the review agrees', (rhythm, sessions, loaded) => {
    const plan = proposeByRules(input({ rhythm }));
    expect(plan.refusal).toBeUndefined();
    expect([plan.sessions.length, loadedDays(plan).length]).toEqual([sessions, loaded]);
    expect(reviewPlan(plan.sessions, rules(input({ rhythm })))).toEqual([]);
  });

  it('keeps daily doses small and home sessions at ten minutes, unloaded', () => {
    for (const s of proposeByRules(input({ rhythm: 'little daily' })).sessions)
      expect(sessionMinutes(s.items, library)).toBeLessThanOrEqual(20);
    const twice = proposeByRules(input({ rhythm: 'stability twice' }));
    const home = twice.sessions.filter((s) => ['2026-11-24', '2026-11-26', '2026-11-28', '2026-11-29'].includes(s.day));
    expect(home).toHaveLength(4);
    for (const s of home) {
      expect(sessionMinutes(s.items, library)).toBeLessThanOrEqual(10);
      expect(isLoadedSession(s.items, library)).toBe(false);
    }
  });

  it('spreads two long days as far apart as the chosen days allow, half as long again', () => {
    const shape = shapeWeek({ rhythm: 'one or two long', trainingDays: ['Monday', 'Tuesday', 'Friday'], sessionMinutes: 40, weeksIn: 9 });
    expect(shape.days).toEqual(['Monday', 'Friday']);
    expect(shape.minutesOn('Monday')).toBe(60);
  });

  it.each([
    [0, 2],
    [3, 2],
    [4, 3],
    [8, 4],
    [12, 5],
    [40, 5],
  ])('building up: %d weeks in, %d days', (weeksIn, days) => {
    const trainingDays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
    expect(shapeWeek({ rhythm: 'building up', trainingDays, sessionMinutes: 40, weeksIn }).days).toHaveLength(days);
  });
});

describe('stretching before load', () => {
  const wrists = demandsOn(library.rung('push-up', 'surface-60'), bodyModel({ statureM: 1.72, massKg: 70 }), measureOf).filter((d) =>
    d.measureId.startsWith('wrist'),
  );
  const tight = { headrooms: wrists.map((d) => headroom(undefined, d, measureOf(d.measureId), now)) };
  const passiveBeforeLoad = (schools: Partial<Schools>) =>
    proposeByRules(input(schools, tight)).sessions.some((s) => {
      const drills = s.items.map((i) => library.drill(i.drillId));
      const firstLoad = drills.findIndex(isLoaded);
      return drills.some((d, i) => d.quality === 'mobility passive' && i < firstLoad);
    });

  it('has no long hold before load by default (common practice, no source)', () => expect(passiveBeforeLoad({})).toBe(false));

  it('may have a forearm hold among the openers where the school allows it', () =>
    expect(passiveBeforeLoad({ stretching: 'any time' })).toBe(true));

  it('is held against a hand-made order', () => {
    const item = (drillId: string) => ({ id: drillId, drillId, ...usualDose(library.drill(drillId), []), why: '' });
    const session = { id: 's', day: '2026-11-23' as CalendarDay, items: ['forearm-stretch', 'plank'].map(item) };
    expect(reviewPlan([session], rules(input())).map((f) => f.sentence)).toEqual([
      '“Forearm stretches” is a long hold before load; this school keeps such holds for the end.',
    ]);
    expect(reviewPlan([session], rules(input({ stretching: 'any time' })))).toEqual([]);
  });
});

describe('rebuilding after an injury', () => {
  const shoulder = [caution('shoulder-injury')];

  it('reduces repetitions to three to five, one set, and halves holds (common practice, no source)', () => {
    expect(usualDose(library.drill('band-external-rotation'), shoulder)).toMatchObject({ sets: 1, min: 3, max: 5 });
    expect(usualDose(library.drill('wrapped-squeeze'), shoulder)).toMatchObject({ sets: 1, min: 2, max: 3 });
    expect(usualDose(library.drill('wrist-raises'), shoulder)).toMatchObject({ sets: 2, min: 5, max: 5 });
  });

  it('plans the reduced doses, says so, and works round the rest', () => {
    const { sessions, notes } = proposeByRules(input({}, { cautions: shoulder }));
    const touched = sessions.flatMap((s) => s.items).filter((i) => worksRebuilding(library.drill(i.drillId), shoulder));
    expect(touched.length).toBeGreaterThan(0);
    for (const i of touched) expect(i.sets).toBe(1);
    expect(touched.filter((i) => !i.why.includes('Reduced dose: the joint is being rebuilt.'))).toEqual([]);
    expect(notes.join(' ')).toMatch(
      /Shoulder injury, rebuilding: \d+ drills are left out and \d+ go on at reduced doses; the rest goes on\./,
    );
  });

  it('does not drop everything for a hurt wrist: something still serves every part of the session', () => {
    const { sessions, refusal } = proposeByRules(input({}, { cautions: [caution('wrist-injury')] }));
    expect(refusal).toBeUndefined();
    expect(sessions.every((s) => s.items.length >= 5)).toBe(true);
    expect(sessions.flatMap((s) => s.items).filter((i) => library.drill(i.drillId).excludedBy.includes('wrist-injury'))).toEqual([]);
  });

  it('warns of a hand-made dose above the reduced one', () => {
    const item = { id: 'i', drillId: 'band-external-rotation', sets: 3, min: 10, max: 10, restSeconds: 40, why: '' };
    const [finding] = reviewPlan([{ id: 's', day: '2026-11-23' as CalendarDay, items: [item] }], rules(input({}, { cautions: shoulder })));
    expect(finding?.sentence).toContain('At most 1 × 3–5 reps a side: the joint is being rebuilt.');
    // No reason of a coach talks it round.
    const told = { ...item, overruled: 'Feels fine.' };
    for (const items of [[item], [told]]) {
      const [kept] = reviewPlan([{ id: 's', day: '2026-11-23' as CalendarDay, items }], rules(input({}, { cautions: shoulder })));
      expect(kept).toMatchObject({ dose: { sets: 1, min: 3, max: 5 } });
      expect(kept).not.toHaveProperty('overrulable');
      expect(kept).not.toHaveProperty('advice');
    }
  });
});

describe('a lax or once dislocated shoulder', () => {
  const stabilitySets = (cautions: RulesInput['cautions']) => {
    const headrooms = demandsOn(library.rung('hang-and-swing', 'half-hang'), bodyModel({ statureM: 1.72, massKg: 70 }), measureOf).map(
      (d) => headroom(undefined, d, measureOf(d.measureId), now),
    );
    const { sessions, notes } = proposeByRules(
      input({}, { cautions, headrooms, foothold: { ladderId: 'hang-and-swing', here: 0, shown: ANYTHING_SHOWN } }),
    );
    const drills = sessions.flatMap((s) => s.items.map((i) => library.drill(i.drillId)));
    return {
      count: drills.filter((d) => d.quality === 'stability').length,
      passive: drills.filter((d) => d.excludedBy.includes('lax-joints')),
      notes,
    };
  };

  it('trains stability first, and nothing passive at the end of its range (common practice, no source)', () => {
    const usual = stabilitySets([]);
    const lax = stabilitySets([caution('lax-joints')]);
    expect(lax.count).toBeGreaterThanOrEqual(usual.count);
    expect(lax.passive).toEqual([]);
    expect(lax.notes.join(' ')).toMatch(/Lax joints: \d+ drills are left out; the rest goes on\. Stability of the shoulder comes first\./);
  });
});
