import { type LibraryPictureReply, type Pictured, PICTURED_LIMITS } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { ImagePlus, Pause, Play } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { useStillness } from '../../kit/body/useStillness.ts';
import { type FileFrames, framesOf } from '../../kit/fileFrames.ts';
import { useAddLibraryPictureMutation, useLibraryPicturesQuery, useTakeOffLibraryPictureMutation } from './endpoints.ts';

interface OwnPicturesProps {
  readonly kind: Pictured;
  readonly entry: string;
  readonly name: string;
}

/** Of a clip, so many frames a second: a movement is seen, and six seconds of it fit. */
const CLIP = { frames: PICTURED_LIMITS.frames, rate: 8 } as const;

/** Pictures and clips of the studio's own, beside the figure that the program draws. */
export function OwnPictures({ kind, entry, name }: OwnPicturesProps) {
  const { data, error, refetch } = useLibraryPicturesQuery();
  const { may } = useMe();
  const [takeOff, taking] = useTakeOffLibraryPictureMutation();
  const own = data?.filter((p) => p.kind === kind && p.entry === entry) ?? [];
  const mayEdit = may.includes('edit-library');
  if (own.length === 0 && !mayEdit) return null;
  return (
    <section aria-label="The studio’s pictures">
      <h3>The studio’s pictures</h3>
      <ProblemNote error={error ?? taking.error} retry={() => void refetch()} />
      {own.length > 0 && (
        <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(12rem,1fr))] gap-3">
          {own.map((picture) => (
            <OwnPicture key={picture.id} picture={picture} takeOff={mayEdit ? () => void takeOff(picture.id) : undefined} />
          ))}
        </ul>
      )}
      {mayEdit && own.length < PICTURED_LIMITS.ofEntry && <AddPicture kind={kind} entry={entry} name={name} none={own.length === 0} />}
      {mayEdit && own.length >= PICTURED_LIMITS.ofEntry && (
        <p className="aside mt-1 text-sm">{PICTURED_LIMITS.ofEntry} are the most. Take one off to add another.</p>
      )}
    </section>
  );
}

function OwnPicture({ picture, takeOff }: { readonly picture: LibraryPictureReply; readonly takeOff: (() => void) | undefined }) {
  const stillness = useStillness();
  const [asked, setAsked] = useState<boolean | undefined>();
  const [sure, setSure] = useState(false);
  const plays = picture.moving && (asked ?? !stillness);
  const { id, shows, moving, addedAt, coach } = picture;
  return (
    <li>
      <figure>
        <div className="relative">
          <img
            src={`/api/library/pictures/${id}/image${plays || !moving ? '' : '?still'}`}
            alt={shows}
            className="aspect-[4/3] w-full rounded border border-base-300 bg-base-200 object-contain"
          />
          {moving && (
            <button
              type="button"
              className="btn btn-sm btn-square no-print absolute end-1 bottom-1"
              aria-label={plays ? `Stop: ${shows}` : `Play: ${shows}`}
              onClick={() => setAsked(!plays)}
            >
              {plays ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
            </button>
          )}
        </div>
        <figcaption className="text-sm leading-snug">
          {shows}
          <span className="aside block">
            {coach}, {shortDay(addedAt, new Date(nowInstant()))}
          </span>
        </figcaption>
      </figure>
      {takeOff &&
        (sure ? (
          <span className="flex flex-wrap items-center gap-2 text-sm">
            Gone for good?
            <button type="button" className="btn btn-xs btn-error" onClick={takeOff}>
              Take it off
            </button>
            <button type="button" className="btn btn-xs" onClick={() => setSure(false)}>
              Keep it
            </button>
          </span>
        ) : (
          <button type="button" className="btn btn-ghost btn-xs no-print" aria-label={`Take off: ${shows}`} onClick={() => setSure(true)}>
            Take off
          </button>
        ))}
    </li>
  );
}

interface Chosen extends FileFrames {
  /** Given when it is chosen: sent twice by a double tap it is one. */
  readonly id: string;
  readonly file: string;
}

function AddPicture({ kind, entry, name, none }: OwnPicturesProps & { readonly none: boolean }) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<Chosen | undefined>();
  const [reading, setReading] = useState<string | undefined>();
  const [refused, setRefused] = useState<string | undefined>();
  const [shows, setShows] = useState('');
  const [add, { error, isLoading, reset }] = useAddLibraryPictureMutation();

  const open = async (file: File) => {
    reset();
    setRefused(undefined);
    setChosen(undefined);
    setReading(file.name);
    try {
      setChosen({ ...(await framesOf(file, CLIP)), id: newId(), file: file.name });
    } catch (problem) {
      setRefused(problem instanceof Error ? problem.message : 'The file cannot be read.');
    }
    setReading(undefined);
    if (input.current) input.current.value = '';
  };
  const close = () => {
    setChosen(undefined);
    setShows('');
    reset();
  };
  const keep = async () => {
    if (!chosen || isLoading) return;
    const { id: pictureId, frames, rate } = chosen;
    const kept = await add({ id: pictureId, kind, entry, shows: shows.trim(), frames: [...frames], ...(rate ? { rate } : {}) });
    if (!kept.error) close();
  };
  const [first] = chosen?.frames ?? [];
  return (
    <div className="no-print mt-2 max-w-lg">
      {none && !chosen && (
        <p className="aside text-sm">
          Add how it looks in your studio: a picture, or the first {CLIP.frames / CLIP.rate} seconds of a clip. It stays in this studio.
        </p>
      )}
      <label htmlFor={id} className="btn btn-sm mt-1">
        <ImagePlus size={16} aria-hidden /> Add a picture or clip
      </label>
      <input
        id={id}
        ref={input}
        type="file"
        accept="image/*,video/*"
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void open(file);
        }}
      />
      <p role="status" className="text-sm">
        {reading && `Reading “${reading}”…`}
      </p>
      {refused && (
        <p role="alert" className="mt-2 border-s-4 border-error bg-error/10 px-3 py-2">
          {refused}
        </p>
      )}
      {chosen && first && (
        <form
          className="mt-2 grid gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            void keep();
          }}
        >
          <img
            src={`data:image/jpeg;base64,${first}`}
            alt={`“${chosen.file}”, as it will be kept`}
            className="max-h-48 rounded border border-base-300"
          />
          <p className="aside text-sm">
            {chosen.frames.length > 1
              ? `A clip of ${(chosen.frames.length / (chosen.rate ?? 1)).toFixed(1)} s, without sound.`
              : 'A picture.'}{' '}
            People who can be recognised on it must have agreed.
          </p>
          <label>
            <span className="block font-semibold">What it shows</span>
            <input
              className="input input-sm w-full"
              value={shows}
              maxLength={PICTURED_LIMITS.shows}
              placeholder={`${name}, …`}
              required
              onChange={(e) => setShows(e.target.value)}
            />
          </label>
          <ProblemNote error={error} />
          <div className="flex gap-2">
            <button type="submit" className="btn btn-primary btn-sm" disabled={shows.trim() === '' || isLoading}>
              Keep it
            </button>
            <button type="button" className="btn btn-sm" onClick={close}>
              Leave it
            </button>
          </div>
        </form>
      )}
    </div>
  );
}
