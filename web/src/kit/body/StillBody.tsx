import { type Shown, tellingTravel } from '@myokinet/core/motion';
import type { ShownThing } from '@myokinet/core/movements';
import { BodyFigure } from './BodyFigure.tsx';
import { useNearScreen } from './useNearScreen.ts';
import { ANY_BODY } from './anyBody.ts';
import { useMovement } from './useMovement.ts';

export interface StillBodyProps {
  readonly of: ShownThing;
  readonly shown?: Shown;
  /** How it begins, where that tells more than where it goes. */
  readonly begun?: boolean;
  /** Pixels of a square. */
  readonly size: number;
  readonly paper?: string;
  readonly label?: string;
}

/** A drill or check at the point of its movement that tells most; a hand's work from near. Keeps its room while it is worked out. */
export function StillBody({ of, shown = ANY_BODY, begun = false, size, paper, label }: StillBodyProps) {
  const [ref, near] = useNearScreen<HTMLSpanElement>();
  const prepared = useMovement(near ? of : undefined, shown);
  if (!prepared) return <span ref={ref} className="block" style={{ width: size, height: size }} aria-hidden />;
  const { movement } = prepared;
  const crop = movement.closeUp && movement.closeUp !== 'blades' ? { of: movement.closeUp } : undefined;
  return (
    <BodyFigure
      prepared={prepared}
      travel={begun ? 0 : tellingTravel(movement)}
      view={(crop && movement.closeFrom) ?? movement.view}
      crop={crop}
      size={size}
      {...(paper ? { paper } : {})}
      {...(label ? { label } : {})}
    />
  );
}
