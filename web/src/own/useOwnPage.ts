import type { OwnPageReply, SymptomDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import type { Symptom } from '@myokinet/core/safety';
import { stopSignInWords } from '@myokinet/core/words';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { nowInstant } from '../client/clock.ts';
import { ask, type Refused } from './ask.ts';
import { keepPage, keptOf, type KnownPage } from './onPhone.ts';
import { sendWaiting, subscribe, type Told, waitingOf } from './waiting.ts';

interface Read {
  readonly page: OwnPageReply;
  readonly at: Instant;
}

export interface OwnPageState {
  /** As the server said it last. */
  readonly read?: Read;
  /** The server does not answer: what is shown is from the phone. */
  readonly away: boolean;
  /** The link opens nothing any more. */
  readonly shut?: Refused;
  readonly waiting: readonly Told[];
  readonly refresh: () => void;
}

const EVERY_MS = 60_000;
/** Not every phone says that it is back: while the server is away it is asked again and again. */
const WHILE_AWAY_MS = 5_000;
let snapshot: { readonly text: string; readonly told: readonly Told[] } = { text: '[]', told: [] };

/** The same list as before while nothing changed: a store is asked far more often than it changes. */
function waitingSnapshot(key: string): readonly Told[] {
  const told = waitingOf(key);
  const text = JSON.stringify(told);
  if (text !== snapshot.text) snapshot = { text, told };
  return snapshot.told;
}

/** The trainee’s page: asked for when it is looked at, from the phone where the server is away; what waits goes first. */
export function useOwnPage({ key, feed }: KnownPage): OwnPageState {
  const [read, setRead] = useState<Read | undefined>(() => keptOf(key).read<Read | undefined>('read', undefined));
  const [away, setAway] = useState(false);
  const [shut, setShut] = useState<Refused>();
  const waiting = useSyncExternalStore(subscribe, () => waitingSnapshot(key));

  const load = useCallback(async () => {
    await sendWaiting(key);
    const answer = await ask<OwnPageReply>('page', { key });
    setAway('away' in answer);
    if ('refused' in answer) setShut(answer.refused);
    if (!('data' in answer)) return;
    const now = { page: answer.data, at: nowInstant() };
    keptOf(key).keep('read', now);
    // Two trainees on one phone are told apart by their names.
    keepPage({ key, feed, id: answer.data.id, name: answer.data.name });
    setRead(now);
  }, [key, feed]);

  useEffect(() => {
    const look = () => {
      if (document.visibilityState === 'visible') void load();
    };
    look();
    const timer = setInterval(look, away ? WHILE_AWAY_MS : EVERY_MS);
    document.addEventListener('visibilitychange', look);
    window.addEventListener('online', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('online', look);
    };
  }, [load, away]);

  return {
    ...(read ? { read: { ...read, page: stoppedBy(waiting, read.page) } } : {}),
    ...(shut ? { shut } : {}),
    away,
    waiting,
    refresh: () => void load(),
  };
}

/** A stop sign that the server has not got yet stops here at once. */
function stoppedBy(waiting: readonly Told[], page: OwnPageReply): OwnPageReply {
  const stops = waiting.flatMap(({ to, body }) =>
    to === 'symptoms' ? (stopSignInWords(body as SymptomDto & Symptom, page.context) ?? []) : [],
  );
  if (stops.length === 0) return page;
  return { ...page, stopped: [...page.stopped, ...stops], sessions: page.sessions.map((s) => ({ ...s, items: [] })) };
}
