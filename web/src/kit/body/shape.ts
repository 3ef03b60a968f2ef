/** What a shape is made of; the drawing gives it its colour. */
export type Ink = 'near' | 'far' | 'faint' | 'trunk' | 'blade' | 'equipment' | 'ground' | 'band' | 'paper';

/** A line with round ends, or a filled outline with round corners, metres on the picture. */
export interface Shape {
  readonly ink: Ink;
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly width: number;
  readonly filled?: true;
  /** Ends square. */
  readonly blunt?: true;
  readonly depth: number;
}
