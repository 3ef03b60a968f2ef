import type { OwnItem } from '@myokinet/core/contracts';
import { SIDES, type Side } from '@myokinet/core/anatomy';
import { takesTurns } from '@myokinet/core/drills';
import { paceAt, type PaceMoment, paceOf, tonesOf } from '@myokinet/core/floor';
import { useEffect, useState } from 'react';
import { FloorClock } from '../client/floorClock.ts';
import { voice } from '../client/voice.ts';

/** One for the page: a browser gives sound to few. */
export const clock = new FloorClock();

/** Seconds to get into place, before a set and between its sides (project default). */
const INTO_PLACE = 5;
const LOOK_MS = 100;

/** A set that runs by the clock: what it shows now. */
export type Running =
  /** Getting into place. */
  | { readonly is: 'waiting'; readonly seconds: number; readonly side: Side | undefined }
  | { readonly is: 'running'; readonly moment: PaceMoment; readonly side: Side | undefined };

/** Each side of a set, with the moment at which it begins, in seconds from the press. */
function legsOf(item: OwnItem, amount: number) {
  const dose = {
    unit: item.unit,
    perSide: item.perSide,
    ...(item.beat ? { tempo: item.beat } : {}),
    ...(item.course ? { course: item.course } : {}),
  };
  const pace = paceOf(dose, amount);
  const sides: readonly (Side | undefined)[] = item.perSide && !takesTurns(dose) ? SIDES : [undefined];
  return sides.map((side, i) => ({ side, pace, from: INTO_PLACE + i * (pace.seconds + INTO_PLACE) }));
}

/**
 * Runs one set on the floor’s pacer, with its tones; it ends by itself and counts nothing: what was done is told by a tap.
 *
 * @param run the press that started it, as a moment of the clock; absent: nothing runs
 * @param paused it stands still, and goes on from there
 */
export function usePacedSet(
  item: OwnItem,
  amount: number,
  run: number | undefined,
  paused: boolean,
  over: () => void,
): Running | undefined {
  const [running, setRunning] = useState<Running>();
  const [stood, setStood] = useState(0);
  useEffect(() => {
    if (run === undefined) return;
    if (paused) {
      const since = clock.now();
      clock.hush();
      return () => setStood((s) => s + clock.now() - since);
    }
    const start = run + stood;
    const legs = legsOf(item, amount);
    clock.sound(
      legs.flatMap(({ pace, from }) => tonesOf(pace).map((tone) => ({ ...tone, at: tone.at + from }))),
      start,
    );
    let said: Side | undefined;
    const look = () => {
      const at = clock.now() - start;
      const leg = legs.findLast(({ from }) => at >= from - INTO_PLACE);
      if (!leg) return;
      const { side, pace, from } = leg;
      if (side && side !== said) voice.say(`${side} side`);
      said = side;
      if (at < from) setRunning({ is: 'waiting', seconds: Math.ceil(from - at), side });
      else if (at < from + pace.seconds) setRunning({ is: 'running', moment: paceAt(pace, at - from), side });
      else {
        setRunning(undefined);
        over();
      }
    };
    const timer = setInterval(look, LOOK_MS);
    return () => {
      clearInterval(timer);
      clock.hush();
    };
  }, [item, amount, run, paused, stood, over]);
  return run === undefined ? undefined : running;
}
