import type { TraineeReply } from '@myokinet/core/contracts';
import { longDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { useArchiveMutation, useEraseMutation } from './endpoints.ts';

/** Taking a trainee's records out, putting them out of the lists, and erasing them. */
export function Leaving({ trainee }: { readonly trainee: TraineeReply }) {
  const { may } = useMe();
  const { id, name, archivedAt } = trainee;
  const [archive, { isLoading, error }] = useArchiveMutation();
  const [erasing, setErasing] = useState(false);
  return (
    <section aria-labelledby="leaving" className="mt-8 max-w-3xl border-t-2 border-base-content pt-4">
      <h2 id="leaving">Records of {name}</h2>
      <div className="mt-2 flex flex-wrap gap-3">
        {may.includes('export') && (
          <a className="btn h-11" href={`/api/trainees/${id}/records.zip`} download>
            Take everything out (ZIP)
          </a>
        )}
        {may.includes('plan') && (
          <button
            type="button"
            className="btn h-11"
            disabled={isLoading}
            onClick={() => void archive({ traineeId: id, body: { id: newId(), archived: archivedAt === undefined } })}
          >
            {archivedAt === undefined ? 'Put into the archive' : 'Bring back from the archive'}
          </button>
        )}
        {may.includes('erase') && !erasing && (
          <button type="button" className="btn btn-ghost h-11 text-error" onClick={() => setErasing(true)}>
            Erase…
          </button>
        )}
      </div>
      <p className="aside mt-2 text-sm">
        {archivedAt !== undefined && `In the archive since ${longDay(new Date(archivedAt))}. `}
        The ZIP holds every row as JSON with its schema and as CSV, and the pictures. The archive takes a trainee off all lists and keeps
        everything.
      </p>
      <ProblemNote error={error} />
      {erasing && <Erasing trainee={trainee} leave={() => setErasing(false)} />}
    </section>
  );
}

function Erasing({ trainee: { id, name }, leave }: { readonly trainee: TraineeReply; readonly leave: () => void }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [reason, setReason] = useState('');
  const [erasureId] = useState(newId);
  const [erase, { isLoading, error }] = useEraseMutation();
  const ready = typed.trim() === name.trim() && reason.trim().length >= 3;
  return (
    <form
      aria-label={`Erase ${name}`}
      className="mt-3 border-s-4 border-error bg-error/10 px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready)
          void erase({ traineeId: id, body: { id: erasureId, name: typed, reason } }).then(({ data }) => data && navigate('/caseload'));
      }}
    >
      <p>
        Everything about {name} goes: profile, screenings, checks, sessions, symptoms, clearances, plans, pictures. It cannot be undone.
        That somebody was erased, by whom, when and why stays, without the name. Devices take off what they hold at their next contact;
        copies of the studio forget it after twelve months at the latest.
      </p>
      <label className="mt-3 block font-semibold">
        Type the name to go on: {name}
        <input
          className="input mt-1 block h-11 w-full max-w-sm font-normal"
          autoComplete="off"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
        />
      </label>
      <label className="mt-3 block font-semibold">
        Why (without the name)
        <input
          className="input mt-1 block h-11 w-full max-w-sm font-normal"
          autoComplete="off"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </label>
      <ProblemNote error={error} />
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="submit" className="btn btn-error h-11" disabled={!ready || isLoading}>
          {isLoading ? 'Erasing…' : 'Erase for good'}
        </button>
        <button type="button" className="btn h-11" onClick={leave}>
          Leave it
        </button>
      </div>
    </form>
  );
}
