import type { Drill } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { useMemo } from 'react';

/** Drills that the library offers, by id: one that was retired is not among them. */
export function useDrillOf({ drills }: Pick<Library, 'drills'>): (id: string) => Drill | undefined {
  return useMemo(() => {
    const offered = new Map(drills.map((d) => [d.id, d]));
    return (id) => offered.get(id);
  }, [drills]);
}
