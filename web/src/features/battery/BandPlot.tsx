import type { Capacity } from '@myokinet/core/measuring';

const WIDTH = 150;
const HEIGHT = 26;

export interface BandPlotProps {
  readonly values: readonly number[];
  readonly capacity: Capacity;
  /** The band a single trial has: what the plot is scaled to, so that the band is seen to shrink. */
  readonly single: number;
}

/** The trials as strokes and the error band around their mean, on a scale that stays while trials are added. */
export function BandPlot({ values, capacity, single }: BandPlotProps) {
  const half = Math.max(single * 1.4, ...values.map((v) => Math.abs(v - capacity.value) * 1.1));
  const x = (v: number) => WIDTH / 2 + ((v - capacity.value) / half) * (WIDTH / 2 - 6);
  const middle = HEIGHT / 2;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden className="h-6.5 w-13 sm:w-36">
      <line x1={0} x2={WIDTH} y1={middle} y2={middle} className="stroke-base-300" />
      <rect
        x={x(capacity.value - capacity.band)}
        width={x(capacity.value + capacity.band) - x(capacity.value - capacity.band)}
        y={5}
        height={HEIGHT - 10}
        className="fill-primary/25 transition-all"
      />
      <line x1={x(capacity.value)} x2={x(capacity.value)} y1={3} y2={HEIGHT - 3} className="stroke-primary" strokeWidth={2} />
      {values.map((v, i) => (
        <line key={i} x1={x(v)} x2={x(v)} y1={middle - 6} y2={middle + 6} className="stroke-base-content" strokeWidth={4} />
      ))}
    </svg>
  );
}
