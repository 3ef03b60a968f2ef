import type { PictureReply } from '@myokinet/core/contracts';
import { alignPictures } from '@myokinet/core/landmarks';
import { capacityFromTrials, changeBetween, type Measure } from '@myokinet/core/measuring';
import { dayInWords, formatApart } from '@myokinet/core/quantities';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';

export interface ComparePicturesProps {
  readonly traineeId: string;
  readonly earlier: PictureReply | undefined;
  readonly later: PictureReply;
  readonly now: Date;
}

/** Two pictures side by side, and the later one laid on the earlier by their first two landmarks. */
export function ComparePictures({ traineeId, earlier, later, now }: ComparePicturesProps) {
  const library = useLibrary();
  const [share, setShare] = useState(0.5);
  if (!earlier)
    return (
      <div className="max-w-md">
        <Shown traineeId={traineeId} picture={later} caption={`${dayInWords(later.takenAt, now)}, ${later.value}°`} />
        <p className="aside mt-1 text-sm">The only one of this position so far; the next one can be compared with it.</p>
      </div>
    );
  const [a1, a2] = earlier.points;
  const [b1, b2] = later.points;
  const moved = a1 && a2 && b1 && b2 ? alignPictures([b1, b2], [a1, a2]) : undefined;
  return (
    <>
      <p className="mb-2">{comparison(library.measure(earlier.measureId), earlier, later)}</p>
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <Shown traineeId={traineeId} picture={earlier} caption={`${dayInWords(earlier.takenAt, now)}, ${earlier.value}°`} />
        <Shown traineeId={traineeId} picture={later} caption={`${dayInWords(later.takenAt, now)}, ${later.value}°`} />
        {moved && (
          <figure>
            <svg
              viewBox={`0 0 ${earlier.width} ${earlier.height}`}
              className="max-h-[60vh] max-w-full"
              role="img"
              aria-label="Both pictures laid on one another"
            >
              <image href={urlOf(traineeId, earlier)} width={earlier.width} height={earlier.height} />
              <g transform={`matrix(${moved.a} ${moved.b} ${-moved.b} ${moved.a} ${moved.dx} ${moved.dy})`} opacity={share}>
                <image href={urlOf(traineeId, later)} width={later.width} height={later.height} />
              </g>
              <Lines picture={earlier} colour="#ffd166" />
              <g transform={`matrix(${moved.a} ${moved.b} ${-moved.b} ${moved.a} ${moved.dx} ${moved.dy})`}>
                <Lines picture={later} colour="#fdfaf2" />
              </g>
            </svg>
            <figcaption className="text-sm">
              <label className="flex items-center gap-2">
                Earlier
                <input
                  type="range"
                  className="range range-xs [--range-fill:0]"
                  min={0}
                  max={1}
                  step={0.05}
                  value={share}
                  onChange={(e) => setShare(Number(e.target.value))}
                  aria-label="How much of the later picture shows"
                />
                Later
              </label>
              Laid on one another by the first two landmarks{earlier.facing === later.facing ? '' : '; the trainee faces the other way'}.
            </figcaption>
          </figure>
        )}
      </div>
    </>
  );
}

function Shown({ traineeId, picture, caption }: { readonly traineeId: string; readonly picture: PictureReply; readonly caption: string }) {
  return (
    <figure>
      <svg viewBox={`0 0 ${picture.width} ${picture.height}`} className="max-h-[60vh] max-w-full" role="img" aria-label={caption}>
        <image href={urlOf(traineeId, picture)} width={picture.width} height={picture.height} />
        <Lines picture={picture} colour="#fdfaf2" />
      </svg>
      <figcaption className="text-sm font-semibold">{caption}</figcaption>
    </figure>
  );
}

function Lines({ picture, colour }: { readonly picture: PictureReply; readonly colour: string }) {
  const width = Math.max(picture.width, picture.height) / 160;
  const d = picture.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('');
  return (
    <g fill="none" stroke={colour}>
      <path d={d} stroke="#1f1d17" strokeOpacity={0.6} strokeWidth={2 * width} />
      <path d={d} strokeWidth={width} />
      {picture.points.map((p) => (
        <circle key={p.id} cx={p.x} cy={p.y} r={2 * width} fill={colour} />
      ))}
    </g>
  );
}

function urlOf(traineeId: string, { id }: PictureReply): string {
  return `/api/trainees/${traineeId}/pictures/${id}/image`;
}

function comparison(measure: Measure, earlier: PictureReply, later: PictureReply): string {
  const capacity = ({ side, value, standardError, takenAt }: PictureReply) =>
    capacityFromTrials(measure, [{ side, value, standardError }], { takenAt });
  const { difference, detectable, real } = changeBetween(capacity(earlier), capacity(later));
  const [apart, allowed] = formatApart(Math.abs(difference), detectable, measure.unit);
  const moved = `${apart} ${difference >= 0 ? 'more' : 'less'} than the earlier one`;
  return real
    ? `${moved}: a real change, beyond the ${allowed} that two single pictures can differ by.`
    : `${moved}: inside the error band, for two single pictures can differ by ${allowed}.`;
}
