import { useSyncExternalStore } from 'react';

/** More than a battery needs; each is a photograph held in memory. */
export const MOST_WAITING = 40;

/** A picture that was chosen and not measured yet. */
export interface WaitingPicture {
  readonly id: string;
  readonly file: File;
  /** For showing it small. */
  readonly url: string;
}

const NONE: readonly WaitingPicture[] = [];
let waiting: Readonly<Record<string, readonly WaitingPicture[]>> = {};
const listeners = new Set<() => void>();

function set(traineeId: string, pictures: readonly WaitingPicture[]): void {
  waiting = { ...waiting, [traineeId]: pictures };
  listeners.forEach((tell) => tell());
}

const of = (traineeId: string) => waiting[traineeId] ?? NONE;

/** Lays pictures aside for a trainee, to be measured now or at a later check; gives how many found no room. */
export function layAside(traineeId: string, files: readonly File[], newId: () => string): number {
  const room = Math.max(0, MOST_WAITING - of(traineeId).length);
  const added = files.slice(0, room).map((file) => ({ id: newId(), file, url: URL.createObjectURL(file) }));
  set(traineeId, [...of(traineeId), ...added]);
  return files.length - added.length;
}

/** Measured, or not wanted. */
export function putAway(traineeId: string, id: string): void {
  const gone = of(traineeId).find((p) => p.id === id);
  if (gone) URL.revokeObjectURL(gone.url);
  set(
    traineeId,
    of(traineeId).filter((p) => p.id !== id),
  );
}

/** The pictures of a trainee that wait, for as long as the page is open. */
export function useWaiting(traineeId: string): readonly WaitingPicture[] {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => of(traineeId),
  );
}
