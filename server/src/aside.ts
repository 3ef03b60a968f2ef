import type { DrawGate } from './forecast/drawInThread.ts';
import { drawGate, drawInThread } from './forecast/drawInThread.ts';
import { judgeFile } from './library/judgeFile.ts';
import { type JudgeFile, judgeInThread } from './library/judgeInThread.ts';

/** What takes so long that it is done beside the answering of requests, where there are threads. */
export interface Aside {
  readonly judge: JudgeFile;
  readonly draw: DrawGate;
}

/** In the same thread: in tests, and where one waits for it anyway. */
export const HERE: Aside = { judge: judgeFile, draw: drawGate };

/** In threads, whose built programs lie in a folder. */
export function inThreads(folder: URL): Aside {
  return { judge: judgeInThread(new URL('judgeThread.js', folder)), draw: drawInThread(new URL('drawThread.js', folder)) };
}
