import type { Rung } from '@myokinet/core/ladders';
import { useId, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { useMe } from '../../client/session.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useSignClearanceMutation } from './endpoints.ts';

export interface SignFormProps {
  readonly traineeId: string;
  readonly ladderId: string;
  readonly rung: Rung;
  /** How many lines are unmet; none of them guards safety. */
  readonly against: number;
}

const LEAST_REASON = 10;

/** The coach's signature; against unmet lines only with a reason, which stays with it. */
export function SignForm({ traineeId, ladderId, rung, against }: SignFormProps) {
  const [open, setOpen] = useState(false);
  const { may } = useMe();
  if (!may.includes('sign')) return <p className="aside mt-2">A coach or an owner of the studio signs.</p>;
  if (!open && against > 0)
    return (
      <button type="button" className="btn btn-sm btn-ghost mt-2" onClick={() => setOpen(true)}>
        Sign against {against === 1 ? 'this line' : `these ${against} lines`}…
      </button>
    );
  return <Signature {...{ traineeId, ladderId, rung, against }} />;
}

function Signature({ traineeId, ladderId, rung, against }: SignFormProps) {
  const id = useId();
  const me = useMe();
  const [typed, setInitials] = useState('');
  // Whoever has an account signs with its initials; the demo asks for some.
  const initials = me.demo ? typed : me.initials;
  const [reason, setReason] = useState('');
  const [clearanceId] = useState(newId);
  const [sign, { isLoading, error }] = useSignClearanceMutation();
  const valid = /^\p{L}{2,4}$/u.test(initials) && (against === 0 || reason.trim().length >= LEAST_REASON);
  const body = {
    ...{ id: clearanceId, ladderId, rungId: rung.id, initials: initials.toUpperCase() },
    ...(against === 0 ? {} : { against: reason.trim() }),
  };
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (valid) void sign({ traineeId, body });
      }}
    >
      {against > 0 && (
        <>
          <label htmlFor={`${id}-why`} className="block font-semibold">
            Why do you sign although {against === 1 ? 'a line is' : `${against} lines are`} unmet?
          </label>
          <textarea
            id={`${id}-why`}
            className="textarea mt-1 mb-2 min-h-0 w-full"
            rows={2}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        </>
      )}
      {me.demo && (
        <label htmlFor={id} className="block font-semibold">
          Your initials
        </label>
      )}
      <div className="mt-1 flex gap-2">
        {me.demo && (
          <input
            id={id}
            className="input w-20 uppercase"
            maxLength={4}
            autoComplete="off"
            value={typed}
            onChange={(e) => setInitials(e.target.value)}
            aria-describedby={`${id}-hint`}
          />
        )}
        <button type="submit" className="btn btn-primary flex-1" disabled={!valid || isLoading}>
          Sign clearance{me.demo ? '' : ` as ${me.initials}`}
        </button>
      </div>
      <p id={`${id}-hint`} className="aside mt-1.5 text-sm">
        {me.demo && 'Two to four letters. '}Your signature stores today’s lines and figures; it is your decision, not the app’s.
        {against > 0 && ' It is marked as signed against unmet lines wherever it shows.'}
      </p>
      <ProblemNote error={error} />
    </form>
  );
}
