import { describe, expect, it } from 'vitest';
import { NO_STEPS, stepFrom, type Steps, travel } from './steps.ts';

describe('undo and redo', () => {
  const walked: Steps<string> = stepFrom(stepFrom<string>(NO_STEPS, 'a'), 'b');

  it('goes back step by step and forth again', () => {
    const back = travel(walked, 'undo', 'c');
    expect(back?.to).toBe('b');
    const further = travel(back?.steps ?? NO_STEPS, 'undo', 'b');
    expect(further?.to).toBe('a');
    expect(travel(further?.steps ?? NO_STEPS, 'undo', 'a')).toBeUndefined();
    const forth = travel(further?.steps ?? NO_STEPS, 'redo', 'a');
    expect(forth?.to).toBe('b');
    expect(travel(forth?.steps ?? NO_STEPS, 'redo', 'b')?.to).toBe('c');
  });

  it('forgets what was undone once another step is taken, and the oldest of very many', () => {
    const back = travel(walked, 'undo', 'c');
    expect(stepFrom(back?.steps ?? NO_STEPS, 'b').future).toEqual([]);
    const long = Array.from({ length: 150 }, (_, i) => i).reduce((steps: Steps<number>, i) => stepFrom(steps, i), NO_STEPS);
    expect([long.past.length, long.past[0]]).toEqual([100, 50]);
  });
});
