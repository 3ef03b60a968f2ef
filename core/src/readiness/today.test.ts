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

  it('says when and where somebody trains, and what is special about it', () => {
    const verdict = {
      headrooms: [{ state: 'unknown', demand: { measureId: 'grip' } }],
      standing: { here: 0, rungs: [{ clearance: { signedAt: ago(2) } }] },
      gate: { open: true, unmet: [] },
    } as unknown as TodayFacts['verdict'];
    const session = (performedAt: string) =>
      due({
        trainsToday: true,
        verdict,
        appointment: { startsAt: '17:30', place: 'gym' },
        sessions: [{ id: 's', performedAt: performedAt as never }],
      }).find((d) => d.kind === 'session');
    expect(session(ago(3))).toEqual({
      ...{ kind: 'session', ladderName: 'Push-up', startsAt: '17:30', place: 'gym' },
      special: ['sign', 're-check', 'new-rung'],
    });
    expect(session(ago(1))).toMatchObject({ special: ['sign', 're-check'] });
    expect(words(session(ago(3)))).toBe('Trains today on “Push-up”: gate to sign, checks due, first day on a new rung.');
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
    expect(words(due({ verdict })[0])).toMatch(/^2 checks due: Grip and .*\.$/);
    const lapsed = { ...verdict, standing: { here: 0, rungs: [{ lapse: { measureId: 'grip' } }] } } as unknown as TodayFacts['verdict'];
    expect(words(due({ verdict: lapsed })[0])).toBe('Clearance lapsed: Grip was not checked within 63 days.');
  });
});

describe('what a verdict asks for today', () => {
  const verdict = (gate: object, more: object = {}) =>
    ({
      ...NOTHING.verdict,
      rung: { name: 'Low bar' },
      gate: { open: false, unmet: [], ...gate },
      ...more,
    }) as unknown as TodayFacts['verdict'];
  const closed = (rule: string) => verdict({ unmet: [{ rule: 'clean-sessions' }, { rule }] });

  it('is a signature where the gate is open, and none where it is not', () => {
    expect(due({ verdict: verdict({ open: true }) })).toEqual([{ kind: 'sign', rungName: 'Low bar' }]);
    expect(due({ verdict: verdict({}) })).toEqual([]);
  });

  it.each([
    ['screening', 'locked'],
    ['rung-open', 'locked'],
    ['demand', undefined],
  ])('warns before the session where %s is unmet: %s', (rule, care) => {
    expect(due({ trainsToday: true, verdict: closed(rule) })).toEqual([
      { kind: 'session', ladderName: 'Push-up', ...(care ? { care } : {}) },
    ]);
  });

  it('shows a clearance that was taken back for a week, in its place', () => {
    const fell = (days: number) => ({ at: ago(days), rungName: `${days}`, reason: 'corrected' });
    expect(due({ withdrawn: [1, 7, 7.01].map(fell) })).toEqual([
      { kind: 'withdrawn', rungName: '1', reason: 'corrected' },
      { kind: 'withdrawn', rungName: '7', reason: 'corrected' },
    ]);
  });

  it('asks about a morning on the seventh day, and has somebody train who trained on another day only', () => {
    expect(due({ sessions: [{ id: 's', performedAt: ago(7) }] })).toMatchObject([{ kind: 'morning', sessionId: 's' }]);
    const sessions = [0.05, 1].map((days) => ({ id: `${days}`, performedAt: ago(days) }));
    expect(due({ trainsToday: true, sessions }).map((d) => d.kind)).toEqual(['morning']);
  });

  it('asks for no re-check of what is known', () => {
    const headrooms = [{ state: 'short', demand: { measureId: 'grip' } }];
    expect(due({ verdict: verdict({}, { headrooms }) })).toEqual([]);
  });
});
