import type { BodySide } from '@myokinet/core/anatomy';
import { formatReading } from '@myokinet/core/measuring';
import { format, startOfDay } from 'date-fns';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, Scatter, XAxis, YAxis } from 'recharts';
import { gridLines, noLines, plainTick, roundSteps } from '../../kit/plainTick.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import type { HistoryEvent, MeasureHistory, Series } from './historyOf.ts';

export interface DemandLine {
  readonly words: string;
  readonly value: number;
  readonly which: 'current' | 'next';
}

export interface HistoryChartProps {
  readonly history: MeasureHistory;
  readonly demands: readonly DemandLine[];
  readonly events: readonly HistoryEvent[];
  readonly now: Date;
  /** The occasion that is read out. */
  readonly cursor: number | undefined;
}

const HEIGHT = 320;
/** Below this many pixels the words of a demand would lie on the figures; they stand above the chart anyway. */
const ROOM_FOR_WORDS = 600;
const A_YEAR = 365 * 86_400_000;
/** The two sides differ in colour and in stroke, so that neither alone carries it. */
export const SIDE_LOOK: Readonly<Record<BodySide, { readonly colour: string; readonly dash?: string }>> = {
  left: { colour: 'var(--color-base-content)' },
  right: { colour: 'var(--color-primary)', dash: '6 3' },
  whole: { colour: 'var(--color-base-content)' },
};
const EVENT_LOOK = { signed: 'var(--color-primary)', withdrawn: 'var(--color-warning)', symptom: 'var(--color-error)' } as const;
const EVENT_MARK = { signed: '▲', withdrawn: '▽', symptom: '!' } as const;

/** One check over time: trials, means with their error band, what the rungs ask, and what happened meanwhile. */
export function HistoryChart({ history: { measure, series }, demands, events, now, cursor }: HistoryChartProps) {
  const [box, width] = usePixelWidth<HTMLDivElement>(760);
  const times = series.flatMap((s) => s.occasions.map((o) => o.at));
  const first = Math.min(...times);
  const span = Math.max(now.getTime() - first, 7 * 86_400_000);
  const domain: [number, number] = [first - span * 0.03, first + span * 1.03];
  const levels = measure.choices;
  const values = [
    ...series.flatMap((s) =>
      s.occasions.flatMap((o) => [...o.trials, o.capacity.value - o.capacity.band, o.capacity.value + o.capacity.band]),
    ),
    ...demands.map((d) => d.value),
  ];
  const room = Math.max((Math.max(...values) - Math.min(...values)) * 0.08, measure.limits.step);
  const range: [number, number] = levels
    ? [0, levels.length - 1]
    : [Math.floor(Math.min(...values) - room), Math.ceil(Math.max(...values) + room)];
  const steps = levels ? levels.map((_, i) => i) : roundSteps(range[0], range[1], 5);
  return (
    <div ref={box} role="img" aria-label={`${measure.name} over time; the table below has the figures`} className="w-full overflow-hidden">
      <ComposedChart
        width={width}
        height={HEIGHT}
        accessibilityLayer={false}
        margin={{ top: 20, right: 16, bottom: 4, left: levels ? 40 : 4 }}
      >
        <CartesianGrid
          stroke="var(--color-base-300)"
          vertical={false}
          verticalCoordinatesGenerator={noLines}
          horizontalCoordinatesGenerator={gridLines(range[0], range[1], steps)}
        />
        <XAxis
          dataKey="at"
          type="number"
          domain={domain}
          scale="time"
          allowDuplicatedCategory={false}
          ticks={daysAcross(domain, width)}
          interval={0}
          tick={plainTick((t) => format(t, span > A_YEAR ? 'MMM yyyy' : 'd MMM'), 12)}
          stroke="currentColor"
        />
        <YAxis
          type="number"
          domain={range}
          width={levels ? 110 : 60}
          ticks={steps}
          interval={0}
          tick={plainTick((v) => formatReading(measure, v), 4)}
          stroke="currentColor"
        />
        {!levels && series.map((s) => band(s))}
        {demands.map((d) => (
          <ReferenceLine
            key={d.words}
            y={d.value}
            stroke="var(--color-secondary)"
            strokeWidth={d.which === 'next' ? 2 : 1}
            {...(d.which === 'current' ? { strokeDasharray: '2 4' } : {})}
            {...(width < ROOM_FOR_WORDS
              ? {}
              : { label: { value: d.words, position: 'insideBottomRight', fontSize: 12, fill: 'var(--color-secondary)' } })}
          />
        ))}
        {events.map((e, i) => (
          <ReferenceLine
            key={`${e.at}-${i}`}
            x={e.at}
            stroke={EVENT_LOOK[e.kind]}
            strokeDasharray="1 3"
            label={{ value: EVENT_MARK[e.kind], position: 'top', fontSize: 13, fill: EVENT_LOOK[e.kind] }}
          />
        ))}
        {cursor !== undefined && <ReferenceLine x={cursor} stroke="var(--color-accent)" strokeWidth={2} />}
        {series.map((s) => line(s, levels !== undefined))}
        {!levels && series.map((s) => dots(s))}
      </ComposedChart>
    </div>
  );
}

/** Evenly spaced days, as many as have room for their names. */
function daysAcross([from, to]: readonly [number, number], width: number): number[] {
  const count = Math.max(2, Math.floor(width / 110));
  return Array.from({ length: count }, (_, i) => startOfDay(from + ((to - from) * (i + 0.5)) / count).getTime());
}

function band({ side, occasions }: Series) {
  return (
    <Area
      key={`band-${side}`}
      data={occasions.map((o) => ({ at: o.at, range: [o.capacity.value - o.capacity.band, o.capacity.value + o.capacity.band] }))}
      dataKey="range"
      stroke="none"
      fill={SIDE_LOOK[side].colour}
      fillOpacity={0.13}
      isAnimationActive={false}
      activeDot={false}
    />
  );
}

function line({ side, occasions }: Series, stepped: boolean) {
  const { colour, dash } = SIDE_LOOK[side];
  return (
    <Line
      key={`line-${side}`}
      data={occasions.map((o) => ({ at: o.at, value: o.capacity.value }))}
      dataKey="value"
      type={stepped ? 'stepAfter' : 'linear'}
      stroke={colour}
      strokeWidth={2}
      {...(dash ? { strokeDasharray: dash } : {})}
      dot={{ r: 4, fill: side === 'right' ? 'var(--color-base-100)' : colour, stroke: colour, strokeWidth: 2, strokeDasharray: '' }}
      isAnimationActive={false}
    />
  );
}

function dots({ side, occasions }: Series) {
  return (
    <Scatter
      key={`trials-${side}`}
      data={occasions.flatMap((o) => o.trials.map((value) => ({ at: o.at, value })))}
      dataKey="value"
      fill={SIDE_LOOK[side].colour}
      fillOpacity={0.5}
      shape={({ cx, cy }: { cx?: number | undefined; cy?: number | undefined }) => (
        <circle cx={cx ?? 0} cy={cy ?? 0} r={2} fill={SIDE_LOOK[side].colour} fillOpacity={0.55} />
      )}
      isAnimationActive={false}
    />
  );
}
