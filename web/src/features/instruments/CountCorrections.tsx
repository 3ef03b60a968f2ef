import type { CountCorrection, TraceReading } from '@myokinet/core/traces';
import { useState } from 'react';

export interface CountCorrectionsProps {
  readonly reading: TraceReading;
  readonly corrections: readonly CountCorrection[];
  readonly countAt: (seconds: number) => void;
  readonly drop: (correction: CountCorrection) => void;
}

/** Repetitions that the trace does not show and the coach saw. */
export function CountCorrections({ reading, corrections, countAt, drop }: CountCorrectionsProps) {
  const [moment, setMoment] = useState('');
  const seconds = Number(moment.replace(',', '.'));
  const turns = new Set(reading.repetitions.map((r) => r.turn));
  const added = corrections.filter((c) => c.what === 'count as well' && !turns.has(c.at));
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2 text-sm">
      <label>
        One was missed, at
        <span className="input input-sm ms-1 w-24">
          <input
            inputMode="decimal"
            value={moment}
            onChange={(e) => setMoment(e.target.value)}
            aria-label="Second of the missed repetition"
          />
          s
        </span>
      </label>
      <button
        type="button"
        className="btn btn-sm"
        disabled={moment.trim() === '' || !Number.isFinite(seconds)}
        onClick={() => {
          countAt(seconds);
          setMoment('');
        }}
      >
        Count it as well
      </button>
      <span className="aside">or tap the trace there.</span>
      {added.map((c) => (
        <button key={c.at} type="button" className="btn btn-xs" onClick={() => drop(c)}>
          Take back the one at {c.at.toFixed(1)} s
        </button>
      ))}
    </div>
  );
}
