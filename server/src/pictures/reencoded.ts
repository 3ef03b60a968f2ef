import { Refusal } from '@myokinet/core/errors';
import sharp from 'sharp';

/** Points of a picture at most: what a phone's camera gives, and no bomb that grows when it is opened. */
const MOST_POINTS = 50_000_000;
const QUALITY = 88;

/**
 * A picture drawn anew from what it shows, the right way up: nothing else that its file held (place, device, hidden bytes) comes along.
 * What it is is told by its content.
 *
 * @throws Refusal `picture-unreadable`
 */
export async function reencoded(base64: string): Promise<Buffer> {
  try {
    const picture = sharp(Buffer.from(base64, 'base64'), { limitInputPixels: MOST_POINTS });
    if ((await picture.metadata()).format !== 'jpeg') throw new Refusal('picture-unreadable');
    return await picture.autoOrient().jpeg({ quality: QUALITY }).toBuffer();
  } catch {
    throw new Refusal('picture-unreadable');
  }
}
