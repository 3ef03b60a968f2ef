import type { EmergencyCareReply } from '@myokinet/core/contracts';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { TextField } from '../../kit/EntryFields.tsx';
import { useEmergencyCareQuery, useSaveEmergencyCareMutation } from './endpoints.ts';

/** Whom the emergency page says to call, and what to say about where the studio is. */
export function EmergencyCareForm() {
  const { data } = useEmergencyCareQuery();
  return data ? <Form key={data.id} care={data} /> : null;
}

function Form({ care }: { readonly care: EmergencyCareReply }) {
  const [number, setNumber] = useState(care.number);
  const [place, setPlace] = useState(care.place);
  const [save, { isLoading, error }] = useSaveEmergencyCareMutation();
  const changed = number.trim() !== care.number || place.trim() !== care.place;
  return (
    <form
      className="sheet mt-3 grid max-w-3xl gap-3 p-3 sm:grid-cols-[12rem_minmax(0,1fr)_auto] sm:items-end"
      aria-label="In an emergency"
      onSubmit={(event) => {
        event.preventDefault();
        void save({ id: newId(), basedOn: care.id, number: number.trim(), place: place.trim() });
      }}
    >
      <TextField label="Emergency number" value={number} change={setNumber} />
      <TextField label="Where the studio is, as a caller says it" value={place} change={setPlace} />
      <button type="submit" className="btn btn-primary btn-sm" disabled={!changed || isLoading}>
        {care.id && !changed ? 'Saved' : 'Save'}
      </button>
      <ProblemNote error={error} />
    </form>
  );
}
