import { BUILT_IN, BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { demandsOn } from '@myokinet/core/ladders';
import { openLibrary } from '@myokinet/core/library';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { addDays } from '@myokinet/core/quantities';
import { headroom, limiterOf } from '@myokinet/core/readiness';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { HeadroomChart } from './HeadroomChart.tsx';
import { BANDS_SHOWN, headroomRows, markOf } from './headroomRows.ts';
import { bodyModel } from '@myokinet/core/statics';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');
const demands = demandsOn(openLibrary(BUILT_IN).rung('hang-and-swing', 'free-hang'), bodyModel({ statureM: 1.72, massKg: 63 }), measureOf);

function headroomsWith(figures: Readonly<Record<string, number>>, daysAgo: Readonly<Record<string, number>> = {}) {
  return demands.map((demand) => {
    const value = figures[`${demand.measureId}/${demand.side}`];
    if (value === undefined) return headroom(undefined, demand, measureOf(demand.measureId), now);
    const trials = [1, 2, 3].map(() => ({ side: demand.side, value }));
    const takenAt = addDays(now, -(daysAgo[demand.measureId] ?? 1));
    return headroom(capacityFromTrials(measureOf(demand.measureId), trials, { takenAt }), demand, measureOf(demand.measureId), now);
  });
}

const HEADROOMS = headroomsWith(
  {
    'shoulder-flexion/left': 140,
    'shoulder-flexion/right': 175,
    'packed-hang/whole': 41,
    'release-swing/left': 4,
    'release-swing/right': 60,
    'grip/left': 40,
    'grip/right': 41,
    'hand-load-hang/whole': 90,
  },
  { grip: 80 },
);
const rows = headroomRows(HEADROOMS, limiterOf(HEADROOMS), measureOf);
/** Of the packed hang. */
const BAND = HEADROOMS.find((h) => h.demand.measureId === 'packed-hang')?.capacity?.band ?? 0;
const row = (id: string) => rows.find((r) => r.measureId === id);

describe('rows', () => {
  it('stand shortest first, with the limiter on top', () => {
    expect(rows[0]).toMatchObject({ measureId: 'release-swing', tag: 'limiter', verdict: '40° short on the right' });
    expect(rows.map((r) => r.state)).toEqual(['short', 'short', 'unknown', 'unknown', 'unknown', 'unknown', 'on the mark', 'spare']);
    expect(rows.filter((r) => r.tag)).toHaveLength(1);
  });

  it('let the worse side speak, and say which it is', () => {
    expect(row('shoulder-flexion')).toMatchObject({ verdict: '10° short on the left', asked: 'at least 150°' });
    expect(row('packed-hang')).toMatchObject({ verdict: 'inside the error band' });
    expect(row('hand-load-hang')).toMatchObject({ verdict: '10 points spare' });
  });

  it('say how a relative demand came about, and how old an unknown is', () => {
    expect(row('grip')).toMatchObject({ asked: 'at least 22 kg (35% of 63 kg)', verdict: 'last checked 80 days ago' });
    expect(row('shoulder-abduction')).toMatchObject({ verdict: 'never checked' });
  });

  it('say “check this next” where nothing is short but something unknown', () => {
    const some = headroomsWith({ 'packed-hang/whole': 60 });
    expect(headroomRows(some, limiterOf(some), measureOf)[0]).toMatchObject({ state: 'unknown', tag: 'check this next' });
  });
});

describe('marks', () => {
  const markFor = (measureId: string, side: string, trails = {}) => {
    const h = HEADROOMS.find((x) => x.demand.measureId === measureId && x.side === side);
    return h && markOf(h, trails, measureOf(h.demand.measureId));
  };

  it('count headroom in error bands, clip what is far out, and whisker by one band', () => {
    expect(markFor('packed-hang', 'whole')?.at).toBeCloseTo(1 / BAND, 9);
    const { at, whisker } = markFor('packed-hang', 'whole') ?? { at: 0, whisker: [0, 0] };
    expect([whisker[0] - at, whisker[1] - at].map((x) => Math.round(x * 1e9) / 1e9)).toEqual([-1, 1]);
    expect(markFor('release-swing', 'right')).toMatchObject({ at: -BANDS_SHOWN, clipped: true });
    expect(markFor('release-swing', 'left')).toMatchObject({ clipped: false });
  });

  it('are not drawn for what is unknown', () => {
    expect(markFor('grip', 'left')).toBeUndefined();
    expect(markFor('shoulder-abduction', 'left')).toBeUndefined();
  });

  it('trail the last checks in today’s error bands', () => {
    const before = capacityFromTrials(measureOf('packed-hang'), [{ side: 'whole', value: 32 }], { takenAt: addDays(now, -9) });
    expect(markFor('packed-hang', 'whole', { 'packed-hang/whole': [before] })?.trail[0]).toBeCloseTo(-8 / BAND, 9);
  });
});

describe('the chart', () => {
  const show = () =>
    render(
      <HeadroomChart
        measureOf={measureOf}
        title="Headroom for the free hang"
        headrooms={HEADROOMS}
        limiter={limiterOf(HEADROOMS)}
        trails={{}}
        now={now}
      />,
    );

  it('reads as a table, each side with its figure, headroom and state', () => {
    show();
    const table = screen.getByRole('table', { name: 'Headroom for the free hang, shortest first' });
    const cells = within(table)
      .getAllByRole('row')
      .map((r) =>
        within(r)
          .queryAllByRole('cell')
          .map((c) => c.textContent),
      );
    expect(cells).toContainEqual(['at least 150°', 'left', '140° ± 5°', '10° short', 'short']);
    expect(cells).toContainEqual(['at least 40 s', 'no sides', '41 s ± 10 s', 'inside the error band', 'on the mark']);
    expect(cells).toHaveLength(1 + demands.length);
  });

  it('opens what stands behind a row, and closes it again', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: /Shoulder flexion/ }));
    const details = screen.getByRole('region', { name: 'Shoulder flexion: details' });
    expect(details.textContent).toContain('140° ± 5°');
    expect(details.textContent).toContain('project default');
    expect(details.textContent).toContain('Fresh for 28 days');
    fireEvent.click(screen.getByRole('button', { name: 'Close details' }));
    expect(screen.queryByRole('region', { name: 'Shoulder flexion: details' })).toBeNull();
  });
});
