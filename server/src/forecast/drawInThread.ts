import { Worker } from 'node:worker_threads';
import { forecastGate, type GateForecast, type GateOutlook } from '@myokinet/core/forecast';
import seedrandom from 'seedrandom';

/** Draws the futures of a gate; the same seed gives the same answer. */
export type DrawGate = (outlook: GateOutlook, seed: string) => GateForecast | Promise<GateForecast>;

export const drawGate = (outlook: GateOutlook, seed: string): GateForecast => forecastGate(outlook, seedrandom.alea(seed));

export interface Asked {
  readonly id: number;
  readonly outlook: GateOutlook;
  readonly seed: string;
}
export interface Drawn {
  readonly id: number;
  readonly forecast: GateForecast;
}

/** Draws in one thread, begun when it is first needed; it keeps no program from ending. One that breaks is begun anew for the next. */
export function drawInThread(program: URL): DrawGate {
  let thread: Worker | undefined;
  let last = 0;
  const waiting = new Map<number, { readonly resolve: (forecast: GateForecast) => void; readonly reject: (error: Error) => void }>();
  const begin = (): Worker => {
    const worker = new Worker(program);
    worker.unref();
    worker.on('message', ({ id, forecast }: Drawn) => {
      waiting.get(id)?.resolve(forecast);
      waiting.delete(id);
    });
    worker.on('error', (error: Error) => {
      thread = undefined;
      for (const { reject } of waiting.values()) reject(error);
      waiting.clear();
    });
    return worker;
  };
  return (outlook, seed) =>
    new Promise((resolve, reject) => {
      thread ??= begin();
      const id = ++last;
      waiting.set(id, { resolve, reject });
      thread.postMessage({ id, outlook, seed } satisfies Asked);
    });
}
