import { UNIT_WORDS } from '@myokinet/core/drills';
import type { FloorPerson } from './floorPeople.ts';

/** Sets that ran out by the clock and that nobody has confirmed: one tap each, or all at once. They count for nothing until then. */
export function Unconfirmed({
  person: { run, library, happen },
  leave,
}: {
  readonly person: FloorPerson;
  readonly leave?: string | undefined;
}) {
  const sets = run.items.flatMap((item) => item.done.filter((d) => d.unconfirmed && d.id !== leave));
  if (sets.length === 0) return null;
  const confirm = (set: (typeof sets)[number]) => happen({ kind: 'amend', setId: set.id, amount: set.amount });
  return (
    <section aria-label="Ran out, not confirmed" className="border-s-4 border-warning bg-warning/15 px-3 py-2">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="flex-1 text-lg font-semibold">
          {sets.length === 1 ? 'One set ran out by the clock.' : `${sets.length} sets ran out by the clock.`} Were they done?
        </h2>
        {sets.length > 1 && (
          <button
            type="button"
            className="btn min-h-12"
            onClick={() => {
              for (const set of sets) void confirm(set);
            }}
          >
            All were done
          </button>
        )}
      </div>
      <ul>
        {sets.map((set) => {
          const drill = library.drill(set.as.drillId);
          return (
            <li key={set.id} className="flex flex-wrap items-center gap-2 py-0.5 text-lg">
              <span className="flex-1">
                {drill.name}, {set.side === 'whole' ? '' : `${set.side}, `}set {set.round}:{' '}
                <strong>
                  {set.amount} {UNIT_WORDS[drill.dose.unit]}
                </strong>
              </span>
              <button type="button" className="btn min-h-11" onClick={() => void confirm(set)}>
                Done
              </button>
              <button type="button" className="btn btn-ghost min-h-11" onClick={() => void happen({ kind: 'take back', eventId: set.id })}>
                Not done
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
