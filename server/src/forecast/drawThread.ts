import { parentPort } from 'node:worker_threads';
import { type Asked, drawGate, type Drawn } from './drawInThread.ts';

/** Draws one gate after the other beside the server, which goes on answering. */
parentPort?.on('message', ({ id, outlook, seed }: Asked) => {
  parentPort?.postMessage({ id, forecast: drawGate(outlook, seed) } satisfies Drawn);
});
