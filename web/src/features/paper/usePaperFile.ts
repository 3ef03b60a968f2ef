import type { Shown } from '@myokinet/core/motion';
import { useState } from 'react';
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

function handOver(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken it over by then.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
