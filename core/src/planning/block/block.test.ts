import { cautionOf, growsSlowly } from '../../safety/index.ts';
import fc from 'fast-check';
import { beforeAll, describe, expect, inject, it, vi } from 'vitest';
import loadGlpk from 'glpk.js/node';
import type { Joint } from '../../anatomy/index.ts';
import { openLibrary } from '../../library/index.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import { forGlpk } from '../../solver/forGlpk.ts';
import { PHASES } from '../../drills/index.ts';
import { solveByHighs } from '../../solver/index.ts';
import { exclusionOf } from '../words/index.ts';
import { calms } from '../frame.ts';
import { mostOfPhase } from '../kinds.ts';
import { isLoadedSession, jointsLoadedBy, plannedHandLoad, type PlannedDose, type PlannedSession, sessionMinutes } from '../plan.ts';
import { madeUpTrainee } from '../madeUpTrainee.ts';
import { isPartner } from '../pairs.ts';
import { proposeByRules } from '../proposeByRules.ts';
import { reviewPlan } from '../reviewPlan.ts';
import { calendarDaysBetween } from '../spacing.ts';
import { JOINT_START } from './rules.ts';
import { blockProgram } from './program.ts';
import { newId, propose, solver } from './testing.ts';
import { LIGHT } from './slots.ts';
import { type BlockInput, type BlockTask, blockTask } from './task.ts';
import { scoreOf } from './score.ts';
import { chosenSessions } from './read.ts';

// Searches have seconds of their own, and machines differ.
vi.setConfig({ testTimeout: 1_800_000 });

/** Made-up trainees that are planned for: some each time, many in the long suite. */
const TRAINEES = inject('long') ? { whatever: 60, against: 30 } : { whatever: 5, against: 5 };

let highs: Awaited<ReturnType<typeof solver>>;
beforeAll(async () => {
  highs = await solver();
});

const weekOf = ({ weeks }: BlockTask, { day }: PlannedSession) =>
  weeks.findIndex(({ weekStart }) => calendarDaysBetween(weekStart, day) >= 0 && calendarDaysBetween(weekStart, day) < 7);

describe('whatever the trainee, a plan', () => {
  const anyTrainee = fc.integer({ min: 0, max: 1_000_000 }).chain((seed) =>
    fc.record({
      seed: fc.constant(seed),
      weeks: fc.constantFrom(1, 2),
      days: fc.integer({ min: 1, max: 6 }),
      rhythm: fc.constantFrom('training days', 'stability twice', 'little daily', 'building up', 'one or two long'),
    }),
  );

  it('keeps every rule (seeded)', async () => {
    let refused = 0;
    await fc.assert(
      fc.asyncProperty(anyTrainee, async ({ seed, weeks, days, rhythm }) => {
        const made = madeUpTrainee(String(seed), { weeks }, days);
        const input = { ...made, schools: { ...made.schools, rhythm } } as BlockInput;
        const { sessions, refusal } = await propose(input, { seconds: 1.5 });
        if (refusal) {
          refused += 1;
          expect(sessions).toEqual([]);
        } else keepsEveryRule(input, sessions);
      }),
      { seed: 6, numRuns: TRAINEES.whatever },
    );
    // Every made-up trainee has days, minutes and a floor; only a busy machine may run out of time, and rarely.
    expect(refused).toBeLessThanOrEqual(Math.ceil(TRAINEES.whatever / 10));
  });
});

function keepsEveryRule(input: BlockInput, sessions: readonly PlannedSession[]): void {
  const { library, brief } = input;
  const task = blockTask(input);
  for (const session of sessions) {
    const slot = task.slots.find((s) => s.day === session.day);
    const drills = session.items.map((i) => library.drill(i.drillId));
    expect(sessionMinutes(session.items, library, session.form)).toBeLessThanOrEqual((slot?.minutes ?? 0) + 1e-6);
    for (const drill of drills) {
      expect(brief.never).not.toContain(drill.id);
      expect(exclusionOf(drill, { ...input, equipment: brief.equipment[session.place ?? 'gym'] })).toBeUndefined();
    }
    // A day for pulling opens shoulders before wrists.
    const places = drills.map((d) => PHASES.indexOf(d.phase === 'warm-up' ? 'wrists and forearms' : d.phase));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(new Set(drills.map((d) => d.id)).size).toBe(drills.length);
    const frame = task.frames[task.slots.indexOf(slot as never)];
    const opening = isLoadedSession(session.items, library) ? frame?.loaded : frame?.mobility;
    // What only lets go may give its place to what fits the work better.
    const standing = (opening?.items ?? []).map((i) => i.drillId).filter((id) => !calms(library.drill(id)));
    expect(session.items.map((i) => i.drillId)).toEqual(expect.arrayContaining(standing));
    for (const item of session.items) expect(item.why.length).toBeGreaterThan(5);
  }
  const joints = new Set(sessions.flatMap((s) => [...jointsLoadedBy(s.items, library)]));
  for (const joint of joints) spaced(sessions, joint, task);
  // The first week against what was logged, warm-ups and all; the others work against work.
  let base = input.buildOn?.dose;
  let logged = true;
  let fullWarmUp: number | undefined;
  task.weeks.forEach((week, w) => {
    const here = sessions.filter((s) => weekOf(task, s) === w);
    const { push, pull } = plannedHandLoad(
      here.flatMap((s) => s.items),
      library,
    );
    const frames = plannedHandLoad(
      here.flatMap((s) => s.items.filter((i) => isFramed(task, i.drillId))),
      library,
    );
    const [all, warmUp] = [push + pull, frames.push + frames.pull];
    const most = (week.light ? LIGHT : 1 + brief.ramp) * (base ?? Number.POSITIVE_INFINITY);
    // Warm-ups that are all there is may be more than the limit: they leave nothing to add.
    expect(logged ? all : all - warmUp).toBeLessThanOrEqual((logged ? Math.max(most, warmUp) : most) + 1e-6);
    // A light week is light in all, warm-ups too: never more of them a session than in the full week before.
    const ofOne = here.length > 0 ? warmUp / here.length : 0;
    if (week.light && fullWarmUp !== undefined) expect(ofOne).toBeLessThanOrEqual(LIGHT * fullWarmUp + 1e-6);
    if (!week.light && here.length > 0) [base, logged, fullWarmUp] = [all - warmUp, false, ofOne];
    pairsKept(task, w, here);
    newAtHalf(input, w, sessions, here, task);
  });
}

/** Never two loaded days in a row for a joint, and two a week at most. */
function spaced(sessions: readonly PlannedSession[], joint: Joint, task: BlockTask): void {
  const { library } = task.input;
  const days = sessions.filter((s) => jointsLoadedBy(s.items, library).has(joint));
  days.slice(1).forEach((s, i) => expect(calendarDaysBetween(days[i]!.day, s.day)).toBeGreaterThanOrEqual(2));
  task.weeks.forEach((_, w) => expect(days.filter((s) => weekOf(task, s) === w).length).toBeLessThanOrEqual(2));
}

const isFramed = (task: BlockTask, drillId: string) =>
  task.frames.some((f) => [...f.loaded.items, ...f.mobility.items].some((i) => i.drillId === drillId)) ||
  task.closers.some((drills) => drills.some((d) => d.id === drillId));

function pairsKept(task: BlockTask, week: number, here: readonly PlannedSession[]): void {
  const { library } = task.input;
  const drills = here.flatMap((s) => s.items.map((i) => library.drill(i.drillId))).filter((d) => !isFramed(task, d.id));
  for (const drill of drills.filter((d) => d.quality === 'mobility active')) {
    const possible = task.options.some((o) => task.slots[o.slot]?.week === week && isPartner(drill, o.drill));
    if (possible) expect(drills.some((d) => isPartner(drill, d))).toBe(true);
  }
}

function newAtHalf(
  { knownDrills, library }: BlockInput,
  week: number,
  all: readonly PlannedSession[],
  here: readonly PlannedSession[],
  task: BlockTask,
): void {
  const before = new Set(all.filter((s) => weekOf(task, s) < week).flatMap((s) => s.items.map((i) => i.drillId)));
  for (const item of here.flatMap((s) => s.items)) {
    if (knownDrills.includes(item.drillId) || before.has(item.drillId) || isFramed(task, item.drillId)) continue;
    // Half is half: of three sets one, of a single set half of its repetitions or seconds.
    const { sets, max } = library.drill(item.drillId).dose;
    expect(item.sets * item.max).toBeLessThanOrEqual(Math.max(1, Math.round((sets * max) / 2)));
  }
}

it('a light week warms up as long and bears on the hands at most six tenths as much while it does (12 trainees)', () => {
  let seen = 0;
  for (let i = 0; i < 12; i++) {
    const task = blockTask(madeUpTrainee(`light ${i}`, { weeks: 4, deloadEvery: 4 }));
    const load = (week: number) =>
      task.slots.flatMap((slot, s) => {
        if (slot.week !== week) return [];
        const { items, seconds } = task.frames[s]!.loaded;
        const { push, pull } = plannedHandLoad(items, task.input.library);
        return [{ load: push + pull, seconds }];
      });
    const light = task.weeks.findIndex((w) => w.light);
    const full = task.weeks.findIndex((w) => !w.light);
    if (light < 0 || load(full).length === 0) continue;
    seen++;
    const most = Math.max(...load(full).map((f) => f.load));
    for (const f of load(light)) expect(f.load).toBeLessThanOrEqual(LIGHT * most + 1e-6);
    expect(Math.min(...load(light).map((f) => f.seconds))).toBeGreaterThan(0.7 * Math.min(...load(full).map((f) => f.seconds)));
  }
  expect(seen).toBeGreaterThan(5);
});

describe('the programme', () => {
  it.each(['3', '9', '14'])('says the same as a score worked out from the sessions (trainee %s)', (seed) => {
    const task = blockTask(madeUpTrainee(seed, { weeks: 2 }));
    const block = blockProgram(task);
    const { values, objective } = solveByHighs(highs, block.program, { seconds: 2, gap: 0.02 });
    // An answer that is not the best may count a repetition that is none: with its choices held, the rest is settled exactly.
    const { program } = block;
    const choices = new Set([...block.levels.flat().map((l) => l.variable), ...block.loaded]);
    const held = (bounds: readonly number[]) => bounds.map((b, i) => (choices.has(i) ? Math.round(values![i]!) : b));
    const settled = solveByHighs(highs, { ...program, lower: held(program.lower), upper: held(program.upper) }, { seconds: 2, gap: 0 });
    const sessions = chosenSessions(task, block, values!).map((s) => ({ day: task.slots[s.slot]!.day, items: s.items }));
    expect(scoreOf(task, sessions).objective).toBeCloseTo(settled.objective!, 4);
    expect(settled.objective!).toBeGreaterThan(objective! - 1e-4);
  });

  it.each(['1', '4', '5', '9'])('finds the best of all choices on a small library (trainee %s, everything tried)', (seed) => {
    const task = smallTask(seed);
    const block = blockProgram(task);
    const { objective } = solveByHighs(highs, block.program, { seconds: 10, gap: 0 });
    expect(task.options.length).toBeGreaterThan(4);
    expect(objective).toBeCloseTo(bestByTrying(task, block), 4);
  });

  it('has the same optimum by a second solver on ten instances (GLPK)', async () => {
    const glpk = await loadGlpk();
    for (let i = 0; i < 10; i++) {
      const { program } = blockProgram(smallTask(`glpk ${i}`));
      const { objective } = solveByHighs(highs, program, { seconds: 10, gap: 0 });
      const other = await glpk.solve(forGlpk(glpk, program), { msglev: glpk.GLP_MSG_OFF, presol: true, tmlim: 20 });
      expect(other.result.z).toBeCloseTo(objective!, 4);
    }
  });

  /** Where growth is slow, a twentieth for each joint costs more than a twentieth in all. */
  const keepingMore = (input: BlockInput) => (growsSlowly(input.cautions) ? 0.93 : 0.98);

  it('is worth at least what the proposal by rules is worth, for every trainee', async () => {
    const gains: number[] = [];
    for (let i = 0; gains.length < TRAINEES.against; i++) {
      // The rules know of no light weeks, and take what a week may hold of a joint as it comes.
      const made = madeUpTrainee(`rules ${i}`, { weeks: 1, deloadEvery: 0 });
      // A lock leaves next to nothing to choose among.
      const input = { ...made, cautions: made.cautions.filter((c) => cautionOf(c.id).kind !== 'lock') };
      const task = blockTask(input);
      const rules = proposeByRules({
        ...input,
        trainingDays: input.brief.days.map((d) => d.weekday),
        sessionMinutes: input.brief.days[0]!.minutes,
        equipment: input.brief.equipment.gym,
        lastWeekDose: input.buildOn?.dose ?? 0,
        newId,
      });
      const old = scoreOf(task, rules.sessions).objective;
      // Even at one set each it may load the hands more than is allowed: then the two are not alike.
      if (reviewPlan(rules.sessions, input).some((f) => f.sentence.startsWith('The week loads the hands'))) continue;
      const { sessions } = await propose(input, { seconds: 3, gap: 0.002 });
      const now = scoreOf(task, sessions).objective;
      // It keeps pairs and joints, of which the rules know nothing: that may cost a little where the practice is loaded.
      expect(now, `trainee ${i}`).toBeGreaterThanOrEqual(keepingMore(input) * old);
      gains.push(now / old - 1);
    }
    gains.sort((a, b) => a - b);
    // Better in the middle by this much, in the planner's own measure; the bench reports the whole.
    expect(gains[Math.floor(gains.length / 2)]).toBeGreaterThan(0.02);
  });
});

/** A trainee with two days and four drills beside the warm-ups, so that every choice can be tried. */
function smallTask(seed: string): BlockTask {
  const input = madeUpTrainee(seed, { weeks: 1 }, 2);
  const full = blockTask(input);
  const framed = new Set(full.frames.flatMap((f) => [...f.loaded.items, ...f.mobility.items].map((i) => i.drillId)));
  const some = [...new Set(full.options.map((o) => o.drill.id))].filter((_, i) => i % 5 === 0).slice(0, 4);
  const { content } = input.library;
  const library = openLibrary({ ...content, drills: content.drills.filter((d) => framed.has(d.id) || some.includes(d.id) || d.rung) });
  return blockTask({ ...input, library });
}

function bestByTrying(task: BlockTask, { program, levels, loaded }: ReturnType<typeof blockProgram>): number {
  const { library } = task.input;
  const days = task.slots.map((s) => s.day);
  let best = Number.NEGATIVE_INFINITY;
  const picked = task.options.map(() => 0);
  const visit = (i: number): void => {
    if (i < task.options.length) {
      for (const sets of [0, ...levels[i]!.map((l) => l.sets)]) {
        picked[i] = sets;
        visit(i + 1);
      }
      return;
    }
    const sessions = days.map((day, slot) => {
      const chosen = task.options.flatMap((o, k) =>
        o.slot === slot && picked[k]! > 0 ? [{ drillId: o.drill.id, ...o.dose, sets: picked[k]! }] : [],
      );
      const frame = task.frames[slot]![isLoadedSession(chosen, library) ? 'loaded' : 'mobility'];
      return { day, items: [...frame.items, ...chosen] };
    });
    if (allowedByHand(task, sessions)) best = Math.max(best, scoreOf(task, sessions).objective);
  };
  visit(0);
  expect([program.cost.length, loaded.length]).toEqual([expect.any(Number), days.length]);
  return best;
}

/** The rules again, said of sessions and not of a programme. */
function allowedByHand(
  task: BlockTask,
  sessions: readonly { readonly day: CalendarDay; readonly items: readonly PlannedDose[] }[],
): boolean {
  const { input, slots, weeks } = task;
  const { library, brief } = input;
  const free = sessions.map((s) => s.items.filter((i) => !isFramed(task, i.drillId)));
  const loads = sessions.map((s) => jointsLoadedBy(s.items, library));
  const all = plannedHandLoad(
    sessions.flatMap((s) => s.items),
    library,
  );
  const limit = weeks[0]!.light ? LIGHT : 1 + brief.ramp;
  const frames = plannedHandLoad(
    sessions.flatMap((s) => s.items.filter((i) => isFramed(task, i.drillId))),
    library,
  );
  const within = (load: number, base: number | undefined, start: number, frame: number) =>
    base === undefined || load <= Math.max(limit * base, start, frame) + 1e-6;
  return (
    sessions.every((s, i) => sessionMinutes(s.items, library) <= slots[i]!.minutes + 1e-6) &&
    free.every((items, s) => {
      const of = { minutes: slots[s]!.minutes, loaded: isLoadedSession(items, library) };
      return PHASES.every((phase) => items.filter((i) => library.drill(i.drillId).phase === phase).length <= mostOfPhase(phase, of));
    }) &&
    loads.every(
      (joints, i) =>
        i === 0 || ![...joints].some((j) => loads[i - 1]!.has(j) && calendarDaysBetween(sessions[i - 1]!.day, sessions[i]!.day) < 2),
    ) &&
    free.flat().every((i) => {
      const option = task.options.find((o) => o.drill.id === i.drillId)!;
      return i.sets <= option.mostNew && (!weeks[0]!.light || i.sets <= Math.ceil(option.most / 2));
    }) &&
    free.flat().every((i) => {
      const drill = library.drill(i.drillId);
      const possible = task.options.some((o) => isPartner(drill, o.drill));
      return drill.quality !== 'mobility active' || !possible || free.flat().some((o) => isPartner(drill, library.drill(o.drillId)));
    }) &&
    within(all.push + all.pull, input.buildOn?.dose, 0, frames.push + frames.pull) &&
    (Object.keys(all.byJoint) as Joint[]).every((j) =>
      within(all.byJoint[j] ?? 0, input.buildOn && (input.buildOn.byJoint?.[j] ?? 0), JOINT_START, frames.byJoint[j] ?? 0),
    )
  );
}

describe('a proposal', () => {
  it('says of every drill why it is there, and of every chosen one what the week would be without it', async () => {
    const input = madeUpTrainee('reasons', { weeks: 1 });
    const task = blockTask(input);
    const { sessions, solved } = await propose(input);
    const chosen = sessions.flatMap((s) => s.items).filter((i) => !isFramed(task, i.drillId));
    expect(chosen.length).toBeGreaterThan(3);
    for (const item of chosen) expect(item.without).toMatch(/^(Without it|“)/);
    expect(solved?.bound).toBeGreaterThanOrEqual(solved?.objective ?? 0);
  });

  it('comes late from a machine too slow for its time, and does not fail to come', async () => {
    let read = 0;
    // At the second look at the clock the time is over.
    const clock = () => (read++ === 0 ? 0 : 7_000);
    const { sessions, refusal } = await propose(madeUpTrainee('slow', { weeks: 4 }), { seconds: 6, clock });
    expect(refusal).toBeUndefined();
    expect(sessions.length).toBeGreaterThan(3);
  });

  it('is told better and better plans on the way, the last of them no worse than the first', async () => {
    const seen: number[] = [];
    await propose(madeUpTrainee('progress', { weeks: 3 }), {
      seconds: 2,
      gap: 0.01,
      onProgress: ({ plan }) => plan?.solved && seen.push(plan.solved.objective),
    });
    expect(seen.length).toBeGreaterThan(0);
    expect(seen.at(-1)).toBeGreaterThanOrEqual(seen[0]! - 1e-6);
  });
});
