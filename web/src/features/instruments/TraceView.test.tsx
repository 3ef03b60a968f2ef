import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { readTrace, type Samples, type TraceQuantity } from '@myokinet/core/traces';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { TraceView, type TraceViewProps } from './TraceView.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

// The page has no worker here: the same reading, on the spot.
vi.mock('./traces.ts', () => ({
  readTraceAside: async (samples: Samples, quantity: TraceQuantity) => readTrace(samples, { quantity }),
}));

const pushUps = (repetitions: number): Samples => {
  const times = Array.from({ length: repetitions * 150 + 50 }, (_, i) => i / 50);
  return { times, angles: times.map((t) => 20 - 20 * Math.cos((2 * Math.PI * Math.max(0, t - 0.5)) / 3)) };
};
const held: Samples = {
  times: Array.from({ length: 500 }, (_, i) => i / 50),
  angles: Array.from({ length: 500 }, (_, i) => Math.min(160, i * 2)),
};

async function show(measureId: string, samples: Samples, more: Partial<TraceViewProps> = {}) {
  const take = vi.fn();
  const close = vi.fn();
  render(
    <TraceView
      {...{ samples, take, close, quantity: 'angle', simulated: false, zeroed: true, from: 'push-ups.csv', ...more }}
      measure={measureOf(measureId)}
    />,
  );
  await waitFor(() => expect(screen.queryByText('Reading the trace…')).toBeNull());
  return { take, close };
}

describe('a trace', () => {
  it('is used as counted, and the record keeps what was counted', async () => {
    const { take } = await show('scapular-push-ups', pushUps(6));
    fireEvent.click(screen.getByRole('button', { name: 'Use it: clean repetitions, 6 reps' }));
    expect(take).toHaveBeenCalledWith(6, {
      kind: 'trace',
      instrument: 'push-ups.csv',
      simulated: false,
      source: expect.stringMatching(/^[0-9a-f]{64}$/) as string,
      trace: expect.objectContaining({
        ...{ seconds: expect.closeTo(18.98, 1) as number, rate: 50, counted: 6, corrections: [], quantity: 'angle', clean: 6 },
        range: expect.closeTo(40, 0) as number,
        tempo: expect.closeTo(3, 0) as number,
      }) as object,
    });
  });

  it('is corrected: one left out, one counted as well, and both taken back', async () => {
    const { take } = await show('scapular-push-ups', pushUps(6));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 2' }));
    expect(screen.getByRole('button', { name: /5 reps/ })).toBeDefined();
    fireEvent.change(screen.getByLabelText('Second of the missed repetition'), { target: { value: '18,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Count it as well' }));
    fireEvent.click(screen.getByRole('button', { name: /Use it: clean repetitions, 6 reps/ }));
    const [, reading] = take.mock.calls[0] as [number, { trace: { corrections: readonly { what: string; at: number }[] } }];
    expect(reading.trace.corrections.map((c) => c.what)).toEqual(['leave out', 'count as well']);
    expect(reading.trace.corrections[1]?.at).toBe(18.5);
    fireEvent.click(screen.getByRole('button', { name: 'Take back the one at 18.5 s' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 2' }));
    expect(screen.getByRole('button', { name: /6 reps/ })).toBeDefined();
  });

  it('counts what was clean: range that falls off ends it, and the coach may count on', async () => {
    const ranges = [41, 41, 39, 37, 31, 25, 22, 20];
    const times = Array.from({ length: (8 * 3 + 2) * 50 }, (_, i) => i / 50);
    const angles = times.map((t) => {
      const nth = Math.floor((t - 1) / 3);
      return t < 1 || nth > 7 ? 0 : (ranges[nth]! / 2) * (1 - Math.cos((2 * Math.PI * (t - 1 - 3 * nth)) / 3));
    });
    await show('scapular-push-ups', { times, angles });
    expect(screen.getByRole('button', { name: 'Use it: clean repetitions, 5 reps' })).toBeDefined();
    expect(
      screen.getByText(/^From number 6 on they do not count: its range is 6\d% of the first ones, at least 75% are asked\.$/),
    ).toBeDefined();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 6' }));
    expect(screen.getByRole('button', { name: 'Use it: clean repetitions, 6 reps' })).toBeDefined();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 6' }));
    expect(screen.getByRole('button', { name: 'Use it: clean repetitions, 5 reps' })).toBeDefined();
  });

  it('asks from where a position counts, unless the instrument was set to zero', async () => {
    const lifted = { times: held.times, angles: Array.from(held.angles, (a) => a + 12) };
    const { take } = await show('shoulder-flexion', lifted, { zeroed: false });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use it' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'From the zero of the trace' }));
    expect(screen.getByRole('button', { name: 'Use it: mean of the longest hold, 172°' })).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'From its first half second' }));
    fireEvent.click(screen.getByRole('button', { name: /Use it: mean of the longest hold, 1[34]\d°/ }));
    expect(take).toHaveBeenCalledOnce();
  });

  it('of a position the wrong way round is asked about and not used', async () => {
    await show('shoulder-flexion', { times: held.times, angles: Array.from(held.angles, (a) => -a) });
    expect(screen.getByRole('alert').textContent).toMatch(/below the limit of 0°\. Did it turn the other way\?$/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Use it/ }).disabled).toBe(true);
  });

  it('of a swing that never goes below zero asks for its other side', async () => {
    const times = Array.from({ length: 500 }, (_, i) => i / 50);
    await show('release-swing', { times, angles: times.map((t) => Math.abs(12 * Math.sin(Math.PI * t))) });
    expect(screen.getByText(/did it swing to both sides\?/)).toBeDefined();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use it' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'To both sides' }));
    expect(screen.getByRole('button', { name: /^Use it: swing from end to end, 2\d°$/ })).toBeDefined();
  });

  it('is read without its ends', async () => {
    await show('scapular-push-ups', pushUps(6));
    fireEvent.change(screen.getByRole('slider', { name: /^Read from/ }), { target: { value: '6.5' } });
    await waitFor(() => expect(screen.getByRole('button', { name: 'Use it: clean repetitions, 4 reps' })).toBeDefined());
    fireEvent.click(screen.getByRole('button', { name: 'Read all of it' }));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Use it: clean repetitions, 6 reps' })).toBeDefined());
  });

  it('tells hold, steadiness, shake and swing', async () => {
    await show('shoulder-flexion', held);
    expect(screen.getByText(/^8\.\d s at 160°, ± 0\.\d° unsteady$/)).toBeDefined();
    expect(screen.getByText(/° RMS$/)).toBeDefined();
    expect(screen.getByRole('button', { name: 'Use it: mean of the longest hold, 160°' })).toBeDefined();
  });

  it('that cannot be read says why, and takes nothing away', async () => {
    const { take, close } = await show('scapular-push-ups', { times: [0, 1, 2, 3], angles: [0, 40, 0, 40] });
    expect(screen.getByRole('alert').textContent).toMatch(/at least 20 are needed.*Nothing was taken from it/);
    fireEvent.click(screen.getByRole('button', { name: 'Back to the instrument' }));
    expect(close).toHaveBeenCalledOnce();
    expect(take).not.toHaveBeenCalled();
  });

  it('opens a long table on demand', async () => {
    await show('scapular-push-ups', pushUps(40));
    expect(screen.getAllByRole('checkbox')).toHaveLength(30);
    fireEvent.click(screen.getByRole('button', { name: 'Show all 40' }));
    expect(screen.getAllByRole('checkbox')).toHaveLength(40);
  });
});
