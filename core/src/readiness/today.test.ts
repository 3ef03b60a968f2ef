import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import { dueToday, type TodayFacts } from './index.ts';

const now = new Date('2026-11-25T09:00:00Z');
const ago = (days: number) => instant(addDays(now, -days));
const NOTHING: TodayFacts = {
  verdict: { headrooms: [], standing: { here: -1, rungs: [] } } as unknown as TodayFacts['verdict'],
  screeningWaits: undefined,
  openStopSigns: [],
  sessions: [],
  symptoms: [],
  trainsToday: false,
  ladder: { name: 'Push-up' },
  measureOf: BUILT_IN_LIBRARY.measure,
  now,
};
const due = (own: Partial<TodayFacts>) => dueToday({ ...NOTHING, ...own });

describe('today', () => {
  it('is empty where nothing waits', () => expect(due({})).toEqual([]));

  it('puts what hurts if left first', () => {
    const kinds = due({
      openStopSigns: ['Sharp 7/10.'],
      screeningWaits: 'Ask.',
      trainsToday: true,
      sessions: [{ id: 's', performedAt: ago(1) }],
    });
    expect(kinds.map((d) => d.kind)).toEqual(['stop sign', 'screening', 'morning', 'session']);
    expect(kinds.at(-1)?.sentence).toBe('Trains today on “Push-up”: a stop sign is open, see to it first.');
  });

  it('asks about a morning from the day after, for a week, until it is answered', () => {
    const session = (days: number) => ({ id: `s${days}`, performedAt: ago(days) });
    const asked = due({ sessions: [0.1, 1, 6.9, 7.1].map(session), symptoms: [{ moment: 'during', sessionId: 's1' }] });
    expect(asked.map((d) => d.sessionId)).toEqual(['s1', 's6.9']);
    expect(due({ sessions: [session(1)], symptoms: [{ moment: 'next morning', sessionId: 's1' }] })).toEqual([]);
  });

  it('does not send somebody to train who has trained', () => {
    expect(due({ trainsToday: true, sessions: [{ id: 's', performedAt: ago(0.05) }] })).toEqual([]);
  });

  it('names the checks that are due, each once, and a lapse before them', () => {
    const unknown = (measureId: string) => ({ state: 'unknown', demand: { measureId } });
    const verdict = {
      headrooms: ['grip', 'grip', 'plank-hold'].map(unknown),
      standing: { here: -1, rungs: [] },
    } as unknown as TodayFacts['verdict'];
    expect(due({ verdict })[0]?.sentence).toMatch(/^2 checks due: Grip.*, .*\.$/);
    const lapsed = { ...verdict, standing: { here: 0, rungs: [{ lapse: { reason: 'too late.' } }] } } as unknown as TodayFacts['verdict'];
    expect(due({ verdict: lapsed })).toEqual([{ kind: 're-check', sentence: 'Clearance lapsed: too late.' }]);
  });
});
