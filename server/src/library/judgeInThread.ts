import { Worker } from 'node:worker_threads';
import type { FileToJudge, JudgedFile } from './judgeFile.ts';

/** How a file is judged: in the same thread where one waits for it anyway, beside the server where others must not. */
export type JudgeFile = (file: FileToJudge) => JudgedFile | Promise<JudgedFile>;

/** Judges a file in a thread of its own, ended when it has answered. The thread's program lies beside the server's. */
export const judgeInThread =
  (program: URL): JudgeFile =>
  (file) =>
    new Promise((resolve, reject) => {
      const thread = new Worker(program);
      thread.once('message', (judged: JudgedFile) => {
        resolve(judged);
        void thread.terminate();
      });
      thread.once('error', reject);
      thread.postMessage(file);
    });
