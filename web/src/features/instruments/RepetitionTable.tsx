import type { Repetition } from '@myokinet/core/traces';
import { useState } from 'react';

/** More than a set has; the rest of a long trace is asked for. */
const FIRST_ROWS = 30;

export interface RepetitionTableProps {
  readonly repetitions: readonly Repetition[];
  readonly counted: (repetition: Repetition) => boolean;
  readonly toggle: (repetition: Repetition) => void;
  /** As it follows a figure. */
  readonly unit: string;
  /** Read off a clip: speeds are not told. */
  readonly ofClip?: boolean;
  /** Shows a moment on the clip. */
  readonly show?: ((seconds: number) => void) | undefined;
}

/** Each repetition with its range and tempo, and whether it counts. */
export function RepetitionTable({ repetitions, counted, toggle, unit, ofClip = false, show }: RepetitionTableProps) {
  const [all, setAll] = useState(false);
  return (
    <div className="relative mt-2 max-h-56 overflow-auto" tabIndex={0} role="region" aria-label="Repetitions">
      <table className="plain-table text-sm">
        <thead>
          <tr>
            {['', 'turns at', 'range', 'out and back', ...(ofClip ? [] : ['fastest', 'slowest part']), 'counts'].map((h) => (
              <th key={h} scope="col">
                {h || <span className="sr-only">number</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {repetitions.slice(0, all ? undefined : FIRST_ROWS).map((r, i) => (
            <tr key={r.turn} className={counted(r) ? '' : 'line-through'}>
              <td>{i + 1}</td>
              <td>
                {show ? (
                  <button type="button" className="btn btn-sm min-h-11" onClick={() => show(r.turn)}>
                    {r.turn.toFixed(1)} s: look
                  </button>
                ) : (
                  `${r.turn.toFixed(1)} s`
                )}
              </td>
              <td>
                {r.range.toFixed(unit === '°' ? 0 : 1)}
                {unit}
              </td>
              <td>
                {r.outTime.toFixed(1)} s, {r.backTime.toFixed(1)} s
              </td>
              {!ofClip && (
                <>
                  <td>
                    {r.peakSpeed.toFixed(0)}
                    {unit}/s
                  </td>
                  <td>{r.sticking ? `at ${r.sticking.angle.toFixed(0)}${unit}, ${r.sticking.slowdown.toFixed(1)} × as long` : '–'}</td>
                </>
              )}
              <td>
                <label className="flex items-center gap-1">
                  <input type="checkbox" className="checkbox checkbox-sm" checked={counted(r)} onChange={() => toggle(r)} />
                  <span className="sr-only">Count repetition {i + 1}</span>
                </label>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!all && repetitions.length > FIRST_ROWS && (
        <button type="button" className="btn btn-sm mt-1" onClick={() => setAll(true)}>
          Show all {repetitions.length}
        </button>
      )}
    </div>
  );
}
