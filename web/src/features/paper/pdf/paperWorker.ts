import type { Shown } from '@myokinet/core/motion';
import type { ShownDrill } from '@myokinet/core/movements';
import { expose } from 'comlink';
import boldMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import plainMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import type { PaperDocument, PaperLook } from '../paperDocument.ts';
import { makePdf, workedOut } from './makePdf.tsx';

const here = (path: string) => new URL(path, self.location.origin).href;

const fonts = { plain: [here(plain), here(plainMore)], bold: [here(bold), here(boldMore)] };
/** Letters of both faces, so that they are read before they are wanted. */
const NOTHING: PaperDocument = {
  title: 'a ř',
  trainee: 'a ř',
  coach: '',
  studio: '',
  made: '',
  sheets: [{ heading: 'a ř', under: [], blocks: [] }],
};

const paper = {
  /** Gets ready while the page is looked at: the letters, and the movements that will be wanted. */
  warm: async (figures: readonly ShownDrill[], shown: Shown): Promise<void> => {
    for (const figure of figures) workedOut(figure, shown);
    await makePdf(NOTHING, { size: 'a4', large: false }, shown, fonts);
  },
  make: (document: PaperDocument, look: PaperLook, shown: Shown): Promise<Blob> => makePdf(document, look, shown, fonts),
};

export type PaperMaker = typeof paper;

expose(paper);
