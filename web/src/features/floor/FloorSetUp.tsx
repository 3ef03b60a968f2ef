import { EQUIPMENT, standInsFor, standInsInWords } from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import type { Step } from '@myokinet/core/floor';
import { setUpInWords, supportOn } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { figureOn } from '../../kit/figure.ts';
import { scaleToShow } from '../../kit/scaleToShow.ts';
import { SetUpFigure } from '../../kit/SetUpFigure.tsx';
import { buildOf } from '../trainee/index.ts';
import type { FloorPerson } from './floorPeople.ts';

/** Before the styles of the page decide. */
const SIZE = 144;

/** How the drill is arranged on this trainee: figure, words, and what the hands then carry with its band. */
export function FloorSetUp({ person, step }: { readonly person: FloorPerson; readonly step: Step }) {
  const { drill } = step;
  const { body, kept } = person;
  const figure = useMemo(() => figureOn(drill, buildOf(kept.pack.trainee), body), [drill, kept.pack.trainee, body]);
  const standIn = standInsInWords(standInsFor(drill, kept.pack.trainee.equipment));
  const words = useMemo(() => setUpWords(drill, body), [drill, body]);
  return (
    <figure className="flex items-center gap-4 [&_svg]:size-28 sm:[&_svg]:size-36 lg:[&_svg]:size-56">
      <SetUpFigure figure={figure} size={SIZE} label={`${drill.name}: ${drill.position}`} />
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
