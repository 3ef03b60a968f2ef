import { type Prepared, stripOf, type View } from '@myokinet/core/motion';
import { BodyFigure } from './BodyFigure.tsx';
import type { Crop } from './window.ts';

/** A movement as two or three stills side by side: for paper, and for who wants nothing to move. */
export function BodyStrip({
  prepared,
  view,
  crop,
  label,
}: {
  readonly prepared: Prepared;
  readonly view: View;
  readonly crop?: Crop | undefined;
  readonly label: string;
}) {
  const travels = stripOf(prepared.movement);
  return (
    <div role="img" aria-label={label} className="flex h-full w-full min-w-0 items-center justify-center">
      {travels.map((travel, i) => (
        <span key={travel} className="contents">
          {i > 0 && (
            <span aria-hidden className="aside text-xs">
              →
            </span>
          )}
          <span className="h-full min-w-0 flex-1">
            <BodyFigure prepared={prepared} travel={travel} view={view} crop={crop} />
          </span>
        </span>
      ))}
    </div>
  );
}
