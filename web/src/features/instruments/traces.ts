import type { Samples, TraceReading } from '@myokinet/core/traces';
import { wrap } from 'comlink';
import type { Tracer } from './traceWorker.ts';

let tracer: ReturnType<typeof wrap<Tracer>> | undefined;

/** Started with the first trace; half an hour of samples is read here while the page goes on. */
function aside() {
  tracer ??= wrap<Tracer>(new Worker(new URL('./traceWorker.ts', import.meta.url), { type: 'module' }));
  return tracer;
}

/** `readTrace` beside the page. */
export function readTraceAside(samples: Samples): Promise<TraceReading> {
  return aside().readTrace(samples);
}

/** `readTraceCsv` beside the page. */
export function readTraceFileAside(file: Blob): Promise<Samples> {
  return aside().readFile(file);
}
