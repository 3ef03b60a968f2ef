import type { MorningDto, OwnPageReply, OwnSession } from '@myokinet/core/contracts';
import { calendarDay, daysBetween, type Instant } from '@myokinet/core/quantities';
import { MORNINGS } from '@myokinet/core/safety';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { StillBody } from '../kit/body/StillBody.tsx';
import { clock, nowInstant } from '../client/clock.ts';
import { newId } from '../client/newId.ts';
import { Hurts } from './Hurts.tsx';
import { Notes } from './Notes.tsx';
import { hashOf } from './useView.ts';
import { isTold, letGo, tell, type Told } from './waiting.ts';
import { dayOf, MORNING_WORDS } from './words.ts';

interface TodayProps {
  readonly ownKey: string;
  readonly page: OwnPageReply;
  readonly readAt: Instant;
  readonly away: boolean;
  readonly waiting: readonly Told[];
  readonly told: () => void;
}

/** What a coach planned longer ago than this is not practised unseen, in days (project default). */
const OLDEST_DAYS = 7;

/** What to do today and in the days to come, how the morning is, and what stands in the way. */
export function Today({ ownKey, page, readAt, away, waiting, told }: TodayProps) {
  const { name, sessions, stopped, morningOf } = page;
  const [now] = useState(() => clock.now());
  // What was read without a connection since is of another day: the phone knows which day it is.
  const today = calendarDay(now);
  // What prepares for something today comes first.
  const anytime = [...(page.anytime ?? [])].sort((a, b) => Number(b.before !== undefined) - Number(a.before !== undefined));
  const tooOld = daysBetween(readAt, now) > OLDEST_DAYS;
  const isDone = (s: OwnSession) => isTold(s, waiting);
  const missed = sessions.filter((s) => s.day < today && !isDone(s));
  const here = sessions.filter((s) => s.day === today);
  const later = sessions.filter((s) => s.day > today);
  const answered = morningOf === undefined || waiting.some((w) => w.to === 'mornings');
  return (
    <main className="flex flex-col gap-5 p-4">
      <header className="border-b-2 border-base-content pb-2">
        <h1>{name}</h1>
        <p className="aside text-base">{format(now, 'EEEE d MMMM')}</p>
      </header>
      {away && (
        <p role="status" className="border-s-4 border-warning bg-warning/10 p-2 text-base">
          Without a connection: this is how it stood on {format(parseISO(readAt), 'd MMMM, HH:mm')}. What you tell is kept and sent later.
        </p>
      )}
      {tooOld && (
        <p role="alert" className="border-s-8 border-error bg-error/10 p-3">
          What is here is more than {OLDEST_DAYS} days old. Open the page once with a connection before you practise.
        </p>
      )}
      <Waiting ownKey={ownKey} waiting={waiting} />
      {!answered && <AskMorning ownKey={ownKey} page={page} sessionId={morningOf.sessionId} told={told} />}
      {stopped.length > 0 && (
        <section role="alert" aria-label="Stopped" className="border-s-8 border-error bg-error/10 p-3">
          <h2>Nothing to practise for now</h2>
          {stopped.map((reason) => (
            <p key={reason}>{reason}</p>
          ))}
          <p className="mt-1 text-base">Your coach sees this too, and says how to go on. With what frightens you, see a doctor.</p>
        </section>
      )}
      <section aria-label="Today">
        <h2>Today</h2>
        {here.length === 0 && <p>Nothing is planned. Rest is part of it.</p>}
        {here.map((session) => (
          <SessionCard key={session.id} session={session} today={today} isDone={isDone(session)} open={!tooOld} />
        ))}
      </section>
      {missed.length > 0 && (
        <section aria-label="Not done yet">
          <h2>Not done yet</h2>
          {missed.map((session) => (
            <SessionCard key={session.id} session={session} today={today} isDone={false} open={!tooOld} />
          ))}
        </section>
      )}
      {later.length > 0 && (
        <section aria-label="Next">
          <h2>Next</h2>
          {later.map((session, i) => (
            <SessionCard
              key={session.id}
              session={session}
              today={today}
              isDone={isDone(session)}
              open={i === 0 && here.every(isDone) && !tooOld}
            />
          ))}
        </section>
      )}
      {anytime.length > 0 && (
        <section aria-label="Any time">
          <h2>{anytime.some((a) => a.before) ? 'To prepare, and any time' : 'Any time'}</h2>
          {anytime.map(({ id, preparation, before, minutes, items }) => (
            <p key={id} className="flex items-center gap-3 border-b border-base-300 py-2">
              <span className="min-w-0 flex-1 leading-snug">
                {preparation}
                {before && <strong className="block text-base">Today, before: {before}</strong>}
                <span className="aside block text-base">
                  about {minutes} min, {items.length} {items.length === 1 ? 'drill' : 'drills'}
                </span>
              </span>
              {!tooOld && (
                <a className="btn min-h-12" href={hashOf({ at: 'practice', sessionId: id })} aria-label={`Begin ${preparation}`}>
                  Begin
                </a>
              )}
            </p>
          ))}
        </section>
      )}
      <Notes ownKey={ownKey} name={name} notes={page.notes} waiting={waiting} told={told} />
      {page.progress && (
        <a className="btn min-h-12 text-lg" href={hashOf({ at: 'progress' })}>
          How far I have come
        </a>
      )}
    </main>
  );
}

function SessionCard({
  session,
  today,
  isDone,
  open,
}: {
  readonly session: OwnSession;
  readonly today: string;
  readonly isDone: boolean;
  /** Whether it may be begun now: what is further off is only named. */
  readonly open: boolean;
}) {
  const { id, day, minutes, items, leftOut, loaded } = session;
  const may = open && !isDone && items.length > 0;
  const things = [...new Set(items.flatMap((i) => i.equipment))].join(', ');
  return (
    <article className="border-b border-base-300 py-3">
      <p className="flex flex-wrap items-baseline gap-x-2">
        {day !== today && <span className="font-semibold">{dayOf(day, today)}</span>}
        <span className="aside text-base">
          about {minutes} min, {loaded ? 'loads the hands' : 'light'}
        </span>
        {isDone && <span className="ms-auto font-semibold text-success">done</span>}
      </p>
      {may && things !== '' && <p className="aside text-base">With: {things}</p>}
      {may && (
        <a className="btn btn-primary mt-2 min-h-14 w-full text-lg" href={hashOf({ at: 'practice', sessionId: id })}>
          {day > today ? 'Do it today' : 'Begin'}
        </a>
      )}
      {(may || (day === today && !isDone)) && (
        <ul className="mt-2 flex flex-col gap-1">
          {items.map((item) => (
            <li key={item.id} className="grid grid-cols-[64px_1fr] items-center gap-3">
              <StillBody of={item.figure} size={64} />
              <span className="leading-snug">
                {item.name}
                <span className="aside block text-base">{item.dose}</span>
                {item.changed && <span className="block text-base">{item.changed}</span>}
              </span>
            </li>
          ))}
        </ul>
      )}
      {may &&
        [...new Set(leftOut.map((l) => l.why))].map((why) => (
          <p key={why} className="aside mt-1 text-base">
            Without {leftOut.flatMap((l) => (l.why === why ? [l.name] : [])).join('; ')}. {why}
          </p>
        ))}
    </article>
  );
}

/** What the server has not got, and what it does not take, with its reason. */
function Waiting({ ownKey, waiting }: { readonly ownKey: string; readonly waiting: readonly Told[] }) {
  const refused = waiting.filter((w) => w.refused);
  const count = waiting.length - refused.length;
  return (
    <>
      {count > 0 && (
        <p role="status" className="aside text-base">
          {count === 1 ? 'One thing that you told waits' : `${count} things that you told wait`} on this phone for a connection.
        </p>
      )}
      {refused.map(({ body, refused: why }) => (
        <div key={body.id} role="alert" className="border-s-4 border-error bg-error/10 p-2 text-base">
          <p>Your coach’s side did not take what you told: {why?.detail} Say it to your coach.</p>
          <button type="button" className="btn btn-sm mt-1" onClick={() => letGo(ownKey, body.id)}>
            I have told them
          </button>
        </div>
      ))}
    </>
  );
}

function AskMorning({
  ownKey,
  page,
  sessionId,
  told,
}: {
  readonly ownKey: string;
  readonly page: OwnPageReply;
  readonly sessionId: string;
  readonly told: () => void;
}) {
  const [sore, setSore] = useState(false);
  const [id] = useState(newId);
  const answer = (how: MorningDto['how']) => {
    const body: MorningDto = { id, sessionId, at: nowInstant(), how };
    tell(ownKey, { to: 'mornings', body });
    told();
  };
  return (
    <section aria-label="This morning" className="border-s-4 border-primary bg-primary/10 p-3">
      <h2>How is the morning after yesterday’s session?</h2>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {MORNINGS.map((how) => (
          <button
            key={how}
            type="button"
            className="btn min-h-12 text-lg font-normal"
            onClick={() => (how === 'sore or stiff' ? setSore(true) : answer(how))}
          >
            {MORNING_WORDS[how]}
          </button>
        ))}
      </div>
      {sore && (
        <Hurts
          ownKey={ownKey}
          sessionRunning={false}
          morningOf={sessionId}
          context={page.context}
          close={() => {
            setSore(false);
            answer('sore or stiff');
          }}
          told={told}
        />
      )}
    </section>
  );
}
