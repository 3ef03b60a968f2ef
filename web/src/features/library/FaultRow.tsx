import { FaultEntryDto as Contract } from '@myokinet/core/contracts';
import { type Fault, type FaultEntry, faultIn, type FaultId, faultsOf, MOVE_PARTS } from '@myokinet/core/drills';
import { showsFault } from '@myokinet/core/showing';
import { BLADES } from '@myokinet/core/schools';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useDraft } from '../../client/useDraft.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useResetEntryMutation, useSaveEntryMutation } from './endpoints.ts';
import { SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary, useOwnEntry, useSchools } from '../../client/LibraryContext.ts';
import { RightAndWrong } from './RightAndWrong.tsx';
import { useEntryProblems } from './useEntryProblems.ts';
import { BLADE_WORDS, capital, PART_WORDS } from './words.ts';

/** One fault: its words, the drills that invite it, and the way to change the words. */
export function FaultRow({ id }: { readonly id: FaultId }) {
  const library = useLibrary();
  const schools = useSchools();
  const own = useOwnEntry('fault', id);
  const [editing, setEditing] = useState(false);
  const { name, cue, regression, under } = library.fault(id);
  const drills = library.drills.filter((d) => faultsOf(d, schools, library.faults).some((f) => f.id === id));
  const shownOn = drills.find((d) => showsFault(d, id));
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
        {shownOn && (
          <span className="mt-1 block">
            <RightAndWrong drill={shownOn} fault={faultIn(shownOn, { ...library.fault(id), id })} size={72} />
          </span>
        )}
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

/** Own words stand in every placement: what the built-in fault says in some of them goes. */
function everywhere(placed: Fault['placed'], word: 'cue' | 'regression'): Fault['placed'] {
  const left = Object.entries(placed ?? {}).flatMap(([where, { [word]: _, ...words }]) =>
    Object.keys(words).length > 0 ? [[where, words] as const] : [],
  );
  return left.length > 0 ? Object.fromEntries(left) : undefined;
}

const WORDS = [
  ['name', 'Fault'],
  ['cue', 'First cue'],
  ['regression', 'When it stays'],
] as const satisfies readonly (readonly [keyof Fault, string])[];

interface FaultEntryDraft {
  readonly revision: string;
  readonly basedOn: string | null;
  readonly entry: FaultEntry;
}

const NO_WORDS: Fault = { name: '', cue: '', regression: '' };

/** The three texts of a fault and the school it belongs to; beside the built-in words once they differ. */
export function FaultForm({ id, close }: { readonly id: FaultId; readonly close: () => void }) {
  const library = useLibrary();
  const own = useOwnEntry('fault', id);
  const [save, saving] = useSaveEntryMutation();
  const [reset, resetting] = useResetEntryMutation();
  const basedOn = own?.revision ?? null;
  const known = library.hasFault(id);
  const draft = useDraft<FaultEntryDraft>(
    `fault:${id}`,
    () => ({ revision: newId(), basedOn, entry: { id, ...(known ? library.fault(id) : NO_WORDS) } }),
    basedOn ?? '',
  );
  const problems = useEntryProblems('fault', Contract, draft.value);
  const { entry } = draft.value;
  const builtIn = (own ? own.builtIn : known ? library.fault(id) : undefined) as Fault | undefined;
  const edit = (part: Partial<FaultEntry>) => draft.change({ revision: newId(), basedOn, entry: { ...entry, ...part } });
  const chooseSchool = (under: string) => edit({ under: (under === '' ? undefined : under) as never });
  const submit = async () => {
    const result = await save({ kind: 'fault', body: draft.value });
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
      aria-label={`Words of: ${builtIn?.name ?? 'a new fault'}`}
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
            problem={draft.exists ? problems.find((p) => p.field === `/entry/${key}`)?.message : undefined}
            change={(text) => edit({ [key]: text, ...(key === 'name' ? {} : { placed: everywhere(entry.placed, key) as never }) })}
          />
          {builtIn && entry[key] !== builtIn[key] && <p className="aside text-sm">Built in: {builtIn[key]}</p>}
        </div>
      ))}
      <SelectField
        label="Shows"
        value={entry.part ?? ''}
        options={[{ value: '', label: 'At any point' }, ...MOVE_PARTS.map((p) => ({ value: p, label: PART_WORDS[p] }))]}
        change={(part) => edit({ part: MOVE_PARTS.find((p) => p === part) as never })}
      />
      <SelectField
        label="Sides"
        value={entry.oneSided ? 'one' : 'both'}
        options={[
          { value: 'both', label: 'The whole body' },
          { value: 'one', label: 'One side or both' },
        ]}
        change={(sides) => edit({ oneSided: (sides === 'one' ? true : undefined) as never })}
      />
      {!builtIn && (
        <SelectField
          label="Looked for"
          value={entry.under ?? ''}
          options={[
            { value: '', label: 'Under every rule for the blade, where a drill invites it' },
            ...BLADES.map((b) => ({ value: b, label: `In every drill under “${BLADE_WORDS[b]}”` })),
          ]}
          change={chooseSchool}
        />
      )}
      <div className="flex flex-wrap gap-2 md:col-span-3">
        <button type="submit" className="btn btn-sm btn-primary" disabled={!draft.exists || problems.length > 0 || saving.isLoading}>
          Save for the studio
        </button>
        {own?.standing === 'own' && (
          <button type="button" className="btn btn-sm" disabled={resetting.isLoading} onClick={() => void goBack()}>
            {builtIn ? 'Go back to the built-in' : 'Set it aside'}
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
