import type { SessionReply } from '@myokinet/core/contracts';
import { eachWay, LOADING_PHASES, plannedDoseInWords } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { calendarDay, dayInWords, type Instant } from '@myokinet/core/quantities';
import { FEELING_WORDS, cleannessInWords, symptomInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import type { Correction } from './correction.ts';
import { CorrectSymptomButton } from './CorrectSymptomButton.tsx';
import { SessionPhotos } from './SessionPhotos.tsx';
import { MorningForm } from './MorningForm.tsx';
import { TakeBack } from './TakeBack.tsx';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

/** One logged session: the verdict at a glance, every set on request, and the morning after. */
export function SessionEntry({
  session,
  traineeId,
  now,
  correct,
}: {
  readonly session: SessionReply;
  readonly traineeId: string;
  readonly now: Date;
  readonly correct: (correction: Correction) => void;
}) {
  const library = useLibrary();
  const [open, setOpen] = useState(false);
  const performed = session.performedAt as Instant;
  const when = dayInWords(performed, now);
  const mornings = session.symptoms.filter((s) => s.moment === 'next morning');
  const others = session.symptoms.filter((s) => s.moment !== 'next morning');
  const morningCame = calendarDay(performed) < calendarDay(now);
  return (
    <li className="border-b border-base-300 py-2">
      <button
        type="button"
        className="grid w-full cursor-pointer gap-x-4 text-start sm:grid-cols-[13rem_1fr]"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <span className="font-semibold">{when}</span>
        <span>
          {session.inClass !== undefined && <span className="font-semibold">In the class “{session.inClass}”. </span>}
          <Verdict session={session} />{' '}
          <span className="aside text-sm">
            Effort {session.effort}/10 × {session.minutes} min = load {session.load}
          </span>
        </span>
      </button>
      <UnreadableNote sentences={session.unreadable ? [session.unreadable] : []} />
      {session.replaced && (
        <p className="aside text-sm sm:ps-[14rem]">
          {session.reason
            ? `Corrected: ${session.reason}. The version before, with`
            : 'Second version: sets of another device came in after the end. The first, with'}{' '}
          {session.replaced.sets} {session.replaced.sets === 1 ? 'set' : 'sets'} and load {session.replaced.load}, stays on record.
        </p>
      )}
      {[...others, ...mornings].map((s) => (
        <div key={s.id} className="text-sm sm:ps-[14rem]">
          {capital(symptomInWords(s))}.{s.note && ` “${s.note}”`}
          <CorrectSymptomButton symptom={s} correct={correct} />
        </div>
      ))}
      {mornings.length === 0 && morningCame && !session.preparation && (
        <div className="mt-1 flex flex-wrap items-center gap-3 sm:ps-[14rem]">
          <span className="text-sm">How was the morning after?</span>
          <MorningForm traineeId={traineeId} sessionId={session.id} name={when} />
        </div>
      )}
      {open && (
        <div className="mt-1.5 text-sm sm:ps-[14rem]">
          {session.note && <p className="mb-1 italic">{session.note}</p>}
          <ul className="space-y-0.5">
            {session.items.map((item) => (
              <li key={item.id}>
                <span className="font-semibold">{library.drill(item.drillId).name}</span>{' '}
                <span className="aside">
                  asked {plannedDoseInWords({ sets: item.plannedSets, min: item.min, max: item.max }, library.asPlanned(item))}:
                </span>{' '}
                {item.sets.length === 0
                  ? 'not done'
                  : item.sets.map((set) => setWords(set, item, { library, inClass: session.inClass !== undefined })).join(' · ')}
                {item.skipped && `; left out: ${item.skipped}`}
              </li>
            ))}
          </ul>
          {session.runId && session.photos && session.photos.length > 0 && (
            <SessionPhotos runId={session.runId} photos={session.photos} traineeId={traineeId} />
          )}
          <p className="aside mt-1">
            Hands: {Math.round(session.handLoad.push)} pushing, {Math.round(session.handLoad.pull)} pulling, in body-weight seconds (share
            of body weight × seconds under tension).
            {session.handLoad.bySide &&
              ` Left arm ${Math.round(session.handLoad.bySide.left)}, right arm ${Math.round(session.handLoad.bySide.right)}.`}
          </p>
          <button
            type="button"
            className="btn btn-sm btn-outline mt-2 me-2"
            onClick={() => correct({ kind: 'session', session, name: `session of ${when}` })}
          >
            Correct this session…
          </button>
          <TakeBack traineeId={traineeId} kind="session" factId={session.id} what="this session" />
        </div>
      )}
    </li>
  );
}

/** Clean, not clean with the reason, or a session that is not there to count. */
function Verdict({ session: { clean, finding, cleanReason, items, preparation } }: { readonly session: SessionReply }) {
  const library = useLibrary();
  if (clean) return <span className="state-spare font-semibold">Clean.</span>;
  if (preparation && finding)
    return (
      <>
        <span className="font-semibold">“{preparation}”.</span> {cleannessInWords(finding, library)}
      </>
    );
  const counts = items.some((i) => LOADING_PHASES.includes(library.drill(i.drillId).phase));
  if (!counts) return <span className="font-semibold">Mobility only.</span>;
  return (
    <>
      <span className="font-semibold">Not clean.</span> {finding ? cleannessInWords(finding, library) : cleanReason}
    </>
  );
}

type LoggedItem = SessionReply['items'][number];

function setWords(
  { side, amount, feeling, unconfirmed, faults }: LoggedItem['sets'][number],
  item: LoggedItem,
  { library, inClass }: { readonly library: Library; readonly inClass: boolean },
): string {
  const ways = feeling ? undefined : eachWay(amount, item.max, library.asPlanned(item).dose);
  const seen = [
    ...(ways ? [`${ways[0]} one way, ${ways[1]} the other`] : []),
    ...(unconfirmed ? [inClass ? 'in a class, not counted' : 'ran out, not confirmed'] : []),
    ...faults.map((f) => `${library.fault(f.faultId).name}${f.on ? ` on the ${f.on}` : ''}${f.mended ? ', mended' : ', stayed'}`),
  ];
  return `${side === 'whole' ? '' : `${side} `}${feeling ? FEELING_WORDS[feeling] : amount}${seen.length > 0 ? ` (${seen.join('; ')})` : ''}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
