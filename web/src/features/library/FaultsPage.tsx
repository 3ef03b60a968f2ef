import { FAULT_IDS } from '@myokinet/core/drills';
import { FaultRow } from './FaultRow.tsx';

/** What the coach's eye looks for, everywhere at once; the words are the studio's to change. */
export function FaultsPage() {
  return (
    <section aria-label="Faults">
      <p className="aside max-w-3xl">
        A cue that works keeps the trainee on the rung; a fault that stays means less load or a smaller range. Common practice, no source.
      </p>
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
            {FAULT_IDS.map((id) => (
              <FaultRow key={id} id={id} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
