import { useRef, useState } from 'react';
import { frameOf, type OpenPicture } from './openPicture.ts';

export interface FramePickerProps {
  readonly url: string;
  readonly use: (frame: OpenPicture) => void;
  readonly refuse: (why: string) => void;
}

/** Seconds of one frame at the rate that phones film with; browsers do not tell it. */
const FRAME = 1 / 30;
const STEPS = [
  { by: -0.5, words: '− ½ s' },
  { by: -FRAME, words: '− 1 frame' },
  { by: FRAME, words: '+ 1 frame' },
  { by: 0.5, words: '+ ½ s' },
] as const;

/** A video, gone through frame by frame. */
export function FramePicker({ url, use, refuse }: FramePickerProps) {
  const video = useRef<HTMLVideoElement>(null);
  const [{ duration, at }, setClock] = useState({ duration: 0, at: 0 });
  const seek = (time: number) => {
    if (video.current) video.current.currentTime = Math.max(0, Math.min(duration, time));
  };
  return (
    <div className="mt-2">
      <video
        ref={video}
        src={url}
        muted
        playsInline
        preload="auto"
        className="max-h-80 w-full bg-neutral"
        aria-label="Video"
        onError={() => refuse('This browser cannot decode the video. Export it as MP4 (H.264) or WebM, or take a photo of the moment.')}
        onLoadedMetadata={({ currentTarget: v }) =>
          v.videoWidth === 0 ? refuse('This file has sound but no picture.') : setClock({ duration: v.duration, at: 0 })
        }
        onSeeked={({ currentTarget: v }) => setClock((c) => ({ ...c, at: v.currentTime }))}
      />
      <input
        type="range"
        className="range range-sm mt-1 w-full [--range-fill:0]"
        min={0}
        max={Number.isFinite(duration) ? duration : 0}
        step={FRAME}
        value={at}
        aria-label="Moment of the video"
        aria-valuetext={`${at.toFixed(2)} s`}
        onChange={(e) => seek(Number(e.target.value))}
      />
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {STEPS.map(({ by, words }) => (
          <button key={words} type="button" className="btn btn-sm" onClick={() => seek(at + by)}>
            {words}
          </button>
        ))}
        <span className="aside text-sm">{at.toFixed(2)} s</span>
        <button
          type="button"
          className="btn btn-primary btn-sm ms-auto"
          disabled={duration === 0}
          onClick={() =>
            video.current &&
            void frameOf(video.current).then(use, (error: unknown) =>
              refuse(error instanceof Error ? error.message : 'This frame cannot be read.'),
            )
          }
        >
          Use this frame
        </button>
      </div>
    </div>
  );
}
