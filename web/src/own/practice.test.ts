import type { OwnItem } from '@myokinet/core/contracts';
import { describe, expect, it } from 'vitest';
import { asSession, begun, isOver, setsInAll, withoutLast, withSet } from './practice.ts';

const item = (own: Partial<OwnItem> = {}): OwnItem => ({
  ...{
    id: 'one',
    drillId: 'plank',
    sets: 2,
    min: 5,
    max: 10,
    restSeconds: 30,
    name: 'Plank',
    dose: '2 × 5–10 s',
    unit: 's',
    perSide: false,
  },
  ...{ cue: '', steps: [], felt: '', breath: {}, equipment: [], figure: { id: 'plank', pose: 'plank' } },
  ...own,
});
let made = 0;
const newId = () => `set-${made++}`;
const start = begun({ id: 'session', items: [] }, 'practice', new Date('2026-11-24T08:00:00Z'), newId);

describe('practice at home', () => {
  it('counts the sets that were told and never more than are planned', () => {
    let practice = start;
    for (let i = 0; i < 5; i++) practice = withSet(practice, item(), 8, newId);
    expect(setsInAll(practice)).toBe(2);
    expect(isOver(practice, item())).toBe(true);
    expect(setsInAll(withoutLast(practice, 'one'))).toBe(1);
    expect(setsInAll(withoutLast(start, 'one'))).toBe(0);
  });

  it('goes to the coach as it was told: each side of a set, nothing of what was not done, the reason of what was left out', () => {
    const two = item({ id: 'two', perSide: true });
    const practice = { ...withSet({ ...start, items: [item(), two] }, two, 7, newId), skipped: { one: 'no equipment' as const } };
    const dto = asSession(practice, 4, new Date('2026-11-24T08:12:20Z'));
    expect(dto).toMatchObject({
      id: 'practice',
      plannedSessionId: 'session',
      minutes: 12,
      effort: 4,
      performedAt: '2026-11-24T08:00:00.000Z',
    });
    expect(dto.items[0]).toMatchObject({ sets: [], skipped: 'no equipment' });
    expect(dto.items[1]?.sets.map((s) => [s.side, s.amount])).toEqual([
      ['left', 7],
      ['right', 7],
    ]);
    expect(dto.items[1]?.skipped).toBeUndefined();
  });

  it('of a routine for any time is told by its name, and has ids of its own each time', () => {
    const routine = { id: 'routine', items: [item()], preparation: 'Short break' };
    const [one, two] = [1, 2].map(() => begun(routine, newId(), new Date('2026-11-24T08:00:00Z'), newId));
    expect(one?.items[0]?.id).not.toBe(two?.items[0]?.id);
    const dto = asSession(withSet(one!, one!.items[0]!, 8, newId), 2, new Date('2026-11-24T09:30:00Z'));
    expect(dto).toMatchObject({ plannedSessionId: null, preparation: 'Short break', minutes: 90 });
  });

  it('lasts at least a minute and at most five hours, whatever the clock did', () => {
    const minutes = (end: string) => asSession(start, 3, new Date(end)).minutes;
    expect([minutes('2026-11-24T07:00:00Z'), minutes('2026-11-24T08:00:05Z'), minutes('2026-11-26T08:00:00Z')]).toEqual([1, 1, 300]);
  });
});
