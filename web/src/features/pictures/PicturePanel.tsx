import type { TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import { templateFor } from '@myokinet/core/landmarks';
import { Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { FileDrop } from '../../kit/FileDrop.tsx';
import type { TakeReading } from '../instruments/index.ts';
import { FramePicker } from './FramePicker.tsx';
import { openPicture, type OpenPicture } from './openPicture.ts';
import { PictureDesk } from './PictureDesk.tsx';
import { layAside, MOST_WAITING, putAway, useWaiting, type WaitingPicture } from './pictureQueue.ts';

export interface PicturePanelProps extends TakeReading {
  readonly trainee: TraineeReply;
  readonly side: BodySide;
  readonly leave: () => void;
}

/** Reads a trial off a photo or one frame of a video; several may be chosen at once and wait their turn. Nothing of it leaves the machine. */
export function PicturePanel({ measure, trainee, side, label, take, leave }: PicturePanelProps) {
  const template = templateFor(measure);
  const [open, setOpen] = useState<{ readonly picture: OpenPicture; readonly waitingId?: string } | undefined>();
  const [video, setVideo] = useState<string | undefined>();
  const [problem, setProblem] = useState('');
  const waiting = useWaiting(trainee.id);
  const picture = open?.picture;
  useEffect(() => () => (picture ? URL.revokeObjectURL(picture.url) : undefined), [picture]);
  useEffect(() => () => (video ? URL.revokeObjectURL(video) : undefined), [video]);
  if (!template) return null;

  const openFile = async (file: File, waitingId?: string) => {
    setProblem('');
    setVideo(undefined);
    if (file.type.startsWith('video/')) {
      setVideo(URL.createObjectURL(file));
      return;
    }
    try {
      setOpen({ picture: await openPicture(file), ...(waitingId ? { waitingId } : {}) });
    } catch (error) {
      setProblem(`${file.name}: ${error instanceof Error ? error.message : 'This file cannot be read.'}`);
    }
  };
  const choose = (files: readonly File[]) => {
    const [only] = files;
    if (only && files.length === 1) {
      void openFile(only);
      return;
    }
    const left = layAside(trainee.id, files, newId);
    setProblem(left > 0 ? `At most ${MOST_WAITING} pictures wait at a time: ${left} were not taken up. Measure some first.` : '');
  };
  return (
    <section className="sheet p-3 max-sm:px-2" aria-label={`Picture for ${label}`}>
      {open ? (
        <PictureDesk
          {...{ template, measure, trainee, side, label }}
          picture={open.picture}
          take={(value, reading) => {
            if (open.waitingId) putAway(trainee.id, open.waitingId);
            setOpen(undefined);
            take(value, reading);
          }}
          close={() => setOpen(undefined)}
        />
      ) : (
        <>
          <h2 className="text-lg">{label}</h2>
          {waiting.length > 0 && (
            <Waiting waiting={waiting} open={(p) => void openFile(p.file, p.id)} drop={(id) => putAway(trainee.id, id)} />
          )}
          <FileDrop
            label={`A photo or video, taken ${template.view}; several at once may wait. They stay on this machine.`}
            accept="image/*,video/*"
            multiple
            open={choose}
            problem={problem}
          >
            {video && (
              <FramePicker
                url={video}
                use={(frame) => {
                  setOpen({ picture: frame });
                  setVideo(undefined);
                }}
                refuse={(why) => {
                  setProblem(why);
                  setVideo(undefined);
                }}
              />
            )}
          </FileDrop>
          <button type="button" className="btn mt-2 min-h-11" onClick={leave}>
            Close the picture
          </button>
        </>
      )}
    </section>
  );
}

interface WaitingProps {
  readonly waiting: readonly WaitingPicture[];
  readonly open: (picture: WaitingPicture) => void;
  readonly drop: (id: string) => void;
}

/** Pictures that were chosen and not measured yet: which one shows this trial is for the coach to say. */
function Waiting({ waiting, open, drop }: WaitingProps) {
  return (
    <>
      <p className="mt-1 text-sm">Which of these shows it?</p>
      <ul className="mt-1 flex gap-2 overflow-x-auto pb-1">
        {waiting.map((p, i) => (
          <li key={p.id} className="relative shrink-0">
            <button
              type="button"
              className="btn h-28 w-24 overflow-hidden p-0"
              aria-label={`Picture ${i + 1} of ${waiting.length}: ${p.file.name}`}
              onClick={() => open(p)}
            >
              {p.file.type.startsWith('video/') ? (
                <span className="text-sm">Video {i + 1}</span>
              ) : (
                <img src={p.url} alt="" className="h-full w-full object-cover" />
              )}
            </button>
            <button
              type="button"
              className="btn btn-square absolute end-0 bottom-0 min-h-11 min-w-11"
              aria-label={`Leave out picture ${i + 1}`}
              onClick={() => drop(p.id)}
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
