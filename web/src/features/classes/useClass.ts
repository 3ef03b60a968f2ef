import { type ClassDeed, type ClassLook, classOf, type ClassState, classTime, isOut, looked } from '@myokinet/core/classes';
import { EMPTY_LIBRARY, type Library, openLibrary } from '@myokinet/core/library';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useSelector, useStore } from 'react-redux';
import type { Problem } from '../../client/problem.ts';
import { classTimeNow } from './classClock.ts';
import type { ClassesState, ClassRun } from './classRuns.ts';
import { classes, type ClassHome } from './classSync.ts';

/** How often a class asks what other devices did. */
const LOOK_AGAIN_MS = 2000;
const TICK_MS = 100;
const WITNESS_MS = 250;

/** A class on this page. */
export interface OpenClass {
  readonly id: string;
  readonly run: ClassRun;
  readonly state: ClassState;
  readonly library: Library;
  readonly happen: (deed: ClassDeed) => void;
}

/** Opens a class and keeps it in step with the server and other devices. */
export function useClass(id: string): {
  readonly open: OpenClass | undefined;
  readonly problem: Problem | undefined;
  readonly again: () => void;
} {
  const home = useStore() as ClassHome;
  const run = useSelector((state: ClassesState) => state.classes[id]);
  const [problem, setProblem] = useState<Problem | undefined>();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let gone = false;
    void classes.open(home, id).then((found) => {
      if (!gone) setProblem(found);
    });
    return () => {
      gone = true;
    };
  }, [home, id, tries]);
  useEffect(() => {
    const look = () => void classes.sync(home, id);
    const timer = window.setInterval(look, LOOK_AGAIN_MS);
    window.addEventListener('online', look);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', look);
    };
  }, [home, id]);
  const content = run?.pack.content;
  const library = useMemo(() => openLibrary({ ...EMPTY_LIBRARY, ...content }), [content]);
  const head = run?.pack.head;
  const members = run?.pack.members;
  const events = run?.events;
  const state = useMemo(() => (head && members && events ? classOf(head, members, events) : undefined), [head, members, events]);
  useWitness(home, id, state);
  useStopped(home, id, state, run?.stopped);
  return {
    open: run && state && { id, run, state, library, happen: (deed) => void classes.happen(home, id, deed) },
    problem,
    again: () => setTries(tries + 1),
  };
}

/** A stretch of work that runs to its end before this device’s eyes is told; one that went by while it slept is not. */
function useWitness(home: ClassHome, id: string, state: ClassState | undefined): void {
  const before = useRef<ClassLook | undefined>(undefined);
  const clock = state?.clock;
  const moments = state?.head.moments;
  const over = state === undefined || state.closed !== undefined || state.givenUp;
  const passed = state?.passed;
  useEffect(() => {
    if (over || !clock || !moments) return undefined;
    const look = () => {
      const { look: now, seen } = looked(before.current, clock, classTimeNow.now(), moments);
      before.current = now;
      for (const moment of seen)
        if (moments[moment]?.kind === 'work' && !passed?.has(moment)) void classes.happen(home, id, { kind: 'passed', moment });
    };
    look();
    const timer = window.setInterval(look, WITNESS_MS);
    return () => {
      window.clearInterval(timer);
      // What ended since the last look was seen under the clock as it was.
      look();
    };
  }, [home, id, over, clock, moments, passed]);
}

/** A stop sign that came from elsewhere takes its trainee out of the class, from this moment on. */
function useStopped(home: ClassHome, id: string, state: ClassState | undefined, stopped: ClassRun['stopped'] | undefined): void {
  useEffect(() => {
    if (!state || !stopped || state.closed || state.givenUp) return;
    const { moment } = classTime(state.clock, classTimeNow.now(), state.head.moments);
    for (const one of state.members) {
      const who = one.member.traineeId;
      if (stopped[who] && one.member.items.length > 0 && !isOut(one, moment))
        void classes.happen(home, id, { kind: 'sits', who, moment, out: true });
    }
  }, [home, id, state, stopped]);
}

/** Where the clock is, to the moment, or to the second for whoever shows it. */
export interface ShownTime {
  readonly moment: number;
  readonly running: boolean;
  readonly seconds: number;
}

function subscribe(changed: () => void): () => void {
  const timer = window.setInterval(changed, TICK_MS);
  return () => window.clearInterval(timer);
}

/** @param grain `moment` redraws when the moment or the running changes, `second` as seconds go by too */
export function useClassTime({ clock, head }: ClassState, grain: 'moment' | 'second'): ShownTime {
  const shown = useSyncExternalStore(subscribe, () => {
    const { moment, left, running } = classTime(clock, classTimeNow.now(), head.moments);
    return `${moment} ${running ? 1 : 0} ${grain === 'second' ? Math.ceil(left / 1000) : 0}`;
  });
  const [moment = 0, running = 0, seconds = 0] = shown.split(' ').map(Number);
  return { moment, running: running === 1, seconds };
}
