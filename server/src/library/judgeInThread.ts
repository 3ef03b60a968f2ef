import { Worker } from 'node:worker_threads';
import { Refusal } from '@myokinet/core/errors';
import type { FileToJudge, JudgedFile } from './judgeFile.ts';

/** How a file is judged: in the same thread where one waits for it anyway, beside the server where others must not. */
export type JudgeFile = (file: FileToJudge) => JudgedFile | Promise<JudgedFile>;

/** What the thread answers. */
export type Told = { readonly judged: JudgedFile } | { readonly refused: Pick<Refusal, 'code' | 'detail' | 'fields'> };

/** Judges a file in a thread of its own, ended when it has answered. The thread's program lies beside the server's. */
export const judgeInThread =
  (program: URL): JudgeFile =>
  (file) =>
    new Promise((resolve, reject) => {
      const thread = new Worker(program);
      thread.once('message', (told: Told) => {
        if ('judged' in told) resolve(told.judged);
        else reject(new Refusal(told.refused.code, told.refused.detail, told.refused.fields));
        void thread.terminate();
      });
      thread.once('error', reject);
      thread.postMessage(file);
    });
