import { paceOf } from '@myokinet/core/floor';
import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { PaceDial } from './PaceDial.tsx';

const shown = () => screen.getByRole('timer').textContent;

describe('the pace by sight', () => {
  const reps = paceOf({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 } }, 3);

  it.each([
    [0.5, 'Out41of 3 reps'],
    [4.5, 'Hold1of 3 reps'],
    [6.5, 'Out42of 3 reps'],
  ])('repetitions at %d s', (seconds, text) => {
    render(<PaceDial pace={reps} unit="reps" seconds={seconds} />);
    expect(shown()).toBe(text);
  });

  it('breaths in and out', () => {
    render(<PaceDial pace={paceOf({ unit: 'breaths' }, 4)} unit="breaths" seconds={7.5} />);
    expect(shown()).toMatch(/^Breathe out.*2of 4 breaths$/);
  });

  it.each([
    [3, 'Hold27s of 30'],
    [10.5, 'Hold20s of 30'],
    [15, 'Hold15s of 30'],
  ])('a hold at %d s', (seconds, text) => {
    render(<PaceDial pace={paceOf({ unit: 's' }, 30)} unit="s" seconds={seconds} />);
    expect(shown()).toBe(text);
  });
});
