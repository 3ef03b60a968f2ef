import { instant } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';
import { useId, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import type { CheckDesk } from './useCheckDesk.ts';

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** When a check was taken, where that was not now: from a notebook, from pictures of last week. It goes on record with both dates. */
export function TakenOn({ desk }: { readonly desk: CheckDesk }) {
  const id = useId();
  const { takenAt } = desk.value;
  const [open, setOpen] = useState(takenAt !== null);
  const problem = takenAt !== null && takenAt > nowInstant() ? 'It lies ahead: a check is entered once it was taken.' : undefined;
  if (!open)
    return (
      <button type="button" className="link mt-2 block min-h-11" onClick={() => setOpen(true)}>
        Taken earlier, not now?
      </button>
    );
  return (
    <div className="mt-2">
      <label htmlFor={id} className="font-semibold">
        Taken on
      </label>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <input
          id={id}
          type="datetime-local"
          className={`input min-h-11 ${problem ? 'input-error' : ''}`}
          max={format(parseISO(nowInstant()), LOCAL)}
          value={takenAt ? format(parseISO(takenAt), LOCAL) : ''}
          aria-invalid={problem !== undefined}
          aria-describedby={`${id}-told`}
          onChange={(e) => desk.setTakenAt(e.target.value === '' ? null : instant(new Date(e.target.value)))}
        />
        <button
          type="button"
          className="btn min-h-11"
          onClick={() => {
            desk.setTakenAt(null);
            setOpen(false);
          }}
        >
          It was now
        </button>
      </div>
      <p id={`${id}-told`} className={problem ? 'text-error' : 'aside text-sm'} role={problem ? 'alert' : undefined}>
        {problem ?? 'It counts as of that day, and the record says that it was entered later.'}
      </p>
    </div>
  );
}
