import type { TraceSummaryDto } from '@myokinet/core/contracts';
import { QUANTITY_WORDS } from '@myokinet/core/words';

const [WIDTH, HEIGHT] = [160, 32];

/** What stayed on record of a trace: its curve, and what was read off it. */
export function TraceSummaryLine({ trace }: { readonly trace: TraceSummaryDto }) {
  const { curve, quantity, counted, clean, range, tempo, evenness, fellOff } = trace;
  if (!curve || curve.length < 2 || !quantity) return null;
  const { unit } = QUANTITY_WORDS[quantity];
  const [low, high] = [Math.min(...curve), Math.max(...curve)];
  const points = curve
    .map(
      (v, i) =>
        `${((i / (curve.length - 1)) * WIDTH).toFixed(1)},${(HEIGHT - 1 - ((v - low) / (high - low || 1)) * (HEIGHT - 2)).toFixed(1)}`,
    )
    .join(' ');
  const parts = [
    counted > 0 && clean !== undefined && `${clean} clean of ${counted}${fellOff ? `, then the ${fellOff} fell off` : ''}`,
    range !== undefined && `${range.toFixed(0)}${unit} on average`,
    tempo !== undefined && `${tempo.toFixed(1)} s there and back`,
    evenness !== undefined && `evenness ${evenness.toFixed(2)}`,
    `from ${Math.round(low) + 0} to ${Math.round(high)}${unit} in ${Math.round(trace.seconds)} s`,
  ].filter((part) => part !== false);
  return (
    <span className="aside me-3 inline-flex flex-wrap items-center gap-x-2">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-8 w-40" role="img" aria-label="Curve of the trace">
        <polyline points={points} fill="none" stroke="currentColor" strokeWidth="1" />
      </svg>
      {parts.join(' · ')}
    </span>
  );
}
