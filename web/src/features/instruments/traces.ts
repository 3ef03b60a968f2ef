import type { TraceTable } from '@myokinet/core/interchange';
import type { Samples, TraceQuantity, TraceReading } from '@myokinet/core/traces';
import { wrap } from 'comlink';
import type { Tracer } from './traceWorker.ts';

let tracer: ReturnType<typeof wrap<Tracer>> | undefined;

/** Started with the first trace; half an hour of samples is read here while the page goes on. */
function aside() {
  tracer ??= wrap<Tracer>(new Worker(new URL('./traceWorker.ts', import.meta.url), { type: 'module' }));
  return tracer;
}

/** `readTrace` beside the page. */
export function readTraceAside(samples: Samples, quantity: TraceQuantity): Promise<TraceReading> {
  return aside().readTrace(samples, { quantity });
}

/** `openTraceTable` beside the page. */
export function openTraceFileAside(file: Blob): Promise<TraceTable> {
  return aside().openFile(file);
}
