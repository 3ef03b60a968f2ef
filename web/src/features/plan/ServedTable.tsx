import { sideLabel } from '@myokinet/core/anatomy';
import type { Served } from '@myokinet/core/planning';
import { StateMark } from '../../kit/StateMark.tsx';

const MOST_ROWS = 8;

/** Work on each need, week by week: doses weighted by how strongly each drill trains it. */
export function ServedTable({ served }: { readonly served: readonly Served[] }) {
  const needs = [...new Map(served.map((s) => [s.need.measureId, s.need])).values()].slice(0, MOST_ROWS);
  const weeks = [...new Set(served.map((s) => s.week))];
  if (needs.length === 0) return null;
  return (
    <div className="relative overflow-x-auto">
      <table className="plain-table dense w-full text-sm">
        <caption className="text-start font-semibold">Work on each need, in doses a week</caption>
        <thead>
          <tr>
            <th scope="col">Need</th>
            {weeks.map((w) => (
              <th key={w} scope="col" className="text-end">
                {w + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {needs.map(({ measureId, measure, headroom, limiter }) => (
            <tr key={measureId}>
              <th scope="row" className="font-normal whitespace-normal!">
                <StateMark state={headroom.state} /> {headroom.side === 'whole' ? '' : `${sideLabel(headroom.side).toLowerCase()} `}
                {measure.phrase}
                {limiter && <span className="font-semibold"> (limiter)</span>}
              </th>
              {weeks.map((w) => {
                const doses = served.find((s) => s.week === w && s.need.measureId === measureId)?.doses ?? 0;
                return (
                  <td key={w} className="text-end tabular-nums">
                    {doses === 0 ? '–' : doses.toFixed(1)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="aside mt-1">
        A dose is a drill’s full sets, times 1 to 3 for how strongly it trains the check; further doses return less.
      </p>
    </div>
  );
}
