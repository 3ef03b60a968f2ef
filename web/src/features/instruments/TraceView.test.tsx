import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { readTrace, type Samples } from '@myokinet/core/traces';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { TraceView } from './TraceView.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

// The page has no worker here: the same reading, on the spot.
vi.mock('./traces.ts', () => ({
  readTraceAside: async (samples: Samples) => readTrace(samples),
}));

const pushUps = (repetitions: number): Samples => {
  const times = Array.from({ length: repetitions * 150 + 50 }, (_, i) => i / 50);
  return { times, angles: times.map((t) => 20 - 20 * Math.cos((2 * Math.PI * Math.max(0, t - 0.5)) / 3)) };
};
const held: Samples = {
  times: Array.from({ length: 500 }, (_, i) => i / 50),
  angles: Array.from({ length: 500 }, (_, i) => Math.min(160, i * 2)),
};

async function show(measureId: string, samples: Samples) {
  const take = vi.fn();
  const close = vi.fn();
  render(<TraceView measure={measureOf(measureId)} samples={samples} from="push-ups.csv" simulated={false} take={take} close={close} />);
  await waitFor(() => expect(screen.queryByText('Reading the trace…')).toBeNull());
  return { take, close };
}

describe('a trace', () => {
  it('is used as counted, and the record keeps what was counted', async () => {
    const { take } = await show('scapular-push-ups', pushUps(6));
    fireEvent.click(screen.getByRole('button', { name: 'Use it: repetitions counted, 6 reps' }));
    expect(take).toHaveBeenCalledWith(6, {
      kind: 'trace',
      instrument: 'push-ups.csv',
      simulated: false,
      trace: { seconds: expect.closeTo(18.98, 1) as number, rate: 50, counted: 6, corrections: [] },
    });
  });

  it('is corrected: one left out, one counted as well, and both taken back', async () => {
    const { take } = await show('scapular-push-ups', pushUps(6));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 2' }));
    expect(screen.getByRole('button', { name: /5 reps/ })).toBeDefined();
    fireEvent.change(screen.getByLabelText('Second of the missed repetition'), { target: { value: '18,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Count it as well' }));
    fireEvent.click(screen.getByRole('button', { name: /Use it: repetitions counted, 6 reps/ }));
    const [, reading] = take.mock.calls[0] as [number, { trace: { corrections: readonly { what: string; at: number }[] } }];
    expect(reading.trace.corrections.map((c) => c.what)).toEqual(['leave out', 'count as well']);
    expect(reading.trace.corrections[1]?.at).toBe(18.5);
    fireEvent.click(screen.getByRole('button', { name: 'Take back the one at 18.5 s' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Count repetition 2' }));
    expect(screen.getByRole('button', { name: /6 reps/ })).toBeDefined();
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
