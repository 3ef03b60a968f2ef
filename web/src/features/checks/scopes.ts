import type { TraineeReply } from '@myokinet/core/contracts';
import { inBatteryOrder } from '@myokinet/core/checking';
import { measuresDemanded } from '@myokinet/core/ladders';
import { checkClosedBy, type Library } from '@myokinet/core/library';
import type { Measure } from '@myokinet/core/measuring';
import type { CautionInForce } from '@myokinet/core/safety';
import { useMemo } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useReadinessQuery } from '../readiness/index.ts';

/** Which checks a battery holds; anything else names the checks themselves. */
export const SCOPES = { gate: 'The next gate', ladder: 'The whole ladder', all: 'Every check' } as const;

/** A check that a caution keeps from the trainee. */
export interface ClosedCheck {
  readonly measure: Measure;
  readonly caution: CautionInForce;
}

interface ScopeOfChecks {
  readonly measures: readonly Measure[];
  readonly closed: readonly ClosedCheck[];
  readonly isLoading: boolean;
}

/** The checks of a scope, in the order that avoids getting up and down, and those of it that a caution closes. */
export function useScope(trainee: TraineeReply, scope: string): ScopeOfChecks {
  const library = useLibrary();
  const { data, isLoading } = useReadinessQuery(trainee.id);
  const { cautions } = trainee.screening;
  const { measures, closed } = useMemo(() => {
    const gate = () => data?.headrooms.map((h) => h.demand.measureId) ?? [];
    const wanted =
      scope === 'gate' ? gate() : scope === 'ladder' ? measuresDemanded(library.ladder(trainee.ladderId).rungs) : scope.split(',');
    const all = scope === 'all' ? library.measures : library.measures.filter((m) => wanted.includes(m.id));
    const closed = all.flatMap((measure): ClosedCheck[] => {
      const caution = checkClosedBy(measure, cautions);
      return caution ? [{ measure, caution }] : [];
    });
    return { measures: inBatteryOrder(all.filter((m) => !closed.some((c) => c.measure === m))), closed };
  }, [scope, library, trainee.ladderId, cautions, data]);
  return { measures, closed, isLoading };
}

/** A scope out of an address, safe to hand on. */
export function scopeFrom(text: string | null, library: Library): string {
  if (!text || text in SCOPES) return text ?? 'gate';
  return text.split(',').filter(library.hasMeasure).join(',') || 'gate';
}
