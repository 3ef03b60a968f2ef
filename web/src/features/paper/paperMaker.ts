import { type Remote, wrap } from 'comlink';
import type { PaperMaker } from './pdf/paperWorker.ts';

let maker: Remote<PaperMaker> | undefined;

/** What makes files comes when the first one is wanted, and works beside the page. */
export const paperMaker = (): Remote<PaperMaker> =>
  (maker ??= wrap<PaperMaker>(new Worker(new URL('./pdf/paperWorker.ts', import.meta.url), { type: 'module' })));
