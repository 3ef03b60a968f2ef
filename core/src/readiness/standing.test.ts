import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import type { Ladder } from '../ladders/index.ts';
import { openLibrary } from '../library/index.ts';
import type { Measure } from '../measuring/index.ts';
import { addDays, type Instant, instant } from '../quantities/index.ts';
import { type CheckDates, type ClearanceFact, lapseOf, lateAfter, standingOn } from './index.ts';

/** A figure of a plank is good for 14 days here, whatever the catalogue says. */
const measureOf = (id: string): Measure => ({ ...BUILT_IN_LIBRARY.measure(id), ...(id === 'plank-hold' ? { freshDays: 14 } : {}) });

const day = (text: string): Instant => instant(`2026-${text}T10:00:00Z`);
const now = new Date('2026-11-24T10:00:00Z');
const ladder = openLibrary(BUILT_IN).ladder('push-up');

const clearance = (rungId: string, signedAt: string, more: Partial<ClearanceFact> = {}): ClearanceFact => ({
  id: rungId + signedAt,
  ladderId: 'push-up',
  rungId,
  signedAt: day(signedAt),
  signedBy: 'BC',
  figures: [{ measureId: 'plank-hold', side: 'whole', takenAt: day(signedAt) }],
  ...more,
});
const checks = (latest: string, ...late: string[]): CheckDates =>
  new Map([['plank-hold/whole', { latest: day(latest), lateAfter: late.map(day) }]]);

describe('lapse', () => {
  it('comes when a figure it rested on was not checked again in time (14 days for a plank, 7 of grace)', () => {
    expect(lapseOf(clearance('wall', '11-02'), new Map(), measureOf, now)).toEqual({
      at: day('11-23'),
      measureId: 'plank-hold',
    });
    expect(lapseOf(clearance('wall', '11-04'), new Map(), measureOf, now)).toBeUndefined();
  });

  it('does not come while fresh checks follow one another', () => {
    expect(lapseOf(clearance('wall', '10-20'), checks('11-20'), measureOf, now)).toBeUndefined();
  });

  it('is not undone by a check that came too late', () => {
    expect(lapseOf(clearance('wall', '10-01'), checks('11-20', '10-01'), measureOf, now)).toMatchObject({ at: day('10-22') });
  });

  it('counts gaps after the signature only', () => {
    expect(lapseOf(clearance('wall', '11-12'), checks('11-20', '06-01'), measureOf, now)).toBeUndefined();
  });
});

it('marks the checks whose successor came too late', () => {
  expect(lateAfter([day('05-01'), day('05-10'), day('06-30'), day('07-20')], 14)).toEqual([day('05-10')]);
  expect(lateAfter([day('05-01')], 14)).toEqual([]);
});

describe('standing on a ladder', () => {
  it('is below it before anything is signed', () => {
    expect(standingOn(ladder, [], new Map(), measureOf, now)).toMatchObject({ here: -1, next: 0, cleanSince: undefined });
  });

  it('is the highest signed rung, the next one up', () => {
    const standing = standingOn(ladder, [clearance('wall', '11-01'), clearance('far-wall', '11-15')], checks('11-20'), measureOf, now);
    expect(standing).toMatchObject({ here: 1, next: 2 });
    expect(standing.rungs.map((r) => r.state).slice(0, 3)).toEqual(['signed', 'signed', 'open road']);
  });

  it('asks for the same rung again once its clearance lapsed', () => {
    const standing = standingOn(ladder, [clearance('wall', '09-01')], new Map(), measureOf, now);
    expect(standing).toMatchObject({ here: 0, next: 0 });
    expect(standing.rungs[0]).toMatchObject({ state: 'lapsed', lapse: { at: day('09-22') } });
  });

  it('steps back one rung on a withdrawal, and counts clean sessions from there', () => {
    const gone = { withdrawnAt: day('11-20'), withdrawnReason: 'Sharp 4/10, left wrist, during: stop and step back.' };
    const standing = standingOn(
      ladder,
      [clearance('wall', '11-12'), clearance('far-wall', '11-15', gone)],
      checks('11-20'),
      measureOf,
      now,
    );
    expect(standing).toMatchObject({ here: 0, next: 1, cleanSince: day('11-20') });
    expect(standing.rungs[1]).toMatchObject({ state: 'withdrawn' });
  });

  it('takes the newest clearance of a rung, and none of another ladder', () => {
    const gone = { withdrawnAt: day('11-05'), withdrawnReason: 'By the coach.' };
    const again = [clearance('wall', '11-01', gone), clearance('wall', '11-18')];
    expect(standingOn(ladder, again, new Map(), measureOf, now).here).toBe(0);
    expect(standingOn(ladder, [clearance('wall', '11-18', { ladderId: 'hang-and-swing' })], new Map(), measureOf, now).here).toBe(-1);
  });

  it('has nothing next at the top', () => {
    const top = ladder.rungs.at(-1)?.id ?? '';
    expect(standingOn(ladder, [clearance(top, '11-20')], new Map(), measureOf, now)).toMatchObject({
      here: ladder.rungs.length - 1,
      next: undefined,
    });
  });
});

describe('on the very edge of a lapse', () => {
  it('a clearance stands on the last day of grace', () => {
    expect(lapseOf(clearance('wall', '11-03'), new Map(), measureOf, now)).toBeUndefined();
    expect(lateAfter([day('05-01'), day('05-22')], 14)).toEqual([]);
  });

  it('the check that was signed upon is followed from its own moment on', () => {
    expect(lapseOf(clearance('wall', '11-01'), checks('11-20', '11-01'), measureOf, now)).toMatchObject({ at: day('11-22') });
    expect(lapseOf(clearance('wall', '11-12'), checks('11-01'), measureOf, now)).toBeUndefined();
  });

  it('the earliest of several lapses is told', () => {
    const figures = [
      { measureId: 'plank-hold', side: 'whole', takenAt: day('10-30') },
      { measureId: 'plank-hold', side: 'left', takenAt: day('10-25') },
    ] as const;
    expect(lapseOf(clearance('wall', '11-05', { figures }), new Map(), measureOf, now)).toEqual({
      at: day('11-15'),
      measureId: 'plank-hold',
    });
  });

  it('clean sessions count from the last of several withdrawals', () => {
    const withdrawn = ['10-20', '11-18', '11-03'].map((at, i) =>
      clearance(['wall', 'far-wall', 'surface-60'][i] ?? '', '10-01', { withdrawnAt: day(at) }),
    );
    expect(standingOn(ladder, [...withdrawn, clearance('wall', '11-19')], new Map(), measureOf, now).cleanSince).toBe(day('11-18'));
  });
});

describe('a signature for a rung that moved', () => {
  const dip = BUILT_IN_LIBRARY.ladder('dip');
  const signed = (ladderId: string, rungId: string, daysAgo: number): ClearanceFact => ({
    id: `${ladderId}/${rungId}`,
    ladderId,
    rungId,
    signedAt: addDays(now, -daysAgo),
    signedBy: 'AS',
    figures: [],
  });
  const on = (ladder: Ladder, ...clearances: ClearanceFact[]) => standingOn(ladder, clearances, new Map(), BUILT_IN_LIBRARY.measure, now);

  it('counts on the rung with the nearest load at or below, and says where it was signed', () => {
    const { here, rungs } = on(dip, signed('dip', 'bench-dip', 3));
    expect(dip.rungs[here]?.id).toBe('bar-support-half');
    expect(rungs[here]).toMatchObject({ state: 'signed', carriedFrom: { ladderId: 'dip', rungId: 'bench-dip' } });
  });

  it('counts on another ladder where the rung went there, and on both where both have their part of it', () => {
    const lean = signed('hand-support', 'lean-15', 3);
    const rungOn = (id: string) => {
      const ladder = BUILT_IN_LIBRARY.ladder(id);
      return ladder.rungs[on(ladder, lean).here]?.id;
    };
    expect([rungOn('arm-balance-lean'), rungOn('hand-support'), rungOn('push-up')]).toEqual(['lean-15', 'lean-5', undefined]);
  });

  it('stands back behind a signature for the rung itself', () => {
    const { rungs, here } = on(dip, signed('dip', 'bench-dip', 1), signed('dip', 'bar-support-half', 9));
    expect(rungs[here]?.carriedFrom).toBeUndefined();
  });
});
