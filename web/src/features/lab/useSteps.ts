import { useCallback, useEffect, useState } from 'react';
import { NO_STEPS, stepFrom, type Steps, travel } from '../../client/steps.ts';

interface Turned<T> {
  readonly steps: Steps<T>;
  readonly now: T;
  /** What the last step stood at: what lies between is one movement of a handle. */
  readonly step: T;
}

/** A dial that has not moved for this long has been turned. */
const STILL_MS = 400;

/** A value under a coach's hands with undo and redo; a whole drag counts as one step. */
export function useSteps<T>(initial: () => T) {
  const [turned, setTurned] = useState<Turned<T>>(() => {
    const now = initial();
    return { steps: NO_STEPS, now, step: now };
  });
  const { now, step, steps } = turned;
  useEffect(() => {
    if (now === step) return undefined;
    const timer = setTimeout(() => setTurned(settled), STILL_MS);
    return () => clearTimeout(timer);
  }, [now, step]);
  const put = useCallback((change: (value: T) => T) => setTurned((t) => ({ ...t, now: change(t.now) })), []);
  return {
    value: now,
    put,
    canUndo: steps.past.length > 0 || now !== step,
    canRedo: steps.future.length > 0 && now === step,
    undo: () => setTurned((t) => moved(settled(t), 'undo')),
    redo: () => setTurned((t) => (t.now === t.step ? moved(t, 'redo') : t)),
  };
}

/** What has moved since the last step becomes one. */
function settled<T>(t: Turned<T>): Turned<T> {
  return t.now === t.step ? t : { steps: stepFrom(t.steps, t.step), now: t.now, step: t.now };
}

function moved<T>(t: Turned<T>, way: 'undo' | 'redo'): Turned<T> {
  const travelled = travel(t.steps, way, t.now);
  return travelled ? { steps: travelled.steps, now: travelled.to, step: travelled.to } : t;
}
