import { type Program, type Solve, without } from '../../solver/index.ts';
import type { PlanNote } from '../planNote.ts';
import type { BlockRule } from './rules.ts';

/** A rule that costs something, and how much more the weeks could be worth without it. */
export type BindingRule = Extract<PlanNote, { readonly code: 'binding' }>;

/** A rule whose lifting would bring less than this is not named. */
const WORTH_NAMING = 0.005;
const MORE_MINUTES = 5;
const LIFTED: readonly BlockRule[] = [
  'minutes',
  'spacing',
  'loaded days',
  'ramp',
  'joint ramp',
  'new',
  'light',
  'balance',
  'pairs',
  'phases',
  'always',
  'pinned',
];

/**
 * Which rules cost how much: each is lifted alone (the minutes made five longer), and the bounds of the programme, whole numbers
 * forgotten, are compared. The strongest first.
 */
export async function bindingRules(program: Program, solve: Solve, ramp: number): Promise<readonly BindingRule[]> {
  const relaxed = { seconds: 2, gap: 0.01, relaxed: true } as const;
  const worth = async (p: Program) => (await solve(p, relaxed)).objective;
  const base = await worth(program);
  if (base === undefined || base <= 0) return [];
  const found: BindingRule[] = [];
  for (const rule of LIFTED) {
    if (!program.rows.some((r) => r.rule === rule)) continue;
    const lifted = await worth(rule === 'minutes' ? withMoreMinutes(program) : without(program, rule));
    const gain = lifted === undefined ? 0 : lifted / base - 1;
    if (gain >= WORTH_NAMING) found.push({ code: 'binding', rule, gain, growth: ramp, moreMinutes: MORE_MINUTES });
  }
  return found.sort((a, b) => b.gain - a.gain);
}

function withMoreMinutes(program: Program): Program {
  return { ...program, rows: program.rows.map((r) => (r.rule === 'minutes' ? { ...r, upper: r.upper + MORE_MINUTES * 60 } : r)) };
}
