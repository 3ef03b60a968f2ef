import { describe, expect, it, vi } from 'vitest';
import type { CalendarDay } from '../../quantities/index.ts';
import type { PlanBrief } from '../brief.ts';
import { exclusionOf } from '../words/index.ts';
import { madeUpTrainee } from '../madeUpTrainee.ts';
import { isLoadedSession, jointsLoadedBy, type PlannedSession, sessionMinutes } from '../plan.ts';
import type { PlanProposal } from '../proposePlan.ts';
import { calendarDaysBetween, weekdayOf } from '../spacing.ts';
import { blockProgram } from './program.ts';
import { propose } from './testing.ts';
import { type BlockInput, type BlockTask, blockTask } from './task.ts';

// Searches have seconds of their own, and machines differ.
vi.setConfig({ testTimeout: 180_000 });

const weekOf = ({ weeks }: BlockTask, { day }: PlannedSession) =>
  weeks.findIndex(({ weekStart }) => calendarDaysBetween(weekStart, day) >= 0 && calendarDaysBetween(weekStart, day) < 7);

describe('what the coach wants', () => {
  const input = madeUpTrainee('wishes', { weeks: 2 });
  const drillsOf = ({ sessions }: PlanProposal) => sessions.flatMap((s) => s.items.map((i) => i.drillId));

  it('is in every week, or in none', async () => {
    const first = drillsOf(await propose(input));
    const task = blockTask(input);
    const always = task.options.map((o) => o.drill.id).find((id) => !first.includes(id))!;
    const never = first.find((id) => task.options.some((o) => o.drill.id === id))!;
    const { sessions } = await propose({ ...input, brief: { ...input.brief, always: [always], never: [never] } });
    for (const week of [0, 1])
      expect(sessions.filter((s) => weekOf(task, s) === week).flatMap((s) => s.items.map((i) => i.drillId))).toContain(always);
    expect(sessions.flatMap((s) => s.items.map((i) => i.drillId))).not.toContain(never);
  });

  it('stays when it is pinned: the item itself, with its dose, and whole sessions untouched', async () => {
    const first = await propose(input);
    const [kept, other] = first.sessions;
    const option = blockTask(input).options.map((o) => o.drill.id);
    const item = { ...other!.items.find((i) => option.includes(i.drillId))!, pinned: true };
    const again = await propose({ ...input, kept: [kept!], pinned: [{ day: other!.day, item }] });
    expect(again.sessions.some((s) => s.day === kept!.day)).toBe(false);
    expect(again.sessions.find((s) => s.day === other!.day)?.items).toContainEqual(item);
  });

  it('keeps its distance from other training', async () => {
    const joints = ['wrist', 'grip', 'shoulder', 'scapula', 'elbow', 'forearm'] as const;
    const events = [{ id: 'e', name: 'hauling', weekday: 'Tuesday', effort: 7, minutes: 60, joints }] as const;
    const { sessions, notes } = await propose({ ...input, brief: { ...input.brief, events } });
    for (const s of sessions.filter((one) => ['Monday', 'Tuesday', 'Wednesday'].includes(weekdayOf(one.day))))
      expect(jointsLoadedBy(s.items, input.library).size).toBe(0);
    expect(notes.some((n) => /stays? unloaded for the .*: hauling on Tue \d+ \w+ \(effort 7\)/.test(n))).toBe(true);
  });

  it('is not loaded while a stop sign is open, nor planned at all in a pause', async () => {
    const stopped = await propose({ ...input, stopped: 'Sharp 6/10, left shoulder: stop and step back.' });
    expect(stopped.sessions.every((s) => !isLoadedSession(s.items, input.library))).toBe(true);
    expect(stopped.notes[0]).toMatch(/^Loaded work pauses while a stop sign is open/);
    const pauses = [{ from: input.weekStart, to: '2026-12-06' as CalendarDay, reason: 'illness' }] as const;
    const paused = await propose({ ...input, brief: { ...input.brief, pauses } });
    expect(paused.sessions.every((s) => s.day > '2026-12-06')).toBe(true);
    expect(paused.notes.join(' ')).toContain('the first after a pause (illness): half the sets');
  });

  it('may lie as it comes between push and pull, where the brief says so', () => {
    const rows = (balance: number) => {
      const { program } = blockProgram(blockTask({ ...input, brief: { ...input.brief, balance } }));
      return program.rows.filter((r) => r.rule === 'balance').length;
    };
    expect(rows(0.2)).toBeGreaterThan(0);
    expect(rows(1)).toBe(0);
  });

  it.each(['circuit', 'flow'] as const)('fits more into a %s, and says so in the minutes', async (form) => {
    const days = input.brief.days.map((d) => ({ ...d, form }));
    const { sessions } = await propose({ ...input, brief: { ...input.brief, days } });
    for (const s of sessions) {
      expect(s.form).toBe(form);
      expect(sessionMinutes(s.items, input.library, form)).toBeLessThanOrEqual(days[0]!.minutes + 1e-6);
      expect(sessionMinutes(s.items, input.library, form)).toBeLessThan(sessionMinutes(s.items, input.library));
    }
  });
});

it('a week that has begun holds few sessions, and its warm-ups do not forbid those of the next', async () => {
  const made = madeUpTrainee('begun', { weeks: 3, deloadEvery: 0 }, 3);
  const { sessions, refusal } = await propose({
    ...made,
    schools: { ...made.schools, rhythm: 'stability twice' },
    notBefore: '2026-12-05' as CalendarDay,
    buildOn: { weekStart: '2026-11-23' as CalendarDay, dose: 20, byJoint: {} },
  });
  expect(refusal).toBeUndefined();
  expect(sessions.length).toBeGreaterThan(10);
});

describe('an impossible brief is refused with the smallest change', () => {
  const input = madeUpTrainee('refused', { weeks: 1 });
  const { brief, library } = input;
  const refusal = async (own: Partial<PlanBrief>, more: Partial<BlockInput> = {}) =>
    (await propose({ ...input, brief: { ...brief, ...own }, ...more })).refusal;
  const plank = library.drills.find((d) => exclusionOf(d, { ...input, equipment: brief.equipment.gym }) === undefined && !d.rung)!;

  it.each<[string, Partial<PlanBrief>, RegExp]>([
    ['no days', { days: [] }, /^No training day is chosen\. Choose at least one\.$/],
    [
      'five minutes',
      { days: brief.days.map((d) => ({ ...d, minutes: 5 })) },
      /^5 minutes cannot hold the warm-up, one drill and a cool-down; \d+ minutes would\.$/,
    ],
    ['a block of 52 weeks', { weeks: 52 }, /^A block has 1 to 8 weeks; 52 were asked for\. Plan 8/],
    ['a drill wanted always and never', { always: [plank.id], never: [plank.id] }, /is wanted in every week and in none\. Take it off one/],
    [
      'every drill excluded',
      { never: library.drills.map((d) => d.id) },
      /^No drill is left that may be planned: \d+ are on the list of what no week has\. Take/,
    ],
    [
      'only days in a pause',
      { pauses: [{ from: '2026-11-01' as CalendarDay, to: '2027-01-01' as CalendarDay, reason: 'away' }] },
      /lies in a pause or is over\. Shorten the pause/,
    ],
  ])('%s', async (_, own, sentence) => expect(await refusal(own)).toMatch(sentence));

  it('a drill of every week that may not be planned', async () => {
    const closed = library.drills.find((d) => d.equipment.some((e) => !d.standIns[e]))!;
    const none = { gym: [], home: [], deck: [] };
    expect(await refusal({ equipment: none, always: [closed.id] }, { cautions: [] })).toMatch(
      /but may not be planned: Needs .*Take it off that list\./,
    );
  });

  it('pins that take more than the minutes', async () => {
    const { slots, options } = blockTask(input);
    const day = slots[0]!.day;
    const drillId = options.find((o) => o.drill.dose.unit === 's')!.drill.id;
    const item = { id: 'p', drillId, sets: 10, min: 600, max: 600, restSeconds: 60, why: 'Pinned.', pinned: true };
    const sentence = await refusal({}, { pinned: [{ day, item }] });
    expect(sentence).toMatch(
      /^These wishes cannot all be kept\. The smallest change that helps: (give \w+ \d+ \w+ \d+ more minutes|unpin|take)/,
    );
  });

  it('nothing at hand still leaves what needs nothing, or what something of the house stands in for', async () => {
    const { sessions } = await propose({ ...input, brief: { ...brief, equipment: { gym: [], home: [], deck: [] } } });
    const drills = sessions.flatMap((s) => s.items).map((i) => library.drill(i.drillId));
    expect(drills.length).toBeGreaterThan(0);
    expect(drills.filter((d) => d.equipment.some((e) => !d.standIns[e])).map((d) => d.id)).toEqual([]);
  });
});
