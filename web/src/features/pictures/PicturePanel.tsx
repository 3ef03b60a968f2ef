import type { TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import { templateFor } from '@myokinet/core/landmarks';
import { useEffect, useState } from 'react';
import type { TakeReading } from '../instruments/index.ts';
import { FileDrop } from '../../kit/FileDrop.tsx';
import { FramePicker } from './FramePicker.tsx';
import { openPicture, type OpenPicture } from './openPicture.ts';
import { PictureDesk } from './PictureDesk.tsx';

export interface PicturePanelProps extends TakeReading {
  readonly trainee: TraineeReply;
  readonly side: BodySide;
}

/** Reads a trial off a photo or one frame of a video. Nothing of it leaves the machine. */
export function PicturePanel({ measure, trainee, side, label, take }: PicturePanelProps) {
  const template = templateFor(measure);
  const [picture, setPicture] = useState<OpenPicture | undefined>();
  const [video, setVideo] = useState<string | undefined>();
  const [problem, setProblem] = useState('');
  useEffect(() => () => (picture ? URL.revokeObjectURL(picture.url) : undefined), [picture]);
  useEffect(() => () => (video ? URL.revokeObjectURL(video) : undefined), [video]);
  if (!template) return null;

  const open = async (file: File) => {
    setProblem('');
    setVideo(undefined);
    if (file.type.startsWith('video/')) {
      setVideo(URL.createObjectURL(file));
      return;
    }
    try {
      setPicture(await openPicture(file));
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'This file cannot be read.');
    }
  };
  return (
    <section className="sheet p-3" aria-label={`Picture for ${label}`}>
      {picture ? (
        <PictureDesk
          {...{ picture, template, measure, trainee, side }}
          take={(value, reading) => {
            setPicture(undefined);
            take(value, reading);
          }}
          close={() => setPicture(undefined)}
        />
      ) : (
        <FileDrop
          label={`A photo or video, taken ${template.view}. It stays on this machine.`}
          accept="image/*,video/*"
          open={(file) => void open(file)}
          problem={problem}
        >
          {video && (
            <FramePicker
              url={video}
              use={(frame) => {
                setPicture(frame);
                setVideo(undefined);
              }}
              refuse={(why) => {
                setProblem(why);
                setVideo(undefined);
              }}
            />
          )}
        </FileDrop>
      )}
    </section>
  );
}
