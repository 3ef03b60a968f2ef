import type { Capacity, MeasureOf } from '@myokinet/core/measuring';
import type { Headroom } from '@myokinet/core/readiness';
import { headroomInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { BANDS_SHOWN, figureWords, type HeadroomRow, headroomRows, type Mark, markOf } from './headroomRows.ts';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import { RowDetails } from './RowDetails.tsx';
import { STATE_CLASS, StateMark } from '../../kit/StateMark.tsx';

export interface HeadroomChartProps {
  readonly title: string;
  readonly headrooms: readonly Headroom[];
  readonly limiter: Headroom | undefined;
  /** Earlier capacities, newest first, by check and side. */
  readonly trails: Readonly<Record<string, readonly Capacity[]>>;
  readonly measureOf: MeasureOf;
  readonly now: Date;
}

const USUAL_WIDTH = 316;
/** Below this the words need a second line, so rows are taller. */
const NARROW = 240;
const EDGE = 14;
/** Offset of a side's line from the middle of its row. */
const LINE = 11;
const RADIUS = 6.5;

/** The plot in pixels: where a headroom in error bands lies, and how tall a row is. */
interface Scale {
  readonly width: number;
  readonly row: number;
  readonly x: (bands: number) => number;
}

function scaleFor(width: number): Scale {
  const band = (width - 2 * EDGE) / (2 * BANDS_SHOWN);
  return { width, row: width < NARROW ? 66 : 50, x: (bands) => width / 2 + bands * band };
}

/** Every demand of a rung against one shared mark: right of it is spare, left is short. */
export function HeadroomChart({ title, headrooms, limiter, trails, measureOf, now }: HeadroomChartProps) {
  const rows = headroomRows(headrooms, limiter, measureOf);
  const [plot, width] = usePixelWidth<HTMLDivElement>(USUAL_WIDTH);
  const scale = scaleFor(width);
  const [openRow, setOpenRow] = useState<string | undefined>();
  const open = rows.find((r) => r.measureId === openRow);
  return (
    <section aria-label={title} className="relative">
      <h2>{title}</h2>
      <div className="sr-only">
        <ReadAsTable title={title} rows={rows} />
      </div>
      <div className="mt-1 grid grid-cols-[10rem_minmax(0,1fr)] sm:grid-cols-[14rem_minmax(0,1fr)_9.5rem]">
        <div className="h-8" />
        <div className="relative h-8 text-center text-sm leading-tight" aria-hidden>
          <span className="font-semibold">the demand</span>
          <span className="absolute right-1/2 bottom-0 me-3">short</span>
          <span className="absolute bottom-0 left-1/2 ms-3">spare</span>
        </div>
        <div className="hidden h-8 sm:block" />
        <ul>
          {rows.map((row) => (
            <li
              key={row.measureId}
              style={{ height: scale.row }}
              className={`flex flex-col justify-center border-b border-base-300 ps-2 border-s-4 ${row.tag === 'limiter' ? 'border-s-error' : row.tag ? 'border-s-base-content' : 'border-s-transparent'}`}
            >
              <button
                type="button"
                className="cursor-pointer text-start text-[0.95rem] leading-[1.1] hover:underline"
                aria-expanded={openRow === row.measureId}
                onClick={() => setOpenRow(openRow === row.measureId ? undefined : row.measureId)}
              >
                <span className="font-semibold">{row.measure.name}</span>
                {row.tag && (
                  <span
                    className={`ms-2 px-1 text-xs font-semibold whitespace-nowrap ${row.tag === 'limiter' ? 'bg-error text-error-content' : 'bg-neutral text-neutral-content'}`}
                  >
                    {row.tag}
                  </span>
                )}
              </button>
              <span className="aside hidden text-[0.8rem] leading-tight sm:inline">{row.asked}</span>
              <span className={`text-[0.8rem] leading-tight sm:hidden ${STATE_CLASS[row.state]}`} aria-hidden>
                {row.verdict}
              </span>
            </li>
          ))}
        </ul>
        <div ref={plot}>
          <Plot rows={rows} trails={trails} scale={scale} />
        </div>
        <ul aria-hidden className="hidden sm:block">
          {rows.map((row) => (
            <li
              key={row.measureId}
              style={{ height: scale.row }}
              className={`flex items-center gap-2 border-b border-base-300 ps-3 text-[0.95rem] leading-tight ${STATE_CLASS[row.state]}`}
            >
              <StateMark state={row.state} />
              <span className={row.state === 'short' ? 'font-semibold' : row.state === 'unknown' ? 'italic' : ''}>{row.verdict}</span>
            </li>
          ))}
        </ul>
      </div>
      {open ? (
        <RowDetails row={open} trails={trails} now={now} close={() => setOpenRow(undefined)} />
      ) : (
        <p className="aside mt-1.5 flex flex-wrap gap-x-4 text-sm" aria-hidden>
          <span className="inline-flex items-center gap-1">
            <Key side="left" /> left
          </span>
          <span className="inline-flex items-center gap-1">
            <Key side="right" /> right
          </span>
          <span className="inline-flex items-center gap-1">
            <Key side="whole" /> no sides
          </span>
          <span>whisker: the error band · one column: one error band · fading ticks: the last three checks</span>
        </p>
      )}
    </section>
  );
}

interface PlotProps {
  readonly rows: readonly HeadroomRow[];
  readonly trails: HeadroomChartProps['trails'];
  readonly scale: Scale;
}

function Plot({ rows, trails, scale }: PlotProps) {
  const { width, row: rowHeight, x } = scale;
  const height = rows.length * rowHeight;
  return (
    <svg width={width} height={height} aria-hidden className="block overflow-visible">
      <rect x={x(0)} y={0} width={width - x(0)} height={height} fill="currentColor" className="text-primary" opacity={0.09} />
      {Array.from({ length: 2 * BANDS_SHOWN + 1 }, (_, i) => i - BANDS_SHOWN).map((b) => (
        <line key={b} x1={x(b)} x2={x(b)} y1={0} y2={height} stroke="currentColor" opacity={0.12} />
      ))}
      {rows.map((row, i) => (
        <g key={row.measureId} transform={`translate(0 ${i * rowHeight})`}>
          <line x1={0} x2={width} y1={rowHeight} y2={rowHeight} className="text-base-300" stroke="currentColor" />
          <RowMarks row={row} trails={trails} scale={scale} />
        </g>
      ))}
      <line x1={x(0)} x2={x(0)} y1={-6} y2={height} stroke="currentColor" strokeWidth={2.5} />
    </svg>
  );
}

function RowMarks({ row, trails, scale }: Omit<PlotProps, 'rows'> & { readonly row: HeadroomRow }) {
  const middle = scale.row / 2;
  const marks = row.sides.map((side) => markOf(side, trails, row.measure));
  return (
    <>
      {marks.some((mark) => !mark) && (
        <circle
          cx={scale.x(0)}
          cy={middle}
          r={RADIUS + 1}
          className="state-unknown fill-base-100"
          stroke="currentColor"
          strokeWidth={1.75}
          strokeDasharray="3 2.5"
        />
      )}
      {marks.map(
        (mark) => mark && <OneMark key={mark.key} mark={mark} y={middle + { left: -LINE, right: LINE, whole: 0 }[mark.side]} x={scale.x} />,
      )}
    </>
  );
}

function OneMark({
  mark: { side, state, at, clipped, whisker, trail },
  y,
  x,
}: {
  readonly mark: Mark;
  readonly y: number;
  readonly x: Scale['x'];
}) {
  const cx = x(at);
  const [from, to] = [x(whisker[0]), x(whisker[1])];
  return (
    <g className={STATE_CLASS[state]} stroke="currentColor">
      {trail.map((z, i) => (
        <line key={i} x1={x(z)} x2={x(z)} y1={y - 5} y2={y + 5} strokeWidth={1.5} opacity={0.5 - i * 0.15} />
      ))}
      <path d={`M${from} ${y}H${to}M${from} ${y - 4}v8M${to} ${y - 4}v8`} strokeWidth={1.75} />
      <path d={DISC[side](cx, y)} fill="currentColor" stroke="none" />
      {clipped && <path d={at > 0 ? `M${cx + 9} ${y - 5}l6 5-6 5` : `M${cx - 9} ${y - 5}l-6 5 6 5`} fill="none" strokeWidth={2} />}
    </g>
  );
}

/** Left-pointing and right-pointing half discs; a full one where there are no sides. */
const DISC: Readonly<Record<Headroom['side'], (cx: number, cy: number) => string>> = {
  left: (cx, cy) => `M${cx + RADIUS / 2} ${cy - RADIUS}A${RADIUS} ${RADIUS} 0 0 0 ${cx + RADIUS / 2} ${cy + RADIUS}Z`,
  right: (cx, cy) => `M${cx - RADIUS / 2} ${cy - RADIUS}A${RADIUS} ${RADIUS} 0 0 1 ${cx - RADIUS / 2} ${cy + RADIUS}Z`,
  whole: (cx, cy) => `M${cx - RADIUS} ${cy}a${RADIUS} ${RADIUS} 0 1 0 ${2 * RADIUS} 0a${RADIUS} ${RADIUS} 0 1 0 ${-2 * RADIUS} 0Z`,
};

function Key({ side }: { readonly side: Headroom['side'] }) {
  return (
    <svg width={16} height={16} viewBox="0 0 16 16">
      <path d={DISC[side](8, 8)} fill="currentColor" />
    </svg>
  );
}

/** The same chart for those who hear it. */
function ReadAsTable({ title, rows }: { readonly title: string; readonly rows: readonly HeadroomRow[] }) {
  return (
    <table>
      <caption>{title}, shortest first</caption>
      <thead>
        <tr>
          <th scope="col">Check</th>
          <th scope="col">Asked</th>
          <th scope="col">Side</th>
          <th scope="col">Shown</th>
          <th scope="col">Headroom</th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        {rows.flatMap((row) =>
          row.sides.map((h) => (
            <tr key={row.measureId + h.side}>
              <th scope="row">
                {row.measure.name}
                {row.tag ? ` (${row.tag})` : ''}
              </th>
              <td>{row.asked}</td>
              <td>{h.side === 'whole' ? 'no sides' : h.side}</td>
              <td>{figureWords(h, row.measure)}</td>
              <td>{headroomInWords(h, row.measure)}</td>
              <td>{h.state}</td>
            </tr>
          )),
        )}
      </tbody>
    </table>
  );
}
