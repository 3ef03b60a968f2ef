import type { CountCorrection, Repetition, TraceReading } from '@myokinet/core/traces';
import { QUANTITY_WORDS } from '@myokinet/core/words';
import type { MouseEvent } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceArea, ReferenceLine, XAxis, YAxis } from 'recharts';
import { gridLines, noLines, plainTick, roundSteps } from '../../kit/plainTick.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';

const MOST_POINTS = 1200;
const HEIGHT = 220;
/** Pixels beside the plot: the axis on the left, a little air on the right. */
const BESIDE = { left: 56, right: 12 } as const;

export interface TraceChartProps {
  readonly reading: TraceReading;
  readonly counted: (repetition: Repetition) => boolean;
  readonly corrections: readonly CountCorrection[];
  /** Given where a tap counts one more. */
  readonly countAt: ((seconds: number) => void) | undefined;
}

/** The smoothed trace with its counted turns and the longest hold marked. */
export function TraceChart({ reading, counted, corrections, countAt }: TraceChartProps) {
  const [box, width] = usePixelWidth<HTMLDivElement>(560);
  const data = pointsOf(reading);
  const angles = data.flatMap((p) => p.angle ?? []);
  const [least, most] = [Math.min(...angles), Math.max(...angles)];
  // Room above for the numbers of the turns.
  const [low, high] = [Math.floor(least), Math.ceil(most + 0.1 * (most - least))];
  const tapped = (event: MouseEvent<HTMLDivElement>) => {
    const x = event.clientX - event.currentTarget.getBoundingClientRect().left - BESIDE.left;
    const across = width - BESIDE.left - BESIDE.right;
    if (x >= 0 && x <= across) countAt?.((x / across) * reading.duration);
  };
  const { unit } = QUANTITY_WORDS[reading.quantity];
  const shortUnit = reading.quantity === 'height' ? '%' : unit;
  const turns = new Set(reading.repetitions.map((r) => r.turn));
  const label = `Trace of ${reading.duration.toFixed(1)} s: ${reading.repetitions.filter(counted).length} of ${reading.repetitions.length} repetitions count`;
  return (
    <div ref={box} role="img" aria-label={label} className="mt-2 w-full overflow-hidden" onClick={tapped}>
      <LineChart
        width={width}
        height={HEIGHT}
        data={data}
        accessibilityLayer={false}
        margin={{ top: 16, right: BESIDE.right, bottom: 4, left: 0 }}
      >
        <CartesianGrid
          stroke="var(--color-base-300)"
          vertical={false}
          verticalCoordinatesGenerator={noLines}
          horizontalCoordinatesGenerator={gridLines(low, high, roundSteps(low, high, 5))}
        />
        <XAxis
          dataKey="time"
          type="number"
          domain={[0, reading.duration]}
          ticks={roundSteps(0, reading.duration, 8)}
          interval={0}
          tick={plainTick((t) => `${Number(t.toFixed(1))} s`, 12)}
          stroke="currentColor"
        />
        <YAxis
          type="number"
          domain={[low, high]}
          ticks={roundSteps(low, high, 5)}
          interval={0}
          width={BESIDE.left}
          tick={plainTick((v) => `${v}${shortUnit}`, 4)}
          stroke="currentColor"
        />
        {reading.hold && (
          <ReferenceArea x1={reading.hold.from} x2={reading.hold.to} fill="var(--color-primary)" fillOpacity={0.14} ifOverflow="hidden" />
        )}
        <Line
          dataKey="angle"
          stroke="var(--color-base-content)"
          strokeWidth={1.5}
          dot={false}
          isAnimationActive={false}
          connectNulls={false}
        />
        <Line
          data={reading.repetitions.map((r, i) => ({ time: r.turn, angle: r.peak, number: i + 1 }))}
          dataKey="angle"
          stroke="none"
          isAnimationActive={false}
          dot={({ cx, cy, index }: { cx?: number; cy?: number; index?: number }) => (
            <Turn
              key={index}
              x={cx ?? 0}
              y={cy ?? 0}
              number={(index ?? 0) + 1}
              counts={reading.repetitions[index ?? 0] !== undefined && counted(reading.repetitions[index ?? 0] as Repetition)}
            />
          )}
        />
        {corrections
          .filter((c) => c.what === 'count as well' && !turns.has(c.at))
          .map((c) => (
            <ReferenceLine
              key={c.at}
              x={c.at}
              stroke="var(--color-warning)"
              strokeDasharray="4 3"
              label={{ value: '+1', position: 'top', fontSize: 12 }}
            />
          ))}
      </LineChart>
    </div>
  );
}

/** Where a repetition turns back: its number while it counts, a cross when the coach has left it out. */
function Turn({ x, y, number, counts }: { readonly x: number; readonly y: number; readonly number: number; readonly counts: boolean }) {
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={counts ? 6 : 4}
        fill={counts ? 'var(--color-primary)' : 'var(--color-base-100)'}
        stroke="var(--color-primary)"
      />
      <text x={x} y={y - 10} textAnchor="middle" fontSize={12} fill="currentColor">
        {counts ? number : '×'}
      </text>
    </g>
  );
}

/** Few enough points for a picture; the highest and lowest of each part, so that no peak goes missing. A gap breaks the line. */
function pointsOf({ stretches }: TraceReading): readonly { readonly time: number; readonly angle: number | null }[] {
  const total = stretches.reduce((n, s) => n + s.values.length, 0);
  const block = Math.max(1, Math.ceil((2 * total) / MOST_POINTS));
  return stretches.flatMap(({ start, rate, values }, nth) => {
    const points: { time: number; angle: number | null }[] = nth > 0 ? [{ time: start, angle: null }] : [];
    for (let i = 0; i < values.length; i += block) {
      const end = Math.min(values.length, i + block);
      const at = (j: number) => values[j] ?? 0;
      let [low, high] = [i, i];
      for (let j = i; j < end; j++) {
        if (at(j) < at(low)) low = j;
        if (at(j) > at(high)) high = j;
      }
      for (const j of low === high ? [low] : [Math.min(low, high), Math.max(low, high)])
        points.push({ time: start + j / rate, angle: at(j) });
    }
    return points;
  });
}
