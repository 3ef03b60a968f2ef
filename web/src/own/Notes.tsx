import type { NoteDto, OwnPageReply } from '@myokinet/core/contracts';
import { format } from 'date-fns';
import { useState } from 'react';
import { nowInstant } from '../client/clock.ts';
import { newId } from '../client/newId.ts';
import { tell, type Told } from './waiting.ts';

interface NotesProps {
  readonly ownKey: string;
  readonly name: string;
  readonly notes: OwnPageReply['notes'];
  readonly waiting: readonly Told[];
  readonly told: () => void;
}

/** What was last written both ways is shown; older words fold away. */
const SHOWN = 3;
const MOST = 1000;

/** Words to the coach, and theirs. */
export function Notes({ ownKey, name, notes, waiting, told }: NotesProps) {
  const [text, setText] = useState('');
  const [all, setAll] = useState(false);
  // Known before it is sent: a double tap sends one.
  const [id, setId] = useState(newId);
  const mine = waiting.flatMap(({ to, body }) => (to === 'notes' ? [body as NoteDto] : []));
  const shown = all ? notes : notes.slice(-SHOWN);
  const send = () => {
    const body: NoteDto = { id, at: nowInstant(), text: text.trim(), drillId: null };
    tell(ownKey, { to: 'notes', body });
    setText('');
    setId(newId());
    told();
  };
  return (
    <section aria-label="Notes">
      <h2>You and your coach</h2>
      {notes.length > shown.length && (
        <button type="button" className="btn btn-ghost min-h-11 text-base font-normal" onClick={() => setAll(true)}>
          Show {notes.length - shown.length} older
        </button>
      )}
      <ul>
        {shown.map((note) => (
          <li
            key={note.id}
            className={`border-b border-base-300 py-2 leading-snug ${note.coach ? 'border-s-4 border-s-primary ps-3' : ''}`}
          >
            <p className="aside text-base">
              {note.coach ?? name}, {format(new Date(note.at), 'd MMM, HH:mm')}
              {note.drill && `, on ${note.drill}`}
            </p>
            <p className="whitespace-pre-line">{note.text}</p>
          </li>
        ))}
        {mine.map((note) => (
          <li key={note.id} className="border-b border-base-300 py-2 leading-snug">
            <p className="aside text-base">{name}, not sent yet</p>
            <p className="whitespace-pre-line">{note.text}</p>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== '') send();
        }}
      >
        <label>
          <span className="text-base font-semibold">A note to your coach</span>
          <textarea className="textarea w-full text-lg" rows={2} maxLength={MOST} value={text} onChange={(e) => setText(e.target.value)} />
        </label>
        <button type="submit" className="btn min-h-12 text-lg" disabled={text.trim() === ''}>
          Send
        </button>
        <p className="aside text-base">Not for emergencies: nobody may be reading.</p>
      </form>
    </section>
  );
}
