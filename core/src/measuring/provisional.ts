/**
 * Why a reading is shown but opens no gate.
 * - `simulated`: it comes from a stand-in, not from an instrument
 * - `suggested`: a pose model placed a landmark and nobody has confirmed it
 */
export const PROVISIONAL = {
  simulated: 'read from a simulated instrument, which opens no gate',
  suggested: 'read from suggested points that nobody has confirmed, which opens no gate',
} as const;

export type Provisional = keyof typeof PROVISIONAL;

/** What a reading tells about how it came about. */
export interface ReadingOrigin {
  readonly simulated: boolean;
  readonly points?: readonly { readonly placedBy: string }[] | null;
}

/** Whether a reading may open a gate, and if not, why. */
export function provisionalOf({ simulated, points }: ReadingOrigin): Provisional | undefined {
  if (simulated) return 'simulated';
  return points?.some((p) => p.placedBy === 'suggested') ? 'suggested' : undefined;
}
