import type { Prepared, Shown } from '@myokinet/core/motion';
import type { ShownDrill, ShownThing } from '@myokinet/core/movements';
import { type Remote, wrap } from 'comlink';
import { startTransition, useEffect, useState } from 'react';
import { ANY_BODY } from './anyBody.ts';
import type { Mover } from './movementWorker.ts';
import type { ShownSide } from './workOut.ts';

/** Worked-out movements by what is shown, side and body; and those under way. */
const kept = new Map<string, Prepared>();
const underWay = new Map<string, Promise<Prepared>>();

/**
 * Movements are worked out away from the page, and come when a figure is first wanted: they are no part of what the program starts
 * with. Where there are no workers they are worked out here.
 */
let mover: Promise<Mover | Remote<Mover>> | undefined;
const moverHere = (): Promise<Mover | Remote<Mover>> =>
  (mover ??=
    typeof Worker === 'undefined'
      ? import('./workOut.ts')
      : Promise.resolve(wrap<Mover>(new Worker(new URL('./movementWorker.ts', import.meta.url), { type: 'module' }))));

function nameOf(thing: ShownThing): string {
  if ('fault' in thing) return `fault ${thing.fault} ${nameOf(thing.drill)}`;
  return `${'check' in thing ? `check ${thing.check}` : (thing.movement ?? thing.id)} ${thing.pose}`;
}

const keyOf = (thing: ShownThing, side: ShownSide, { sex, stature, armM, legM }: Shown) =>
  [nameOf(thing), side, sex, stature, armM, legM].join('|');

/** What of a thing decides how it moves: it crosses to the worker, and nothing else of a drill does. */
function outline(thing: ShownDrill): ShownDrill;
function outline(thing: ShownThing): ShownThing;
function outline(thing: ShownThing): ShownThing {
  if ('fault' in thing) return { fault: thing.fault, drill: outline(thing.drill) };
  if ('check' in thing) return { check: thing.check, pose: thing.pose };
  const { id, pose, movement } = thing;
  return movement === undefined ? { id, pose } : { id, pose, movement };
}

async function workedOut(key: string, thing: ShownThing, shown: Shown, side: ShownSide): Promise<void> {
  const { sex, stature, armM, legM } = shown;
  const made = underWay.get(key) ?? moverHere().then((m) => m.workOut(outline(thing), { sex, stature, armM, legM }, side));
  underWay.set(key, made);
  try {
    kept.set(key, await made);
  } finally {
    underWay.delete(key);
  }
}

/**
 * A movement worked out for a body; nothing until it is.
 *
 * @param thing a drill or a check
 */
export function useMovement(thing: ShownThing | undefined, shown: Shown = ANY_BODY, side: ShownSide = 'as written'): Prepared | undefined {
  const wanted = thing && keyOf(thing, side, shown);
  const [, setReady] = useState<string>();
  useEffect(() => {
    if (!thing || !wanted || kept.has(wanted)) return;
    let left = false;
    void workedOut(wanted, thing, shown, side).then(
      () => {
        // Thirty that come at once are drawn in slices: the page answers in between.
        if (!left) startTransition(() => setReady(wanted));
      },
      // Without its figure a page still says everything in words.
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [thing, wanted, shown, side]);
  return wanted ? kept.get(wanted) : undefined;
}
