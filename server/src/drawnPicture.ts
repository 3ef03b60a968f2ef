import sharp from 'sharp';

/** A small picture in one colour, with a place and a device in its file; base64 of a JPEG. */
export async function drawnPicture(background = '#336655'): Promise<string> {
  const picture = sharp({ create: { width: 40, height: 30, channels: 3, background } }).withExif({
    IFD0: { Make: 'Invented', Copyright: 'A name' },
  });
  return (await picture.jpeg().toBuffer()).toString('base64');
}
