import type { Side } from '@myokinet/core/anatomy';
import { takesTurns } from '@myokinet/core/drills';
import type { Pace } from '@myokinet/core/floor';
import { paceAt } from '@myokinet/core/floor';
import type { Step } from '@myokinet/core/floor';
import { type Beat, momentAt, type Prepared, SHOWN_BEAT, stripOf, travelIn } from '@myokinet/core/motion';
import { useMemo } from 'react';
import { BodyFigure } from '../../kit/body/BodyFigure.tsx';
import { BodyStrip } from '../../kit/body/BodyStrip.tsx';
import { shownBody } from '../../kit/body/shownBody.ts';
import { useMovement } from '../../kit/body/useMovement.ts';
import { useStillness } from '../../kit/body/useStillness.ts';
import type { FloorClock } from '../../client/floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { Ticking } from './Ticking.tsx';

interface FloorFigureProps {
  readonly clock: FloorClock;
  readonly person: FloorPerson;
  readonly step: Step;
  /** The set that is counted: the same clock moves the figure. Absent: it shows how the set will be done. */
  readonly counted?: { readonly pace: Pace; readonly seconds: (now: number) => number } | undefined;
}

/** The drill on this trainee's body, on the side that is next, as it is done. */
export function FloorFigure({ clock, person, step, counted }: FloorFigureProps) {
  const { drill } = step;
  const { trainee } = person.kept.pack;
  const shown = useMemo(() => shownBody(trainee), [trainee]);
  // Where the sides take turns the figure does too, left first.
  const first = step.side === 'left' || takesTurns(drill.dose) ? 'mirrored' : 'as written';
  const prepared = useMovement(drill, shown, first);
  const onRight = useMovement(drill, shown, takesTurns(drill.dose) ? 'as written' : first);
  const still = useStillness();
  const label = `${drill.name}: ${drill.position}`;
  if (!prepared) return <div className="h-full w-full" aria-busy="true" />;
  if (still || stripOf(prepared.movement).length === 1)
    return <BodyStrip prepared={prepared} view={prepared.movement.view} label={label} />;
  return (
    <Ticking clock={clock}>
      {(now) => (
        <BodyFigure
          prepared={counted && onRight && turnAt(counted, now) === 'right' ? onRight : prepared}
          travel={
            counted ? countedTravel(prepared, counted.pace, counted.seconds(now)) : momentAt(prepared.movement, beatOf(drill), now).travel
          }
          view={prepared.movement.view}
          label={label}
        />
      )}
    </Ticking>
  );
}

const beatOf = ({ dose }: Step['drill']): Beat => dose.tempo ?? SHOWN_BEAT;

function turnAt({ pace, seconds }: NonNullable<FloorFigureProps['counted']>, now: number): Side | undefined {
  return paceAt(pace, seconds(now)).turn;
}

function countedTravel({ movement }: Prepared, pace: Pace, seconds: number): number {
  const { part, from, until, otherWay } = paceAt(pace, seconds);
  const share = until > from ? Math.min(1, Math.max(0, (seconds - from) / (until - from))) : 1;
  const travel = travelIn(movement, part, share, seconds);
  // What goes round goes the other way by going backward.
  return otherWay && movement.round ? 1 - travel : travel;
}
