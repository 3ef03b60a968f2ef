import type { Retest, SymptomKind, SymptomMoment } from '@myokinet/core/safety';
import { useState } from 'react';
import { tabMemory } from '../../client/onDevice.ts';
import type { Spot } from './BodyOutline.tsx';

/** What is being said about something that is felt, as far as it is said. */
export interface FeltDraft {
  readonly intensity?: number;
  readonly spot?: Spot;
  readonly kind?: SymptomKind;
  readonly retest?: Retest;
}

/** Whose it is, when it came, and what is said of it so far. */
export interface Hurting {
  readonly runId: string;
  readonly moment: SymptomMoment;
  readonly draft: FeltDraft;
}

const KEY = 'myokinet.floor.hurting';

/** Something that hurts is entered above everything else: a set that ends, another turn or a reload takes none of it away. */
export function useHurting() {
  const [hurting, setHurting] = useState(() => tabMemory.read<Hurting>(KEY));
  const set = (now: Hurting | undefined) => {
    tabMemory.write(KEY, now);
    setHurting(now);
  };
  return {
    hurting,
    begin: (runId: string, moment: SymptomMoment) => set({ runId, moment, draft: {} }),
    change: (draft: FeltDraft) => hurting && set({ ...hurting, draft }),
    over: () => set(undefined),
  };
}
