import type { TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import { templateFor } from '@myokinet/core/landmarks';
import { useEffect, useId, useState } from 'react';
import type { TakeReading } from '../instruments/takeReading.ts';
import { FramePicker } from './FramePicker.tsx';
import { openPicture, type OpenPicture } from './openPicture.ts';
import { PictureDesk } from './PictureDesk.tsx';

export interface PicturePanelProps extends TakeReading {
  readonly trainee: TraineeReply;
  readonly side: BodySide;
}

/** Reads a trial off a photo or one frame of a video. Nothing of it leaves the machine. */
export function PicturePanel({ measure, trainee, side, label, take }: PicturePanelProps) {
  const id = useId();
  const template = templateFor(measure.id);
  const [picture, setPicture] = useState<OpenPicture | undefined>();
  const [video, setVideo] = useState<string | undefined>();
  const [problem, setProblem] = useState('');
  useEffect(() => () => (picture ? URL.revokeObjectURL(picture.url) : undefined), [picture]);
  useEffect(() => () => (video ? URL.revokeObjectURL(video) : undefined), [video]);
  if (!template) return null;

  const open = async (file: File | undefined) => {
    if (!file) return;
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
        <div
          className="border border-dashed border-base-300 p-4"
          onDragOver={(e) => e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault();
            void open(e.dataTransfer.files[0]);
          }}
        >
          <label htmlFor={id} className="block">
            A photo or video, taken {template.view}. It stays on this machine.
          </label>
          <input
            id={id}
            type="file"
            accept="image/*,video/*"
            className="file-input file-input-sm mt-2 w-full max-w-sm"
            onChange={(e) => void open(e.target.files?.[0])}
          />
          {problem && (
            <p role="alert" className="mt-1 text-error">
              {problem}
            </p>
          )}
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
        </div>
      )}
    </section>
  );
}
