/** What a picture or clip becomes before it is sent: JPEG frames, base64, one or more. */
export interface FileFrames {
  readonly frames: readonly string[];
  /** Frames a second of a clip. */
  readonly rate?: number;
}

export interface FrameLimits {
  readonly frames: number;
  readonly rate: number;
}

const MEGA = 1024 * 1024;
const MOST_BYTES = { picture: 60 * MEGA, clip: 300 * MEGA } as const;
/** Longer side, pixels. */
const LONGER = { picture: 1600, clip: 640 } as const;
const QUALITY = { picture: 0.9, clip: 0.75 } as const;
/** A file that shows nothing for so long is not going to. */
const PATIENCE_MS = 15_000;

const isClip = (file: File) => file.type.startsWith('video/') || /\.(webm|mp4|mov|m4v|ogv)$/i.test(file.name);

/**
 * Opens a picture, or a clip as as many frames as fit its limits from its beginning on, drawn small: nothing else of the file leaves the
 * machine. What it is is told by whether the browser can show it, not by its name.
 *
 * @throws Error with a sentence for the coach
 */
export async function framesOf(file: File, limits: FrameLimits, signal?: AbortSignal): Promise<FileFrames> {
  const kind = isClip(file) ? 'clip' : 'picture';
  if (file.size > MOST_BYTES[kind])
    throw new Error(
      `“${file.name}” has ${Math.round(file.size / MEGA)} MB; the limit is ${MOST_BYTES[kind] / MEGA} MB. Nothing was taken from it.`,
    );
  return kind === 'clip' ? clipFrames(file, limits, signal) : { frames: [await pictureFrame(file)] };
}

async function pictureFrame(file: File): Promise<string> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error(`“${file.name}” is no picture that this browser can show. Nothing was taken from it.`);
  }
  return drawn(bitmap, bitmap.width, bitmap.height, 'picture');
}

async function clipFrames(file: File, { frames: most, rate }: FrameLimits, signal?: AbortSignal): Promise<FileFrames> {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  const url = URL.createObjectURL(file);
  const unreadable = new Error(`“${file.name}” is no clip that this browser can play. Nothing was taken from it.`);
  try {
    const ready = happens(video, 'loadeddata', unreadable);
    video.src = url;
    await ready;
    if (video.videoWidth === 0) throw unreadable;
    const seconds = Number.isFinite(video.duration) ? video.duration : most / rate;
    const count = Math.max(2, Math.min(most, Math.floor(seconds * rate)));
    const frames: string[] = [];
    for (let i = 0; i < count; i++) {
      signal?.throwIfAborted();
      // The middle of each frame's time: a clip has nothing at its very end.
      const there = happens(video, 'seeked', unreadable);
      video.currentTime = Math.min((i + 0.5) / rate, Math.max(0, seconds - 0.05));
      await there;
      frames.push(await drawn(video, video.videoWidth, video.videoHeight, 'clip'));
    }
    return { frames, rate };
  } finally {
    video.removeAttribute('src');
    video.load();
    URL.revokeObjectURL(url);
  }
}

function happens(video: HTMLVideoElement, event: 'loadeddata' | 'seeked', otherwise: Error): Promise<void> {
  return new Promise((resolve, reject) => {
    const late = setTimeout(() => reject(otherwise), PATIENCE_MS);
    const done = (then: () => void) => () => {
      clearTimeout(late);
      then();
    };
    video.addEventListener(event, done(resolve), { once: true });
    video.addEventListener(
      'error',
      done(() => reject(otherwise)),
      { once: true },
    );
  });
}

async function drawn(source: CanvasImageSource, width: number, height: number, kind: keyof typeof LONGER): Promise<string> {
  const scale = Math.min(1, LONGER[kind] / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  canvas.getContext('2d')?.drawImage(source, 0, 0, canvas.width, canvas.height);
  const url = canvas.toDataURL('image/jpeg', QUALITY[kind]);
  return Promise.resolve(url.slice(url.indexOf(',') + 1));
}
