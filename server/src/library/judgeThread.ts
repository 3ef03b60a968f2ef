import 'reflect-metadata';
import { parentPort } from 'node:worker_threads';
import { type FileToJudge, judgeFile } from './judgeFile.ts';

/** Judges one file beside the server, which goes on answering. */
parentPort?.once('message', (file: FileToJudge) => parentPort?.postMessage(judgeFile(file)));
