import type { OwnSession, SessionDto } from '@myokinet/core/contracts';
import { ask, type Refused } from './ask.ts';
import { keptOf } from './onPhone.ts';

/** Something told that the server has not got yet; its id makes that it counts once. */
export interface Told {
  readonly to: 'practice' | 'symptoms' | 'mornings' | 'notes';
  readonly body: { readonly id: string };
  /** Why the server does not take it: kept and shown, never dropped in silence. */
  readonly refused?: Refused;
}

/** What a browser refuses to keep is held here as long as the page is open: it is sent all the same. */
const unkept = new Map<string, readonly Told[]>();
const stored = (key: string): readonly Told[] => keptOf(key).read<readonly Told[]>('waiting', []);
const read = (key: string): readonly Told[] => unkept.get(key) ?? stored(key);

function write(key: string, told: readonly Told[]): void {
  keptOf(key).keep('waiting', told);
  if (JSON.stringify(stored(key)) === JSON.stringify(told)) unkept.delete(key);
  else unkept.set(key, told);
}

/** Whether a session is on record, or on its way there. */
export const isTold = ({ id, done }: Pick<OwnSession, 'id' | 'done'>, waiting: readonly Told[]): boolean =>
  done || waiting.some(({ to, body }) => to === 'practice' && (body as Partial<SessionDto>).plannedSessionId === id);

const listeners = new Set<() => void>();
const changed = () => {
  for (const listener of listeners) listener();
};
/** Told when what waits has changed, in this tab or another. */
export function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

export const waitingOf = read;

/** Keeps what was told on the phone before anything else. */
export function tell(key: string, told: Told): void {
  write(key, [...read(key).filter((t) => t.body.id !== told.body.id), told]);
  changed();
}

export function letGo(key: string, id: string): void {
  write(
    key,
    read(key).filter((t) => t.body.id !== id),
  );
  changed();
}

/** Where the browser has no locks one tab at a time is luck, and an id sent twice counts once. */
const alone = <T>(run: () => Promise<T>): Promise<T> =>
  'locks' in navigator ? (navigator.locks.request('myokinet.own.sending', run) as Promise<T>) : run();

/**
 * Sends what waits, oldest first; what the server refuses stays with its reason.
 *
 * @returns whether anything was taken
 */
export function sendWaiting(key: string): Promise<boolean> {
  return alone(async () => {
    let taken = false;
    for (const told of read(key)) {
      if (told.refused) continue;
      const answer = await ask(told.to, { key, body: told.body });
      if ('away' in answer) break;
      if ('data' in answer) {
        letGo(key, told.body.id);
        taken = true;
        continue;
      }
      write(
        key,
        read(key).map((t) => (t.body.id === told.body.id ? { ...t, refused: answer.refused } : t)),
      );
      changed();
    }
    return taken;
  });
}
