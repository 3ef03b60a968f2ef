import type { Rung } from '@myokinet/core/ladders';
import type { Gate } from '@myokinet/core/readiness';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useSignClearanceMutation } from './endpoints.ts';

export interface GatePanelProps {
  readonly traineeId: string;
  readonly ladderId: string;
  readonly rung: Rung;
  readonly gate: Gate;
  readonly renewal: boolean;
}

/** The verdict on the next gate, each unmet line a sentence, and the coach's signature. */
export function GatePanel({ traineeId, ladderId, rung, gate, renewal }: GatePanelProps) {
  const checks = [...new Set(gate.unmet.flatMap((l) => (l.kind === 'demand' && l.measureId ? [l.measureId] : [])))];
  const [showMet, setShowMet] = useState(false);
  const met = gate.lines.filter((l) => l.met);
  return (
    <section aria-label="Gate" className="sheet border-2 border-base-content p-3.5">
      <h2 className={gate.open ? 'state-spare' : ''}>{gate.open ? 'Gate open' : 'Gate closed'}</h2>
      <p className="mt-0.5 leading-snug">
        {renewal ? 'To sign again: ' : 'To: '}
        <span className="font-semibold">{rung.name}</span>.{' '}
        {gate.open ? `All ${gate.lines.length} lines are met.` : `${gate.unmet.length} of ${gate.lines.length} lines unmet.`}
      </p>
      {gate.unmet.length > 0 && (
        <ul className="mt-2 max-h-80 list-disc space-y-1.5 overflow-y-auto ps-5 leading-snug" tabIndex={0} aria-label="Unmet lines">
          {gate.unmet.map((line) => (
            <li key={line.sentence}>
              {line.sentence} {line.limiter && gate.limiter?.state !== 'unknown' && <strong>Limiter.</strong>}
            </li>
          ))}
        </ul>
      )}
      {gate.open ? (
        <SignForm traineeId={traineeId} ladderId={ladderId} rung={rung} />
      ) : (
        checks.length > 0 && (
          <Link className="btn btn-primary mt-3 w-full" to={`checks/new?scope=${checks.join(',')}`}>
            {checks.length === 1 ? 'Check this one' : `Check these ${checks.length}`}
          </Link>
        )
      )}
      <button type="button" className="link aside mt-2 text-sm" aria-expanded={showMet} onClick={() => setShowMet(!showMet)}>
        {showMet ? 'Hide the met lines' : `Show the ${met.length} met lines`}
      </button>
      {showMet && (
        <ul className="aside mt-1 list-disc space-y-1 ps-5 text-sm">
          {met.map((line) => (
            <li key={line.sentence}>{line.sentence}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

function SignForm({ traineeId, ladderId, rung }: Omit<GatePanelProps, 'gate' | 'renewal'>) {
  const id = useId();
  const [initials, setInitials] = useState('');
  const [clearanceId] = useState(newId);
  const [sign, { isLoading, error }] = useSignClearanceMutation();
  const valid = /^\p{L}{2,4}$/u.test(initials);
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (valid) void sign({ traineeId, body: { id: clearanceId, ladderId, rungId: rung.id, initials: initials.toUpperCase() } });
      }}
    >
      <label htmlFor={id} className="block font-semibold">
        Your initials
      </label>
      <div className="mt-1 flex gap-2">
        <input
          id={id}
          className="input w-20 uppercase"
          maxLength={4}
          autoComplete="off"
          value={initials}
          onChange={(e) => setInitials(e.target.value)}
          aria-describedby={`${id}-hint`}
        />
        <button type="submit" className="btn btn-primary flex-1" disabled={!valid || isLoading}>
          Sign clearance
        </button>
      </div>
      <p id={`${id}-hint`} className="aside mt-1.5 text-sm">
        Two to four letters. Your signature stores today’s figures; it is your decision, not the app’s.
      </p>
      <ProblemNote error={error} />
    </form>
  );
}
