import { readTrace } from '@myokinet/core/traces';
import { expose } from 'comlink';

const tracer = { readTrace };
export type Tracer = typeof tracer;

expose(tracer);
