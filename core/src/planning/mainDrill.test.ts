import { expect, it } from 'vitest';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { mainDrill } from './index.ts';

const item = (drillId: string, sets = 2, max = 10) => ({ drillId, sets, min: max, max, restSeconds: 30 });

it('the drill that a session is for carries most, or without load takes longest; openers and closers never are it', () => {
  const load = [item('wrist-circles', 9, 60), item('plank', 3, 30), item('tabletop-lean'), item('shake-out', 9, 60)];
  expect(mainDrill(load, library)).toBe('plank');
  expect(mainDrill([item('hands-open', 1), item('halo', 4)], library)).toBe('halo');
  expect(mainDrill([item('shake-out')], library)).toBeUndefined();
  expect(mainDrill([item('gone'), item('constructor')], library)).toBeUndefined();
  expect(mainDrill([], library)).toBeUndefined();
});
