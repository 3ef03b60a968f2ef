import { Plus } from 'lucide-react';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { FaultForm, FaultRow } from './FaultRow.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { SetAsideFaults } from './SetAsideFaults.tsx';

/** What the coach's eye looks for, everywhere at once; the words are the studio's to change, and it may add its own. */
export function FaultsPage() {
  const { faults } = useLibrary();
  const [writing, setWriting] = useState<string | undefined>();
  return (
    <section aria-label="Faults">
      <div className="flex flex-wrap items-start gap-3">
        <p className="aside max-w-3xl">
          A cue that works keeps the trainee on the rung; a fault that stays means less load or a smaller range. Common practice, no source.
        </p>
        <button type="button" className="btn btn-sm ms-auto" onClick={() => setWriting(newId())}>
          <Plus size={16} aria-hidden /> Write a fault
        </button>
      </div>
      {writing !== undefined && <FaultForm key={writing} id={writing} close={() => setWriting(undefined)} />}
      <div className="overflow-x-auto">
        <table className="plain-table mt-2">
          <thead>
            <tr>
              <th scope="col">Fault</th>
              <th scope="col">First cue</th>
              <th scope="col">When it stays</th>
              <th scope="col">Invited by</th>
            </tr>
          </thead>
          <tbody>
            {faults.map(({ id }) => (
              <FaultRow key={id} id={id} />
            ))}
          </tbody>
        </table>
      </div>
      <SetAsideFaults />
    </section>
  );
}
