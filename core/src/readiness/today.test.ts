import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import { dueInWords } from '../words/index.ts';
import { dueToday, type DueToday, type TodayFacts } from './index.ts';

const now = new Date('2026-11-25T09:00:00Z');
const ago = (days: number) => instant(addDays(now, -days));
const NOTHING: TodayFacts = {
  verdict: { headrooms: [], standing: { here: -1, rungs: [] } } as unknown as TodayFacts['verdict'],
  withdrawn: [],
  screeningWaits: undefined,
  openStopSigns: [],
  sessions: [],
  symptoms: [],
  trainsToday: false,
  ladder: { name: 'Push-up' },
  now,
};
const SHARP = { intensity: 7, kind: 'sharp', place: 'shoulder', side: 'right', moment: 'during', at: ago(1) } as const;
const words = (item: DueToday | undefined) => item && dueInWords(item, { measureOf: BUILT_IN_LIBRARY.measure, now });
const due = (own: Partial<TodayFacts>) => dueToday({ ...NOTHING, ...own });

describe('today', () => {
  it('is empty where nothing waits', () => expect(due({})).toEqual([]));

  it('puts what hurts if left first', () => {
    const kinds = due({
      openStopSigns: [SHARP],
      screeningWaits: { code: 'never-screened' },
      trainsToday: true,
      sessions: [{ id: 's', performedAt: ago(1) }],
    });
    expect(kinds.map((d) => d.kind)).toEqual(['stop sign', 'screening', 'morning', 'session']);
    expect(words(kinds.at(-1))).toBe('Trains today on “Push-up”: a stop sign is open, see to it first.');
  });

  it('asks about a morning from the day after, for a week, until it is answered', () => {
    const session = (days: number) => ({ id: `s${days}`, performedAt: ago(days) });
    const asked = due({ sessions: [0.1, 1, 6.9, 7.1].map(session), symptoms: [{ moment: 'during', sessionId: 's1' }] });
    expect(asked.map((d) => d.kind === 'morning' && d.sessionId)).toEqual(['s1', 's6.9']);
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
    expect(words(due({ verdict })[0])).toMatch(/^2 checks due: Grip.*, .*\.$/);
    const lapsed = { ...verdict, standing: { here: 0, rungs: [{ lapse: { measureId: 'grip' } }] } } as unknown as TodayFacts['verdict'];
    expect(words(due({ verdict: lapsed })[0])).toBe('Clearance lapsed: Grip was not checked within 56 days.');
  });
});
