import type { Blade } from '../schools/index.ts';

/** What the coach's eye looks for: the sign, the first cue, and what to do when it stays. */
export interface Fault {
  readonly name: string;
  readonly cue: string;
  readonly regression: string;
  /** Looked for only under this rule for the shoulder blade. */
  readonly under?: Blade;
}

/** A fault as the library holds it. */
export interface FaultEntry extends Fault {
  readonly id: FaultId;
}

/** The id of a fault of the library. */
export type FaultId = string;
