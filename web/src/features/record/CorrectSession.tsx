import { inspect, SessionCorrectionDto, type SessionReply } from '@myokinet/core/contracts';
import { UNIT_WORDS } from '@myokinet/core/drills';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { NumberField, TextField } from '../../kit/EntryFields.tsx';
import { useCorrectSessionMutation } from './endpoints.ts';

type LoggedSet = SessionReply['items'][number]['sets'][number];

/** The same session under ids of its own: what is on record keeps its own. */
function again(session: SessionReply) {
  return {
    ...{ id: newId(), plannedSessionId: session.plannedSessionId, performedAt: session.performedAt, note: session.note, symptoms: [] },
    ...{ effort: session.effort, minutes: session.minutes },
    items: session.items.map((item) => ({ ...item, id: newId(), sets: item.sets.map((set) => ({ ...set, id: newId() })) })),
  };
}

/** Whoever says what a set was confirms it. */
function said({ unconfirmed: _, ...set }: LoggedSet, amount: number): LoggedSet {
  return { ...set, amount };
}

/** A logged session as it truly was: figures of the sets, effort and minutes, with the reason. The version before stays on record. */
export function CorrectSession({
  session,
  traineeId,
  done,
}: {
  readonly session: SessionReply;
  readonly traineeId: string;
  readonly done: () => void;
}) {
  const library = useLibrary();
  const [now, setNow] = useState(() => again(session));
  const [reason, setReason] = useState('');
  const [correct, { isLoading, error }] = useCorrectSessionMutation();
  const body = { replaces: session.id, reason: reason.trim(), session: now };
  const { problems } = inspect(SessionCorrectionDto, body, { now: new Date(), library });
  const setAmount = (itemId: string, setId: string, amount: number) =>
    setNow({
      ...now,
      items: now.items.map((i) => (i.id === itemId ? { ...i, sets: i.sets.map((s) => (s.id === setId ? said(s, amount) : s)) } : i)),
    });
  const leaveOut = (itemId: string, setId: string) =>
    setNow({ ...now, items: now.items.map((i) => (i.id === itemId ? { ...i, sets: i.sets.filter((s) => s.id !== setId) } : i)) });
  return (
    <form
      className="p-3"
      aria-label="Correct this session"
      onSubmit={(event) => {
        event.preventDefault();
        if (problems.length === 0) void correct({ traineeId, body }).then((r) => r.data && done());
      }}
    >
      <ul className="space-y-1.5">
        {now.items
          .filter((i) => i.sets.length > 0)
          .map((item) => {
            const drill = library.drill(item.drillId);
            return (
              <li key={item.id} className="flex flex-wrap items-center gap-x-3 gap-y-1">
                <span className="w-full font-semibold sm:w-56">
                  {drill.name} <span className="aside font-normal">({UNIT_WORDS[drill.dose.unit]})</span>
                </span>
                {item.sets.map((set, i) => (
                  <span key={set.id} className="inline-flex items-center">
                    {set.side !== 'whole' && <span className="aside me-1">{set.side}</span>}
                    <input
                      className="input input-sm w-16 text-center"
                      type="number"
                      aria-label={`${drill.name}, set ${i + 1}${set.side === 'whole' ? '' : `, ${set.side}`}, in ${UNIT_WORDS[drill.dose.unit]}`}
                      value={Number.isNaN(set.amount) ? '' : set.amount}
                      onChange={(e) => setAmount(item.id, set.id, e.target.value === '' ? Number.NaN : Number(e.target.value))}
                    />
                    {set.unconfirmed && (
                      <button type="button" className="btn btn-sm" onClick={() => setAmount(item.id, set.id, set.amount)}>
                        Was done
                      </button>
                    )}
                    <button
                      type="button"
                      className="btn btn-ghost btn-sm btn-square"
                      aria-label={`Not done: ${drill.name}, set ${i + 1}`}
                      onClick={() => leaveOut(item.id, set.id)}
                    >
                      <X size={14} aria-hidden />
                    </button>
                  </span>
                ))}
              </li>
            );
          })}
      </ul>
      <div className="mt-2 grid gap-3 sm:grid-cols-[7rem_7rem_minmax(0,1fr)]">
        <NumberField label="Effort" unit="0–10" value={now.effort} change={(effort) => setNow({ ...now, effort })} />
        <NumberField label="Minutes" value={now.minutes} change={(minutes) => setNow({ ...now, minutes })} />
        <TextField label="Why" value={reason} change={setReason} />
      </div>
      {reason !== '' && problems.length > 0 && <p className="mt-1 text-sm text-error">{problems[0]?.message}</p>}
      <div className="mt-2 flex gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={problems.length > 0 || isLoading}>
          Put it right
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={done}>
          Leave it
        </button>
      </div>
      <ProblemNote error={error} />
    </form>
  );
}
