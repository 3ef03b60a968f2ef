/**
 * Why a reading is shown but opens no gate.
 * - `simulated`: it comes from a stand-in, not from an instrument
 * - `suggested`: a pose model placed a landmark and nobody has confirmed it
 * - `in a session`: a set of a session showed it, tired and unasked; it stands only where no check does
 */
export const PROVISIONAL_KINDS = ['simulated', 'suggested', 'in a session'] as const;
export type Provisional = (typeof PROVISIONAL_KINDS)[number];

/** What a reading tells about how it came about. */
export interface ReadingOrigin {
  readonly kind?: string;
  readonly simulated: boolean;
  /** Its own standard error, in the measure's unit, where it knows it. */
  readonly standardError?: number | null;
  readonly points?: readonly { readonly placedBy: string }[] | null;
}

/** Whether a reading may open a gate, and if not, why. */
export function provisionalOf({ kind, simulated, points }: ReadingOrigin): Provisional | undefined {
  if (kind === 'session') return 'in a session';
  if (simulated) return 'simulated';
  return points?.some((p) => p.placedBy === 'suggested') ? 'suggested' : undefined;
}
