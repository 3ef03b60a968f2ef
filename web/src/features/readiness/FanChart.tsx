import { fanOf, type FanPoint, type GateOutlook } from '@myokinet/core/forecast';
import type { Capacity, Measure } from '@myokinet/core/measuring';
import { daysBetween } from '@myokinet/core/quantities';
import { checkKey, type Headroom } from '@myokinet/core/readiness';
import { demandInWords, fanInWords } from '@myokinet/core/words';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import type { HeadroomChartProps } from './HeadroomChart.tsx';

interface FanChartProps extends Pick<HeadroomChartProps, 'headrooms' | 'trails' | 'measureOf' | 'now'> {
  readonly outlook: GateOutlook;
}

const WEEKS_BACK = 10;
const WEEKS_AHEAD = 12;
const DAYS = 7;
const AHEAD_DAYS = Array.from({ length: WEEKS_AHEAD + 1 }, (_, week) => week * DAYS);
const ROW = 58;
const EDGE = 6;
const USUAL_WIDTH = 316;

/** One side of one check: what it read, and where it is going. */
interface Line {
  readonly key: string;
  readonly side: Headroom['side'];
  readonly past: readonly Capacity[];
  readonly fan: readonly FanPoint[];
}

interface FanRow {
  readonly measure: Measure;
  readonly headroom: Headroom;
  readonly lines: readonly Line[];
}

/** Every figure the gate asks for, on its own time: the last checks, and eight of ten futures. */
export function FanChart({ outlook, headrooms, trails, measureOf, now }: FanChartProps) {
  const [plot, width] = usePixelWidth<HTMLDivElement>(USUAL_WIDTH);
  const rows = rowsOf(outlook, { headrooms, trails, measureOf });
  if (rows.length === 0) return null;
  return (
    <div className="mt-1 grid grid-cols-[8rem_minmax(0,1fr)] sm:grid-cols-[14rem_minmax(0,1fr)_9.5rem]">
      <div className="h-7" />
      <div className="relative h-7 text-sm" aria-hidden>
        <span className="absolute start-0 bottom-0">
          {WEEKS_BACK} <span className="hidden sm:inline">weeks</span>
          <span className="sm:hidden">wk</span> ago
        </span>
        <span className="absolute bottom-0 -translate-x-1/2 font-semibold" style={{ left: xOf(0, width) }}>
          today
        </span>
        <span className="absolute end-0 bottom-0 sm:hidden">in {WEEKS_AHEAD} weeks</span>
      </div>
      <div className="relative hidden h-7 text-sm sm:block" aria-hidden>
        <span className="absolute start-3 bottom-0">in {WEEKS_AHEAD} weeks</span>
      </div>
      <ul>
        {rows.map(({ measure, headroom }) => (
          <li key={measure.id} style={{ height: ROW }} className="flex flex-col justify-center border-b border-base-300 ps-2">
            <span className="text-[0.95rem] leading-[1.1] font-semibold">{measure.name}</span>
            <span className="aside hidden text-[0.8rem] leading-tight sm:inline">{demandInWords(headroom.demand, measure)}</span>
          </li>
        ))}
      </ul>
      <div ref={plot}>
        <svg width={width} height={rows.length * ROW} aria-hidden className="block overflow-hidden">
          {rows.map((row, i) => (
            <g key={row.measure.id} transform={`translate(0 ${i * ROW})`}>
              <line x1={0} x2={width} y1={ROW} y2={ROW} className="text-base-300" stroke="currentColor" />
              <RowFan row={row} width={width} now={now} />
            </g>
          ))}
          <line x1={xOf(0, width)} x2={xOf(0, width)} y1={0} y2={rows.length * ROW} stroke="currentColor" strokeWidth={1.5} />
        </svg>
      </div>
      <ul className="col-span-2 text-[0.9rem] sm:col-span-1">
        {rows.map(({ measure, lines }) => (
          <li key={measure.id} style={{ height: ROW }} className="flex flex-col justify-center border-b border-base-300 ps-3 leading-tight">
            <span className="font-semibold sm:sr-only">
              {measure.name}
              <span className="sr-only">, eight of ten futures in {WEEKS_AHEAD} weeks</span>
            </span>
            {endWords(lines, measure).map((words) => (
              <span key={words}>{words}</span>
            ))}
          </li>
        ))}
      </ul>
      <p className="aside col-span-full mt-1.5 flex flex-wrap gap-x-4 text-sm" aria-hidden>
        <span>
          <span className="font-semibold text-primary">solid</span> left or no sides · <span className="font-semibold">dashed</span> right
        </span>
        <span>band: eight of ten futures · heavy line across: what is asked · dots: the last checks</span>
      </p>
    </div>
  );
}

/** What the last day of the fan holds; both sides in one line where they read alike. */
function endWords(lines: readonly Line[], measure: Measure): readonly string[] {
  const ends = lines.map(({ side, fan }) => {
    const last = fan.at(-1);
    return { side, words: last ? fanInWords(last, measure) : '' };
  });
  const [first] = ends;
  if (first && ends.every((e) => e.words === first.words)) return [first.words];
  return ends.map(({ side, words }) => (side === 'whole' ? words : `${side} ${words}`));
}

function rowsOf(
  outlook: GateOutlook,
  { headrooms, trails, measureOf }: Pick<FanChartProps, 'headrooms' | 'trails' | 'measureOf'>,
): readonly FanRow[] {
  return [...new Set(outlook.demands.map((d) => d.measureId))].flatMap((measureId): FanRow[] => {
    const measure = measureOf(measureId);
    const lines = outlook.demands
      .filter((d) => d.measureId === measureId)
      .flatMap(({ side, trend }): Line[] => {
        const newest = headrooms.find((h) => h.demand.measureId === measureId && h.side === side)?.capacity;
        if (!trend) return [];
        const key = checkKey(measureId, side);
        const past = [...(newest ? [newest] : []), ...(trails[key] ?? [])];
        return [{ key, side, past, fan: fanOf(trend, measure, AHEAD_DAYS, outlook.missedDays) }];
      });
    const headroom = headrooms.find((h) => h.demand.measureId === measureId);
    return headroom && lines.length > 0 ? [{ measure, headroom, lines }] : [];
  });
}

/** Pixels of a day from now, past ones below 0. */
function xOf(days: number, width: number): number {
  return EDGE + ((days + WEEKS_BACK * DAYS) / ((WEEKS_BACK + WEEKS_AHEAD) * DAYS)) * (width - 2 * EDGE);
}

function RowFan({ row: { lines, headroom }, width, now }: { readonly row: FanRow; readonly width: number; readonly now: Date }) {
  const { direction, value, upTo } = headroom.demand;
  const ends = [value, ...(upTo === undefined ? [] : [upTo])];
  const shown = lines.flatMap(({ past, fan }) => [...past.map((c) => c.value as number), ...fan.flatMap((p) => [p.low, p.high])]);
  const [least, most] = [Math.min(...ends, ...shown), Math.max(...ends, ...shown)];
  const room = most - least || 1;
  const y = (figure: number) => ROW - EDGE - ((figure - least) / room) * (ROW - 2 * EDGE);
  const x = (days: number) => xOf(days, width);
  const passes = direction === 'at least' ? [0, y(value)] : direction === 'at most' ? [y(value), ROW] : [y(upTo ?? value), y(value)];
  return (
    <>
      <rect
        x={0}
        y={passes[0]}
        width={width}
        height={Math.max(0, (passes[1] ?? 0) - (passes[0] ?? 0))}
        className="text-primary"
        fill="currentColor"
        opacity={0.09}
      />
      {ends.map((end) => (
        <line key={end} x1={0} x2={width} y1={y(end)} y2={y(end)} stroke="currentColor" strokeWidth={2} />
      ))}
      {lines.map(({ key, side, past, fan }) => (
        <g key={key} className={side === 'right' ? '' : 'text-primary'} stroke="currentColor" fill="currentColor">
          <path d={bandPath(fan, x, y)} stroke="none" opacity={0.22} />
          <path d={linePath(fan, x, y)} fill="none" strokeWidth={1.75} {...(side === 'right' ? { strokeDasharray: '5 3' } : {})} />
          {past.map((c) => (
            <circle key={c.takenAt} cx={x(-daysBetween(c.takenAt, now))} cy={y(c.value)} r={3} stroke="none" />
          ))}
        </g>
      ))}
    </>
  );
}

type To = (figure: number) => number;

function linePath(fan: readonly FanPoint[], x: To, y: To): string {
  return fan.map(({ days, mid }, i) => `${i === 0 ? 'M' : 'L'}${x(days)} ${y(mid)}`).join('');
}

function bandPath(fan: readonly FanPoint[], x: To, y: To): string {
  const up = fan.map(({ days, high }) => `${x(days)} ${y(high)}`);
  const down = [...fan].reverse().map(({ days, low }) => `${x(days)} ${y(low)}`);
  return `M${[...up, ...down].join('L')}Z`;
}
