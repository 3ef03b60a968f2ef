import { armLoadOf } from '@myokinet/core/drills';
import type { Step } from '@myokinet/core/floor';
import { rampSets } from '@myokinet/core/planning';
import { setUpInWords } from '@myokinet/core/statics';
import { useMemo } from 'react';
import type { FloorPerson } from './floorPeople.ts';

/** So much of a load has been led up to by what was done before it. */
const LED_UP = 0.7;

/** Before the first set of a loaded drill: two easy ones that are not logged. */
export function RampLine({ person, step }: { readonly person: FloorPerson; readonly step: Step }) {
  const { library, body, run } = person;
  const { drill, round } = step;
  const sets = useMemo(() => {
    const load = armLoadOf(drill);
    const led = run.items
      .flatMap((i) => i.done)
      .some((set) => {
        const done = library.asPlanned(set.as);
        return done.handLoad?.direction === drill.handLoad?.direction && armLoadOf(done) >= LED_UP * load;
      });
    return round > 1 || led ? [] : rampSets(drill, body);
  }, [drill, round, run, library, body]);
  if (sets.length === 0) return null;
  return (
    <p className="border-s-4 border-secondary ps-3 text-lg leading-snug">
      First two easy sets, not logged:{' '}
      {sets.map(({ part, setUp }) => `${Math.round(part * 100)}%${setUp ? ` (${setUpInWords(setUp)})` : ''}`).join(', then ')} of the load
      {sets.some(({ setUp }) => !setUp) && ': hands higher, knees down, or feet helping'}.
    </p>
  );
}
