import type { Program } from './program.ts';

export interface SolveOptions {
  /** Seconds after which the best answer so far is returned: a stop for what runs away, not a measure of work. */
  readonly seconds: number;
  /**
   * How often a search for whole numbers may come by a point at which it can be stopped. Unlike seconds that is the same on every machine
   * and under every load, so that the same task ends with the same answer.
   */
  readonly checkpoints?: number;
  /** Relative gap between answer and bound at which the answer is good enough. */
  readonly gap: number;
  /** Forget that anything must be whole. */
  readonly relaxed?: boolean;
  /** A known answer to start from: the values of all variables. */
  readonly start?: ArrayLike<number>;
}

/** How far a running solver is. */
export interface SolveProgress {
  readonly seconds: number;
  /** What the best answer so far is worth; absent before there is one. */
  readonly objective?: number;
  /** No answer can be worth more than this; absent before it is known. */
  readonly bound?: number;
  /** A better answer than before, when this is about one. */
  readonly values?: Float64Array;
}

export interface Solution {
  /** `limit`: the time or the checkpoints were up first; there may be an answer all the same. */
  readonly status: 'optimal' | 'limit' | 'infeasible';
  /** Of the answer; absent where there is none. */
  readonly values?: Float64Array;
  readonly objective?: number;
  readonly bound?: number;
  /** (bound − objective) ÷ objective. */
  readonly gap?: number;
  /** Of a relaxed programme: what one unit more of each row’s bound would be worth. */
  readonly prices?: Float64Array;
  readonly seconds: number;
}

/** Something that solves programmes: a solver in this thread, or one in a worker. */
export type Solve = (program: Program, options: SolveOptions, onProgress?: (progress: SolveProgress) => void) => Promise<Solution>;
