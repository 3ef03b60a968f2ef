import { mirrored, prepare, type Prepared, type Shown } from '@myokinet/core/motion';
import { ANY_BODY } from './anyBody.ts';
import { movementOf, type ShownThing } from '@myokinet/core/movements';

/** On which side a movement is shown: as it is written, or in a mirror. */
export type ShownSide = 'as written' | 'mirrored';

/** Works a movement out on a body; where its build cannot reach, on anybody's. */
export function workOut(thing: ShownThing, shown: Shown, side: ShownSide): Prepared {
  const written = movementOf(thing);
  const movement = side === 'mirrored' ? mirrored(written) : written;
  try {
    return prepare(movement, shown);
  } catch {
    return prepare(movement, ANY_BODY);
  }
}
