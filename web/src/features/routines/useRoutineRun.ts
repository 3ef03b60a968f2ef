import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { begunRun, isOver, nextRun, type RoutineEvent, type RoutineMoment, type RoutineRun } from '@myokinet/core/routines';
import { useCallback, useEffect, useState } from 'react';
import { FloorClock } from '../../client/floorClock.ts';
import { newId } from '../../client/newId.ts';
import { keep, readKept } from '../../client/onDevice.ts';
import { useWakeLock } from '../../client/useWakeLock.ts';
import { voice } from '../../client/voice.ts';

/** One for the page: a browser gives sound to few. */
const clock = new FloorClock();
const LOOK_MS = 100;

interface KeptRun extends RoutineRun {
  readonly id: string;
  readonly day: CalendarDay;
  readonly limits: string;
}
/** By the device’s own clock, right or wrong: it is only held against itself, and known before a server is heard. */
const today = (): CalendarDay => calendarDay(new Date());

interface Running {
  /** Under which it goes on record: a second tab, or a reload, tells the same run once. */
  readonly id: string;
  readonly run: RoutineRun;
  readonly running: boolean;
  readonly over: boolean;
  readonly press: (event: 'go' | 'stand' | 'skip' | 'back') => void;
  /** Forgets what is kept on this device. */
  readonly forget: () => void;
}

interface RunOptions {
  /** The name under which it is kept on this device: another revision or trainee is another run. */
  readonly kept: string;
  /** What the trainee might do when it began: under other limits it is another run too. */
  readonly limits: string;
  readonly moments: readonly RoutineMoment[];
  /** What is spoken when a moment begins. */
  readonly says: (moment: RoutineMoment) => string;
}

/** Runs through moments by the clock, with a tone at each change; a reload comes back where it was, standing still. */
export function useRoutineRun({ kept, limits, moments, says }: RunOptions): Running {
  const key = `myokinet.routine.${kept}`;
  const [{ id, start }] = useState(() => {
    const before = readKept<KeptRun | null>(key, null);
    // What was begun on another day is over.
    if (before?.day !== today() || before.limits !== limits || before.at > moments.length) return { id: newId(), start: begunRun(moments) };
    const { at, left, gone } = before;
    return { id: before.id, start: { at, left, gone } };
  });
  const [run, setRun] = useState<RoutineRun>(start);
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
    if (at > 0 || gone.length > 0) keep(key, { id, day: today(), limits, at, left: moments[at]?.seconds ?? 0, gone });
  }, [key, id, limits, at, gone, moments]);
  const spoken = running && moment ? says(moment) : '';
  useEffect(() => {
    if (spoken === '') return;
    clock.sound([{ at: 0, pitch: moment?.kind === 'drill' ? 'turn' : 'hold' }], clock.now() + 0.02);
    voice.say(spoken);
  }, [at, spoken, moment?.kind]);
  return {
    id,
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
