import { expect, it } from 'vitest';
import { dueToSay, paceOf, spokenIn } from './index.ts';

it('says of a hold the tens that are left and the last five seconds, each at its moment', () => {
  expect(spokenIn(paceOf({ unit: 's' }, 32), 's').map((s) => [s.at, s.words])).toEqual([
    [2, '30 left'],
    [12, '20 left'],
    [22, '10 left'],
    ...[5, 4, 3, 2, 1].map((left) => [32 - left, String(left)]),
    [32, 'Done'],
  ]);
  expect(spokenIn(paceOf({ unit: 's' }, 3), 's').map((s) => s.words)).toEqual(['3', '2', '1', 'Done']);
});

it('counts repetitions and breaths where there is time to say the number', () => {
  expect(spokenIn(paceOf({ unit: 'reps', tempo: { out: 2, hold: 1, back: 1 } }, 3), 'reps').map((s) => [s.at, s.words])).toEqual([
    [0, '1'],
    [4, '2'],
    [8, '3'],
    [12, 'Done'],
  ]);
  expect(spokenIn(paceOf({ unit: 'reps', tempo: { out: 0.5, hold: 0, back: 0.5 } }, 9), 'reps').map((s) => s.words)).toEqual(['Done']);
  expect(spokenIn(paceOf({ unit: 'breaths' }, 2), 'breaths').map((s) => s.at)).toEqual([0, 5, 10]);
});

it('is never late: a page that was away says only what is now', () => {
  const spoken = spokenIn(paceOf({ unit: 's' }, 20), 's');
  expect(dueToSay(spoken, 9.9, 10.1)?.words).toBe('10 left');
  expect(dueToSay(spoken, 10.1, 10.3)).toBeUndefined();
  expect(dueToSay(spoken, 2, 16.2)?.words).toBe('4');
  expect(dueToSay(spoken, 2, 13)).toBeUndefined();
});
