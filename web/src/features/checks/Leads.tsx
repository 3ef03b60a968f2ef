import { sideLabel } from '@myokinet/core/anatomy';
import type { CheckReply } from '@myokinet/core/contracts';
import { type Capacity, leadsOf, type LeadShown, type Measure } from '@myokinet/core/measuring';
import { daysBetween } from '@myokinet/core/quantities';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';

interface LeadsProps {
  readonly traineeId: string;
  /** Newest first. */
  readonly checks: readonly CheckReply[];
  readonly sidePercent: number | undefined;
  readonly now: Date;
}

/** What the newest fresh figures point to beside their number: likely reasons, and drills to try first. */
export function Leads({ traineeId, checks, sidePercent, now }: LeadsProps) {
  const { measures, measure, hasDrill, drill } = useLibrary();
  const shown = measures.flatMap((m) => leadsNow(m, { checks, sidePercent, now }));
  if (shown.length === 0) return null;
  return (
    <section aria-label="What this points to" className="mb-5">
      <h2 className="mb-1">What this points to</h2>
      <p className="aside text-sm">Likely, not certain: common practice. Your eye decides.</p>
      <ul>
        {[...alike(shown).values()].map(({ measureId, sides, lead }) => (
          <li key={`${measureId}/${lead.reason}`} className="border-b border-base-300 py-1.5 text-sm leading-snug">
            <span className="font-semibold">
              {measure(measureId).name}
              {sides.includes('whole') ? '' : `, ${sides.map((side) => sideLabel(side).toLowerCase()).join(' and ')}`}
            </span>
            : {lead.reason}{' '}
            <span>
              Try first:{' '}
              {lead.drills.filter(hasDrill).map((id, i) => (
                <span key={id}>
                  {i > 0 && '; '}
                  <Link className="link" to={`/library/drills/${id}?for=${traineeId}`}>
                    {drill(id).name}
                  </Link>
                </span>
              ))}
              .
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The same on both sides is said once. */
function alike(shown: readonly LeadShown[]) {
  const groups = new Map<string, Omit<LeadShown, 'side'> & { readonly sides: LeadShown['side'][] }>();
  for (const { measureId, side, lead } of shown) {
    const key = JSON.stringify([measureId, lead]);
    const group = groups.get(key) ?? { measureId, lead, sides: [] };
    group.sides.push(side);
    groups.set(key, group);
  }
  return groups;
}

/** The newest occasion of a check, as long as it is fresh: its figures, or that pain stopped it. */
function leadsNow(m: Measure, { checks, sidePercent, now }: Omit<LeadsProps, 'traineeId'>): readonly LeadShown[] {
  if (!m.leads) return [];
  const standing = checks.filter((c) => !c.takenBack && daysBetween(c.takenAt, now) <= m.freshDays);
  const stop = standing.find((c) => c.skips.some((s) => s.measureId === m.id) || c.capacities.some((k) => k.measureId === m.id));
  const stopped = stop?.skips.find((s) => s.measureId === m.id)?.reason;
  const newest = new Map<string, Capacity>();
  for (const capacity of standing.flatMap((c) => c.capacities))
    if (capacity.measureId === m.id && !newest.has(capacity.side)) newest.set(capacity.side, capacity);
  const sideShare = sidePercent === undefined ? undefined : sidePercent / 100;
  return leadsOf(m, { capacities: stopped ? [] : [...newest.values()], stopped, sideShare });
}
