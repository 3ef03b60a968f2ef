import { useState } from 'react';

const LEAST_REASON = 3;

export interface OverruleProps {
  readonly overrule: (reason: string) => void;
}

/** A drill that a rule keeps out, planned all the same: with a reason that stays on record. A lock is none of these rules. */
export function Overrule({ overrule }: OverruleProps) {
  const [reason, setReason] = useState('');
  const told = reason.trim();
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        if (told.length >= LEAST_REASON) overrule(told);
      }}
    >
      <label className="grow">
        Why is it planned all the same? It stays on record.
        <input className="input w-full" maxLength={200} value={reason} onChange={(e) => setReason(e.target.value)} />
      </label>
      <button type="submit" className="btn min-h-11" disabled={told.length < LEAST_REASON}>
        Plan it all the same
      </button>
    </form>
  );
}
