import type { Blade } from '../schools/index.ts';
import type { Situation } from './situation.ts';
import type { MovePart } from './teaching.ts';

/** The words of a fault that depend on how the body is placed. */
export interface FaultWords {
  readonly cue?: string;
  readonly regression?: string;
}

/** What the coach's eye looks for: the sign, the first cue, and what to do when it stays. */
export interface Fault extends Required<FaultWords> {
  readonly name: string;
  /** The part of the movement in which it shows; absent: any. */
  readonly part?: MovePart;
  /** May show on one side alone, in two-handed work too. */
  readonly oneSided?: true;
  /** Looked for only under this rule for the shoulder blade. */
  readonly under?: Blade;
  /** Of a blade school's faults: the placements in which the school looks for it; absent: all. */
  readonly only?: readonly Situation[];
  /** What is said instead where the body is placed so. */
  readonly placed?: Readonly<Partial<Record<Situation, FaultWords>>>;
}

/** A fault as the library holds it. */
export interface FaultEntry extends Fault {
  readonly id: FaultId;
}

/** The id of a fault of the library. */
export type FaultId = string;

/** What a drill says of a fault in its own way. */
export interface FaultNote extends FaultWords {
  readonly part?: MovePart;
}
