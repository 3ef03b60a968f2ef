import { type Beat, momentAt, type Prepared } from '@myokinet/core/motion';
import { useEffect, useRef, useState } from 'react';

/** Frames a second: enough for slow work, and half of what a screen shows. */
const MOST_FRAMES = 30;

/** How far the movement has come while it plays; where it stands otherwise. */
export function usePlayed({ movement }: Prepared, beat: Beat, playing: boolean): readonly [number, (travel: number) => void] {
  const [travel, setTravel] = useState(0);
  const begun = useRef<number | undefined>(undefined);
  const { out, hold, back } = beat;
  useEffect(() => {
    if (!playing) {
      begun.current = undefined;
      return;
    }
    let shown = 0;
    let frame = requestAnimationFrame(function next(now) {
      begun.current ??= now;
      if (now - shown >= 1000 / MOST_FRAMES - 4) {
        shown = now;
        setTravel(momentAt(movement, { out, hold, back }, (now - begun.current) / 1000).travel);
      }
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, movement, out, hold, back]);
  return [travel, setTravel];
}
