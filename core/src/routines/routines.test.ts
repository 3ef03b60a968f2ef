import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { BREATH_SECONDS, setSeconds, takesTurns } from '../drills/index.ts';
import {
  BLOCK_WAYS,
  dosesOf,
  momentsOf,
  ROUTINE_PARTS,
  type Routine,
  type RoutineBlock,
  routineFindings,
  routineSeconds,
  type RoutineStep,
} from './index.ts';

const library = BUILT_IN_LIBRARY;
const drillOf = (id: string) => (library.hasDrill(id) ? library.drill(id) : undefined);
const drill = (drillId: string, amount = 5, restSeconds = 10): RoutineStep => ({
  id: `${drillId} ${amount}`,
  kind: 'drill',
  drillId,
  amount,
  restSeconds,
});
const block = (own: Partial<RoutineBlock>): RoutineBlock => ({
  ...{ id: 'b', name: '', part: 'work', way: 'once', mirrored: false, steps: [] },
  ...own,
});
const routine = (...blocks: readonly RoutineBlock[]): Routine => ({ name: 'One', purpose: 'session', note: '', blocks });
const sided = library.drills.find((d) => d.dose.perSide && !takesTurns(d.dose) && d.dose.unit === 'reps')!;
const whole = library.drill('plank');

const step = fc.oneof(
  fc.record({
    id: fc.uuid(),
    kind: fc.constant('drill' as const),
    drillId: fc.constantFrom(...library.drills.map((d) => d.id)),
    amount: fc.integer({ min: 1, max: 40 }),
    restSeconds: fc.integer({ min: 0, max: 90 }),
  }),
  fc.record({ id: fc.uuid(), kind: fc.constant('pause' as const), seconds: fc.integer({ min: 1, max: 120 }) }),
  fc.record({ id: fc.uuid(), kind: fc.constant('breath' as const), breaths: fc.integer({ min: 1, max: 12 }) }),
);
const anyBlock = fc.record({
  id: fc.uuid(),
  name: fc.constant(''),
  part: fc.constantFrom(...ROUTINE_PARTS),
  way: fc.constantFrom(...BLOCK_WAYS),
  rounds: fc.integer({ min: 1, max: 6 }),
  minutes: fc.integer({ min: 1, max: 20 }),
  breaths: fc.integer({ min: 1, max: 10 }),
  mirrored: fc.boolean(),
  steps: fc.array(step, { minLength: 1, maxLength: 8 }),
});

describe('a routine as it runs', () => {
  it('begins with every warm-up and ends with every cool-down, each block in its own order', () => {
    fc.assert(
      fc.property(fc.array(anyBlock, { minLength: 1, maxLength: 5 }), (blocks) => {
        const order = [...new Set(momentsOf({ blocks }, drillOf).map((m) => m.blockId))].map((id) => blocks.find((b) => b.id === id)!);
        const parts = order.map((b) => ROUTINE_PARTS.indexOf(b.part));
        expect(parts).toEqual([...parts].sort((a, b) => a - b));
        for (const part of ROUTINE_PARTS)
          expect(order.filter((b) => b.part === part).map((b) => b.id)).toEqual(blocks.filter((b) => b.part === part).map((b) => b.id));
      }),
    );
  });

  it('does as much left as right, whichever way the sides come', () => {
    fc.assert(
      fc.property(anyBlock, (one) => {
        const moments = momentsOf({ blocks: [{ ...one, way: one.way === 'time' ? 'once' : one.way }] }, drillOf);
        const sum = (side: string) => moments.filter((m) => m.side === side).reduce((s, m) => s + m.seconds, 0);
        expect(sum('left')).toBe(sum('right'));
      }),
    );
  });

  it('lasts as long as its steps: counted apart from how it is laid out', () => {
    fc.assert(
      fc.property(anyBlock, (one) => {
        const times = { once: 1, stations: 1, rounds: one.rounds, time: 0 }[one.way] * (one.mirrored ? 2 : 1);
        const seconds = one.steps.reduce((sum, s) => {
          if (s.kind === 'pause') return sum + s.seconds * times;
          if (s.kind === 'breath') return sum + s.breaths * BREATH_SECONDS * times;
          const { dose } = library.drill(s.drillId);
          const set = one.way === 'stations' ? one.breaths * BREATH_SECONDS : Math.ceil(setSeconds(dose, s.amount));
          // A mirrored block does one side in each of its two ways through.
          const sides = dose.perSide ? (takesTurns(dose) ? 2 : one.mirrored ? 1 : 2) : 1;
          return sum + (set * sides + s.restSeconds) * times;
        }, 0);
        const last = one.steps.at(-1)!;
        const spared = last.kind === 'drill' ? last.restSeconds : 0;
        const asked = one.way === 'time' ? one.minutes * 60 : seconds - spared;
        const all = routineSeconds({ blocks: [one] }, drillOf);
        // Against a clock the last thing may have been the rest that is left out.
        if (one.way === 'time') expect(asked - all).toBeLessThanOrEqual(90);
        else expect(all).toBe(asked);
      }),
    );
  });

  it('does both sides of a drill before the next, or the whole block on one side first', () => {
    const steps = [drill(sided.id), drill(whole.id, 20)];
    const sides = (mirrored: boolean) =>
      momentsOf(routine(block({ steps, mirrored })), drillOf).flatMap((m) => (m.kind === 'drill' ? [m.side ?? 'both'] : []));
    expect(sides(false)).toEqual(['left', 'right', 'both']);
    expect(sides(true)).toEqual(['left', 'both', 'right', 'both']);
  });

  it('cuts its last round where a block runs against a clock, and ends where there is nothing to do', () => {
    const timed = block({ way: 'time', minutes: 1, steps: [drill(whole.id, 25, 10)] });
    expect(momentsOf(routine(timed), drillOf).map((m) => [m.kind, m.seconds])).toEqual([
      ['drill', 25],
      ['rest', 10],
      ['drill', 25],
    ]);
    // No more is asked for, and none put on record, than fits.
    const long = block({ way: 'time', minutes: 1, steps: [drill(whole.id, 45, 0)] });
    expect(momentsOf(routine(long), drillOf).map((m) => [m.seconds, m.amount])).toEqual([
      [45, 45],
      [15, 15],
    ]);
    expect(momentsOf(routine({ ...timed, steps: [] }), drillOf)).toEqual([]);
  });

  it('holds each station for its breaths, whatever the amount of the drill', () => {
    const [moment] = momentsOf(routine(block({ way: 'stations', breaths: 6, steps: [drill(whole.id, 60)] })), drillOf);
    expect(moment).toMatchObject({ amount: 6, unit: 'breaths', seconds: 6 * BREATH_SECONDS });
  });
});

describe('what is said of a routine', () => {
  it('names what is empty, gone, cut or long', () => {
    const codes = (r: Routine) => routineFindings(r, drillOf).map((f) => f.code);
    expect(codes(routine())).toEqual(['nothing to do']);
    expect(codes(routine(block({ steps: [drill(whole.id)] }), block({ id: 'c' })))).toEqual(['empty block']);
    expect(codes(routine(block({ steps: [drill(whole.id), drill('long-gone')] })))).toEqual(['drill gone']);
    expect(codes(routine(block({ way: 'time', minutes: 1, steps: [drill(whole.id, 90)] })))).toEqual(['round cut']);
    expect(codes({ ...routine(block({ way: 'rounds', rounds: 9, steps: [drill(whole.id, 60, 60)] })), purpose: 'short break' })).toEqual([
      'long',
    ]);
  });

  it('asks of each drill what it asks in all: the sets of every round, the longest of them', () => {
    const rounds = block({ way: 'rounds', rounds: 3, steps: [drill(whole.id, 20), drill(sided.id, 8)] });
    const doses = dosesOf(routine(rounds, block({ id: 'c', steps: [drill(whole.id, 30)] })), drillOf);
    expect(doses.find((d) => d.drillId === whole.id)).toMatchObject({ sets: 4, min: 30, max: 30 });
    expect(doses.find((d) => d.drillId === sided.id)).toMatchObject({ sets: 3, max: 8 });
  });
});
