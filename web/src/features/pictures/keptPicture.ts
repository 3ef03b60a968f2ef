import { LIMITS } from '@myokinet/core/contracts';
import { jpegOf, type OpenPicture } from './openPicture.ts';

/** Longer sides and qualities, tried until the picture fits the record. */
const TRIES = [
  [1280, 0.85],
  [1280, 0.7],
  [960, 0.7],
  [640, 0.6],
] as const;

export interface KeptPicture {
  readonly image: string;
  readonly width: number;
  readonly height: number;
  /** Pixels of the kept picture for each pixel of the open one. */
  readonly scale: number;
}

/** A picture made small enough for the record, as base64. */
export async function keptPicture(picture: OpenPicture): Promise<KeptPicture> {
  const bitmap = await createImageBitmap(picture.blob);
  for (const [longer, quality] of TRIES) {
    const scale = Math.min(1, longer / Math.max(picture.width, picture.height));
    const size = { width: Math.round(picture.width * scale), height: Math.round(picture.height * scale) };
    const image = await base64(await jpegOf(bitmap, size, quality));
    if (image.length <= LIMITS.pictureCharacters) return { image, ...size, scale };
  }
  throw new Error('The picture stays too large for the record. Use it without keeping it.');
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}
