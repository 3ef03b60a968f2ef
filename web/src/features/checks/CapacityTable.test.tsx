import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { CheckReply } from '@myokinet/core/contracts';
import { type Capacity, capacityFromTrials, type Trial } from '@myokinet/core/measuring';
import { addDays, instant } from '@myokinet/core/quantities';
import { render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { LibraryContext, type StudioLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { CapacityTable } from './CapacityTable.tsx';
import { RecheckList } from './RecheckList.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');
const capacity = (measureId: string, side: Trial['side'], values: readonly number[], daysAgo: number, own: Partial<Trial> = {}): Capacity =>
  capacityFromTrials(
    measureOf(measureId),
    values.map((value) => ({ side, value, ...own })),
    { takenAt: instant(new Date(addDays(now, -daysAgo))) },
  );
const check = (daysAgo: number, capacities: readonly Capacity[]): CheckReply => ({
  ...{ id: newId(), takenAt: instant(new Date(addDays(now, -daysAgo))), note: '', coach: 'Coach', trials: [], skips: [] },
  capacities,
});
const person = { sex: 'female', ageYears: 34, dominantHand: 'right' } as unknown as Parameters<typeof CapacityTable>[0]['person'];

function rows(checks: readonly CheckReply[]) {
  render(
    <LibraryContext value={{ library: BUILT_IN_LIBRARY } as StudioLibrary}>
      <MemoryRouter>
        <CapacityTable checks={checks} person={person} ageIsSure={false} sidePercent={10} now={now} />
      </MemoryRouter>
    </LibraryContext>,
  );
  return screen
    .getAllByRole('row')
    .slice(1)
    .map((row) =>
      within(row)
        .getAllByRole('cell')
        .concat(within(row).getAllByRole('rowheader'))
        .map((c) => c.textContent),
    );
}

describe('the table of capacities', () => {
  it('compares each with the one before, and the two sides with one another', () => {
    const [left, right] = rows([
      check(2, [capacity('shoulder-flexion', 'left', [170, 171, 172], 2), capacity('shoulder-flexion', 'right', [140, 141, 142], 2)]),
      check(30, [capacity('shoulder-flexion', 'left', [150, 151, 152], 30), capacity('shoulder-flexion', 'right', [140, 142, 142], 30)]),
    ]);
    expect(left?.[2]).toBe('+20°, a real change');
    expect(right?.[2]).toMatch(/^(no change|−0\.\d°|0°)/);
    expect(left?.at(-1)).toMatch(/^Shoulder flexionleft ahead by 30° \(weaker side 82%\), 10° allowed$/);
  });

  it('says how old a figure is, when it falls due and when it has', () => {
    const fresh = measureOf('grip').freshDays;
    const [left, right] = rows([
      check(1, [capacity('grip', 'left', [40], 1)]),
      check(fresh + 3, [capacity('grip', 'right', [41], fresh + 3)]),
    ]);
    expect(left?.[4]).toMatch(/due /);
    expect(left?.[2]).toBe('first time');
    expect(right?.[4]).toMatch(/overdue since /);
  });

  it('marks what opens no gate', () => {
    const [left] = rows([check(1, [capacity('grip', 'left', [40], 1, { provisional: 'simulated' })])]);
    expect(left?.[1]).toMatch(/simulated: opens no gate$/);
  });
});

describe('the re-check calendar of a trainee', () => {
  it('leads to the batteries that are due, the overdue ones in one', () => {
    const old = measureOf('grip').freshDays + 5;
    render(
      <LibraryContext value={{ library: BUILT_IN_LIBRARY } as StudioLibrary}>
        <MemoryRouter>
          <RecheckList
            checks={[
              {
                capacities: [
                  capacity('plank-hold', 'whole', [40], 1),
                  capacity('grip', 'left', [40], old),
                  capacity('grip', 'right', [40], old),
                ],
              },
            ]}
            now={now}
          />
        </MemoryRouter>
      </LibraryContext>,
    );
    const links = screen.getAllByRole('link').map((a) => [a.textContent, a.getAttribute('href')]);
    expect(links).toEqual([
      ['Take it', '/battery?scope=grip'],
      ['Take it', '/battery?scope=plank-hold'],
    ]);
    expect(screen.getByText('overdue')).toBeDefined();
  });
});
