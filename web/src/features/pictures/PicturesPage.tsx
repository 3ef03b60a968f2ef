import type { PictureReply } from '@myokinet/core/contracts';
import { bandOfReading, type MeasureOf } from '@myokinet/core/measuring';
import { dayInWords } from '@myokinet/core/quantities';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { usePicturesQuery, useTakeOffPictureMutation } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { ComparePictures } from './ComparePictures.tsx';

/** Pictures of the same position, weeks apart, beside one another and laid on one another. */
export function PicturesPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = usePicturesQuery(trainee.id);
  const library = useLibrary();
  const [takeOff, removal] = useTakeOffPictureMutation();
  const [search, setSearch] = useSearchParams();
  const [chosen, setChosen] = useState<{ readonly earlier?: string; readonly later?: string }>({});
  if (isLoading) return <Waiting />;
  const now = new Date();
  const kept = (data ?? []).filter((p) => library.hasMeasure(p.measureId)).toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));
  const positions = [...new Set(kept.map(positionOf))];
  const position = positions.find((p) => p === search.get('of')) ?? positions.at(-1);
  const here = kept.filter((p) => positionOf(p) === position);
  const shown = here.filter((p) => p.kept);
  const later = shown.find((p) => p.id === chosen.later) ?? shown.at(-1);
  const earlier = shown.find((p) => p.id === chosen.earlier) ?? shown.find((p) => p !== later);
  return (
    <div className="px-4 py-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="me-auto">Pictures</h2>
        {positions.length > 0 && (
          <label className="flex items-center gap-2">
            <span className="aside">Position</span>
            <select
              className="select select-sm w-60"
              value={position}
              onChange={(e) => {
                setChosen({});
                setSearch({ of: e.target.value }, { replace: true });
              }}
            >
              {positions.map((p) => (
                <option key={p} value={p}>
                  {positionName(p, library.measure)}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <ProblemNote error={error ?? removal.error} retry={error ? () => void refetch() : undefined} />
      {kept.length === 0 ? (
        <Empty title="No picture on the record">
          <p>
            A picture taken in a battery is kept here, on this machine, with its landmarks and its angle. Two of the same position can be
            compared.
          </p>
          <Link className="btn btn-primary mt-3" to="../battery" relative="path">
            Run a battery
          </Link>
        </Empty>
      ) : (
        <>
          {later && <ComparePictures traineeId={trainee.id} earlier={earlier} later={later} now={now} />}
          <table className="plain-table mt-4 max-w-2xl">
            <thead>
              <tr>
                <th scope="col">Taken</th>
                <th scope="col">Angle</th>
                <th scope="col">Compare</th>
                <th scope="col">
                  <span className="sr-only">Image</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {here.toReversed().map((p) => (
                <tr key={p.id}>
                  <td>
                    {dayInWords(p.takenAt, now)}
                    <span className="aside block text-sm">by {p.coach}</span>
                  </td>
                  <td>{angleWords(p)}</td>
                  <td>
                    {p.kept ? (
                      <span className="flex gap-3 text-sm">
                        {(['earlier', 'later'] as const).map((which) => (
                          <label key={which} className="flex items-center gap-1">
                            <input
                              type="radio"
                              className="radio radio-sm"
                              name={which}
                              checked={(which === 'earlier' ? earlier : later)?.id === p.id}
                              onChange={() => setChosen({ ...chosen, [which]: p.id })}
                            />
                            {which}
                          </label>
                        ))}
                      </span>
                    ) : (
                      <span className="aside text-sm">image taken off the record; the angle stays</span>
                    )}
                  </td>
                  <td>
                    {p.kept && (
                      <button
                        type="button"
                        className="btn btn-ghost btn-xs"
                        aria-label={`Take the image of ${dayInWords(p.takenAt, now)} off the record`}
                        disabled={removal.isLoading}
                        onClick={() => {
                          if (window.confirm('Take this image off the record? Its angle stays; the image cannot be brought back.'))
                            void takeOff({ traineeId: trainee.id, pictureId: p.id });
                        }}
                      >
                        Take the image off
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </div>
  );
}

function positionOf({ measureId, side }: PictureReply): string {
  return `${measureId}/${side}`;
}

function positionName(position: string, measureOf: MeasureOf): string {
  const [measureId = '', side = ''] = position.split('/');
  return `${measureOf(measureId).name}${side === 'whole' ? '' : `, ${side}`}`;
}

function angleWords({ value, standardError }: PictureReply): string {
  return `${value}° ± ${bandOfReading(standardError).toFixed(1)}°`;
}
