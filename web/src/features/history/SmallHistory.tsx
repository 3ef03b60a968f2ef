import { formatReadingWithBand } from '@myokinet/core/measuring';
import { SIDE_LOOK, type DemandLine } from './HistoryChart.tsx';
import type { MeasureHistory } from './historyOf.ts';

const WIDTH = 200;
const HEIGHT = 56;
const PAD = 5;

export interface SmallHistoryProps {
  readonly history: MeasureHistory;
  readonly demands: readonly DemandLine[];
  readonly from: number;
  readonly to: number;
  readonly open: boolean;
  readonly show: () => void;
}

/** One check of the battery, small: all of them share the time from left to right. */
export function SmallHistory({ history: { measure, series }, demands, from, to, open, show }: SmallHistoryProps) {
  const all = [...series.flatMap((s) => s.occasions.map((o) => o.capacity.value as number)), ...demands.map((d) => d.value)];
  const [low, high] = measure.choices ? [0, measure.choices.length - 1] : [Math.min(...all), Math.max(...all)];
  const x = (at: number) => PAD + ((at - from) / Math.max(1, to - from)) * (WIDTH - 2 * PAD);
  const y = (v: number) => HEIGHT - PAD - (high === low ? 0.5 : (v - low) / (high - low)) * (HEIGHT - 2 * PAD);
  return (
    <button
      type="button"
      className={`flex cursor-pointer flex-col justify-start border p-2 text-start break-inside-avoid ${open ? 'border-2 border-primary' : 'border-base-300'}`}
      aria-pressed={open}
      onClick={show}
    >
      <span className="block text-sm leading-tight font-semibold">{measure.name}</span>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="my-1 h-14 w-full" preserveAspectRatio="none" aria-hidden>
        {demands.map((d) => (
          <line
            key={d.words}
            x1={0}
            x2={WIDTH}
            y1={y(d.value)}
            y2={y(d.value)}
            stroke="var(--color-secondary)"
            strokeDasharray={d.which === 'current' ? '2 4' : undefined}
          />
        ))}
        {series.map(({ side, occasions }) => (
          <g key={side} fill="none" stroke={SIDE_LOOK[side].colour} strokeWidth={1.5} strokeDasharray={SIDE_LOOK[side].dash}>
            <path
              d={occasions.map((o, i) => `${i === 0 ? 'M' : 'L'}${x(o.at)} ${y(o.capacity.value)}`).join('')}
              vectorEffect="non-scaling-stroke"
            />
            {occasions.map((o) => (
              <path key={o.at} d={`M${x(o.at)} ${y(o.capacity.value) - 2.5}v5`} vectorEffect="non-scaling-stroke" strokeDasharray="" />
            ))}
          </g>
        ))}
      </svg>
      {series.map(({ side, occasions }) => {
        const last = occasions.at(-1)?.capacity;
        return (
          <span key={side} className="aside block text-sm leading-tight">
            {side === 'whole' ? '' : `${side} `}
            {last && formatReadingWithBand(measure, last.value, last.band)}
          </span>
        );
      })}
    </button>
  );
}
