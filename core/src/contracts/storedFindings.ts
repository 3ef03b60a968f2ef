import { GATE_RULES, type GateFinding } from '../readiness/index.ts';
import type { CautionCause, CautionInForce } from '../safety/index.ts';

/** A caution as older programs kept it: its causes were sentences. */
type KeptCaution = Omit<CautionInForce, 'because'> & { readonly because: readonly (CautionCause | string)[] };

/**
 * The findings that a clearance was signed on, as they are kept. What no rule of today returns is left out; causes of cautions that were
 * kept as sentences stay word for word.
 *
 * @example findingsFrom('[{"rule":"stop-signs","met":true,"open":[]}]') // [{ rule: 'stop-signs', met: true, open: [] }]
 */
export function findingsFrom(json: string): readonly GateFinding[] {
  const kept = JSON.parse(json) as unknown;
  const known = new Set<string>(GATE_RULES.map((r) => r.rule));
  return (Array.isArray(kept) ? kept : [])
    .filter((f: { rule?: unknown } | null): f is GateFinding => typeof f?.rule === 'string' && known.has(f.rule))
    .map((finding): GateFinding => {
      if (finding.rule === 'rung-open' && finding.caution) return { ...finding, caution: coded(finding.caution) };
      if (finding.rule !== 'screening') return finding;
      return { ...finding, locks: finding.locks.map((l) => (l.code === 'caution' ? { ...l, caution: coded(l.caution) } : l)) };
    });
}

function coded(caution: KeptCaution): CautionInForce {
  return { ...caution, because: caution.because.map((c) => (typeof c === 'string' ? { code: 'as written', text: c } : c)) };
}
