import type { Prepared, Shown } from '@myokinet/core/motion';
import { Font, pdf } from '@react-pdf/renderer';
import { workOut } from '../../../kit/body/workOut.ts';
import type { PaperDocument, PaperDrill, PaperLook } from '../paperDocument.ts';
import { printable } from '../printable.ts';
import { FACES, PaperPdf } from './PaperPdf.tsx';

/** Where the letters of the file are: plain and bold, for each face. */
export interface PaperFonts {
  readonly plain: readonly string[];
  readonly bold: readonly string[];
}

let registered = false;

function register({ plain, bold }: PaperFonts): void {
  if (registered) return;
  registered = true;
  FACES.forEach((family, i) => {
    Font.register({
      family,
      fonts: [
        { src: plain[i] ?? '', fontWeight: 400 },
        { src: bold[i] ?? '', fontWeight: 700 },
      ],
    });
  });
  // Words stay whole: a hyphen that the reader did not expect is one more thing to read.
  Font.registerHyphenationCallback((word) => [word]);
}

const worked = new Map<string, Prepared>();

/** Worked out once for each body: the same drill comes on many a sheet. */
export function workedOut(figure: NonNullable<PaperDrill['figure']>, shown: Shown): Prepared {
  const key = JSON.stringify([figure.id, figure.pose, figure.movement, shown]);
  const known = worked.get(key) ?? workOut(figure, shown, 'as written');
  worked.set(key, known);
  return known;
}

/** The document as a PDF, with its letters and figures inside. */
export async function makePdf(document: PaperDocument, look: PaperLook, shown: Shown, fonts: PaperFonts): Promise<Blob> {
  register(fonts);
  const said = printable(document);
  const figures = new Map<PaperDrill, Prepared>();
  for (const block of said.sheets.flatMap((s) => s.blocks))
    if (block.is === 'drill' && block.figure) figures.set(block, workedOut(block.figure, shown));
  return pdf(<PaperPdf document={said} look={look} figures={figures} />).toBlob();
}
