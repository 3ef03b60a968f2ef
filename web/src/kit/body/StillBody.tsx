import { type Movement, type Shown, tellingTravel, type Travel } from '@myokinet/core/motion';
import type { ShownThing } from '@myokinet/core/movements';
import { BodyFigure } from './BodyFigure.tsx';
import { useNearScreen } from './useNearScreen.ts';
import { ANY_BODY } from './anyBody.ts';
import { useMovement } from './useMovement.ts';

export interface StillBodyProps {
  readonly of: ShownThing;
  /** What it is held against: seen from the same side, with the same part from near. */
  readonly as?: ShownThing;
  /** The point of the movement; absent: the one that tells most. */
  readonly at?: ((movement: Movement) => Travel) | undefined;
  readonly shown?: Shown;
  /** Pixels of a square. */
  readonly size: number;
  readonly paper?: string;
  readonly label?: string;
}

/** A drill or check at the point of its movement that tells most; a hand's work from near. Keeps its room while it is worked out. */
export function StillBody({ of, as, at, shown = ANY_BODY, size, paper, label }: StillBodyProps) {
  const [ref, near] = useNearScreen<HTMLSpanElement>();
  const prepared = useMovement(near ? of : undefined, shown);
  const likeness = useMovement(near ? as : undefined, shown);
  if (!prepared || (as && !likeness)) return <span ref={ref} className="block" style={{ width: size, height: size }} aria-hidden />;
  const { movement } = prepared;
  const looked = (likeness ?? prepared).movement;
  const crop = looked.closeUp && looked.closeUp !== 'blades' ? { of: looked.closeUp } : undefined;
  return (
    <BodyFigure
      prepared={prepared}
      travel={(at ?? tellingTravel)(movement)}
      view={(crop && looked.closeFrom) ?? looked.view}
      crop={crop}
      size={size}
      {...(paper ? { paper } : {})}
      {...(label ? { label } : {})}
    />
  );
}
