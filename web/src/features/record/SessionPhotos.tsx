import type { FloorPhotoReply } from '@myokinet/core/contracts';
import { useTakeOffFloorPhotoMutation } from './endpoints.ts';

/** Pictures from the end of a session; each can be taken off the record, and leaves its mark. */
export function SessionPhotos({
  runId,
  photos,
  traineeId,
}: {
  readonly runId: string;
  readonly photos: readonly FloorPhotoReply[];
  readonly traineeId: string;
}) {
  const [takeOff, { isLoading }] = useTakeOffFloorPhotoMutation();
  return (
    <ul className="mt-1 flex flex-wrap gap-3">
      {photos.map(({ id, kept }) => (
        <li key={id}>
          {kept ? (
            <>
              <img className="h-36 rounded" src={`/api/floor/${runId}/photos/${id}`} alt="At the end of this session" />
              <button
                type="button"
                className="link text-sm"
                disabled={isLoading}
                onClick={() => void takeOff({ runId, traineeId, photoId: id })}
              >
                Take it off the record
              </button>
            </>
          ) : (
            <span className="aside">A picture was taken off the record.</span>
          )}
        </li>
      ))}
    </ul>
  );
}
