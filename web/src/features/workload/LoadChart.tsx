import type { LoadDay } from '@myokinet/core/workload';
import { format, parseISO } from 'date-fns';
import { Bar, CartesianGrid, ComposedChart, Line, XAxis, YAxis } from 'recharts';
import { gridLines, noLines, plainTick, roundSteps } from '../../kit/plainTick.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';

const HEIGHT = 260;
const WEEK = 7;

/** Each day's load as a bar, with the two moving averages: the long one broken, so that colour is not alone. */
export function LoadChart({ days }: { readonly days: readonly LoadDay[] }) {
  const [box, width] = usePixelWidth<HTMLDivElement>(760);
  const points = days.map((d, at) => ({ ...d, at }));
  const top = Math.max(100, ...days.map((d) => d.load));
  const steps = roundSteps(0, top, 5);
  // Mondays, a week or two apart.
  const every = width < 600 ? 2 * WEEK : WEEK;
  const ticks = points.filter((p) => parseISO(p.day).getDay() === 1).filter((_, i) => (i * WEEK) % every === 0);
  return (
    <div ref={box} className="w-full overflow-hidden" role="img" aria-label="Load by day; the tables have the figures">
      <ComposedChart
        width={width}
        height={HEIGHT}
        data={points}
        accessibilityLayer={false}
        margin={{ top: 10, right: 12, bottom: 4, left: 0 }}
      >
        <CartesianGrid
          stroke="var(--color-base-300)"
          vertical={false}
          verticalCoordinatesGenerator={noLines}
          horizontalCoordinatesGenerator={gridLines(0, top, steps)}
        />
        <XAxis
          dataKey="at"
          type="number"
          domain={[-0.5, points.length - 0.5]}
          ticks={ticks.map((t) => t.at)}
          interval={0}
          tick={plainTick((at) => format(parseISO(points[at]?.day ?? ''), 'd MMM'), 12)}
          stroke="currentColor"
        />
        <YAxis
          type="number"
          domain={[0, top]}
          width={48}
          ticks={[...steps]}
          interval={0}
          tick={plainTick(String, 4)}
          stroke="currentColor"
        />
        <Bar dataKey="load" fill="var(--color-secondary)" barSize={Math.max(2, width / points.length / 2)} isAnimationActive={false} />
        <Line dataKey="acute" stroke="var(--color-primary)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
        <Line
          dataKey="chronic"
          stroke="var(--color-base-content)"
          strokeWidth={2}
          strokeDasharray="7 4"
          dot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
      <p className="flex flex-wrap gap-x-5 text-sm" aria-hidden>
        <Key look={<rect x={8} y={2} width={8} height={10} fill="var(--color-secondary)" />} words="load of the day" />
        <Key look={<path d="M0 7H24" stroke="var(--color-primary)" strokeWidth={3} />} words="7-day average" />
        <Key look={<path d="M0 7H24" stroke="currentColor" strokeWidth={2} strokeDasharray="7 4" />} words="28-day average" />
      </p>
    </div>
  );
}

function Key({ look, words }: { readonly look: React.ReactNode; readonly words: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width={24} height={14}>
        {look}
      </svg>
      {words}
    </span>
  );
}
