import type { GateFinding } from './findings.ts';
import type { GateInput } from './gateInput.ts';
import type { Headroom } from './headroom.ts';
import { likelihoodOf } from './likelihood.ts';
import { limiterOf } from './limiter.ts';
import { GATE_RULES } from './rules.ts';
import { DEFAULT_GATE_SETTINGS, RULES_VERSION } from './settings.ts';

export interface Gate {
  readonly open: boolean;
  readonly findings: readonly GateFinding[];
  readonly unmet: readonly GateFinding[];
  readonly limiter?: Headroom;
  /** How likely it is that every demand is truly met, from 0 to 1; absent while one is unknown. */
  readonly likelihood?: number;
  readonly rulesVersion: number;
}

/**
 * Judges a gate by the table of rules: it is open when every rule found its condition met.
 *
 * @param input everything the verdict rests on
 * @example judgeGate({ headrooms: [], sessions: [], symptoms: [], openStopSigns: [], locks: [{ code: 'never-screened' }], … }).open // false
 */
export function judgeGate(input: GateInput): Gate {
  const settings = input.settings ?? DEFAULT_GATE_SETTINGS;
  const findings = GATE_RULES.flatMap(({ judge }) => judge(input, settings));
  const unmet = findings.filter((f) => !f.met);
  const limiter = limiterOf(input.headrooms);
  const likelihood = likelihoodOf(input.headrooms);
  return {
    open: unmet.length === 0,
    findings,
    unmet,
    rulesVersion: RULES_VERSION,
    ...(limiter ? { limiter } : {}),
    ...(likelihood === undefined ? {} : { likelihood }),
  };
}
