import { openTraceTable, type TraceTable } from '@myokinet/core/interchange';
import { readTrace } from '@myokinet/core/traces';
import { expose } from 'comlink';

const tracer = {
  readTrace,
  /** A trace file, opened and read beside the page. */
  openFile: async (file: Blob): Promise<TraceTable> => openTraceTable(await file.text()),
};
export type Tracer = typeof tracer;

expose(tracer);
