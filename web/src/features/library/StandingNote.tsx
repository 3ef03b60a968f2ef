import { differences, type EntryKind } from '@myokinet/core/library';
import { shortDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useResetEntryMutation, useSaveEntryMutation } from './endpoints.ts';
import { useLibrary, useOwnEntry, useStudioLibrary } from '../../client/LibraryContext.ts';
import { capital } from './words.ts';

/** What the studio has made of an entry: its own version, compared with the built-in one and taken back. */
export interface StandingNoteProps {
  readonly kind: EntryKind;
  readonly id: string;
  readonly now: Date;
  /** Entries that ask for it: while there are any, one of the studio's own cannot be set aside. */
  readonly asking?: readonly string[];
}

export function StandingNote({ kind, id, now, asking = [] }: StandingNoteProps) {
  const own = useOwnEntry(kind, id);
  const library = useLibrary();
  const { reply } = useStudioLibrary();
  const [comparing, setComparing] = useState(false);
  const [reset, { isLoading, error }] = useResetEntryMutation();
  const [save, saved] = useSaveEntryMutation();
  const entry = library.entry(kind, id);
  if (!own || !entry || own.standing === 'built in') return null;
  const offerAgain = () => void save({ kind, body: { revision: newId(), basedOn: own.revision, entry } });
  const changes = own.builtIn ? differences(own.builtIn, entry) : [];
  return (
    <div className="mb-3 border-s-4 border-primary bg-primary/10 px-4 py-2.5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p>
          {own.standing === 'set aside' ? 'Set aside: kept for the record, no longer offered. ' : ''}
          {own.builtIn
            ? `The studio’s version stands over the built-in one (${changes.length} ${changes.length === 1 ? 'difference' : 'differences'}).`
            : 'Written by the studio.'}{' '}
          <span className="aside text-sm">
            Saved {shortDay(own.savedAt, now)} by {own.coach}
            {own.builtIn &&
              own.builtInVersion !== reply.version &&
              `; made from version ${own.builtInVersion}, built in is now ${reply.version}`}
            .
          </span>
        </p>
        {own.builtIn && (
          <button type="button" className="btn btn-sm" aria-expanded={comparing} onClick={() => setComparing(!comparing)}>
            {comparing ? 'Hide the comparison' : 'Compare with the built-in'}
          </button>
        )}
        {own.standing === 'set aside' && (
          <button type="button" className="btn btn-sm" onClick={offerAgain}>
            Offer it again
          </button>
        )}
        {own.standing === 'own' && (
          <button
            type="button"
            className="btn btn-sm"
            disabled={isLoading || (!own.builtIn && asking.length > 0)}
            onClick={() => void reset({ kind, id, body: { revision: newId(), basedOn: own.revision } })}
          >
            {own.builtIn ? 'Go back to the built-in' : 'Set it aside'}
          </button>
        )}
      </div>
      {own.standing === 'own' && !own.builtIn && asking.length > 0 && (
        <p className="aside mt-1 text-sm">It can be set aside once no rung asks for it: {asking.join('; ')}.</p>
      )}
      <ProblemNote error={error ?? saved.error} />
      {comparing && (
        <table className="plain-table mt-2 text-sm">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Built in</th>
              <th scope="col">The studio’s</th>
            </tr>
          </thead>
          <tbody>
            {changes.map(({ path, before, after }) => (
              <tr key={path.join('.')}>
                <th scope="row" className="!border-b !border-base-300 !whitespace-normal">
                  {capital(path.join(', '))}
                </th>
                <td>{before ?? 'not there'}</td>
                <td>{after ?? 'not there'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
