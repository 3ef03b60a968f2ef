/** The parts of a movement that have a name, in their order: of a hold, the way in, the hold and the way out. */
export const MOVE_PARTS = ['start', 'out', 'hold', 'back', 'finish'] as const;
export type MovePart = (typeof MOVE_PARTS)[number];

/** What is done in one part of a movement. */
export interface TeachingStep {
  readonly part: MovePart;
  readonly text: string;
}

/** What the breath does: `on` goes on as it will. */
export const BREATHS = ['in', 'out', 'on'] as const;
export type Breath = (typeof BREATHS)[number];

/** The breath by part of the movement; what is absent says nothing. */
export interface Breathing {
  readonly out?: Breath;
  readonly hold?: Breath;
  readonly back?: Breath;
}

/** How a drill is taught: what words add to the moving figure. */
export interface Teaching {
  /** Two to five, in the order of the movement. */
  readonly steps: readonly TeachingStep[];
  /** Where the work or the stretch is felt. */
  readonly felt: string;
  /** What must not move. */
  readonly still: string;
  /** What to look at. */
  readonly gaze: string;
  readonly breath: Breathing;
  /** Why it is done, in a sentence. */
  readonly why: string;
}
