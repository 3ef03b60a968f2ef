import type { ClipFrame } from '@myokinet/core/landmarks';
import { followedKeypoints } from '../pictures/index.ts';

/** Longer side of the frames that the model gets, pixels: it looks at fewer still. */
const LONGER_SIDE = 480;
/** Frames a second of the clip that are looked at, where the machine keeps up. */
const WANTED = 30;
/** Half speed at most, and not slower than anybody waits for. */
const SPEED = { most: 0.5, least: 0.1 } as const;
/** So much slower with each frame that is missed. */
const SLOWER = 0.93;
/** The model warms up on the first. */
const TRIES = 3;
/** A player that shows nothing for so long has stopped. */
const STALLED_MS = 15_000;
/** The longest part of a clip that is read at a time, seconds. */
export const LONGEST_SECONDS = 60;

/** What was read of a clip. */
export interface ReadClip {
  readonly frames: readonly ClipFrame[];
  readonly width: number;
  readonly height: number;
}

interface ReadOptions {
  /** Seconds of the clip. */
  readonly from: number;
  readonly to: number;
  readonly signal: AbortSignal;
  readonly onProgress: (seconds: number) => void;
}

/** The length of a clip, seconds; one filmed by a browser does not tell it until its end was looked for. */
export async function lengthOf(video: HTMLVideoElement): Promise<number> {
  if (!Number.isFinite(video.duration)) {
    await seek(video, Number.MAX_SAFE_INTEGER);
    await seek(video, 0);
  }
  return Number.isFinite(video.duration) ? video.duration : video.currentTime;
}

/**
 * Plays a part of a clip at half speed, or slower where the machine needs it, and looks at each frame in a worker. Nothing leaves the
 * machine.
 *
 * @throws Error with a sentence for the coach; an `AbortError` where it was stopped
 */
export async function readClip(video: HTMLVideoElement, { from, to, signal, onProgress }: ReadOptions): Promise<ReadClip> {
  const scale = Math.min(1, LONGER_SIDE / Math.max(video.videoWidth, video.videoHeight));
  const size = { width: Math.round(video.videoWidth * scale), height: Math.round(video.videoHeight * scale) };
  const look = async (isFirst: boolean) => {
    signal.throwIfAborted();
    return followedKeypoints(await createImageBitmap(video, { resizeWidth: size.width, resizeHeight: size.height }), isFirst);
  };
  await seek(video, from);
  await look(true);
  const began = performance.now();
  for (let i = 0; i < TRIES; i++) await look(false);
  signal.throwIfAborted();
  const perFrame = (performance.now() - began) / TRIES;
  video.playbackRate = Math.max(SPEED.least, Math.min(SPEED.most, 1000 / perFrame / WANTED));
  const frames: ClipFrame[] = [];
  await new Promise<void>((resolve, reject) => {
    let [busy, over] = [true, false];
    let lastSeen = performance.now();
    const stalled = setInterval(() => {
      if (document.hidden) lastSeen = performance.now();
      else if (performance.now() - lastSeen > STALLED_MS)
        end(() => reject(new Error('The clip has stopped playing. Nothing was taken from it.')));
    }, 1000);
    const end = (then: () => void) => {
      if (over) return;
      over = true;
      clearInterval(stalled);
      video.pause();
      video.removeEventListener('ended', finished);
      document.removeEventListener('visibilitychange', shown);
      then();
    };
    const finished = () => end(resolve);
    const fail = (error: unknown) => end(() => reject(error instanceof Error ? error : new Error('The clip cannot be read.')));
    // A browser plays nothing in a page that nobody sees.
    const shown = () => (document.hidden ? video.pause() : void video.play().catch(fail));
    const next: VideoFrameRequestCallback = (_, { mediaTime }) => {
      if (over) return;
      lastSeen = performance.now();
      if (mediaTime >= to) return finished();
      video.requestVideoFrameCallback(next);
      if (busy) {
        // A frame was missed: slower from here on.
        video.playbackRate = Math.max(SPEED.least, video.playbackRate * SLOWER);
        return;
      }
      busy = true;
      onProgress(mediaTime - from);
      look(false).then((keypoints) => {
        frames.push({ time: mediaTime - from, keypoints });
        busy = false;
      }, fail);
    };
    signal.addEventListener('abort', () => end(() => reject(new DOMException('Stopped.', 'AbortError'))));
    video.addEventListener('ended', finished);
    document.addEventListener('visibilitychange', shown);
    busy = false;
    video.requestVideoFrameCallback(next);
    video.play().catch(fail);
  });
  return { frames: frames.toSorted((a, b) => a.time - b.time), ...size };
}

function seek(video: HTMLVideoElement, seconds: number): Promise<void> {
  return new Promise((resolve) => {
    video.addEventListener('seeked', () => resolve(), { once: true });
    video.currentTime = seconds;
  });
}
