import type { Drill } from '@myokinet/core/drills';
import { useState } from 'react';
import { MovingBody } from '../../kit/body/MovingBody.tsx';
import { ANY_BODY } from '../../kit/body/anyBody.ts';
import { useMovement } from '../../kit/body/useMovement.ts';

/** The drill as it is done, at its own tempo. */
export function DrillMotion({ drill }: { readonly drill: Drill }) {
  const [mirrored, setMirrored] = useState(false);
  const prepared = useMovement(drill, ANY_BODY, mirrored ? 'mirrored' : 'as written');
  if (!prepared) return <div className="aspect-[4/3]" aria-busy="true" />;
  return (
    <MovingBody
      key={drill.id}
      prepared={prepared}
      beat={drill.dose.tempo}
      label={`${drill.name}, shown`}
      sides={prepared.movement.sided && { mirrored, turn: setMirrored }}
    />
  );
}
