import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useSteps } from './useSteps.ts';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

const still = () => act(() => vi.advanceTimersByTime(500));

it('takes a whole drag back at once, and puts it back', () => {
  const { result } = renderHook(() => useSteps(() => 0));
  expect(result.current.canUndo).toBe(false);
  for (const value of [1, 2, 3]) act(() => result.current.put(() => value));
  still();
  act(() => result.current.put((v) => v + 10));
  still();
  expect(result.current.value).toBe(13);
  act(() => result.current.undo());
  expect(result.current.value).toBe(3);
  act(() => result.current.undo());
  expect([result.current.value, result.current.canUndo]).toEqual([0, false]);
  act(() => result.current.redo());
  act(() => result.current.redo());
  expect([result.current.value, result.current.canRedo]).toEqual([13, false]);
});

it('takes back what is still moving, and forgets the way forward after a new turn', () => {
  const { result } = renderHook(() => useSteps(() => 'floor'));
  act(() => result.current.put(() => 'bench'));
  act(() => result.current.undo());
  expect(result.current.value).toBe('floor');
  act(() => result.current.put(() => 'wall'));
  still();
  expect(result.current.canRedo).toBe(false);
});
