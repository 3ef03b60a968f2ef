import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useSaveEntryMutation } from './endpoints.ts';
import { useStudioLibrary } from '../../client/LibraryContext.ts';

/** Faults of the studio that are no longer looked for, each with the way back. */
export function SetAsideFaults() {
  const { library, reply } = useStudioLibrary();
  const [save, { error, isLoading }] = useSaveEntryMutation();
  const aside = reply.own.filter((e) => e.kind === 'fault' && e.standing === 'set aside');
  if (aside.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="cursor-pointer">Set aside ({aside.length})</summary>
      <ul>
        {aside.map(({ id, revision }) => (
          <li key={id} className="mt-1 flex items-center gap-3">
            {library.fault(id).name}
            <button
              type="button"
              className="btn btn-xs"
              disabled={isLoading}
              aria-label={`Look for it again: ${library.fault(id).name}`}
              onClick={() =>
                void save({ kind: 'fault', body: { revision: newId(), basedOn: revision, entry: { id, ...library.fault(id) } } })
              }
            >
              Look for it again
            </button>
          </li>
        ))}
      </ul>
      <ProblemNote error={error} />
    </details>
  );
}
