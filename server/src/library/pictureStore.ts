import {
  type LibraryFilePictureDto,
  type LibraryPictureDto,
  type LibraryPictureReply,
  type Pictured,
  PICTURED_LIMITS,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { type Redrawn, redrawn, redrawnFromFile } from './redrawn.ts';
import * as sql from './pictureStatements.ts';

type Row = Omit<LibraryPictureReply, 'moving'> & { readonly moving: number };
type Blobs = { readonly image: Buffer | null; readonly still: Buffer | null };

/** A picture out of a file, drawn anew and ready to be kept. */
export interface ReadyPicture extends Redrawn, Pick<LibraryFilePictureDto, 'id' | 'kind' | 'entry' | 'shows'> {}

/** A single picture has no rate; a clip that does not say it runs at this. */
const USUAL_RATE = 8;

/** Pictures and clips of drills and checks that are the studio's own. */
export function libraryPictureStore(context: Context) {
  const { db, studioId, now } = context;
  const all = db.prepare<{ studioId: string }, Row>(sql.PICTURES);
  const blobs = db.prepare<{ id: string; studioId: string }, Blobs>(sql.IMAGE);
  const known = db.prepare<{ id: string }, unknown>(sql.KNOWN);
  const insert = db.prepare(sql.INSERT);
  const takeOff = db.prepare(sql.TAKE_OFF);

  const list = (): readonly LibraryPictureReply[] => all.all({ studioId }).map((row) => ({ ...row, moving: row.moving === 1 }));

  function mustHaveRoom(kind: Pictured, entry: string): void {
    const kept = list();
    const { ofEntry, ofStudio } = PICTURED_LIMITS;
    if (kept.filter((p) => p.kind === kind && p.entry === entry).length >= ofEntry)
      throw new Refusal('pictures-full', `“${entry}” has ${ofEntry} pictures, the most that one entry has. Take one off first.`);
    if (kept.length >= ofStudio)
      throw new Refusal('pictures-full', `The studio has ${ofStudio} pictures of drills and checks, the most that it keeps.`);
  }

  function write(actor: Actor, { id, kind, entry, shows, moving, image, still }: ReadyPicture): void {
    mustHaveRoom(kind, entry);
    const row = { id, kind, entry, shows, image, still, moving: moving ? 1 : 0 };
    insert.run({ ...row, studioId, coachId: actor.coachId, addedAt: instant(now()) });
  }

  return {
    list,

    async keep(actor: Actor, dto: LibraryPictureDto): Promise<readonly LibraryPictureReply[]> {
      mustMay(actor, 'edit-library');
      const drawn = await redrawn(dto.frames, dto.rate ?? USUAL_RATE);
      acceptOnce(context, dto.id, { dto }, () => write(actor, { ...dto, ...drawn }));
      return list();
    },

    /** Pictures of a file that the studio has not got, drawn anew: what is no picture stops the import before anything is written. */
    async ready(pictures: readonly LibraryFilePictureDto[]): Promise<readonly ReadyPicture[]> {
      const ready: ReadyPicture[] = [];
      for (const { id, kind, entry, shows, image } of pictures)
        if (image !== undefined && !known.get({ id })) ready.push({ id, kind, entry, shows, ...(await redrawnFromFile(image)) });
      return ready;
    },

    /** How many of these pictures would be new. */
    newOf: (pictures: readonly LibraryFilePictureDto[]): number => pictures.filter((p) => !known.get({ id: p.id })).length,

    write,

    /** The image, or the still of a clip. */
    image(id: string, still: boolean): Buffer {
      const found = blobs.get({ id, studioId });
      const image = still ? found?.still : found?.image;
      if (!image) throw new Refusal('picture-missing', 'This picture is not in the library.');
      return image;
    },

    takeOff(actor: Actor, id: string): readonly LibraryPictureReply[] {
      mustMay(actor, 'edit-library');
      if (takeOff.run({ id, studioId }).changes === 0) throw new Refusal('picture-missing', 'This picture is not in the library.');
      return list();
    },

    /** What of the pictures goes into a library file: themselves, or where they lie. */
    forFile(how: 'embedded' | 'links'): readonly LibraryFilePictureDto[] {
      return list().map(({ id, kind, entry, shows, moving }) => ({
        ...{ id, kind, entry, shows, moving },
        ...(how === 'links'
          ? { href: `/api/library/pictures/${id}/image` }
          : { image: blobs.get({ id, studioId })?.image?.toString('base64') ?? '' }),
      }));
    },
  };
}

export type LibraryPictureStore = ReturnType<typeof libraryPictureStore>;
