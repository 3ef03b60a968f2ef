import { doseInWords } from '@myokinet/core/drills';
import { INSTEAD_WORDS, type Instead, insteadOf, type Place, type PlannedDose, type When } from '@myokinet/core/planning';
import { setUpInWords } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { usePlanRules } from './planRules.ts';

interface InsteadOfferProps {
  readonly planned: PlannedDose;
  readonly place: Place;
  readonly when?: When | undefined;
  /** Drills that the session has already. */
  readonly taken: readonly string[];
  readonly take: (instead: Instead) => void;
}

/** Versions that may be done in place of a drill that may not, one tap each. */
export function InsteadOffer({ planned, place, when, taken, take }: InsteadOfferProps) {
  const rules = usePlanRules();
  const versions = useMemo(
    () => insteadOf({ ...rules, equipment: rules.brief.equipment[place] }, planned, when),
    [rules, planned, place, when],
  ).filter((v) => v.drillId === planned.drillId || !taken.includes(v.drillId));
  if (versions.length === 0) return null;
  return (
    <div role="group" aria-label="Instead" className="no-print mt-1 flex flex-wrap items-center gap-1.5 text-sm">
      <span className="font-semibold">Instead:</span>
      {versions.map((v) => {
        const drill = rules.library.asPlanned(v);
        const share = v.support && drill.handLoad ? `, ${Math.round(drill.handLoad.share * 100)}% of body weight` : '';
        return (
          <button
            key={`${v.drillId} ${v.how}`}
            type="button"
            className="btn btn-sm h-auto min-h-8 py-1 text-start font-normal"
            title={v.support ? setUpInWords(v.support.setUp) : undefined}
            onClick={() => take(v)}
          >
            <span>
              <span className="font-semibold">{drill.name}</span>, {INSTEAD_WORDS[v.how]}
              {share}: {doseInWords(v, drill.dose, rules.schools.progress)}
            </span>
          </button>
        );
      })}
    </div>
  );
}
