import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { takesTurns } from '../drills/index.ts';
import {
  begunRun,
  doneOf,
  isOver,
  limitedMoments,
  type MostOf,
  nextRun,
  type RoutineEvent,
  type RoutineMoment,
  type RoutineRun,
} from './index.ts';

const library = BUILT_IN_LIBRARY;
const drillOf = (id: string) => (library.hasDrill(id) ? library.drill(id) : undefined);
const moment = (seconds: number, own: Partial<RoutineMoment> = {}): RoutineMoment => ({
  ...{ stepId: `s${seconds}`, blockId: 'b', round: 1, rounds: 1, kind: 'drill', drillId: 'plank', amount: seconds, unit: 's', seconds },
  ...own,
});
const run = (moments: readonly RoutineMoment[], events: readonly RoutineEvent[]): RoutineRun =>
  events.reduce((state, event) => nextRun(state, event, moments), begunRun(moments));
const ticks = (from: number, to: number): RoutineEvent[] =>
  Array.from({ length: to - from }, (_, i) => ({ kind: 'tick', now: from + i + 1 }));

describe('a routine that runs', () => {
  const moments = [moment(20), moment(10, { kind: 'rest', drillId: undefined } as never), moment(30)];

  it('goes through its moments to the end, and counts each once', () => {
    const over = run(moments, [{ kind: 'go', now: 0 }, ...ticks(0, 60)]);
    expect(over).toMatchObject({ at: 3, gone: [0, 1, 2] });
    expect(isOver(over, moments)).toBe(true);
    expect(nextRun(over, { kind: 'go', now: 61 }, moments)).toBe(over);
  });

  it('counts nothing while it stands still, and nothing that a locked phone slept through', () => {
    const stood = run(moments, [
      { kind: 'go', now: 0 },
      ...ticks(0, 5),
      { kind: 'stand' },
      { kind: 'tick', now: 400 },
      { kind: 'go', now: 500 },
    ]);
    expect(stood).toMatchObject({ at: 0, left: 15, gone: [] });
    const slept = run(moments, [{ kind: 'go', now: 0 }, ...ticks(0, 5), { kind: 'tick', now: 300 }]);
    expect(slept).toMatchObject({ at: 0, left: 15, gone: [], seen: undefined });
    expect(
      run(moments, [
        { kind: 'go', now: 100 },
        { kind: 'tick', now: 40 },
      ]),
    ).toMatchObject({ at: 0, left: 20 });
  });

  it('does not count what is skipped, nor twice what is done once more', () => {
    const skipped = run(moments, [{ kind: 'go', now: 0 }, ...ticks(0, 5), { kind: 'skip' }]);
    expect(skipped).toMatchObject({ at: 1, gone: [] });
    const again = run(moments, [{ kind: 'go', now: 0 }, ...ticks(0, 21), { kind: 'back' }, ...ticks(21, 81)]);
    expect(again.gone).toEqual([0, 1, 2]);
  });

  it('never counts more than ran, whatever is pressed', () => {
    const event = fc.oneof(
      fc.record({ kind: fc.constantFrom('go' as const, 'tick' as const), by: fc.integer({ min: -5, max: 12 }) }),
      fc.record({ kind: fc.constantFrom('stand' as const, 'skip' as const, 'back' as const), by: fc.constant(0) }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 6 }),
        fc.array(event, { maxLength: 60 }),
        (lengths, presses) => {
          const all = lengths.map((s) => moment(s));
          let [state, now, lookedAt] = [begunRun(all), 0, 0];
          for (const { kind, by } of presses) {
            now += by;
            const before = state;
            state = nextRun(state, kind === 'go' || kind === 'tick' ? { kind, now } : { kind }, all);
            if (kind === 'tick' && before.seen !== undefined && now > before.seen && now - before.seen <= 4) lookedAt += now - before.seen;
          }
          expect(new Set(state.gone).size).toBe(state.gone.length);
          expect(state.gone.reduce((sum, i) => sum + (lengths[i] ?? 0), 0)).toBeLessThanOrEqual(lookedAt);
          expect(state.gone.every((g) => g < all.length)).toBe(true);
        },
      ),
    );
  });
});

describe('a routine within what one trainee may do', () => {
  const sided = library.drills.find((d) => d.dose.perSide && !takesTurns(d.dose) && d.dose.unit === 's')!;
  const both = (['left', 'right'] as const).map((side) => moment(40, { drillId: sided.id, side, stepId: 'two' }));
  const rest = moment(15, { kind: 'rest', stepId: 'two', drillId: undefined } as never);
  const all = [moment(30), moment(10, { kind: 'rest', stepId: 's30', drillId: undefined } as never), ...both, rest, ...both];
  const limited = (...most: readonly [string, MostOf][]) => limitedMoments(all, new Map(most), drillOf);

  it('leaves out a closed drill with the rest after it, on both sides', () => {
    expect(limited(['plank', 'closed'])).toEqual([...both, rest, ...both]);
    expect(limited([sided.id, 'closed'])).toEqual(all.slice(0, 2));
  });

  it('has no set longer and none more than allowed, as many left as right', () => {
    const less = limited([sided.id, { sets: 1, max: 25 }]);
    expect(less.map((m) => [m.side, m.seconds])).toEqual([
      [undefined, 30],
      [undefined, 10],
      ['left', 25],
      ['right', 25],
      [undefined, 15],
    ]);
  });

  it('is logged as what ran, side by side', () => {
    expect(doneOf([...both, ...both], { gone: [0, 1, 2] }, drillOf)).toEqual([
      {
        ...{ drillId: sided.id, planned: 2, max: 40 },
        sets: [
          { side: 'left', amount: 40 },
          { side: 'right', amount: 40 },
          { side: 'left', amount: 40 },
        ],
      },
    ]);
  });
});
