import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { instant } from '../quantities/index.ts';
import { cleanness as judge, type LoggedItem, type LoggedSession, type SessionFact, spacedCleanSessions } from './index.ts';

const library = openLibrary(BUILT_IN);
const cleanness = (logged: LoggedSession) => judge(logged, library);

const item = (amounts: readonly number[], more: Partial<LoggedItem> = {}): LoggedItem => ({
  drillId: 'plank',
  plannedSets: 3,
  max: 30,
  perSide: false,
  sets: amounts.map((amount) => ({ amount, faults: [] })),
  ...more,
});
const session = (items: readonly LoggedItem[], more: Partial<LoggedSession> = {}): LoggedSession => ({
  items,
  effort: 6,
  symptoms: [],
  ...more,
});

describe('a session is clean', () => {
  it('with every set at the top of its dose', () => {
    expect(cleanness(session([item([30, 30, 31])])).clean).toBe(true);
  });

  it.each<[string, LoggedSession, RegExp]>([
    ['a set missing', session([item([30, 30])]), /2 of 3 sets done/],
    ['a side missing', session([item([30, 30, 30], { perSide: true })]), /3 of 6 sets done/],
    ['a set below the top of its dose', session([item([30, 30, 29])]), /not every set reached the top of its dose \(30\)/],
    [
      'a fault that stayed',
      session([item([30, 30, 30], { sets: [30, 30, 30].map((amount) => ({ amount, faults: [{ faultId: 'shrug', mended: false }] })) })]),
      /a fault stayed/,
    ],
    [
      'a set that felt too much',
      session([
        item([30, 30, 30], { sets: [30, 30, 20].map((amount, i) => ({ amount, faults: [], feeling: i === 2 ? 'too much' : 'right' })) }),
      ]),
      /felt “too much”/,
    ],
    ['effort 8', session([item([30, 30, 30])], { effort: 8 }), /Effort 8\/10/],
    [
      'an ache of 3',
      session([item([30, 30, 30])], {
        symptoms: [{ intensity: 3, kind: 'ache', place: 'wrist', side: 'left', moment: 'during', at: instant('2026-11-01T10:00:00Z') }],
      }),
      /ache 3\/10, left wrist/,
    ],
    ['warm-up only', session([item([20], { drillId: 'wrist-circles', plannedSets: 1, max: 20 })]), /No blade, stability/],
  ])('but not with %s', (_, logged, reason) =>
    expect(cleanness(logged)).toEqual({ clean: false, reason: expect.stringMatching(reason) as string }),
  );

  it('by feel, whatever was not counted', () => {
    const felt = item([], { sets: (['right', 'too easy', 'right'] as const).map((feeling) => ({ amount: 0, faults: [], feeling })) });
    expect(cleanness(session([felt])).clean).toBe(true);
  });

  it('with a fault that the cue mended, and whatever the warm-up looked like', () => {
    const mended = item([30, 30, 30], { sets: [30, 30, 30].map((amount) => ({ amount, faults: [{ faultId: 'shrug', mended: true }] })) });
    expect(cleanness(session([mended, item([], { drillId: 'wrist-circles' })])).clean).toBe(true);
  });
});

describe('clean sessions that count', () => {
  const at = (text: string, clean = true): SessionFact => ({ id: text, performedAt: instant(text), clean, drillIds: [], symptoms: [] });

  it('are at least 48 hours apart, to the minute', () => {
    const first = at('2026-11-02T17:00:00Z');
    const tooSoon = at('2026-11-04T16:59:00Z');
    const inTime = at('2026-11-04T17:00:00Z');
    expect(spacedCleanSessions([tooSoon, first])).toEqual([first]);
    expect(spacedCleanSessions([inTime, tooSoon, first])).toEqual([first, inTime]);
  });

  it('leave out what was not clean', () => {
    expect(spacedCleanSessions([at('2026-11-02T17:00:00Z', false), at('2026-11-06T17:00:00Z')])).toHaveLength(1);
  });
});

describe('a drill with sides', () => {
  const sided = (...sides: readonly ('left' | 'right')[]) =>
    cleanness(session([item([], { perSide: true, plannedSets: 2, sets: sides.map((side) => ({ amount: 30, side, faults: [] })) })]));

  it('is done on both of them: twice on one side is not once on each', () => {
    expect(sided('left', 'right', 'left', 'right').clean).toBe(true);
    expect(sided('left', 'left', 'left', 'left')).toEqual({ clean: false, reason: 'Plank: 0 of 2 sets done on the right.' });
    expect(sided('left', 'left', 'left', 'right').reason).toBe('Plank: 1 of 2 sets done on the right.');
  });
});
