import { useEffect, useEffectEvent } from 'react';
import type { FloorClock } from '../../client/floorClock.ts';

/** How often is looked while frames are drawn, and on a page that is not looked at: drawing stops there, time does not. */
const LOOK_MS = 50;

/** Does what is due by the floor's seconds while something runs; draws nothing. */
export function useWhenDue(clock: FloorClock, running: boolean, due: (now: number) => void): void {
  const look = useEffectEvent(() => due(clock.now()));
  useEffect(() => {
    if (!running) return;
    const timer = window.setInterval(() => look(), LOOK_MS);
    return () => window.clearInterval(timer);
  }, [clock, running]);
}
