import type { Rung } from '@myokinet/core/ladders';
import type { MeasureOf } from '@myokinet/core/measuring';
import { type Gate, type GateFinding, guardsSafety, type Headroom } from '@myokinet/core/readiness';
import { chanceInWords, say } from '@myokinet/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { SignForm } from './SignForm.tsx';

export interface GatePanelProps {
  readonly traineeId: string;
  readonly ladderId: string;
  readonly rung: Rung;
  readonly gate: Gate;
  readonly headrooms: readonly Headroom[];
  readonly measureOf: MeasureOf;
  readonly renewal: boolean;
  readonly now: Date;
}

/** The verdict on the next gate: every line, met or not, how likely it is that all is truly met, and the coach's signature. */
export function GatePanel({ traineeId, ladderId, rung, gate, headrooms, measureOf, renewal, now }: GatePanelProps) {
  const checks = [...new Set(gate.unmet.flatMap((f) => (f.rule === 'demand' ? [f.measureId] : [])))];
  const [showMet, setShowMet] = useState(false);
  const met = gate.findings.filter((f) => f.met);
  const words = (finding: GateFinding) => say(finding, { headrooms, measureOf, now });
  return (
    <section aria-label="Gate" className="sheet border-2 border-base-content p-3.5">
      <h2 className={gate.open ? 'state-spare' : ''}>{gate.open ? 'Gate open' : 'Gate closed'}</h2>
      <p className="mt-0.5 leading-snug">
        {renewal ? 'To sign again: ' : 'To: '}
        <span className="font-semibold">{rung.name}</span>.{' '}
        {gate.open ? `All ${gate.findings.length} lines are met.` : `${gate.unmet.length} of ${gate.findings.length} lines unmet.`}
      </p>
      {gate.unmet.length > 0 && (
        <ul className="mt-2 max-h-80 list-disc space-y-1.5 overflow-y-auto ps-5 leading-snug" tabIndex={0} aria-label="Unmet lines">
          {gate.unmet.map((finding) => (
            <li key={words(finding)}>
              {words(finding)}{' '}
              {finding.rule === 'demand' && finding.limiter && gate.limiter?.state !== 'unknown' && <strong>Limiter.</strong>}
            </li>
          ))}
        </ul>
      )}
      {!gate.open && checks.length > 0 && (
        <Link className="btn btn-primary mt-3 w-full" to={`checks/new?scope=${checks.join(',')}`}>
          {checks.length === 1 ? 'Check this one' : `Check these ${checks.length}`}
        </Link>
      )}
      {gate.open && <SignForm {...{ traineeId, ladderId, rung }} against={0} />}
      {gate.likelihood !== undefined && <Likelihood chance={gate.likelihood} asked={headrooms.length} />}
      <button type="button" className="link aside mt-2 text-sm" aria-expanded={showMet} onClick={() => setShowMet(!showMet)}>
        {showMet ? 'Hide the met lines' : `Show the ${met.length} met lines`}
      </button>
      {showMet && (
        <ul className="aside mt-1 list-disc space-y-1 ps-5 text-sm">
          {met.map((finding) => (
            <li key={words(finding)}>{words(finding)}</li>
          ))}
        </ul>
      )}
      <Link className="link aside mt-1 block w-fit text-sm" to="/library/gates">
        What opens a gate
      </Link>
      {!gate.open && !gate.unmet.some(guardsSafety) && <SignForm {...{ traineeId, ladderId, rung }} against={gate.unmet.length} />}
    </section>
  );
}

/** Every demand may be spare and one of many still be truly short: how likely it is that none is. */
function Likelihood({ chance, asked }: { readonly chance: number; readonly asked: number }) {
  return (
    <p className="aside mt-2 text-sm">
      By their error bands, all {asked} figures truly meet what is asked with about {chanceInWords(chance)}. A check of the closest on
      another day would tell.
    </p>
  );
}
