import type { Shown } from '@myokinet/core/motion';
import type { ShownDrill } from '@myokinet/core/movements';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { BodyStrip } from './BodyStrip.tsx';
import { StillBody } from './StillBody.tsx';
import { useMovement } from './useMovement.ts';

interface PaperBodyProps {
  readonly of: ShownDrill;
  readonly shown: Shown;
  /** Pixels of the still; the strip is as high. */
  readonly size: number;
  readonly label: string;
}

/** A strip of two or three takes as many times the room of a still. */
const WIDER = 2.6;
/** The page is settled, and what only paper needs is made ready. */
const SETTLED_MS = 1500;

/** A drill as a still on the screen and as a strip of stills on paper, wherever on a long page it stands. */
export function PaperBody({ of, shown, size, label }: PaperBodyProps) {
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const later = setTimeout(() => setSettled(true), SETTLED_MS);
    return () => clearTimeout(later);
  }, []);
  const prepared = useMovement(settled ? of : undefined, shown);
  const onPaper = useSyncExternalStore(listen, isPaper);
  if (!onPaper || !prepared) return <StillBody of={of} shown={shown} size={size} />;
  const { view, closeUp, closeFrom } = prepared.movement;
  const near = closeUp && closeUp !== 'blades' ? { of: closeUp } : undefined;
  return (
    <span className="block" style={{ width: size * WIDER, height: size }}>
      <BodyStrip prepared={prepared} view={(near && closeFrom) ?? view} crop={near} label={label} />
    </span>
  );
}

const paper = () => (typeof matchMedia === 'undefined' ? undefined : matchMedia('print'));
const isPaper = () => paper()?.matches ?? false;

function listen(changed: () => void): () => void {
  const media = paper();
  media?.addEventListener('change', changed);
  return () => media?.removeEventListener('change', changed);
}
