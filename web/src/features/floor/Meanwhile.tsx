import { firstName } from './FloorBar.tsx';
import type { FloorPerson } from './floorPeople.ts';

/** What the others of the group come to next. */
export function Meanwhile({ others }: { readonly others: readonly FloorPerson[] }) {
  if (others.length === 0) return null;
  return (
    <section aria-label="The others" className="mt-2">
      <ul className="text-lg">
        {others.map(({ runId, name, open: [step] }) => (
          <li key={runId} className="border-t border-base-300 py-1.5">
            <span className="font-semibold">{firstName(name)}</span>{' '}
            {step ? (
              <>
                next: {step.drill.name}
                {step.side === 'whole' ? '' : `, ${step.side}`}, set {step.round} of {step.rounds}
              </>
            ) : (
              'has done everything'
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
