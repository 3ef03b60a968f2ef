import type { readTrace } from '@myokinet/core/traces';
import { wrap } from 'comlink';
import type { Tracer } from './traceWorker.ts';

let tracer: ReturnType<typeof wrap<Tracer>> | undefined;

/** `readTrace` beside the page, so that typing goes on while a long trace is read. */
export function readTraceAside(...args: Parameters<typeof readTrace>): Promise<ReturnType<typeof readTrace>> {
  tracer ??= wrap<Tracer>(new Worker(new URL('./traceWorker.ts', import.meta.url), { type: 'module' }));
  return tracer.readTrace(...args);
}
