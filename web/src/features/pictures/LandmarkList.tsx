import type { PictureTemplate } from '@myokinet/core/landmarks';
import type { Marks } from './landmarks.ts';

export interface LandmarkListProps {
  readonly template: PictureTemplate;
  readonly marks: Marks;
  readonly confirm: (id: string) => void;
}

/** Each landmark and who put it where it is; a suggested one is confirmed by itself, never all at once. */
export function LandmarkList({ template, marks, confirm }: LandmarkListProps) {
  return (
    <ol className="mt-2">
      {template.landmarks.map((l) => {
        const mark = marks.points.find((m) => m.id === l.id);
        const placedBy = mark?.placedBy;
        return (
          <li key={l.id} className="flex items-center justify-between gap-2 border-b border-base-300 py-0.5">
            <span>{l.name}</span>
            {placedBy === 'suggested' ? (
              <button type="button" className="btn btn-sm" aria-label={`${l.name}: right where it is`} onClick={() => confirm(l.id)}>
                Right there
              </button>
            ) : (
              <span className={placedBy ? 'aside' : 'state-mark'}>
                {placedBy === undefined
                  ? 'to place'
                  : `${placedBy === 'coach' ? 'placed' : 'confirmed'} to ${(mark?.error ?? 0).toFixed(1)} pixels`}
              </span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
