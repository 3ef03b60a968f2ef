import { type Outcome, OUTCOME_IDS } from '@myokinet/core/outcomes';
import { OUTCOME_WORDS } from '@myokinet/core/words';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useTellOutcomeMutation } from './endpoints.ts';

interface OutcomeFormProps {
  readonly traineeId: string;
  readonly name: string;
  readonly clearanceId: string;
  readonly weeks: number;
  /** What the record suggests. */
  readonly suggested: Outcome;
  /** Called when it was recorded. */
  readonly told?: () => void;
}

/** What became of a clearance: the coach's answer, with what the record suggests chosen already. Nothing is told until it is pressed. */
export function OutcomeForm({ traineeId, name, clearanceId, weeks, suggested, told }: OutcomeFormProps) {
  const [tell, { isLoading, error }] = useTellOutcomeMutation();
  const [outcome, setOutcome] = useState<Outcome>(suggested);
  const [id] = useState(newId);
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void tell({ traineeId, body: { id, clearanceId, weeks, outcome } }).then(({ error: refused }) => {
          if (!refused) told?.();
        });
      }}
    >
      <select
        className="select select-sm w-36"
        aria-label={`What became of it: ${name}`}
        value={outcome}
        onChange={(e) => setOutcome(e.target.value as Outcome)}
      >
        {OUTCOME_IDS.map((o) => (
          <option key={o} value={o}>
            {OUTCOME_WORDS[o]}
          </option>
        ))}
      </select>
      <button type="submit" className="btn btn-sm btn-outline" disabled={isLoading} aria-label={`Record what became of it: ${name}`}>
        Record
      </button>
      <ProblemNote error={error} />
    </form>
  );
}
