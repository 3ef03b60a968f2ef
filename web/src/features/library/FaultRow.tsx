import { type FaultEntryDto, inspect, FaultEntryDto as Contract } from '@myokinet/core/contracts';
import { type Fault, type FaultId, faultOf, faultsOf } from '@myokinet/core/drills';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useDraft } from '../../client/useDraft.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useResetEntryMutation, useSaveFaultMutation } from './endpoints.ts';
import { TextField } from '../../kit/EntryFields.tsx';
import { useLibrary, useOwnEntry, useSchools } from './LibraryContext.ts';
import { BLADE_WORDS, capital } from './words.ts';

/** One fault: its words, the drills that invite it, and the way to change the words. */
export function FaultRow({ id }: { readonly id: FaultId }) {
  const library = useLibrary();
  const schools = useSchools();
  const own = useOwnEntry('fault', id);
  const [editing, setEditing] = useState(false);
  const { name, cue, regression, under } = library.fault(id);
  const drills = library.drills.filter((d) => faultsOf(d, schools).includes(id));
  if (editing)
    return (
      <tr>
        <td colSpan={4}>
          <FaultForm id={id} close={() => setEditing(false)} />
        </td>
      </tr>
    );
  return (
    <tr>
      <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
        {capital(name)}
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square ms-1"
          aria-label={`Change the words: ${name}`}
          onClick={() => setEditing(true)}
        >
          <Pencil size={15} aria-hidden />
        </button>
        {under && <span className="aside block text-sm font-normal">under “{BLADE_WORDS[under]}”</span>}
        {own?.standing === 'own' && (
          <span className="block w-fit border-s-4 border-primary bg-primary/10 px-1.5 text-sm">the studio’s</span>
        )}
      </th>
      <td>{cue}</td>
      <td>{regression}</td>
      <td>
        <details>
          <summary className="cursor-pointer whitespace-nowrap">
            {drills.length} {drills.length === 1 ? 'drill' : 'drills'}
          </summary>
          <ul className="text-sm">
            {drills.map((d) => (
              <li key={d.id}>
                <Link className="link" to={`/library/drills/${d.id}`}>
                  {d.name}
                </Link>
              </li>
            ))}
          </ul>
        </details>
      </td>
    </tr>
  );
}

const WORDS = [
  ['name', 'Fault'],
  ['cue', 'First cue'],
  ['regression', 'When it stays'],
] as const satisfies readonly (readonly [keyof Fault, string])[];

/** The three texts of a fault, side by side with the built-in ones once they differ. */
function FaultForm({ id, close }: { readonly id: FaultId; readonly close: () => void }) {
  const library = useLibrary();
  const own = useOwnEntry('fault', id);
  const [save, saving] = useSaveFaultMutation();
  const [reset, resetting] = useResetEntryMutation();
  const basedOn = own?.revision ?? null;
  const draft = useDraft<FaultEntryDto>(
    `fault:${id}`,
    () => ({ revision: newId(), basedOn, entry: { id, ...library.fault(id) } }) as FaultEntryDto,
    basedOn ?? '',
  );
  const { problems } = inspect(Contract, draft.value, { now: new Date(), library });
  const { entry } = draft.value;
  const builtIn = faultOf(id);
  const submit = async () => {
    const result = await save(draft.value);
    if (!result.data) return;
    draft.discard();
    close();
  };
  const goBack = async () => {
    const result = await reset({ kind: 'fault', id, body: { revision: newId(), basedOn } });
    if (result.data) close();
  };
  return (
    <form
      className="grid max-w-[calc(100vw-3rem)] gap-3 py-2 md:grid-cols-3"
      aria-label={`Words of: ${builtIn.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (problems.length === 0) void submit();
      }}
    >
      {WORDS.map(([key, label]) => (
        <div key={key}>
          <TextField
            label={label}
            autoFocus={key === 'name'}
            value={entry[key]}
            problem={problems.find((p) => p.field === `/entry/${key}`)?.message}
            change={(text) => draft.change({ revision: newId(), basedOn, entry: { ...entry, [key]: text } })}
          />
          {entry[key] !== builtIn[key] && <p className="aside text-sm">Built in: {builtIn[key]}</p>}
        </div>
      ))}
      <div className="flex flex-wrap gap-2 md:col-span-3">
        <button type="submit" className="btn btn-sm btn-primary" disabled={!draft.exists || problems.length > 0 || saving.isLoading}>
          Save for the studio
        </button>
        {own?.standing === 'own' && (
          <button type="button" className="btn btn-sm" disabled={resetting.isLoading} onClick={() => void goBack()}>
            Go back to the built-in
          </button>
        )}
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          onClick={() => {
            draft.throwAway();
            close();
          }}
        >
          Leave it
        </button>
      </div>
      <div className="md:col-span-3">
        <ProblemNote error={saving.error ?? resetting.error} />
      </div>
    </form>
  );
}
