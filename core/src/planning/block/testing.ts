import loadHighs from 'highs';
import { type Solve, solveStaged } from '../../solver/index.ts';
import { type PlanProposal, proposePlan, type ProposeOptions } from '../proposePlan.ts';
import type { BlockInput } from './task.ts';

let loaded: ReturnType<typeof loadHighs> | undefined;
let made = 0;

/** Ids that tests can do with. */
export const newId = () => `id-${++made}`;

/** The solver in this thread, loaded once: for tests. */
export const solver = () => (loaded ??= loadHighs());

/** A proposal made in this thread: for tests. */
export async function propose(
  input: BlockInput,
  {
    seconds = 1.5,
    gap = 0.02,
    clock = () => performance.now(),
    ...options
  }: Partial<ProposeOptions> & { readonly clock?: () => number } = {},
): Promise<PlanProposal> {
  const highs = await solver();
  const solve: Solve = (program, asked, told) => Promise.resolve(solveStaged(highs, program, asked, clock, told));
  return proposePlan(input, solve, { seconds, gap, newId, ...options });
}
