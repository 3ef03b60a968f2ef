import type { Ladder, Rung } from '@myokinet/core/ladders';
import { useCaseloadQuery } from '../caseload/index.ts';

export interface SignedRungsNoteProps {
  /** As it is in force. */
  readonly ladder: Ladder;
  /** As it is being edited. */
  readonly rungs: readonly Rung[];
}

/** Whose signed rung an edit takes away or asks more of: said before it is saved. */
export function SignedRungsNote({ ladder, rungs }: SignedRungsNoteProps) {
  const { data: crew = [] } = useCaseloadQuery();
  const inHand = crew.flatMap(({ ladderId, here, name }) => {
    const rung = ladderId === ladder.id ? ladder.rungs[here] : undefined;
    return rung ? [{ name, rung, now: rungs.find((r) => r.id === rung.id) }] : [];
  });
  const gone = inHand.filter((t) => !t.now);
  const changed = inHand.filter((t) => t.now && JSON.stringify(t.now.demands) !== JSON.stringify(t.rung.demands));
  if (gone.length + changed.length === 0) return null;
  return (
    <div role="status" className="mt-3 border-s-4 border-warning bg-warning/10 px-3 py-2">
      {gone.map(({ name, rung }) => (
        <p key={name}>
          {name} stands on “{rung.name}”. Saved like this, that clearance stays on the record but holds no rung any more; {name} stands on
          the next lower signed one.
        </p>
      ))}
      {changed.length > 0 && (
        <p>
          {changed.map((t) => t.name).join(', ')} {changed.length === 1 ? 'stands' : 'stand'} on a rung whose demands change: what was
          signed stays signed; where the new demands are not met, Readiness says so.
        </p>
      )}
    </div>
  );
}
