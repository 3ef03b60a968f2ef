import { begunRun, isOver, nextRun, type RoutineEvent, type RoutineMoment, type RoutineRun } from '@myokinet/core/routines';
import { useCallback, useEffect, useState } from 'react';
import { FloorClock } from '../../client/floorClock.ts';
import { keep, readKept } from '../../client/onDevice.ts';
import { useWakeLock } from '../../client/useWakeLock.ts';
import { voice } from '../../client/voice.ts';

/** One for the page: a browser gives sound to few. */
const clock = new FloorClock();
const LOOK_MS = 100;

interface Running {
  readonly run: RoutineRun;
  readonly running: boolean;
  readonly over: boolean;
  readonly press: (event: 'go' | 'stand' | 'skip' | 'back') => void;
  /** Forgets what is kept on this device. */
  readonly forget: () => void;
}

/**
 * Runs through moments by the clock, with a tone at each change; a reload comes back where it was, standing still.
 *
 * @param kept the name under which it is kept on this device: another routine or trainee is another run
 * @param says what is spoken when a moment begins
 */
export function useRoutineRun(kept: string, moments: readonly RoutineMoment[], says: (moment: RoutineMoment) => string): Running {
  const key = `myokinet.routine.${kept}`;
  const [run, setRun] = useState<RoutineRun>(() => {
    const before = readKept<RoutineRun | undefined>(key, undefined);
    return before && before.at < moments.length ? { ...before, seen: undefined } : begunRun(moments);
  });
  const happen = useCallback((event: RoutineEvent) => setRun((before) => nextRun(before, event, moments)), [moments]);
  const running = run.seen !== undefined;
  useWakeLock();
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => happen({ kind: 'tick', now: clock.now() }), LOOK_MS);
    return () => clearInterval(timer);
  }, [running, happen]);
  const { at, gone } = run;
  const moment = moments[at];
  useEffect(() => {
    if (at > 0 || gone.length > 0) keep(key, { at, left: moments[at]?.seconds ?? 0, gone });
  }, [key, at, gone, moments]);
  const spoken = running && moment ? says(moment) : '';
  useEffect(() => {
    if (spoken === '') return;
    clock.sound([{ at: 0, pitch: moment?.kind === 'drill' ? 'turn' : 'hold' }], clock.now() + 0.02);
    voice.say(spoken);
  }, [at, spoken, moment?.kind]);
  return {
    run,
    running,
    over: isOver(run, moments),
    press: (kind) => {
      if (kind !== 'go') happen({ kind });
      else void clock.wake().then(() => happen({ kind, now: clock.now() }));
    },
    forget: () => keep(key, null),
  };
}
