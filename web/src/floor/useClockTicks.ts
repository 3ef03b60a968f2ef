import { useEffect, useEffectEvent, useState } from 'react';
import type { FloorClock } from './floorClock.ts';

/** Ticks for a page that is not looked at: drawing stops there, time does not. */
const HIDDEN_MS = 200;

/** The floor's seconds, drawn anew with every frame while something runs; what is due by then is done. */
export function useClockTicks(clock: FloorClock, running: boolean, due: (now: number) => void): number {
  const [now, setNow] = useState(() => clock.now());
  const tick = useEffectEvent(() => {
    const at = clock.now();
    setNow(at);
    due(at);
  });
  useEffect(() => {
    if (!running) return;
    let frame = 0;
    const draw = () => {
      tick();
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    const slow = window.setInterval(() => tick(), HIDDEN_MS);
    return () => {
      cancelAnimationFrame(frame);
      window.clearInterval(slow);
    };
  }, [clock, running]);
  return now;
}
