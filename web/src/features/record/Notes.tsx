import type { NoteReply } from '@myokinet/core/contracts';
import { format } from 'date-fns';
import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useNotesQuery, useNotesSeenMutation, useWriteNoteMutation } from './endpoints.ts';

const MOST = 1000;

/** Words between the trainee, by their own page, and the coaches: what waits is marked, an answer reads it. */
export function Notes({ traineeId, name }: { readonly traineeId: string; readonly name: string }) {
  const { data: notes = [], error, refetch } = useNotesQuery(traineeId, { refetchOnMountOrArgChange: true });
  const [write, writing] = useWriteNoteMutation();
  const [markSeen, marking] = useNotesSeenMutation();
  const [text, setText] = useState('');
  const [id, setId] = useState(newId);
  const unread = notes.filter((n) => n.coach === undefined && !n.seen);
  const newest = unread.at(-1);
  const about = notes.findLast((n) => n.coach === undefined && n.drillId !== undefined && unread.includes(n))?.drillId;
  const send = async () => {
    const { data } = await write({ traineeId, body: { id, at: nowInstant(), text: text.trim(), drillId: about ?? null } });
    if (!data) return;
    setText('');
    setId(newId());
  };
  return (
    <section aria-label="Notes">
      <h2>Notes</h2>
      <ProblemNote error={error} retry={() => void refetch()} />
      {notes.length === 0 && <p className="aside mt-1">Nothing written. {name} reads notes on their own page, and answers there.</p>}
      <ul className="mt-1">
        {notes.map((note) => (
          <OneNote key={note.id} note={note} name={name} />
        ))}
      </ul>
      {newest && (
        <button
          type="button"
          className="btn btn-sm mt-2"
          disabled={marking.isLoading}
          onClick={() => void markSeen({ traineeId, body: { upTo: newest.at } })}
        >
          Read, no answer
        </button>
      )}
      <form
        className="mt-2 flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== '') void send();
        }}
      >
        <label className="min-w-60 flex-1">
          <span className="block text-sm font-semibold">{unread.length > 0 ? 'Answer' : `A note to ${name}`}</span>
          <textarea className="textarea w-full" rows={2} maxLength={MOST} value={text} onChange={(e) => setText(e.target.value)} />
        </label>
        <button type="submit" className="btn btn-sm h-10" disabled={writing.isLoading || text.trim() === ''}>
          Send
        </button>
      </form>
      <ProblemNote error={writing.error ?? marking.error} />
    </section>
  );
}

function OneNote({ note: { at, coach, drillId, text, seen }, name }: { readonly note: NoteReply; readonly name: string }) {
  const library = useLibrary();
  const waits = coach === undefined && !seen;
  return (
    <li className={`border-b border-base-300 py-1.5 ${waits ? 'border-s-4 border-s-accent ps-2' : ''}`}>
      <p className="text-sm">
        <span className="font-semibold">{coach ?? name}</span> <span className="aside">{format(new Date(at), 'd MMM, HH:mm')}</span>
        {drillId !== undefined && library.hasDrill(drillId) && <span className="aside">, on {library.drill(drillId).name}</span>}
        {waits && <span className="font-semibold text-accent"> not read yet</span>}
      </p>
      <p className="whitespace-pre-line">{text}</p>
    </li>
  );
}
