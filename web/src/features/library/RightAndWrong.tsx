import type { Drill, FaultEntry } from '@myokinet/core/drills';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { useMovement } from '../../kit/body/useMovement.ts';
import { asBegun } from '../../kit/body/shownOf.ts';

/** The drill as it should look, and as the fault makes it look, from the same side. */
export function RightAndWrong({ drill, fault, size }: { readonly drill: Drill; readonly fault: FaultEntry; readonly size: number }) {
  const wrong = { fault: fault.id, drill } as const;
  // A studio's drill that only stands in a position may not be able to show it: then words do.
  if (!useMovement(wrong)) return null;
  const at = fault.part === 'start' ? asBegun : undefined;
  return (
    <div className="inline-grid shrink-0 grid-cols-2 justify-items-center text-center text-xs">
      <StillBody of={drill} as={wrong} size={size} at={at} label={`${drill.name}, right`} />
      <StillBody of={wrong} size={size} at={at} label={`${drill.name}, with the fault: ${fault.name}`} />
      <span className="state-spare">right</span>
      <span className="state-short">fault</span>
    </div>
  );
}
