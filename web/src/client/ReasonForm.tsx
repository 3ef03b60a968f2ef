import { type ReactNode, useId, useState } from 'react';
import { ProblemNote } from './ProblemNote.tsx';

export interface ReasonFormProps {
  /** On the button that opens the form. */
  readonly open: ReactNode;
  readonly label: string;
  readonly confirm: string;
  readonly busy: boolean;
  readonly error: unknown;
  readonly submit: (reason: string) => unknown;
  /** What is asked besides, and whether it is answered. */
  readonly besides?: { readonly fields: ReactNode; readonly ready: boolean };
}

const SHORTEST = 5;

/** An act that needs its reason in a sentence: the form opens in place. */
export function ReasonForm({ open, label, confirm, busy, error, submit, besides }: ReasonFormProps) {
  const id = useId();
  const [shown, setShown] = useState(false);
  const [reason, setReason] = useState('');
  if (!shown)
    return (
      <button type="button" className="btn btn-sm btn-outline mt-2" onClick={() => setShown(true)}>
        {open}
      </button>
    );
  const valid = reason.trim().length >= SHORTEST && besides?.ready !== false;
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (valid) submit(reason.trim());
      }}
    >
      {besides?.fields}
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <textarea
        id={id}
        className="textarea mt-1 w-full"
        rows={2}
        maxLength={500}
        autoFocus
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <div className="mt-1 flex gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={!valid || busy}>
          {confirm}
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => setShown(false)}>
          Leave it
        </button>
      </div>
      <ProblemNote error={error} />
    </form>
  );
}
