import type { PlanDto } from '@myokinet/core/contracts';
import { dayShort } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { useCallback, useLayoutEffect, useRef, useState } from 'react';

/** What moves on the desk share: what may not be moved and why, what is said of a move that is refused, and where the focus goes. */
export interface DeskMoves {
  /** Why a session stays as it is; nothing where it may change. */
  readonly lockedBecause: (sessionId: string) => string | undefined;
  /** What was refused last. */
  readonly refused: string | undefined;
  readonly refuse: (why: string | undefined) => void;
  /** Keeps the focus on what was moved by keys, wherever it stands afterwards. */
  readonly follow: (id: string) => void;
}

/** Marks what the focus can follow. */
export const followed = (id: string) => ({ 'data-followed': id });

export function useDeskMoves(
  weeks: readonly PlanDto[],
  { now, done }: { readonly now: Date; readonly done: ReadonlySet<string> },
): DeskMoves {
  const [refused, refuse] = useState<string | undefined>();
  const following = useRef<string | undefined>(undefined);
  useLayoutEffect(() => {
    if (!following.current) return;
    document.querySelector<HTMLElement>(`[data-followed="${following.current}"]`)?.focus();
    following.current = undefined;
  });
  const follow = useCallback((id: string) => {
    following.current = id;
  }, []);
  const lockedBecause = (sessionId: string): string | undefined => {
    const session = weeks.flatMap((w) => w.sessions).find((s) => s.id === sessionId);
    if (!session) return undefined;
    const day = dayShort(session.day as CalendarDay);
    if (done.has(sessionId)) return `The session of ${day} was done and is on record.`;
    return session.day < calendarDay(now) ? `${day} is over.` : undefined;
  };
  return { lockedBecause, refused, refuse, follow };
}
