import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Feeling } from '../readiness/index.ts';
import { headOf, itemOf, library, ran, setOf } from './testing.ts';
import {
  paceOf,
  type StageEffect,
  type StageEvent,
  type StageSet,
  type StageState,
  stageAfter,
  stageFor,
  type Step,
  stepsOf,
} from './index.ts';

function setUp(progress: 'count' | 'feel' = 'count', own: Partial<Parameters<typeof itemOf>[1]> = {}) {
  const run = ran(headOf([itemOf('plank', own)], { progress }), []);
  const [step, next] = stepsOf(run, library) as readonly [Step, Step];
  const set: StageSet = { run, step, pace: paceOf(step.drill.dose, step.item.now.max) };
  return { run, step, next, set };
}

/** Plays events through a stage; gives the state after and everything that was done. */
function play(set: StageSet, events: readonly StageEvent[], from: StageState = { phase: { kind: 'ready' }, means: -10 }) {
  const does: StageEffect[] = [];
  let state = from;
  for (const event of events) {
    const after = stageAfter(state, event, set);
    state = after.state;
    does.push(...after.does);
  }
  return { state, does, sets: does.flatMap((d) => (d.kind === 'keep set' ? [d.deed] : [])) };
}
const go = (at: number): StageEvent => ({ kind: 'go', at, asleep: false });
const tick = (at: number): StageEvent => ({ kind: 'tick', at });
/** A page that is awake looks at the clock all the time. */
const awake = (from: number, to: number): StageEvent[] =>
  Array.from({ length: Math.ceil(to - from) }, (_, i) => tick(Math.min(to, from + i + 1)));

describe('a set by the clock', () => {
  const { set } = setUp();

  it('leads in, runs, and ends by the clock at the top of its dose: ran out, and nobody has said that it was done', () => {
    const { state, sets } = play(set, [go(0), tick(2.9), tick(3), ...awake(3, 33)]);
    expect(state.phase).toMatchObject({ kind: 'keeping', deed: { amount: 30 } });
    expect(sets).toEqual([{ kind: 'set', itemId: 'item-plank', round: 1, side: 'whole', amount: 30, ranOut: true }]);
  });

  it('on a locked phone or a frozen page ends where the device was last awake, unconfirmed', () => {
    const { sets, does } = play(set, [go(0), tick(3), ...awake(3, 12), tick(500)]);
    expect(sets).toMatchObject([{ amount: 9, ranOut: true }]);
    expect(does.at(-1)).toMatchObject({ kind: 'keep set', endedAt: 12 });
    expect(play(set, [go(0), tick(3), ...awake(3, 12), tick(15.9), ...awake(15.9, 33)]).sets).toMatchObject([{ amount: 30 }]);
  });

  it('that ran out is answered for before the next begins; the tap that came for its end counts for nothing', () => {
    const run = ran(headOf([itemOf('plank')]), [setOf('plank', 1, { ranOut: true })]);
    const [first, second] = stepsOf(run, library) as readonly [Step, Step];
    const resting: StageSet = { run, step: second, last: { step: first, endedAt: 33, unconfirmed: true }, pace: set.pace };
    const { state } = stageFor(resting, 33, true);
    expect(play(resting, [go(33.3)], state).does).toEqual([]);
    const asked = play(resting, [go(35)], state);
    expect([asked.does, asked.state.phase.kind]).toEqual([[{ kind: 'confirm last' }], 'between']);
    const confirmed = { ...resting, last: { step: first, endedAt: 33 } };
    expect(play(confirmed, [go(35.4)], asked.state).state.phase.kind).toBe('between');
    expect(play(confirmed, [go(36.1)], asked.state).state.phase.kind).toBe('lead');
  });

  it('of nothing is no set: ended before the first second it is simply not begun', () => {
    expect(play(set, [go(0), go(1.5), tick(2), { kind: 'see', at: 2.2, faultId: 'breath-held' }, go(2.4)])).toMatchObject({ sets: [] });
    const fault = { itemId: 'item-plank', round: 1, side: 'whole', faultId: 'breath-held', eventId: 'f', times: 1, during: true } as const;
    const { state, sets } = play(set, [go(0), go(1.5), { kind: 'fault kept', at: 2, fault }, { kind: 'stayed', at: 9 }]);
    expect([state.phase.kind, sets]).toEqual(['ready', []]);
  });

  it('a double tap is one tap: it neither cuts the lead-in nor begins the next set', () => {
    expect(play(set, [go(0), go(0.3)]).state.phase).toEqual({ kind: 'lead', until: 3 });
    expect(play(set, [go(0), go(1), go(1.4)]).state.phase.kind).toBe('work');
  });

  it('ends where it is ended, with what is behind', () => {
    expect(play(set, [go(0), go(1), go(13.4)]).sets).toMatchObject([{ amount: 12 }]);
  });

  it('wakes the sound first where there could be one, and goes on when it is awake', () => {
    const asleep = play(set, [{ kind: 'go', at: 0, asleep: true }]);
    expect([asleep.state.phase.kind, asleep.does]).toEqual(['ready', [{ kind: 'wake' }]]);
    expect(play(set, [{ kind: 'awake', at: 1 }]).state.phase).toEqual({ kind: 'lead', until: 4 });
  });

  it('is left without a trace only before its first second', () => {
    for (const events of [
      [go(0), { kind: 'leave', at: 1 }],
      [go(0), go(1), { kind: 'leave', at: 1.8 }],
    ] as StageEvent[][]) {
      const { state, sets, does } = play(set, events);
      expect([state.phase.kind, sets, does.at(-1)]).toEqual(['ready', [], { kind: 'hush' }]);
    }
  });

  it('that is left asks first: what was done is logged, goes on where it stood, or is thrown away on purpose', () => {
    const asked = play(set, [go(0), tick(3), ...awake(3, 12), { kind: 'leave', at: 12.5 }, ...awake(12.5, 300)]);
    expect([asked.state.phase, asked.sets]).toMatchObject([{ kind: 'leaving', amount: 9 }, []]);
    const next = (event: StageEvent) => play(set, [event], asked.state);
    expect(next(go(301)).sets).toEqual([{ kind: 'set', itemId: 'item-plank', round: 1, side: 'whole', amount: 9 }]);
    expect(next({ kind: 'stay', at: 301 }).state.phase).toMatchObject({ kind: 'work', since: 291.5 });
    expect([next({ kind: 'discard', at: 301 }).state.phase.kind, next({ kind: 'discard', at: 301 }).sets]).toEqual(['ready', []]);
    // A double tap on "leave" throws nothing away, and logs nothing.
    expect(next({ kind: 'discard', at: 12.9 }).state.phase.kind).toBe('leaving');
    expect(next(go(12.9)).sets).toEqual([]);
  });

  it('by feel that is left asks how it was', () => {
    const { set: felt } = setUp('feel');
    const asked = play(felt, [go(0), tick(3), ...awake(3, 12), { kind: 'leave', at: 12.5 }]);
    expect(asked.state.phase).toMatchObject({ kind: 'leaving', amount: 0 });
    expect(play(felt, [go(14)], asked.state).state.phase.kind).toBe('feel');
    const feeling = play(felt, [go(14), { kind: 'leave', at: 16 }, { kind: 'stay', at: 18 }], asked.state);
    expect(feeling.state.phase.kind).toBe('feel');
  });

  it('that something interrupts, or whose page goes and comes back, keeps what was done, unconfirmed', () => {
    const work = [go(0), tick(3), ...awake(3, 12)];
    expect(play(set, [...work, { kind: 'interrupted', at: 12.5 }]).sets).toMatchObject([{ amount: 9, ranOut: true }]);
    expect(play(set, [go(0), { kind: 'interrupted', at: 1 }]).sets).toEqual([]);
    expect(play(set, [{ kind: 'interrupted', at: 1 }]).sets).toEqual([]);
    expect(play(set, [{ kind: 'resumed', at: 1, amount: 9 }]).sets).toMatchObject([{ amount: 9, ranOut: true }]);
    expect(play(set, [{ kind: 'resumed', at: 1, amount: 900 }]).sets).toMatchObject([{ amount: 30, ranOut: true }]);
    expect(play(setUp('feel').set, [{ kind: 'resumed', at: 1, amount: 0 }]).state.phase.kind).toBe('feel');
  });

  it('that cannot be kept stays until it is, as it was', () => {
    const { state, sets } = play(set, [go(0), go(1), go(6), { kind: 'not kept' }, go(9)]);
    expect(state.phase.kind).toBe('keeping');
    expect(sets).toMatchObject([{ amount: 5 }, { amount: 5 }]);
    expect(play(set, [{ kind: 'kept' }], state).state.phase).toEqual({ kind: 'ready' });
  });

  it('is handed over once, however often the key is pressed', () => {
    expect(play(set, [go(0), go(1), go(6), go(6.1), go(6.2), tick(60), { kind: 'see', at: 61, faultId: 'breath-held' }]).sets).toHaveLength(
      1,
    );
  });
});

describe('a set by feel', () => {
  const { set } = setUp('feel', { min: 5, max: 20 });
  it.each<[Feeling, number]>([
    ['too easy', 20],
    ['right', 20],
    ['too much', 5],
    ['clenched', 5],
  ])('that felt %s stands for %i, and does not end by itself', (feeling, amount) => {
    const { sets } = play(set, [go(0), go(1), ...awake(1, 900), go(901), { kind: 'feel', at: 902, feeling }]);
    expect(sets).toMatchObject([{ amount, feeling }]);
  });
});

describe('a fault', () => {
  const { set } = setUp();
  const during = {
    kind: 'fault kept',
    at: 6.1,
    fault: { itemId: 'item-plank', round: 1, side: 'whole', faultId: 'breath-held', eventId: 'f', times: 1, during: true },
  } as const;
  const working = [go(0), go(1)];
  const see: StageEvent = { kind: 'see', at: 6, faultId: 'breath-held' };

  it('is kept as staying, and counted', () => {
    expect(play(set, [...working, see]).does.at(-1)).toMatchObject({
      kind: 'keep fault',
      fault: { faultId: 'breath-held', times: 1, during: true },
    });
  });

  it('may be told to one side, which takes the place of what was kept, and stops nothing', () => {
    const on = (side: 'left' | 'right', eventId: string): StageEvent => ({ kind: 'fault on', at: 7, on: side, eventId });
    const { state, does } = play(set, [...working, see, during, on('left', 'g')]);
    expect([state.phase.kind, state.fault?.on, state.fault?.eventId]).toEqual(['work', 'left', 'g']);
    expect(does.at(-1)).toMatchObject({ kind: 'side fault', was: { eventId: 'f' }, fault: { eventId: 'g', on: 'left' } });
    // The same side twice changes nothing; the other one does. Without a fault there is nothing to tell.
    expect(play(set, [on('left', 'h')], state).does).toEqual([]);
    expect(play(set, [on('right', 'h')], state).state.fault).toMatchObject({ on: 'right', eventId: 'h' });
    expect(play(set, [...working, on('left', 'g')]).state.fault).toBeUndefined();
    expect(play(set, [go(9)], state).does).toMatchObject([{ kind: 'mend fault', fault: { eventId: 'g', on: 'left' } }, { kind: 'sound' }]);
  });

  it('that the cue mended is mended by the one key, and the set runs on', () => {
    const { state, does } = play(set, [...working, see, during, go(8)]);
    expect([state.phase.kind, state.fault, does.slice(-2)]).toMatchObject(['work', undefined, [{ kind: 'mend fault' }, { kind: 'sound' }]]);
  });

  it('stops the count until it is answered: nothing runs out while it stands, and the set goes on where it stood', () => {
    const waiting = play(set, [...working, ...awake(1, 6), see, during, ...awake(6, 60)]);
    expect([waiting.state.phase, waiting.sets]).toMatchObject([{ kind: 'work', paused: 6.1 }, []]);
    const { sets } = play(set, [{ kind: 'mended', at: 61.1 }, ...awake(61.1, 85.9), tick(86), tick(86.1)], waiting.state);
    expect(sets).toMatchObject([{ amount: 30, ranOut: true }]);
  });

  it('that stays, or is seen again, ends the set with what was done before it', () => {
    expect(play(set, [...working, see, during, { kind: 'stayed', at: 9 }]).sets).toMatchObject([{ amount: 5 }]);
    expect(play(set, [...working, see, during, { ...see, at: 11 }]).sets).toMatchObject([{ amount: 5 }]);
  });

  it('shown that very moment, takes no tap that was meant for the end of the set', () => {
    expect(play(set, [...working, see, during, go(6.4)]).state.fault).toBeDefined();
  });

  it('seen in a rest is about the set before', () => {
    const run = ran(headOf([itemOf('plank')]), [setOf('plank')]);
    const [first, second] = stepsOf(run, library) as readonly [Step, Step];
    const resting: StageSet = { run, step: second, last: { step: first, endedAt: 0 }, pace: set.pace };
    expect(play(resting, [see]).does).toMatchObject([{ kind: 'keep fault', fault: { round: 1, during: false } }]);
  });
});

describe('something hurts', () => {
  const { set } = setUp();

  it('stops the clock at once; whatever is entered meanwhile, nothing runs out, and what was done is kept', () => {
    const held = play(set, [go(0), tick(3), ...awake(3, 12), { kind: 'hold', at: 12.5 }, ...awake(12.5, 200)]);
    expect([held.state.phase, held.sets, held.does.at(-1)]).toMatchObject([{ kind: 'work', paused: 12.5 }, [], { kind: 'hush' }]);
    expect(play(set, [{ kind: 'hurts', at: 200 }], held.state).sets).toEqual([
      { kind: 'set', itemId: 'item-plank', round: 1, side: 'whole', amount: 9 },
    ]);
    expect(play(set, [{ kind: 'go on', at: 200 }, tick(200.5)], held.state).state.phase).toMatchObject({ kind: 'work', since: 190.5 });
  });

  it('and a device that falls asleep over it logs nothing by itself: what is being entered stays on the screen', () => {
    const asleep = play(set, [go(0), tick(3), ...awake(3, 12), { kind: 'hold', at: 12.5 }, tick(900)]);
    expect([asleep.state.phase, asleep.sets]).toMatchObject([{ kind: 'work', paused: 12.5 }, []]);
    expect(play(set, [{ kind: 'hurts', at: 901 }], asleep.state).sets).toMatchObject([{ amount: 9 }]);
  });

  it('in the first second, or by feel, logs no set: nobody did one', () => {
    expect(play(set, [go(0), tick(3), { kind: 'hold', at: 3.4 }, { kind: 'hurts', at: 9 }])).toMatchObject({
      sets: [],
      state: { phase: { kind: 'ready' } },
    });
    expect(play(setUp('feel').set, [go(0), tick(3), ...awake(3, 20), { kind: 'hurts', at: 20 }]).sets).toEqual([]);
  });

  it('lets no flow go on underneath', () => {
    const run = ran(headOf([itemOf('plank')], { form: 'flow' }), [setOf('plank')]);
    const [first, second] = stepsOf(run, library) as readonly [Step, Step];
    const flow: StageSet = { run, step: second, last: { step: first, endedAt: 100 }, pace: set.pace };
    const { state } = stageFor(flow, 101, true);
    expect(play(flow, [{ kind: 'hold', at: 102 }, ...awake(102, 200)], state).state.phase.kind).toBe('ready');
  });
});

describe('between two sets', () => {
  const circuit = (form: 'sets' | 'circuit') => {
    const run = ran(headOf([itemOf('plank')], { form }), [setOf('plank')]);
    const [first, second] = stepsOf(run, library) as readonly [Step, Step];
    return { run, step: second, last: { step: first, endedAt: 100 }, pace: paceOf(second.drill.dose, 30) };
  };

  it('there is rest with its tones, then it waits', () => {
    const set = circuit('sets');
    const { state, does } = stageFor(set, 101, true);
    expect([state.phase.kind, does]).toMatchObject(['between', [{ kind: 'sound', since: 100 }]]);
    expect(play(set, [tick(144.9)], state).state.phase.kind).toBe('between');
    expect(play(set, [tick(145)], state).state.phase.kind).toBe('ready');
  });

  it('a circuit runs on by itself, but not past somebody else in a group', () => {
    const set = circuit('circuit');
    expect(play(set, [tick(200)], stageFor(set, 101, true).state).state.phase.kind).toBe('work');
    expect(play(set, [tick(200)], stageFor(set, 101, false).state).state.phase.kind).toBe('ready');
    expect(stageFor(set, 500, true).state.phase.kind).toBe('ready');
  });
});

describe('whatever happens, in whatever order', () => {
  const anyEvent = (at: number): fc.Arbitrary<StageEvent> =>
    fc.oneof(
      { weight: 4, arbitrary: fc.constant(go(at)) },
      { weight: 3, arbitrary: fc.constant(tick(at)) },
      fc.constantFrom<StageEvent>(
        { kind: 'leave', at },
        { kind: 'discard', at },
        { kind: 'stay', at },
        { kind: 'interrupted', at },
        { kind: 'mended', at },
        { kind: 'stayed', at },
        { kind: 'close fault', at },
        { kind: 'hold', at },
        { kind: 'go on', at },
        { kind: 'hurts', at },
        { kind: 'kept' },
        { kind: 'not kept' },
      ),
      fc.constantFrom<Feeling>('too easy', 'right', 'too much', 'clenched').map((feeling): StageEvent => ({ kind: 'feel', at, feeling })),
      fc.constant<StageEvent>({ kind: 'see', at, faultId: 'breath-held' }),
    );
  const anyStory = fc
    .array(fc.double({ min: 0.01, max: 20, noNaN: true }), { minLength: 1, maxLength: 60 })
    .map((waits) => waits.reduce<number[]>((ats, wait) => [...ats, (ats.at(-1) ?? 0) + wait], []))
    .chain((ats) => fc.tuple(...ats.map(anyEvent)));

  it.each(['count', 'feel'] as const)('a set is logged only from work, never more than was planned or time allows (%s)', (progress) => {
    const { set } = setUp(progress);
    fc.assert(
      fc.property(anyStory, (events) => {
        let state: StageState = { phase: { kind: 'ready' }, means: -10 };
        let workSince: number | undefined;
        for (const event of events) {
          const before = state.phase.kind;
          const after = stageAfter(state, event, set);
          const at = 'at' in event ? event.at : 0;
          if (after.state.phase.kind === 'work' && before !== 'work') workSince = at;
          for (const effect of after.does) {
            if (effect.kind !== 'keep set') continue;
            // Nothing is on its way twice.
            expect(['work', 'feel', 'leaving', 'unkept']).toContain(before);
            expect(effect.deed.amount).toBeLessThanOrEqual(set.step.item.now.max);
            if (progress === 'count' && before === 'work') expect(effect.deed.amount).toBeLessThanOrEqual(at - (workSince ?? at));
            expect(effect.deed.feeling !== undefined).toBe(progress === 'feel');
            // Whatever nobody ended is not confirmed; whatever somebody ended is.
            if (before === 'work') expect(effect.deed.ranOut === true).toBe(event.kind === 'tick' || event.kind === 'interrupted');
          }
          state = after.state;
        }
      }),
      { seed: 12, numRuns: 400 },
    );
  });

  it('the same story ends the same way', () => {
    const { set } = setUp();
    fc.assert(
      fc.property(anyStory, (events) => {
        expect(play(set, events)).toEqual(play(set, events));
      }),
      { seed: 3, numRuns: 50 },
    );
  });
});
