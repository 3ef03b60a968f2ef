import type { PlanDto } from '@myokinet/core/contracts';
import { plannedHandLoad } from '@myokinet/core/planning';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { usePlanRules } from './planRules.ts';

/** What shaped the week: its hand load, the rules that bound, and what had to be left out. */
export function PlanNotes({ plan }: { readonly plan: PlanDto }) {
  const { buildOn, library } = usePlanRules();
  const [showLeftOut, setShowLeftOut] = useState(false);
  const { push, pull } = plannedHandLoad(
    plan.sessions.flatMap((s) => s.items),
    library,
  );
  return (
    <section aria-label="What shaped this week" className="mt-2 max-w-5xl text-sm">
      <p>
        Hands this week: {Math.round(push)} pushing and {Math.round(pull)} pulling, in body-weight seconds (share of body weight × seconds
        under tension, by each drill’s set-up on this trainee);{' '}
        {buildOn
          ? `the week of ${format(parseISO(buildOn.weekStart), 'd MMM')} had ${Math.round(buildOn.dose)}`
          : 'there is no earlier week to build on'}
        .
      </p>
      {plan.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      {plan.leftOut.length > 0 && (
        <>
          <button type="button" className="link no-print" aria-expanded={showLeftOut} onClick={() => setShowLeftOut(!showLeftOut)}>
            {showLeftOut ? 'Hide' : 'Show'} the {plan.leftOut.length} useful drills that were left out
          </button>
          {showLeftOut && (
            <ul className="mt-1 list-disc ps-5">
              {[...byReason(plan.leftOut)].map(([why, drillIds]) => (
                <li key={why}>
                  {why} <span className="font-semibold">{drillIds.map((id) => library.drill(id).name).join(' · ')}</span>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}

/** One reason often keeps several drills out: said once, with all of them. */
function byReason(leftOut: PlanDto['leftOut']): ReadonlyMap<string, readonly string[]> {
  const reasons = new Map<string, string[]>();
  for (const { drillId, why } of leftOut) reasons.set(why, [...(reasons.get(why) ?? []), drillId]);
  return reasons;
}
