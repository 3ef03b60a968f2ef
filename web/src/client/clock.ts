import { type Instant, instant } from '@myokinet/core/quantities';
import { useSyncExternalStore } from 'react';
import { keep, readKept } from './onDevice.ts';

/** What is known against this device's clock. Milliseconds; positive where the device is ahead. */
export type ClockDoubt =
  /** The server's clock says otherwise: times are put right until the device's is. */
  | { readonly kind: 'off'; readonly ms: number }
  /** It jumped ahead while no server answered: it may have been asleep, or been set. */
  | { readonly kind: 'jumped'; readonly ms: number };

/** Below this two clocks agree (as the server has it, too). */
const AGREE_MS = 5 * 60_000;
/** A jump between two looks that is none of a slow page. */
const JUMP_MS = 60_000;
const KEY = 'myokinet.clock';

/**
 * The time of day, whatever this device's clock says: where the server was heard, by the server's; where the clock is set back
 * meanwhile, as the page's steady seconds go on. Set ahead without a server it cannot be told from a device that slept, and is believed,
 * with a doubt.
 */
export function deviceClock(device: () => number, steady: () => number) {
  /** Server minus device. */
  let skew = readKept<number>(KEY, 0);
  /** How far it went ahead unexplained: set back by as much, it is right again. */
  let ahead = 0;
  let doubt: ClockDoubt | undefined;
  let seen = { device: device(), steady: steady() };
  const listeners = new Set<() => void>();
  const doubts = (now: ClockDoubt | undefined) => {
    if (now?.kind === doubt?.kind && Math.abs((now?.ms ?? 0) - (doubt?.ms ?? 0)) < JUMP_MS) return;
    doubt = now;
    for (const listener of listeners) listener();
  };
  const doubtOf = (ms: number): ClockDoubt | undefined => (Math.abs(ms) > AGREE_MS ? { kind: 'off', ms } : undefined);

  /** Looks whether the clock was set since the last look. */
  function look(): void {
    const now = { device: device(), steady: steady() };
    const jump = now.device - seen.device - (now.steady - seen.steady);
    seen = now;
    if (jump > AGREE_MS) ahead += jump;
    else if (jump < -JUMP_MS) {
      const undone = Math.min(ahead, -jump);
      ahead -= undone;
      skew -= jump + undone;
    } else return;
    doubts(ahead > AGREE_MS ? { kind: 'jumped', ms: ahead } : doubtOf(-skew));
  }

  return {
    look,
    /** The server says what time it is. */
    heard(server: string): void {
      const at = Date.parse(server);
      if (Number.isNaN(at)) return;
      look();
      const now = at - device();
      skew = Math.abs(now) > AGREE_MS ? now : 0;
      ahead = 0;
      keep(KEY, skew);
      doubts(doubtOf(-skew));
    },
    now(): Date {
      look();
      return new Date(device() + (Math.abs(skew) > AGREE_MS ? skew : 0));
    },
    doubt: (): ClockDoubt | undefined => doubt,
    listen(listener: () => void): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** The one of this page. */
export const clock = deviceClock(
  () => Date.now(),
  () => performance.now(),
);

/** When something that is entered now happens. */
export function nowInstant(): Instant {
  return instant(clock.now());
}

export function useClockDoubt(): ClockDoubt | undefined {
  return useSyncExternalStore(clock.listen, clock.doubt);
}
