import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { addDays, type Instant } from '../quantities/index.ts';
import { say } from '../words/index.ts';
import type { CautionId } from '../safety/index.ts';
import { onRungSince, tissueTime, tissueTimeOn } from './tissueTime.ts';
import type { GateInput, SessionFact } from './index.ts';

const now = new Date('2026-11-24T18:00:00Z');
const ago = (days: number): Instant => addDays(now, -days);
const on = (id: string, ...cautions: CautionId[]) =>
  tissueTimeOn(
    library.drill(id),
    cautions.map((c) => ({ id: c, because: [] })),
  );

describe('what a rung asks of the tissue (professional judgement, from memory, no single source)', () => {
  it.each([
    ['practice-wall-push-up', 7, 3, 48],
    ['practice-quarter-hang', 7, 3, 48],
    ['practice-half-hang', 14, 4, 48],
    ['practice-floor-push-up', 14, 4, 48],
    ['practice-free-hang', 14, 4, 48],
    ['practice-lean-10', 21, 6, 48],
    ['practice-taps-with-feet', 21, 6, 48],
    ['practice-straight-swings', 21, 6, 48],
    ['practice-wall-handstand', 21, 6, 48],
    ['practice-tips-plank', 28, 6, 72],
  ])('%s: %d days and %d sessions, %d hours apart', (id, days, sessions, hoursApart) =>
    expect(on(id)).toEqual({ days, sessions, hoursApart }),
  );

  it.each<[CautionId, number]>([
    ['minor', 21],
    ['lax-joints', 21],
    ['recent-birth', 21],
    ['from-60', 21],
    ['wrist-injury', 21],
    ['pain-now', 14],
    ['pregnancy', 14],
  ])('%s: %d days for what asks 14 of others', (id, days) => expect(on('practice-half-hang', id).days).toBe(days));

  it('counts from the oldest signature that stands, or from the last withdrawal', () => {
    expect(onRungSince([ago(3), ago(20)], undefined)).toBe(ago(20));
    expect(onRungSince([ago(3), ago(20)], ago(5))).toBe(ago(5));
    expect(onRungSince([ago(3)], ago(5))).toBe(ago(3));
    expect(onRungSince([], ago(5))).toBeUndefined();
  });
});

describe('the rule', () => {
  const session = (days: number, own: Partial<SessionFact> = {}): SessionFact => ({
    ...{ id: `${days}`, performedAt: ago(days), clean: false, symptoms: [] },
    practised: [{ drillId: 'plank', top: false, load: 1 }],
    ...own,
  });
  const input = (signed: number, sessions: readonly SessionFact[]) =>
    ({
      ...{ sessions, now, practice: { drillIds: ['plank'], names: ['Plank'], preparation: false } },
      tissue: { since: ago(signed), asks: { days: 14, sessions: 4, hoursApart: 48 } },
    }) as unknown as GateInput;
  const four = [session(1), session(4), session(7), session(10)];
  const found = (signed: number, sessions: readonly SessionFact[]) => tissueTime(input(signed, sessions))[0];

  it('is met from the day on which both are there, clean or not', () => {
    expect(found(14, four)).toMatchObject({ met: true, counted: 4 });
    expect(found(13.99, four)).toMatchObject({ met: false, counted: 4 });
    expect(found(20, four.slice(1))).toMatchObject({ met: false, counted: 3 });
  });

  it.each<[string, SessionFact]>([
    ['before the signature', session(21)],
    ['in the future', session(-1)],
    ['too soon after another', session(1.5)],
    ['of another drill', session(13, { practised: [{ drillId: 'arm-circles', top: true, load: 1 }] })],
    ['much lighter', session(13, { practised: [{ drillId: 'plank', top: true, load: 0.89 }] })],
  ])('does not count a session %s', (_, fifth) =>
    expect(found(20, [...four.slice(0, 3), fifth])).toMatchObject({ met: false, counted: 3 }),
  );

  it('counts one logged twice once', () => {
    const planned = (days: number) => session(days, { plannedSessionId: 'p' });
    expect(found(20, [...four.slice(0, 2), planned(7), planned(10)])).toMatchObject({ counted: 3 });
  });

  it('says the earliest day', () => {
    const finding = found(10, four)!;
    expect(say(finding, { measureOf: library.measure, headrooms: [], now })).toMatch(
      /^Earliest day for the next rung: Sat 28 Nov\. Tissue needs 14 days on this rung, and 3 of 4 sessions/,
    );
  });
});

it('below the ladder nothing is asked', () => expect(tissueTime({} as GateInput)).toEqual([]));
