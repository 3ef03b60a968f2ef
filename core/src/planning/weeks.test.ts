import { growthOf } from './brief.ts';
import type { CautionId } from '../safety/index.ts';
import { describe, expect, it } from 'vitest';
import type { CalendarDay } from '../quantities/index.ts';
import { madeUpTrainee } from './madeUpTrainee.ts';
import { lightBecause, slotsOf } from './block/slots.ts';
import { closedByInWords, missedInWords, noteInWords } from './words/index.ts';
import { closedJoints } from './closedJoints.ts';
import {
  defaultBrief,
  fitTemplate,
  type FixedEvent,
  itemSeconds,
  type PlanBrief,
  plannedHandLoad,
  type PlannedSession,
  reviewPlan,
  shiftMissed,
  templateOf,
} from './index.ts';

const day = (text: string) => text as CalendarDay;
const input = madeUpTrainee('weeks');
const { library } = input;
const plank = library.drill('plank');
const item = (drillId: string, sets = 2) => ({ id: `${drillId} ${sets}`, drillId, ...library.drill(drillId).dose, sets, why: '' });
const on = (date: string, ...items: ReturnType<typeof item>[]): PlannedSession => ({ id: date, day: day(date), items });
const brief = (own: Partial<PlanBrief> = {}): PlanBrief => ({
  ...defaultBrief({ trainingDays: ['Monday', 'Wednesday', 'Friday'], sessionMinutes: 45, equipment: input.brief.equipment.gym }),
  ...own,
});

describe('slots', () => {
  const slots = (own: Partial<PlanBrief>, rhythm: Parameters<typeof slotsOf>[0]['rhythm'] = 'training days', weeksIn = 0) =>
    slotsOf({ brief: brief({ weeks: 2, ...own }), rhythm, weekStart: day('2026-11-30'), weeksIn, taken: [] });

  it('stand on the days of the brief, with their minutes and places', () => {
    const { slots: found } = slots({ days: [{ weekday: 'Tuesday', minutes: 30, place: 'deck', form: 'flow' }] });
    expect(found).toEqual([
      { day: '2026-12-01', week: 0, minutes: 30, place: 'deck', form: 'flow', loadable: true },
      { day: '2026-12-08', week: 1, minutes: 30, place: 'deck', form: 'flow', loadable: true },
    ]);
  });

  it('stability twice, mobility daily: ten minutes at home between (common practice, no source)', () => {
    const { slots: found } = slots({ weeks: 1 }, 'stability twice');
    expect(found.map((s) => [s.minutes, s.place, s.loadable])).toEqual([
      [45, 'gym', true],
      [10, 'home', false],
      [45, 'gym', true],
      [10, 'home', false],
      [45, 'gym', true],
      [10, 'home', false],
      [10, 'home', false],
    ]);
  });

  it('building up: a day more each month, also inside a block (common practice, no source)', () => {
    const count = (weeksIn: number) => {
      const found = slots({ weeks: 2 }, 'building up', weeksIn);
      return [0, 1].map((w) => found.slots.filter((s) => s.week === w).length);
    };
    expect(count(0)).toEqual([2, 2]);
    expect(count(3)).toEqual([2, 3]);
  });

  it('are none in a pause nor where a session stands, and the week after a long pause is a light one', () => {
    const { slots: found, weeks, notes } = slots({ pauses: [{ from: day('2026-11-28'), to: day('2026-12-04'), reason: 'illness' }] });
    expect(found.map((s) => s.day)).toEqual(['2026-12-07', '2026-12-09', '2026-12-11']);
    expect(weeks.map((w) => w.light)).toEqual([{ code: 'after pause', reason: 'illness' }, undefined]);
    expect(notes.map((n) => noteInWords(n, library))).toContain('Illness: nothing is planned from Sat 28 Nov to Fri 4 Dec.');
  });

  it('are light every fourth week, or as the brief says', () => {
    expect([0, 1, 2, 3].map((w) => lightBecause(w, day('2026-11-30'), { brief: brief(), weeksIn: 28 }))).toEqual([
      undefined,
      undefined,
      undefined,
      { code: 'every', every: 4 },
    ]);
    // Who has just begun needs them less often; who asks for fewer still gets them less often.
    const early = (own: object) =>
      Array.from({ length: 9 }, (_, w) => w).filter((w) => lightBecause(w, day('2026-11-30'), { brief: brief(own), weeksIn: 0 }));
    expect([early({}), early({ deloadEvery: 8 }), early({ deloadEvery: 0 })]).toEqual([[6], [7], []]);
    expect(lightBecause(3, day('2026-11-30'), { brief: brief({ deloadEvery: 0 }), weeksIn: 0 })).toBeUndefined();
  });
});

describe('other training', () => {
  const event = (own: Partial<FixedEvent>): FixedEvent => ({
    id: 'e',
    name: 'Hauling',
    weekday: 'Tuesday',
    effort: 7,
    minutes: 60,
    joints: ['grip'],
    ...own,
  });
  const closed = (date: string, own: Partial<FixedEvent> = {}) => closedJoints({ day: day(date) }, [event(own)], []).get('grip');

  it('closes the day before, its own and the day after when it is hard, its own when it is felt, none when it is easy', () => {
    expect(closedByInWords(closed('2026-11-30')!)).toBe('Hauling on Tue 1 Dec (effort 7)');
    expect([closed('2026-12-01'), closed('2026-12-02')].every(Boolean)).toBe(true);
    expect(closed('2026-12-03')).toBeUndefined();
    expect([closed('2026-11-30', { effort: 4 }), closed('2026-12-01', { effort: 3 })]).toEqual([undefined, undefined]);
    expect(closed('2026-12-01', { effort: 4 })).toBeDefined();
  });

  it('happens once where it has a date', () => {
    const { weekday: _, ...once } = event({});
    const at = (date: string) => closedJoints({ day: day(date) }, [{ ...once, day: day('2026-12-08') }], []).size;
    expect([at('2026-12-01'), at('2026-12-08')]).toEqual([0, 1]);
  });
});

describe('the form of a session', () => {
  it('decides what a set takes, worked by hand', () => {
    const dose = { sets: 3, min: 20, max: 30, restSeconds: 45 };
    const seconds = (form?: 'sets' | 'circuit' | 'flow') => {
      const { perSet, once } = itemSeconds({ dose: { ...plank.dose, unit: 's', perSide: false } }, dose, form);
      return 3 * perSet + once;
    };
    expect([seconds('sets'), seconds('circuit'), seconds('flow')]).toEqual([210, 135, 105]);
    expect(seconds()).toBe(210);
  });
});

describe('hand load by joint', () => {
  it('counts a drill for every joint its load passes through, in the item’s own set-up', () => {
    const own = { ...item('plank', 1), min: 10, max: 10 };
    const { push, byJoint } = plannedHandLoad([own], library);
    for (const joint of plank.handLoad!.joints) expect(byJoint[joint]).toBeCloseTo(push, 9);
    const lighter = { ...own, support: { setUp: plank.support?.setUp ?? { position: 'plank' as const }, wanted: 0.3 } };
    expect(plannedHandLoad([lighter], library).push).toBeCloseTo(3, 9);
  });
});

describe('a missed session', () => {
  const shift = (sessions: PlannedSession[], today: string, own: Partial<PlanBrief> = {}, done: string[] = []) =>
    shiftMissed(sessions, { today: day(today), done: new Set(done), brief: brief(own), library });

  it('goes to the first later day that keeps 48 hours', () => {
    const week = [on('2026-11-30', item('plank')), on('2026-12-02', item('plank'))];
    expect(shift(week, '2026-12-01')).toMatchObject([{ sessionId: '2026-11-30', day: '2026-11-30', loaded: true, to: '2026-12-04' }]);
    expect(shift([on('2026-11-30', item('wrist-circles')), week[1]!], '2026-12-01')[0]?.to).toBe('2026-12-01');
  });

  it('is let go where the week has no room', () => {
    const week = [on('2026-11-30', item('plank')), on('2026-12-05', item('plank'))];
    const [gone, ...more] = shift(week, '2026-12-04');
    expect([gone, more]).toEqual([{ sessionId: '2026-11-30', day: '2026-11-30', loaded: true }, []]);
    expect(missedInWords(gone!)).toContain('let it go');
  });

  it('is none when it was done, and goes nowhere in a pause', () => {
    expect(shift([on('2026-11-30', item('plank'))], '2026-12-01', {}, ['2026-11-30'])).toEqual([]);
    const pauses = [{ from: day('2026-12-01'), to: day('2026-12-06'), reason: 'pain' as const }];
    expect(shift([on('2026-11-30', item('plank'))], '2026-12-01', { pauses })[0]?.to).toBeUndefined();
  });
});

describe('a template', () => {
  const week = [on('2026-11-30', item('plank', 3), item('wrist-circles', 2)), on('2026-12-09', item('plank', 3))];
  const fit = (own: Partial<Parameters<typeof fitTemplate>[1]> = {}) =>
    fitTemplate(templateOf(week, day('2026-11-30')), {
      library,
      cautions: [],
      foothold: input.foothold,
      brief: brief(),
      knownDrills: ['plank', 'wrist-circles'],
      weekStart: day('2027-01-04'),
      newId: () => 'new',
      ...own,
    });

  it('is laid on the same weekdays of other weeks', () => {
    expect(templateOf(week, day('2026-11-30')).sessions.map((s) => [s.week, s.weekday])).toEqual([
      [0, 'Monday'],
      [1, 'Wednesday'],
    ]);
    expect(fit().sessions.map((s) => s.day)).toEqual(['2027-01-04', '2027-01-13']);
  });

  it('gives each trainee their own doses: half where the drill is new, and the reasons of what is left out', () => {
    const fresh = fit({ knownDrills: [] }).sessions[0]!.items.find((i) => i.drillId === 'plank')!;
    expect(fresh.sets).toBe(Math.floor(plank.dose.sets / 2));
    const hurt = fit({ cautions: [{ id: 'wrist-injury', because: [{ code: 'not screened' }] }] });
    expect(hurt.sessions.flatMap((s) => s.items.map((i) => i.drillId))).not.toContain('plank');
    expect(hurt.notes.join(' ')).toMatch(/“Plank” is left out: Wrist injury/);
  });

  it('leaves days that are over, and says when a day has nothing left', () => {
    expect(fit({ notBefore: day('2027-01-10') }).sessions).toHaveLength(1);
    const { notes, sessions } = fit({ brief: brief({ never: ['plank'] }) });
    expect(sessions).toHaveLength(1);
    expect(notes).toContain('Wed 13 Jan has nothing left and is not planned.');
  });
});

describe('a review of several weeks', () => {
  const review = (sessions: PlannedSession[], own: Partial<PlanBrief> = {}, base?: number) =>
    reviewPlan(sessions, {
      library,
      schools: input.schools,
      cautions: [],
      foothold: input.foothold,
      brief: brief({ deloadEvery: 0, ...own }),
      weekStart: day('2026-11-30'),
      weeksIn: 9,
      buildOn: base === undefined ? undefined : { weekStart: day('2026-11-23'), dose: base },
    }).map((f) => f.sentence);

  it('holds each week against the one before', () => {
    const weeks = [on('2026-11-30', item('plank', 2)), on('2026-12-07', item('plank', 4))];
    expect(review(weeks)).toContain('The week loads the hands 100% more than the last; the limit is 10%.');
    expect(review([weeks[0]!, on('2026-12-07', item('plank', 2))])).toEqual([]);
  });

  it('names the joints loaded too soon, other training near by, pauses and a second session on a day', () => {
    const joints = plank.handLoad!.joints;
    expect(review([on('2026-11-30', item('plank')), on('2026-12-01', item('plank'))])[0]).toBe(
      `Loads the ${joints.join(', ')} less than 48 hours after the loaded session before.`,
    );
    const events = [{ id: 'e', name: 'Hauling', weekday: 'Tuesday' as const, effort: 8, minutes: 60, joints }];
    expect(review([on('2026-11-30', item('plank'))], { events })[0]).toMatch(/^Loads the .* next to Hauling on Tue 1 Dec \(effort 8\)\.$/);
    const pauses = [{ from: day('2026-11-30'), to: day('2026-11-30'), reason: 'away' as const }];
    expect(review([on('2026-11-30', item('wrist-circles'))], { pauses })[0]).toMatch(/^Lies in a pause \(away/);
    const twice = [on('2026-11-30', item('wrist-circles')), { ...on('2026-11-30', item('arm-circles')), id: 'b' }];
    expect(review(twice)).toEqual(['A second session on the same day.']);
  });

  it('says how far push and pull lie apart', () => {
    const hang = library.drills.find((d) => d.handLoad?.direction === 'pull' && !d.rung)!;
    const lopsided = [on('2026-11-30', item('plank', 10), { ...item(hang.id, 1), min: 1, max: 1 })];
    expect(review(lopsided).some((s) => /^Push and pull lie \d+% apart/.test(s))).toBe(true);
  });
});

it.each<[number, CautionId | undefined, number]>([
  [0.1, undefined, 0.1],
  [0.3, undefined, 0.2],
  [0.1, 'minor', 0.05],
  [0.1, 'from-60', 0.05],
  [0.3, 'wrist-injury', 0.05],
  [0.02, 'lax-joints', 0.02],
  [0.1, 'pregnancy', 0.1],
])('a brief that lets the load grow by %d, with %s: %d', (ramp, id, growth) =>
  expect(growthOf({ ramp }, id ? [{ id, because: [] }] : [])).toBe(growth),
);
