import { type Movement, mirrored, prepare, type Prepared, type Shown } from '@myokinet/core/motion';
import type { ShownThing } from '@myokinet/core/movements';
import { useEffect, useState } from 'react';
import { whenIdle } from './whenIdle.ts';

/** The movements come when a figure is first wanted: they are no part of what the program starts with. */
let movements: Promise<typeof import('@myokinet/core/movements')> | undefined;
const loaded = () => (movements ??= import('@myokinet/core/movements'));

/** Worked-out movements by drill, side and body. */
const kept = new Map<string, Prepared>();

/** Nobody in particular: the body of the library's figures. */
export const ANY_BODY: Shown = { stature: 1.7 };

export type ShownSide = 'as written' | 'mirrored';

const nameOf = (thing: ShownThing) => ('check' in thing ? `check ${thing.check}` : (thing.movement ?? thing.id)) + ` ${thing.pose}`;

const keyOf = (key: string, side: ShownSide, { sex, stature, armM, legM }: Shown) => [key, side, sex, stature, armM, legM].join('|');

/**
 * A movement worked out for a body; nothing until it is.
 *
 * @param thing a drill or a check
 */
export function useMovement(thing: ShownThing | undefined, shown: Shown = ANY_BODY, side: ShownSide = 'as written'): Prepared | undefined {
  const wanted = thing && keyOf(nameOf(thing), side, shown);
  const [, setReady] = useState<string>();
  useEffect(() => {
    if (!thing || !wanted || kept.has(wanted)) return;
    let left = false;
    void loaded()
      .then((m) => whenIdle(() => (left ? undefined : workedOut(wanted, m.movementOf(thing), shown, side))))
      .then(() => {
        if (!left) setReady(wanted);
      });
    return () => {
      left = true;
    };
  }, [thing, wanted, shown, side]);
  return wanted ? kept.get(wanted) : undefined;
}

function workedOut(key: string, movement: Movement, shown: Shown, side: ShownSide): void {
  if (!kept.has(key)) kept.set(key, prepare(side === 'mirrored' ? mirrored(movement) : movement, shown));
}
