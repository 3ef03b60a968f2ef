export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** A side, or `whole` for what has no sides (a plank, a strap pass-through). */
export type BodySide = Side | 'whole';

/** The sides a check is taken on. */
export function sidesOf(sided: boolean): readonly BodySide[] {
  return sided ? SIDES : ['whole'];
}

/** `Left`, `Right`, or nothing for the whole body: the start of a sentence. */
export function sideLabel(side: BodySide): string {
  return { left: 'Left', right: 'Right', whole: '' }[side];
}
