import { Refusal } from '@myokinet/core/errors';
import sharp from 'sharp';

/** A picture as it is kept: WebP, and what stands for it where nothing may move. */
export interface Redrawn {
  readonly image: Buffer;
  readonly still: Buffer;
  readonly moving: boolean;
}

/** No bomb that grows when it is opened. */
const MOST_POINTS = 50_000_000;
/** Longer side, pixels. */
const LONGER = { picture: 1280, clip: 640 } as const;
const QUALITY = { picture: 82, clip: 70 } as const;
const WITHIN = { fit: 'inside', withoutEnlargement: true } as const;

/**
 * A picture, or the frames of a clip, drawn anew from what they show: nothing else that their files held comes along. What they are is told
 * by their content.
 *
 * @param frames JPEG, base64; of a clip all are brought to the size of the first
 * @param rate frames a second of a clip
 * @throws Refusal `picture-unreadable`, with the frame where there are several
 */
export async function redrawn(frames: readonly string[], rate: number): Promise<Redrawn> {
  const clip = frames.length > 1;
  const longer = clip ? LONGER.clip : LONGER.picture;
  const drawn: Buffer[] = [];
  let size: { readonly width: number; readonly height: number } | undefined;
  for (const [i, frame] of frames.entries()) {
    try {
      const picture = sharp(Buffer.from(frame, 'base64'), { limitInputPixels: MOST_POINTS });
      if ((await picture.metadata()).format !== 'jpeg') throw new Refusal('picture-unreadable');
      const to = size ? { ...size, fit: 'cover' as const } : { width: longer, height: longer, ...WITHIN };
      const { data, info } = await picture.autoOrient().resize(to).png({ compressionLevel: 1 }).toBuffer({ resolveWithObject: true });
      size ??= { width: info.width, height: info.height };
      drawn.push(data);
    } catch {
      throw new Refusal('picture-unreadable', clip ? `Frame ${i + 1} of the clip is no JPEG picture.` : undefined);
    }
  }
  const [first = Buffer.alloc(0)] = drawn;
  const still = await sharp(first).webp({ quality: QUALITY.picture }).toBuffer();
  if (!clip) return { image: still, still, moving: false };
  const delay = frames.map(() => Math.round(1000 / rate));
  const image = await sharp(drawn, { join: { animated: true } })
    .webp({ quality: QUALITY.clip, delay, loop: 0 })
    .toBuffer();
  return { image, still, moving: true };
}

/**
 * The same of a picture that comes out of a library file.
 *
 * @param base64 WebP
 * @throws Refusal `picture-unreadable`
 */
export async function redrawnFromFile(base64: string): Promise<Redrawn> {
  try {
    const bytes = Buffer.from(base64, 'base64');
    const told = await sharp(bytes, { limitInputPixels: MOST_POINTS }).metadata();
    if (told.format !== 'webp') throw new Refusal('picture-unreadable');
    const moving = (told.pages ?? 1) > 1;
    const longer = moving ? LONGER.clip : LONGER.picture;
    const still = await sharp(bytes, { pages: 1, limitInputPixels: MOST_POINTS })
      .resize(longer, longer, WITHIN)
      .webp({ quality: QUALITY.picture })
      .toBuffer();
    if (!moving) return { image: still, still, moving };
    const image = await sharp(bytes, { animated: true, limitInputPixels: MOST_POINTS })
      .webp({ quality: QUALITY.clip, loop: 0, ...(told.delay ? { delay: told.delay } : {}) })
      .toBuffer();
    return { image, still, moving };
  } catch {
    throw new Refusal('picture-unreadable', 'A picture of the file is no WebP picture.');
  }
}
