import type { Capacity } from '@myokinet/core/measuring';
import type { Headroom } from '@myokinet/core/readiness';
import { useState } from 'react';
import { BANDS_SHOWN, figureWords, type HeadroomRow, headroomRows, type Mark, markOf } from './headroomRows.ts';
import { RowDetails } from './RowDetails.tsx';
import { STATE_CLASS, StateMark } from './StateMark.tsx';

export interface HeadroomChartProps {
  readonly title: string;
  readonly headrooms: readonly Headroom[];
  readonly limiter: Headroom | undefined;
  /** Earlier capacities, newest first, by check and side. */
  readonly trails: Readonly<Record<string, readonly Capacity[]>>;
  readonly now: Date;
}

/** Plot units: one error band wide, and the height of one side's line. */
const BAND = 36;
const PLOT = 2 * BANDS_SHOWN * BAND + 2 * 14;
const ROW = 50;
const LINE = 11;
const RADIUS = 6.5;
const x = (bands: number) => PLOT / 2 + bands * BAND;

/** Every demand of a rung against one shared mark: right of it is spare, left is short. */
export function HeadroomChart({ title, headrooms, limiter, trails, now }: HeadroomChartProps) {
  const rows = headroomRows(headrooms, limiter);
  const [openRow, setOpenRow] = useState<string | undefined>();
  const open = rows.find((r) => r.measureId === openRow);
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <ReadAsTable title={title} rows={rows} />
      <div className="mt-1 grid grid-cols-[minmax(8.5rem,14rem)_minmax(0,1fr)_minmax(6.5rem,9.5rem)]">
        <div className="h-8" />
        <div className="relative h-8 text-center text-sm leading-tight" aria-hidden>
          <span className="font-semibold">the demand</span>
          <span className="absolute right-1/2 bottom-0 me-3">short</span>
          <span className="absolute bottom-0 left-1/2 ms-3">spare</span>
        </div>
        <div className="h-8" />
        <ul>
          {rows.map((row) => (
            <li
              key={row.measureId}
              style={{ height: ROW }}
              className={`flex flex-col justify-center border-b border-base-300 ps-2 border-s-4 ${row.tag === 'limiter' ? 'border-s-error' : row.tag ? 'border-s-base-content' : 'border-s-transparent'}`}
            >
              <button
                type="button"
                className="cursor-pointer text-start text-[0.95rem] leading-[1.1] hover:underline"
                aria-expanded={openRow === row.measureId}
                onClick={() => setOpenRow(openRow === row.measureId ? undefined : row.measureId)}
              >
                <span className="font-semibold">{row.name}</span>
                {row.tag && (
                  <span
                    className={`ms-2 px-1 text-xs font-semibold whitespace-nowrap ${row.tag === 'limiter' ? 'bg-error text-error-content' : 'bg-neutral text-neutral-content'}`}
                  >
                    {row.tag}
                  </span>
                )}
              </button>
              <span className="aside text-[0.8rem] leading-tight">{row.asked}</span>
            </li>
          ))}
        </ul>
        <Plot rows={rows} trails={trails} />
        <ul aria-hidden>
          {rows.map((row) => (
            <li
              key={row.measureId}
              style={{ height: ROW }}
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

function Plot({ rows, trails }: { readonly rows: readonly HeadroomRow[]; readonly trails: HeadroomChartProps['trails'] }) {
  const height = rows.length * ROW;
  return (
    <svg viewBox={`0 0 ${PLOT} ${height}`} width="100%" height={height} preserveAspectRatio="none" aria-hidden className="overflow-visible">
      <rect x={x(0)} y={0} width={PLOT - x(0)} height={height} fill="currentColor" className="text-primary" opacity={0.09} />
      {Array.from({ length: 2 * BANDS_SHOWN + 1 }, (_, i) => i - BANDS_SHOWN).map((b) => (
        <line key={b} x1={x(b)} x2={x(b)} y1={0} y2={height} stroke="currentColor" opacity={0.12} />
      ))}
      {rows.map((row, i) => (
        <g key={row.measureId} transform={`translate(0 ${i * ROW})`}>
          <line x1={0} x2={PLOT} y1={ROW} y2={ROW} className="text-base-300" stroke="currentColor" />
          <RowMarks row={row} trails={trails} />
        </g>
      ))}
      <line x1={x(0)} x2={x(0)} y1={-6} y2={height} stroke="currentColor" strokeWidth={2.5} />
    </svg>
  );
}

function RowMarks({ row, trails }: { readonly row: HeadroomRow; readonly trails: HeadroomChartProps['trails'] }) {
  const marks = row.sides.map((side) => ({ side: side.side, mark: markOf(side, trails) }));
  const known = marks.flatMap(({ mark }) => (mark ? [mark] : []));
  return (
    <>
      {marks.some(({ mark }) => !mark) && (
        <circle
          cx={x(0)}
          cy={ROW / 2}
          r={RADIUS + 1}
          className="state-unknown fill-base-100"
          stroke="currentColor"
          strokeWidth={1.75}
          strokeDasharray="3 2.5"
        />
      )}
      {known.map((mark) => (
        <OneMark key={mark.key} mark={mark} y={row.sides.length === 1 ? ROW / 2 : ROW / 2 + (mark.side === 'left' ? -LINE : LINE)} />
      ))}
    </>
  );
}

function OneMark({ mark: { side, state, at, clipped, whisker, trail }, y }: { readonly mark: Mark; readonly y: number }) {
  const cx = x(at);
  return (
    <g className={STATE_CLASS[state]} stroke="currentColor">
      {trail.map((z, i) => (
        <line key={i} x1={x(z)} x2={x(z)} y1={y - 5} y2={y + 5} strokeWidth={1.5} opacity={0.5 - i * 0.15} />
      ))}
      <path d={`M${x(whisker[0])} ${y}H${x(whisker[1])}M${x(whisker[0])} ${y - 4}v8M${x(whisker[1])} ${y - 4}v8`} strokeWidth={1.75} />
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
    <table className="sr-only">
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
                {row.name}
                {row.tag ? ` (${row.tag})` : ''}
              </th>
              <td>{row.asked}</td>
              <td>{h.side === 'whole' ? 'no sides' : h.side}</td>
              <td>{figureWords(h)}</td>
              <td>{h.words}</td>
              <td>{h.state}</td>
            </tr>
          )),
        )}
      </tbody>
    </table>
  );
}
