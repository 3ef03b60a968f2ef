import type { CountCorrection, TraceReading } from '@myokinet/core/traces';
import { CartesianGrid, Line, LineChart, ReferenceArea, ReferenceDot, ReferenceLine, XAxis, YAxis } from 'recharts';
import { usePixelWidth } from '../pieces/usePixelWidth.ts';

const MOST_POINTS = 1200;
const HEIGHT = 220;

export interface TraceChartProps {
  readonly reading: TraceReading;
  readonly corrections: readonly CountCorrection[];
  /** Given where a tap counts one more. */
  readonly countAt: ((seconds: number) => void) | undefined;
}

/** The smoothed trace with its counted turns and the longest hold marked. */
export function TraceChart({ reading, corrections, countAt }: TraceChartProps) {
  const [box, width] = usePixelWidth<HTMLDivElement>(560);
  const data = pointsOf(reading);
  const left = new Set(corrections.filter((c) => c.what === 'leave out').map((c) => c.at));
  const label = `Trace of ${reading.duration.toFixed(1)} s: ${reading.repetitions.length} repetitions counted`;
  return (
    <div ref={box} role="img" aria-label={label} className="mt-2 w-full overflow-hidden">
      <LineChart
        width={width}
        height={HEIGHT}
        data={data}
        accessibilityLayer={false}
        margin={{ top: 16, right: 12, bottom: 4, left: 0 }}
        onClick={({ activeLabel }) => activeLabel !== undefined && countAt?.(Number(activeLabel))}
      >
        <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
        <XAxis
          dataKey="time"
          type="number"
          domain={[0, reading.duration]}
          unit=" s"
          tickFormatter={(t: number) => t.toFixed(0)}
          stroke="currentColor"
          fontSize={12}
        />
        <YAxis unit="°" width={48} stroke="currentColor" fontSize={12} domain={['auto', 'auto']} />
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
        {reading.repetitions.map((r, i) => (
          <ReferenceDot
            key={r.turn}
            x={r.turn}
            y={r.peak}
            r={left.has(r.turn) ? 4 : 6}
            fill={left.has(r.turn) ? 'var(--color-base-100)' : 'var(--color-primary)'}
            stroke="var(--color-primary)"
            label={{ value: left.has(r.turn) ? '×' : String(i + 1), position: 'top', fontSize: 12, fill: 'currentColor' }}
          />
        ))}
        {corrections
          .filter((c) => c.what === 'count as well')
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
