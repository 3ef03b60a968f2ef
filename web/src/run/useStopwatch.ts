import { useCallback, useEffect, useRef, useState } from 'react';

/** A stopwatch on the page's own clock, which does not jump when the computer's is set. */
export function useStopwatch() {
  const startedAt = useRef<number | undefined>(undefined);
  const [running, setRunning] = useState(false);
  const [seconds, setSeconds] = useState(0);

  useEffect(() => {
    if (!running) return undefined;
    let frame = requestAnimationFrame(function tick() {
      setSeconds((performance.now() - (startedAt.current ?? 0)) / 1000);
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [running]);

  const start = useCallback(() => {
    startedAt.current = performance.now();
    setSeconds(0);
    setRunning(true);
  }, []);
  /** Ends the time and gives it, in seconds. */
  const stop = useCallback(() => {
    const time = (performance.now() - (startedAt.current ?? performance.now())) / 1000;
    setRunning(false);
    setSeconds(time);
    return time;
  }, []);
  return { running, seconds, start, stop };
}
