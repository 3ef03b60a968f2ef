import { useEffect, useRef, useState } from 'react';
import { stopwatch } from '../instruments/index.ts';

/** A hold being timed. */
export function useStopwatch() {
  const [watch] = useState(stopwatch);
  const [running, setRunning] = useState(false);
  const [seconds, setSeconds] = useState(0);
  const latest = useRef(0);
  useEffect(() => () => watch.stop(), [watch]);
  return {
    name: watch.name,
    running,
    seconds,
    start: () => {
      setSeconds(0);
      setRunning(true);
      const reading = (_: number, value: number) => {
        latest.current = value;
        setSeconds(value);
      };
      watch.stream({ reading, lost: () => setRunning(false) });
    },
    /** Ends the time and gives it, in seconds. */
    stop: (): number => {
      watch.stop();
      setRunning(false);
      return latest.current;
    },
  };
}
