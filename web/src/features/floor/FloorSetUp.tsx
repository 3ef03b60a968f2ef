import { EQUIPMENT, standInsFor, standInsInWords } from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import type { Step } from '@myokinet/core/floor';
import { setUpInWords, supportOn } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { scaleToShow } from '../../kit/scaleToShow.ts';
import type { FloorClock } from '../../client/floorClock.ts';
import { FloorFigure } from './FloorFigure.tsx';
import type { FloorPerson } from './floorPeople.ts';

/** How the drill is arranged on this trainee: figure, words, and what the hands then carry with its band. */
export function FloorSetUp({ clock, person, step }: { readonly clock: FloorClock; readonly person: FloorPerson; readonly step: Step }) {
  const { drill } = step;
  const { body, kept } = person;
  const standIn = standInsInWords(standInsFor(drill, kept.pack.trainee.equipment));
  const words = useMemo(() => setUpWords(drill, body), [drill, body]);
  return (
    <figure className="flex items-center gap-4">
      <div className="size-32 flex-none sm:size-44 lg:size-72 low:size-32">
        <FloorFigure clock={clock} person={person} step={step} />
      </div>
      <figcaption className="min-w-0 flex-1 text-lg leading-snug">
        {words ? (
          <>
            <span className="block">{words.arranged}</span>
            {words.load && <span className="block font-semibold">{words.load}</span>}
            {words.problem && <span className="state-mark block">{words.problem}</span>}
          </>
        ) : (
          <span className="block">{capital(drill.position)}.</span>
        )}
        {drill.equipment.length > 0 && <span className="aside block">With {drill.equipment.map((e) => EQUIPMENT[e]).join(', ')}.</span>}
        {standIn && <span className="block">{standIn}</span>}
      </figcaption>
    </figure>
  );
}

function setUpWords({ support }: Step['drill'], body: FloorPerson['body']) {
  if (!support) return undefined;
  try {
    const { setUp, reading, problem } = supportOn(body, support);
    const scale = scaleToShow(setUp, reading);
    const { low, high } = reading.bands.loadShare;
    const load = `${percent(reading.loadShare)}% of body weight on the arms (model, ${percent(low)}–${percent(high)}%)`;
    return {
      arranged: `${capital(setUpInWords(setUp))}${scale ? ` (a scale under the ${scale.under} shows ${Math.round(scale.kg)} kg)` : ''}.`,
      load,
      problem,
    };
  } catch (error) {
    if (error instanceof Refusal) return { arranged: '', load: '', problem: error.detail };
    throw error;
  }
}

function percent(share: number): number {
  return Math.round(share * 100);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
