import { type ReactNode, useEffect, useState } from 'react';
import type { FloorClock } from '../../client/floorClock.ts';

/** What has to be drawn anew with every frame, and nothing around it. */
export function Ticking({ clock, children }: { readonly clock: FloorClock; readonly children: (now: number) => ReactNode }) {
  const [now, setNow] = useState(() => clock.now());
  useEffect(() => {
    let frame = requestAnimationFrame(function draw() {
      setNow(clock.now());
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [clock]);
  return children(now);
}
