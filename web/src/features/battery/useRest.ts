import { restAfterTrial, type TrialStep } from '@myokinet/core/checking';
import type { Measure } from '@myokinet/core/measuring';
import { useEffect, useState } from 'react';

const SECOND = 1000;

/** Seconds for which a side still rests before its next trial; nothing where nothing tires, and for its first. */
export function useRest(
  measure: Measure,
  step: TrialStep,
  texts: (key: string) => string,
): { readonly left: number; readonly over: () => void } {
  /** When the trial before was entered, by side. */
  const [entered, setEntered] = useState<Readonly<Record<string, number>>>({});
  const [seen, setSeen] = useState<Readonly<Record<string, string>>>({});
  const [moment, setMoment] = useState(() => performance.now());
  const rest = restAfterTrial(measure);
  const text = texts(step.key);
  // A figure that has come in since the last look was taken now; one that was there from the start has rested.
  if (rest > 0 && seen[step.key] === undefined) setSeen({ ...seen, [step.key]: text });
  else if (rest > 0 && text !== '' && seen[step.key] === '') {
    setSeen({ ...seen, [step.key]: text });
    setEntered({ ...entered, [step.side]: moment });
  }
  const since = entered[step.side];
  const left = text === '' && since !== undefined ? Math.max(0, Math.ceil(rest - (moment - since) / SECOND)) : 0;
  useEffect(() => {
    if (rest === 0) return;
    const beat = setInterval(() => setMoment(performance.now()), SECOND);
    return () => clearInterval(beat);
  }, [rest]);
  const { [step.side]: _, ...others } = entered;
  return { left, over: () => setEntered(others) };
}
