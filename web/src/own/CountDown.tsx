import { useEffect, useRef, useState } from 'react';
import { voice } from '../client/voice.ts';

interface CountDownProps {
  /** A moment of the page’s steady clock, in milliseconds. */
  readonly until: number;
  /** Stands still meanwhile, and goes on with what was left. */
  readonly paused: boolean;
  readonly says: string;
  readonly over: () => void;
}

const TICK_MS = 200;

/** Seconds that are left; it shows that they are over and counts nothing by itself. */
export function CountDown({ until, paused, says, over }: CountDownProps) {
  const [left, setLeft] = useState(() => until - performance.now());
  const ends = useRef(until);
  useEffect(() => {
    ends.current = until;
  }, [until]);
  useEffect(() => {
    if (paused) {
      const stoodStill = performance.now();
      return () => {
        ends.current += performance.now() - stoodStill;
      };
    }
    const timer = setInterval(() => {
      const now = ends.current - performance.now();
      setLeft(now);
      if (now <= 0) {
        navigator.vibrate?.(200);
        voice.say('Rest is over');
        over();
      }
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [paused, over]);
  return (
    <p role="timer" className="py-1 text-center leading-none">
      <span className="text-5xl font-semibold">{Math.max(0, Math.ceil(left / 1000))}</span>{' '}
      <span className="aside">{paused ? 'stands still' : says}</span>
    </p>
  );
}
