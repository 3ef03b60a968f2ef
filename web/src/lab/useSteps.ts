import { useCallback, useEffect, useState } from 'react';

interface Steps<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** What the last step stood at: what lies between is one movement of a handle. */
  readonly step: T;
}

const MOST_STEPS = 60;
/** A dial that has not moved for this long has been turned. */
const STILL_MS = 400;

/** A value under a coach's hands with undo and redo; a whole drag counts as one step. */
export function useSteps<T>(initial: () => T) {
  const [steps, setSteps] = useState<Steps<T>>(() => {
    const now = initial();
    return { past: [], now, future: [], step: now };
  });
  const { now, step } = steps;
  useEffect(() => {
    if (now === step) return undefined;
    const timer = setTimeout(() => setSteps(stepped), STILL_MS);
    return () => clearTimeout(timer);
  }, [now, step]);
  const put = useCallback((change: (value: T) => T) => setSteps((s) => ({ ...s, now: change(s.now) })), []);
  return {
    value: now,
    put,
    canUndo: steps.past.length > 0 || now !== step,
    canRedo: steps.future.length > 0 && now === step,
    undo: () => setSteps((s) => back(stepped(s))),
    redo: () => setSteps(forth),
  };
}

/** What has moved since the last step becomes one. */
function stepped<T>(s: Steps<T>): Steps<T> {
  return s.now === s.step ? s : { past: [...s.past, s.step].slice(-MOST_STEPS), now: s.now, future: [], step: s.now };
}

function back<T>(s: Steps<T>): Steps<T> {
  if (s.past.length === 0) return s;
  const to = s.past.at(-1) as T;
  return { past: s.past.slice(0, -1), now: to, step: to, future: [s.now, ...s.future] };
}

function forth<T>(s: Steps<T>): Steps<T> {
  const [to, ...future] = s.future;
  return to === undefined || s.now !== s.step ? s : { past: [...s.past, s.now], now: to, step: to, future };
}
