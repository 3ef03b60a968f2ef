import type { MemberState } from '@myokinet/core/classes';
import type { ClassPersonReply } from '@myokinet/core/contracts';
import { type Symptom, type SymptomContext, symptomResponse } from '@myokinet/core/safety';
import { responseInWords } from '@myokinet/core/words';
import { Suspense, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { tabMemory } from '../../client/onDevice.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { EmergencyButton } from '../emergency/index.ts';
import { type FeltDraft, SymptomSheet } from '../floor/index.ts';
import type { OpenClass } from './useClass.ts';

interface Hurting {
  readonly classId: string;
  readonly who: string;
  /** The moment of the class in which it came. */
  readonly moment: number;
  readonly draft: FeltDraft;
}

const KEY = 'myokinet.class.hurting';

/** Something that hurts is entered above everything else: a clock that goes on or a reload takes none of it away. */
export function useHurtsInClass(classId: string) {
  const [hurting, setHurting] = useState(() => tabMemory.read<Hurting>(KEY));
  const set = (now: Hurting | undefined) => {
    tabMemory.write(KEY, now);
    setHurting(now);
  };
  return {
    hurting: hurting?.classId === classId ? hurting : undefined,
    begin: (who: string, moment: number) => set({ classId, who, moment, draft: {} }),
    change: (draft: FeltDraft) => hurting && set({ ...hurting, draft }),
    over: () => set(undefined),
  };
}

interface HurtsProps {
  readonly open: OpenClass;
  readonly hurts: ReturnType<typeof useHurtsInClass>;
  readonly person: ClassPersonReply;
  readonly member: MemberState;
  /** What follows from it, in a sentence. */
  readonly say: (sentence: string) => void;
}

/** What one of a class feels, with the pain rule at once. Whoever is hurt sits out from then on. */
export function Hurts({ open, hurts: { hurting, change, over }, person, member, say }: HurtsProps) {
  if (!hurting) return null;
  const context: SymptomContext = { ...person.felt, history: [...person.felt.history, ...member.symptoms] };
  const record = (felt: Omit<Symptom, 'at'>) => {
    const { finding } = symptomResponse([{ ...felt, at: nowInstant() }], context);
    open.happen({ kind: 'symptom', who: person.traineeId, moment: hurting.moment, symptom: felt });
    say(`${person.name}: ${responseInWords(finding)} Out of the class until you let them in again.`);
    over();
  };
  return (
    <Suspense fallback={<Waiting />}>
      <SymptomSheet
        title={`What does ${person.name} feel?`}
        draft={hurting.draft}
        change={change}
        moment="during"
        context={context}
        emergency={<EmergencyButton traineeId={person.traineeId} name={person.name} before={over} />}
        record={record}
        close={over}
      />
    </Suspense>
  );
}
