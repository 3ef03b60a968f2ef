import type { TraineeReply } from '@myokinet/core/contracts';
import { measuresDemanded } from '@myokinet/core/ladders';
import type { Library } from '@myokinet/core/library';
import type { Measure } from '@myokinet/core/measuring';
import { useMemo } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useReadinessQuery } from '../readiness/index.ts';

/** Which checks a battery holds; anything else names the checks themselves. */
export const SCOPES = { gate: 'The next gate', ladder: 'The whole ladder', all: 'Every check' } as const;

/** The checks of a scope, in the order that avoids getting up and down. */
export function useScope(trainee: TraineeReply, scope: string): { readonly measures: readonly Measure[]; readonly isLoading: boolean } {
  const library = useLibrary();
  const { data, isLoading } = useReadinessQuery(trainee.id);
  const measures = useMemo(() => {
    const gate = () => data?.headrooms.map((h) => h.demand.measureId) ?? [];
    const wanted =
      scope === 'gate' ? gate() : scope === 'ladder' ? measuresDemanded(library.ladder(trainee.ladderId).rungs) : scope.split(',');
    return scope === 'all' ? library.measures : library.measures.filter((m) => wanted.includes(m.id));
  }, [scope, library, trainee.ladderId, data]);
  return { measures, isLoading };
}

/** A scope out of an address, safe to hand on. */
export function scopeFrom(text: string | null, library: Library): string {
  if (!text || text in SCOPES) return text ?? 'gate';
  return text.split(',').filter(library.hasMeasure).join(',') || 'gate';
}
