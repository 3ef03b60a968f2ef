import type { PlanFinding } from '@myokinet/core/planning';
import { doseInWords } from '@myokinet/core/drills';
import { useState } from 'react';
import { InsteadOffer } from './InsteadOffer.tsx';
import { Overrule } from './Overrule.tsx';
import { type SessionDraft, withInstead, withItem } from './planDraft.ts';
import { usePlanRules } from './planRules.ts';

interface FindingListProps {
  readonly session: SessionDraft;
  readonly findings: readonly PlanFinding[];
  readonly locked: boolean;
  readonly edit: (change: (session: SessionDraft) => SessionDraft) => void;
}

/** The rules that a session breaks, each with what mends it: another version in its place, or the coach's reason. */
export function FindingList({ session, findings, locked, edit }: FindingListProps) {
  const { library } = usePlanRules();
  if (findings.length === 0) return null;
  return (
    <ul className="mt-2 space-y-1" aria-label="Rules to think about">
      {findings.map((f) => {
        const item = locked ? undefined : session.items.find((i) => i.id === f.itemId);
        return (
          <li key={f.sentence} className={`border-s-4 ps-2 text-sm leading-snug ${f.advice ? 'border-base-300' : 'border-warning'}`}>
            {f.sentence}
            {f.closed && item && (
              <InsteadOffer
                planned={item}
                place={session.place ?? 'gym'}
                taken={session.items.map((i) => i.drillId)}
                take={(instead) => edit((s) => withInstead(s, item.id, instead, library.drill(item.drillId).name))}
              />
            )}
            {f.dose && item && (
              <button type="button" className="link no-print block" onClick={() => edit((s) => withItem(s, item.id, f.dose ?? {}))}>
                Make it {doseInWords(f.dose, library.drill(item.drillId).dose)}
              </button>
            )}
            {f.overrulable && item && <OverruleItem overrule={(overruled) => edit((s) => withItem(s, item.id, { overruled }))} />}
          </li>
        );
      })}
    </ul>
  );
}

/** The way to plan it all the same, out of sight until it is wanted. */
function OverruleItem({ overrule }: { readonly overrule: (reason: string) => void }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className="link no-print block" onClick={() => setOpen(true)}>
        Plan it all the same…
      </button>
    );
  return <Overrule overrule={overrule} />;
}
