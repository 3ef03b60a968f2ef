import { type Beat, type Prepared, SHOWN_BEAT } from '@myokinet/core/motion';
import { BodyFigure } from './BodyFigure.tsx';
import { BodyStrip } from './BodyStrip.tsx';
import { usePlayed } from './usePlayed.ts';
import { useStillness } from './useStillness.ts';

interface PlayedBodyProps {
  readonly prepared: Prepared;
  /** Seconds of a repetition; absent: as what has none is shown. */
  readonly beat?: Beat | undefined;
  readonly label: string;
}

/** A drill as it is done, over and over, with nothing to press: for a screen that nobody touches. */
export function PlayedBody({ prepared, beat = SHOWN_BEAT, label }: PlayedBodyProps) {
  const still = useStillness();
  const { view } = prepared.movement;
  const [travel] = usePlayed(prepared, beat, !still && prepared.keys.length > 1);
  if (still) return <BodyStrip prepared={prepared} view={view} label={label} />;
  return <BodyFigure prepared={prepared} travel={travel} view={view} label={label} />;
}
