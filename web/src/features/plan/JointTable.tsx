import { JOINTS } from '@myokinet/core/anatomy';
import type { PlanDto } from '@myokinet/core/contracts';
import { plannedHandLoad } from '@myokinet/core/planning';
import { format, parseISO } from 'date-fns';
import { usePlanRules } from './planRules.ts';

/** Hand-load dose by joint and direction, week by week, beside the logged week that they build on. */
export function JointTable({ weeks }: { readonly weeks: readonly PlanDto[] }) {
  const { library, buildOn } = usePlanRules();
  const loads = weeks.map((w) =>
    plannedHandLoad(
      w.sessions.flatMap((s) => s.items),
      library,
    ),
  );
  const joints = JOINTS.filter((j) => loads.some((l) => (l.byJoint[j] ?? 0) > 0));
  if (joints.length === 0) return null;
  const row = (label: string, logged: number | undefined, of: (load: (typeof loads)[number]) => number) => (
    <tr key={label}>
      <th scope="row" className="font-normal">
        {label}
      </th>
      <td className="text-end">{logged === undefined ? '' : Math.round(logged)}</td>
      {loads.map((load, i) => (
        <td key={weeks[i]?.weekStart} className="text-end">
          {Math.round(of(load))}
        </td>
      ))}
    </tr>
  );
  return (
    <details className="mt-3 text-sm" open>
      <summary className="cursor-pointer font-semibold">Load on the hands, by joint</summary>
      <div className="relative mt-1 max-w-3xl overflow-x-auto">
        <table className="plain-table w-full tabular-nums">
          <caption className="aside text-start">
            Body-weight seconds: share of body weight × seconds under tension, by each drill’s set-up on this trainee. A joint counts every
            drill whose load passes through it.
          </caption>
          <thead>
            <tr>
              <th scope="col">Load</th>
              <th scope="col" className="text-end">
                {buildOn ? `logged ${format(parseISO(buildOn.weekStart), 'd MMM')}` : 'nothing logged'}
              </th>
              {weeks.map((w) => (
                <th key={w.weekStart} scope="col" className="text-end">
                  {format(parseISO(w.weekStart), 'd MMM')}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {row('Push', undefined, (l) => l.push)}
            {row('Pull', undefined, (l) => l.pull)}
            {joints.map((j) => row(j.charAt(0).toUpperCase() + j.slice(1), buildOn?.byJoint?.[j], (l) => l.byJoint[j] ?? 0))}
            {row('All', buildOn?.dose, (l) => l.push + l.pull)}
          </tbody>
        </table>
      </div>
    </details>
  );
}
