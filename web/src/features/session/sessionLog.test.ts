import { BUILT_IN } from '@myokinet/core/catalogue';
import { inspect, SessionDto } from '@myokinet/core/contracts';
import { openLibrary } from '@myokinet/core/library';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { quietSymptom } from '../record/index.ts';
import { doneAtLeast, judgeLog, logFor, readSet, type SessionLog, sessionFrom, withRound } from './sessionLog.ts';

const library = openLibrary(BUILT_IN);
const scope = { now: new Date('2026-11-24T18:30:00'), library };
const now = new Date('2026-11-24T18:30:00');
const item = (drillId: string, sets: number) => ({ id: newId(), drillId, sets, min: 5, max: 10, restSeconds: 40, why: '' });
const planned = { id: newId(), day: '2026-11-23', items: [item('plank', 2), item('practice-packs-and-rocks', 2)] };

const filled = (change: Partial<SessionLog> = {}): SessionLog => {
  const log = logFor(planned, now, library);
  return { ...log, effort: '6', items: log.items.map((i) => doneAtLeast(i, false)), ...change };
};

describe('a fresh log', () => {
  it('has every planned set open, on each side where there are sides', () => {
    const log = logFor(planned, now, library);
    expect(log.items.map((i) => i.sets.map((s) => s.side))).toEqual([
      ['whole', 'whole'],
      ['left', 'right', 'left', 'right'],
    ]);
    expect(log.items.flatMap((i) => i.sets).every((s) => s.text === '')).toBe(true);
  });

  it('takes the planned day for a session of the past, and now for one of today or none', () => {
    expect(logFor(planned, now, library).performedAt).toBe('2026-11-23T17:00');
    expect(logFor({ ...planned, day: '2026-11-24' }, now, library).performedAt).toBe('2026-11-24T18:30');
    expect(logFor(undefined, now, library)).toMatchObject({ performedAt: '2026-11-24T18:30', plannedSessionId: null, items: [] });
  });
});

describe('sets', () => {
  it.each([
    ['', {}],
    ['12', { amount: 12 }],
    ['0', { amount: 0 }],
    ['right', { amount: 10, feeling: 'right' }],
    ['too much', { amount: 5, feeling: 'too much' }],
  ])('%j', (text, read) => expect(readSet(text, { min: 5, max: 10 })).toEqual(read));

  it.each(['2.5', '-1', '4000', 'ten'])('%j says what is wrong', (text) =>
    expect(readSet(text, { min: 5, max: 10 }).problem).toBe('A set must be a whole number from 0 to 3600.'),
  );

  it('keep what was typed when the rest is filled with the least of the dose', () => {
    const [plank] = logFor(planned, now, library).items;
    if (!plank) throw new Error('no item');
    const partly = { ...plank, sets: plank.sets.map((s, i) => (i === 0 ? { ...s, text: '7' } : s)) };
    expect(doneAtLeast(partly, false).sets.map((s) => s.text)).toEqual(['7', '5']);
    expect(withRound(partly, library).sets).toHaveLength(3);
  });
});

describe('the request', () => {
  it('is one the server takes; sets left empty were not done', () => {
    const log = filled();
    const dto = sessionFrom({
      ...log,
      items: log.items.map((i, at) => (at === 0 ? { ...i, sets: i.sets.map((s, n) => (n === 1 ? { ...s, text: '' } : s)) } : i)),
    });
    expect(inspect(SessionDto, dto, scope).problems).toEqual([]);
    expect(dto.items.map((i) => i.sets.length)).toEqual([1, 4]);
    expect(dto).toMatchObject({ effort: 6, plannedSessionId: planned.id, performedAt: new Date('2026-11-23T17:00').toISOString() });
  });

  it('says in words what is missing', () => {
    const messages = inspect(SessionDto, sessionFrom(filled({ effort: '', minutes: 'x', performedAt: '' })), scope).problems.map(
      (p) => p.message,
    );
    expect(messages).toEqual([
      expect.stringContaining('The time of the session must be a date and time'),
      'Effort must be a whole number from 0 to 10.',
      'Minutes must be a whole number from 1 to 300.',
    ]);
  });
});

describe('the verdict while typing', () => {
  it('is clean when all is done at the top, and not when only the least is known', () => {
    const at = (amount: string) => {
      const log = filled();
      return sessionFrom({ ...log, items: log.items.map((i) => ({ ...i, sets: i.sets.map((s) => ({ ...s, text: amount })) })) });
    };
    expect(judgeLog(at('10'), library).clean.clean).toBe(true);
    expect(judgeLog(sessionFrom(filled()), library).clean.finding).toMatchObject({ code: 'below-top', top: 10 });
  });

  it('is clean by feel when every set felt right, and not when one clenched', () => {
    const felt = (text: string) => {
      const log = filled();
      return sessionFrom({ ...log, items: log.items.map((i) => ({ ...i, sets: i.sets.map((s) => ({ ...s, text })) })) });
    };
    expect(judgeLog(felt('right'), library).clean.clean).toBe(true);
    expect(judgeLog(felt('clenched'), library).clean.finding).toEqual({ code: 'felt', drillId: 'plank', feeling: 'clenched' });
    expect(felt('right').items[0]?.sets[0]).toMatchObject({ feeling: 'right', amount: 10 });
  });

  it('warns of a stop sign at once', () => {
    const symptoms = [{ ...quietSymptom('during'), id: newId(), intensity: 2, kind: 'sharp' as const, side: 'left' as const }];
    const { clean, stops } = judgeLog(sessionFrom(filled({ symptoms })), library);
    expect(clean.clean).toBe(false);
    expect(stops).toEqual(['Sharp 2/10, left shoulder, during: stop and step back.']);
  });
});
