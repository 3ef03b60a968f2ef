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
  const [all, setAll] = useState(false);
  const mine = waiting.flatMap(({ to, body }) => (to === 'notes' ? [body as NoteDto] : []));
  const shown = all ? notes : notes.slice(-SHOWN);
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
          <OneNote key={note.id} note={note} name={name} />
        ))}
        {mine.map((note) => (
          <li key={note.id} className="border-b border-base-300 py-2 leading-snug">
            <p className="aside text-base">{name}, not sent yet</p>
            <p className="whitespace-pre-line">{note.text}</p>
          </li>
        ))}
      </ul>
      <NoteForm label="A note to your coach" drillId={null} ownKey={ownKey} told={told} />
    </section>
  );
}

type Note = OwnPageReply['notes'][number];

function OneNote({ note, name, onDrill = true }: { readonly note: Note; readonly name: string; readonly onDrill?: boolean }) {
  return (
    <li className={`border-b border-base-300 py-2 leading-snug ${note.coach ? 'border-s-4 border-s-primary ps-3' : ''}`}>
      <p className="aside text-base">
        {note.coach ?? name}, {format(new Date(note.at), 'd MMM, HH:mm')}
        {onDrill && note.drill && `, on ${note.drill}`}
      </p>
      <p className="whitespace-pre-line">{note.text}</p>
    </li>
  );
}

type DrillNotesProps = Pick<NotesProps, 'ownKey' | 'name' | 'notes' | 'told'> & { readonly drillId: string };

/** What was written about one drill stands where it is done, and more may be written there. */
export function DrillNotes({ ownKey, name, notes, drillId, told }: DrillNotesProps) {
  const about = notes.filter((n) => n.drillId === drillId).slice(-SHOWN);
  const [sent, setSent] = useState(false);
  return (
    <section aria-label="Notes on this drill">
      <ul>
        {about.map((note) => (
          <OneNote key={note.id} note={note} name={name} onDrill={false} />
        ))}
      </ul>
      <p role="status" className="text-base">
        {sent ? 'Kept; it goes to your coach.' : ''}
      </p>
      <details className="text-base">
        <summary className="min-h-11 cursor-pointer content-center">Write to your coach about this drill</summary>
        <NoteForm
          label="About this drill"
          drillId={drillId}
          ownKey={ownKey}
          told={() => {
            setSent(true);
            told();
          }}
        />
      </details>
    </section>
  );
}

interface NoteFormProps extends Pick<NotesProps, 'ownKey' | 'told'> {
  readonly label: string;
  readonly drillId: string | null;
}

function NoteForm({ label, drillId, ownKey, told }: NoteFormProps) {
  const [text, setText] = useState('');
  // Known before it is sent: a double tap sends one.
  const [id, setId] = useState(newId);
  const send = () => {
    const body: NoteDto = { id, at: nowInstant(), text: text.trim(), drillId };
    tell(ownKey, { to: 'notes', body });
    setText('');
    setId(newId());
    told();
  };
  return (
    <form
      className="mt-2 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') send();
      }}
    >
      <label>
        <span className="text-base font-semibold">{label}</span>
        <textarea className="textarea w-full text-lg" rows={2} maxLength={MOST} value={text} onChange={(e) => setText(e.target.value)} />
      </label>
      <button type="submit" className="btn min-h-12 text-lg" disabled={text.trim() === ''}>
        Send
      </button>
      <p className="aside text-base">Not for emergencies: nobody may be reading. What hurts goes under “Something hurts”.</p>
    </form>
  );
}
