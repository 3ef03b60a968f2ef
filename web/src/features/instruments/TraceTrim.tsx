import type { Samples } from '@myokinet/core/traces';
import { useEffect, useState } from 'react';

/** The part of a trace that is read, seconds from its first sample. */
export interface Kept {
  readonly from: number;
  readonly to: number;
}

export interface TraceTrimProps {
  readonly samples: Samples;
  readonly kept: Kept | undefined;
  readonly keep: (kept: Kept | undefined) => void;
}

const STEP = 0.1;
/** A handle that moves is read when it comes to rest. */
const REST_MS = 250;
/** Seconds that are left at least. */
const LEAST = 1;

/** Two handles that cut off walking in and out. */
export function TraceTrim({ samples, kept, keep }: TraceTrimProps) {
  const whole = Math.floor(((samples.times[samples.times.length - 1] ?? 0) - (samples.times[0] ?? 0)) / STEP) * STEP;
  const [held, setHeld] = useState<Kept>(kept ?? { from: 0, to: whole });
  const { from, to } = held;
  useEffect(() => {
    const same = kept ? kept.from === from && kept.to === to : from === 0 && to === whole;
    if (same) return undefined;
    const timer = setTimeout(() => keep(from === 0 && to === whole ? undefined : { from, to }), REST_MS);
    return () => clearTimeout(timer);
  }, [from, to, whole, kept, keep]);
  if (!(whole > LEAST)) return null;
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm" role="group" aria-label="Part that is read">
      <Handle label="Read from" value={from} max={whole} move={(v) => setHeld({ from: Math.min(v, to - LEAST), to })} />
      <Handle label="to" value={to} max={whole} move={(v) => setHeld({ from, to: Math.max(v, from + LEAST) })} />
      {(from > 0 || to < whole) && (
        <button type="button" className="btn btn-xs" onClick={() => setHeld({ from: 0, to: whole })}>
          Read all of it
        </button>
      )}
    </div>
  );
}

interface HandleProps {
  readonly label: string;
  readonly value: number;
  readonly max: number;
  readonly move: (seconds: number) => void;
}

function Handle({ label, value, max, move }: HandleProps) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <input
        type="range"
        className="range range-sm w-40 [--range-fill:0]"
        min={0}
        max={max}
        step={STEP}
        value={value}
        onChange={(e) => move(Math.max(0, Math.round(Number(e.target.value) / STEP) * STEP))}
      />
      <span className="w-14 tabular-nums">{value.toFixed(1)} s</span>
    </label>
  );
}
