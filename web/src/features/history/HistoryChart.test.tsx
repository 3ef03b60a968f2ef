import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { addDays, instant } from '@myokinet/core/quantities';
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { HistoryChart } from './HistoryChart.tsx';
import type { MeasureHistory } from './historyOf.ts';
import { SmallHistory } from './SmallHistory.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');
const history = (measureId: string, figures: readonly number[]): MeasureHistory => ({
  measure: measureOf(measureId),
  series: (['left', 'right'] as const).map((side) => ({
    side,
    occasions: figures.map((value, i) => {
      const takenAt = instant(new Date(addDays(now, -14 * (figures.length - i))));
      const capacity = capacityFromTrials(measureOf(measureId), [{ side, value }], { takenAt });
      return { at: Date.parse(takenAt), takenAt, capacity, trials: [value], origin: '', coach: 'Coach' };
    }),
  })),
});
const demands = [{ words: 'Plank: at least 60°', value: 60, which: 'next' }] as const;
const events = [
  { at: addDays(now, -20), kind: 'signed', words: 'Tabletop signed' },
  { at: addDays(now, -10), kind: 'symptom', words: 'ache, left wrist, 2 of 10' },
] as const;

describe('the chart of one check', () => {
  it('has both sides with band and trials, what is asked, and what happened', () => {
    const { container } = render(
      <HistoryChart
        history={history('wrist-extension', [50, 55, 62])}
        demands={demands}
        events={events.map((e) => ({ ...e, at: Date.parse(e.at) }))}
        now={now}
        cursor={undefined}
      />,
    );
    expect(screen.getByRole('img', { name: /^Wrist extension over time/ })).toBeDefined();
    const words = [...container.querySelectorAll('text')].map((t) => t.textContent);
    expect(words).toContain('Plank: at least 60°');
    expect(words).toEqual(expect.arrayContaining(['▲', '!']));
    expect(container.querySelectorAll('.recharts-area')).toHaveLength(2);
    expect(container.querySelectorAll('.recharts-line')).toHaveLength(2);
    expect(container.querySelectorAll('.recharts-scatter')).toHaveLength(2);
  });

  it('of grades names them on its axis and has no band', () => {
    const { container } = render(
      <HistoryChart history={history('blade-winging', [2, 1, 0])} demands={[]} events={[]} now={now} cursor={now.getTime()} />,
    );
    const words = [...container.querySelectorAll('text')].map((t) => t.textContent);
    expect(words).toEqual(expect.arrayContaining(['flat', 'winging slight', 'winging marked']));
    expect(container.querySelectorAll('.recharts-area')).toHaveLength(0);
  });
});

it('a small one says the last figure of each side and opens the large one', () => {
  const show = vi.fn();
  render(<SmallHistory history={history('grip', [38, 41])} demands={[]} from={0} to={now.getTime()} open={false} show={show} />);
  const button = screen.getByRole('button', { name: /Grip.*left 41 kg ± \d kg.*right 41 kg/ });
  fireEvent.click(button);
  expect(show).toHaveBeenCalledOnce();
});
