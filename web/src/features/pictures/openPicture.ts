import exifr from 'exifr';
import { imageSize } from 'image-size';
import { fingerprint } from '../../client/fingerprint.ts';

/** A picture ready to be measured: at most 1600 pixels along its longer side. */
export interface OpenPicture {
  readonly url: string;
  readonly width: number;
  readonly height: number;
  readonly blob: Blob;
  /** The same for the same file or frame. */
  readonly source: string;
  /** When it was taken, by the camera's own clock, where the file says so. */
  readonly takenAt?: Date;
}

const MOST_MEGAPIXELS = 50;
const MOST_BYTES = 60 * 1024 * 1024;
const HEADER_BYTES = 512 * 1024;
const LONGER_SIDE = 1600;
const MEGA = 1e6;

/**
 * Opens a picture file. Its header is read first, so that a huge one is refused before it fills the
 * memory of a phone.
 *
 * @throws Error with a sentence for the coach
 */
export async function openPicture(file: File): Promise<OpenPicture> {
  if (/\.hei[cf]$/i.test(file.name) || /hei[cf]/.test(file.type))
    throw new Error(
      'This is a HEIC picture, which browsers cannot show. On the phone choose “most compatible” under the camera’s formats, or share it as JPEG.',
    );
  if (file.size > MOST_BYTES)
    throw new Error(`The file has ${Math.round(file.size / MEGA)} MB; the limit is ${Math.round(MOST_BYTES / MEGA)} MB.`);
  const { width, height } = sizeOf(new Uint8Array(await file.slice(0, HEADER_BYTES).arrayBuffer()));
  const megapixels = (width * height) / MEGA;
  if (megapixels > MOST_MEGAPIXELS)
    throw new Error(
      `The picture has ${Math.round(megapixels)} megapixels; the limit is ${MOST_MEGAPIXELS}. Save a smaller copy, or photograph with a lower setting.`,
    );
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('The picture is damaged, or of a kind that this browser cannot decode. Nothing was taken from it.');
  }
  const takenAt = await dateOf(file);
  return {
    ...(await scaled(bitmap, bitmap.width, bitmap.height)),
    source: fingerprint(new Uint8Array(await file.arrayBuffer())),
    ...(takenAt ? { takenAt } : {}),
  };
}

/** When the camera says it was taken. */
async function dateOf(file: File): Promise<Date | undefined> {
  try {
    const told = (await exifr.parse(file, ['DateTimeOriginal'])) as { readonly DateTimeOriginal?: unknown } | undefined;
    return told?.DateTimeOriginal instanceof Date && Number.isFinite(told.DateTimeOriginal.getTime()) ? told.DateTimeOriginal : undefined;
  } catch {
    // A file without such data, or with broken ones, is a picture all the same.
    return undefined;
  }
}

/** The frame that a video shows. */
export async function frameOf(video: HTMLVideoElement): Promise<OpenPicture> {
  const frame = await scaled(video, video.videoWidth, video.videoHeight);
  return { ...frame, source: fingerprint(new Uint8Array(await frame.blob.arrayBuffer())) };
}

function sizeOf(header: Uint8Array): { readonly width: number; readonly height: number } {
  try {
    return imageSize(header);
  } catch {
    throw new Error('This file is no picture that can be read: its beginning says nothing about its size.');
  }
}

async function scaled(source: CanvasImageSource, width: number, height: number): Promise<Omit<OpenPicture, 'source'>> {
  const scale = Math.min(1, LONGER_SIDE / Math.max(width, height));
  const size = { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
  const blob = await jpegOf(source, size, 0.9);
  return { ...size, blob, url: URL.createObjectURL(blob) };
}

/** Draws a picture at a size and packs it. */
export function jpegOf(
  source: CanvasImageSource,
  { width, height }: { readonly width: number; readonly height: number },
  quality: number,
): Promise<Blob> {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.drawImage(source, 0, 0, width, height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('This browser could not pack the picture.'))), 'image/jpeg', quality),
  );
}
