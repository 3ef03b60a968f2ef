import type { Shown } from '@myokinet/core/motion';
import type { ShownDrill } from '@myokinet/core/movements';
import { useEffect, useState } from 'react';
import type { PaperDocument, PaperLook } from './paperDocument.ts';
import { paperMaker } from './paperMaker.ts';

type Making = 'resting' | 'making' | 'made' | 'failed';

/** Makes the file away from the page and hands it to the browser. */
export function usePaperFile(): {
  readonly state: Making;
  readonly save: (document: PaperDocument, look: PaperLook, shown: Shown) => void;
} {
  const [state, setState] = useState<Making>('resting');
  return {
    state,
    save: (document, look, shown) => {
      setState('making');
      paperMaker()
        .make(document, look, shown)
        .then((file) => {
          handOver(file, `${document.trainee}, ${document.title}.pdf`);
          setState('made');
        })
        .catch(() => setState('failed'));
    },
  };
}

/** What makes the file is large, and movements take their time: both are got ready while the page is looked at. */
export function useWarmMaker(document: PaperDocument | undefined, shown: Shown): void {
  const figures = document?.sheets.flatMap((s) => s.blocks).flatMap((b) => (b.is === 'drill' && b.figure ? [b.figure] : [])) ?? [];
  const wanted = JSON.stringify([figures.map(({ id, pose, movement }) => ({ id, pose, movement })), shown]);
  useEffect(() => {
    const [outlines, body] = JSON.parse(wanted) as [readonly ShownDrill[], Shown];
    // Where it fails, making the file fails too, and is said there.
    paperMaker()
      .warm(outlines, body)
      .catch(() => undefined);
  }, [wanted]);
}

function handOver(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken it over by then.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
