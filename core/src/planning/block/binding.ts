import { type Program, type Solve, without } from '../../solver/index.ts';
import { BLOCK_RULES, type BlockRule } from './rules.ts';

/** A rule that costs something, and how much more the weeks could be worth without it. */
export interface BindingRule {
  readonly rule: BlockRule;
  /** Share by which the best conceivable plan would be better. */
  readonly gain: number;
  readonly sentence: string;
}

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
    if (gain >= WORTH_NAMING) found.push({ rule, gain, sentence: sentenceFor(rule, gain, ramp) });
  }
  return found.sort((a, b) => b.gain - a.gain);
}

function withMoreMinutes(program: Program): Program {
  return { ...program, rows: program.rows.map((r) => (r.rule === 'minutes' ? { ...r, upper: r.upper + MORE_MINUTES * 60 } : r)) };
}

function sentenceFor(rule: BlockRule, gain: number, ramp: number): string {
  const percent = `${(gain * 100).toFixed(gain < 0.1 ? 1 : 0)}%`;
  if (rule === 'minutes') return `The minutes are full: ${MORE_MINUTES} more a session could serve the needs up to ${percent} better.`;
  const name = rule === 'ramp' ? `hand load growing by at most ${Math.round(ramp * 100)}% a week` : BLOCK_RULES[rule];
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}: without it the needs could be served up to ${percent} better.`;
}
