import { responseInWords, cautionInWords, stopSignInWords } from '@myokinet/core/words';
import type { FloorPerson } from './floorPeople.ts';
import { responseInRun } from './useFloorTools.ts';
import { usePedal } from './usePedal.ts';

/** Everything that stops loaded work now; a page has to be told each of them once. */
export function stopsOf({ run, kept, holds, felt }: Pick<FloorPerson, 'run' | 'kept' | 'holds' | 'felt'>): readonly string[] {
  // Pressed on this device: the server's own sentence about it may still be on its way.
  const told = kept.cautions.some((c) => c.id === 'emergency');
  const pressed = told ? [] : holds.cautions.filter((c) => c.id === 'emergency').map(cautionInWords);
  return [
    ...new Set([
      ...pressed,
      ...run.symptoms.flatMap((s) => stopSignInWords(s, { ...felt, history: [...felt.history, ...run.symptoms] }) ?? []),
      ...kept.holds,
    ]),
  ];
}

interface StoppedProps {
  readonly person: FloorPerson;
  readonly end: () => void;
  /** To what may still be done; absent where nothing may. */
  readonly goOn: (() => void) | undefined;
}

/** A stop sign or a lock: why, what it closes, and what to do. */
export function Stopped({ person, end, goOn }: StoppedProps) {
  const response = responseInRun(person);
  const reasons = response.act === 'stop' ? [responseInWords(response.finding)] : stopsOf(person);
  usePedal({ on: end, back: goOn });
  const drills = new Set(person.open.map((s) => s.itemId)).size;
  return (
    <section role="alert" className="my-auto border-s-8 border-error bg-error/10 px-5 py-6">
      <h1 className="text-4xl">Stop</h1>
      {reasons.map((reason) => (
        <p key={reason} className="mt-3 text-2xl leading-snug">
          {reason}
        </p>
      ))}
      <p className="mt-3 text-lg">
        Loaded drills are closed, and those that work the part that hurts. Everything logged is kept. Sharp pain, numbness or weakness that
        lasts is for a licensed professional.
      </p>
      <div className="mt-5 flex flex-col gap-2">
        <button type="button" className="btn btn-primary min-h-20 w-full text-2xl" onClick={end}>
          End the session
        </button>
        {goOn && (
          <button type="button" className="btn btn-outline min-h-16 w-full text-xl" onClick={goOn}>
            Go on with the rest: {drills} unloaded {drills === 1 ? 'drill' : 'drills'}
          </button>
        )}
      </div>
    </section>
  );
}
