import { expose } from 'comlink';
import { workOut } from './workOut.ts';

const mover = { workOut };

export type Mover = typeof mover;

expose(mover);
