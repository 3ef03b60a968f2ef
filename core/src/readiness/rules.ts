import { demandAsked, demands, sidesAlike } from './demandRule.ts';
import type { GateFinding, GateRule } from './findings.ts';
import type { GateInput } from './gateInput.ts';
import { cleanSessions } from './practiceRule.ts';
import type { GateSetting, GateSettings } from './settings.ts';
import { tissueTime } from './tissueTime.ts';
import { mornings, settled, stopSigns, symptoms } from './symptomRules.ts';

/** What a rule may rest on. */
export const EVIDENCE_KINDS = ['check', 'session', 'symptom', 'stop sign', 'screening', 'consultation', 'ladder'] as const;
export type EvidenceKind = (typeof EVIDENCE_KINDS)[number];

/** One row of the table: a condition of every gate. */
export interface RuleRow {
  readonly rule: GateRule;
  /** Nobody signs against it: it guards the trainee's safety. */
  readonly safety: boolean;
  readonly evidence: readonly EvidenceKind[];
  /** What a studio may set about it. */
  readonly settings: readonly GateSetting[];
  /** One finding for each condition that there is, met or not. */
  readonly judge: (input: GateInput, settings: GateSettings) => readonly GateFinding[];
}

/** Every rule of a gate, in the order in which they are shown. A gate is open when each finding is met. */
export const GATE_RULES: readonly RuleRow[] = [
  { rule: 'demand-asked', safety: false, evidence: ['ladder'], settings: [], judge: demandAsked },
  { rule: 'demand', safety: false, evidence: ['check'], settings: ['freshPercent'], judge: demands },
  { rule: 'sides', safety: false, evidence: ['check'], settings: ['sideDifferencePercent'], judge: sidesAlike },
  { rule: 'stop-signs', safety: true, evidence: ['stop sign'], settings: [], judge: stopSigns },
  { rule: 'settled', safety: true, evidence: ['stop sign'], settings: ['quietDays'], judge: settled },
  { rule: 'symptoms', safety: true, evidence: ['symptom'], settings: ['quietDays'], judge: symptoms },
  { rule: 'mornings', safety: true, evidence: ['session', 'symptom'], settings: ['quietDays'], judge: mornings },
  {
    rule: 'clean-sessions',
    safety: false,
    evidence: ['session', 'stop sign', 'screening'],
    settings: ['cleanSessions', 'hoursApart', 'sessionWindowDays'],
    judge: cleanSessions,
  },
  { rule: 'tissue-time', safety: true, evidence: ['session', 'screening'], settings: [], judge: tissueTime },
  {
    rule: 'screening',
    safety: true,
    evidence: ['screening', 'consultation'],
    settings: [],
    judge: ({ locks }) => [{ rule: 'screening', met: locks.length === 0, locks }],
  },
  {
    rule: 'rung-open',
    safety: true,
    evidence: ['screening', 'consultation'],
    settings: [],
    judge: ({ closedBy }) => (closedBy ? [{ rule: 'rung-open', met: false, caution: closedBy }] : []),
  },
];

const SAFETY = new Set(GATE_RULES.filter((r) => r.safety).map((r) => r.rule));

/** Whether a finding guards safety: nobody signs against it. */
export function guardsSafety({ rule }: Pick<GateFinding, 'rule'>): boolean {
  return SAFETY.has(rule);
}
