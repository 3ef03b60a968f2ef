import { parentPort } from 'node:worker_threads';
import { Refusal } from '@myokinet/core/errors';
import { type FileToJudge, judgeFile } from './judgeFile.ts';
import type { Told } from './judgeInThread.ts';

/** Judges one file beside the server, which goes on answering. */
parentPort?.once('message', (file: FileToJudge) => parentPort?.postMessage(told(file)));

/** Refusals are told by their parts: a class does not survive the way between threads. */
function told(file: FileToJudge): Told {
  try {
    return { judged: judgeFile(file) };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const { code, detail, fields } = error;
    return { refused: { code, detail, fields } };
  }
}
