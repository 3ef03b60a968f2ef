import { readTraceCsv } from '@myokinet/core/interchange';
import { readTrace, type Samples } from '@myokinet/core/traces';
import { expose } from 'comlink';

const tracer = {
  readTrace,
  /** A trace file, opened and read beside the page. */
  readFile: async (file: Blob): Promise<Samples> => readTraceCsv(await file.text()),
};
export type Tracer = typeof tracer;

expose(tracer);
