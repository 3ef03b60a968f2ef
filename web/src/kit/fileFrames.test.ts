import { describe, expect, it } from 'vitest';
import { framesOf } from './fileFrames.ts';

const LIMITS = { frames: 48, rate: 8 };
/** A file of a size, without its bytes. */
const file = (name: string, type: string, megabytes: number) =>
  Object.defineProperty(new File(['MZ'], name, { type }), 'size', { value: megabytes * 1024 * 1024 });

describe('what is no picture and no clip', () => {
  it.each([
    ['a clip of 500 MB', file('long.webm', 'video/webm', 500), '“long.webm” has 500 MB; the limit is 300 MB. Nothing was taken from it.'],
    ['one that says no type', file('long.MOV', '', 301), '“long.MOV” has 301 MB; the limit is 300 MB. Nothing was taken from it.'],
    ['a picture of 61 MB', file('huge.jpg', 'image/jpeg', 61), '“huge.jpg” has 61 MB; the limit is 60 MB. Nothing was taken from it.'],
    ['an executable', file('tool.exe', '', 1), '“tool.exe” is no picture that this browser can show. Nothing was taken from it.'],
  ])('%s is refused by name and limit before it is read', async (_what, chosen, says) => {
    await expect(framesOf(chosen, LIMITS)).rejects.toThrow(says);
  });
});
