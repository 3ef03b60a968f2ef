/** Who entered a fact. */
export const REPORTERS = ['coach', 'trainee'] as const;
export type Reporter = (typeof REPORTERS)[number];

/**
 * How a fact came about.
 * - `suggested`: a pose model placed a landmark and nobody has confirmed it
 * - `in a session`: a set of a session showed it, tired and unasked; it stands only where no check does
 * - `simulated`: it comes from a stand-in, not from an instrument
 */
export const EVIDENCE_WAYS = ['typed', 'instrument', 'trace', 'picture', 'suggested', 'in a session', 'simulated'] as const;
export type EvidenceWay = (typeof EVIDENCE_WAYS)[number];

/** What a kind of evidence may do; every kind informs. */
export interface EvidenceWorth {
  /** A gate may open on it. */
  readonly opens: boolean;
  /** It keeps a clearance alive where a check fell due. */
  readonly keeps: boolean;
  /** It may close a gate or raise a stop sign. */
  readonly closes: boolean;
}

const MEASURED: EvidenceWorth = { opens: true, keeps: true, closes: true };
const TOLD: EvidenceWorth = { opens: false, keeps: false, closes: true };
const SHOWN: EvidenceWorth = { opens: false, keeps: false, closes: false };

/** The one table of what each kind may do (project default). */
export const EVIDENCE_TABLE: Readonly<Record<Reporter, Readonly<Record<EvidenceWay, EvidenceWorth>>>> = {
  coach: {
    ...{ typed: MEASURED, instrument: MEASURED, trace: MEASURED, picture: MEASURED },
    ...{ suggested: SHOWN, 'in a session': SHOWN, simulated: SHOWN },
  },
  trainee: {
    ...{ typed: TOLD, instrument: TOLD, trace: TOLD, picture: TOLD },
    ...{ suggested: SHOWN, 'in a session': SHOWN, simulated: SHOWN },
  },
};

/** Why a reading is shown but opens no gate. */
export const PROVISIONAL_KINDS = ['simulated', 'suggested', 'in a session'] as const satisfies readonly EvidenceWay[];
export type Provisional = (typeof PROVISIONAL_KINDS)[number];

/** What a reading tells about how it came about. */
export interface ReadingOrigin {
  readonly kind?: string;
  readonly simulated: boolean;
  /** Its own standard error, in the measure's unit, where it knows it. */
  readonly standardError?: number | null;
  readonly points?: readonly { readonly placedBy: string }[] | null;
}

/** Who entered a fact, and the reading behind it; without one it was typed. */
export interface EnteredFact {
  readonly by: Reporter;
  readonly reading?: ReadingOrigin | null | undefined;
}

export interface Evidence extends EvidenceWorth {
  readonly by: Reporter;
  readonly way: EvidenceWay;
}

/**
 * Where a fact comes from, and what it may do. A correction that is not measured anew keeps the reading of what it corrects, and so its
 * worth.
 *
 * @example evidenceOf({ by: 'coach', reading: { kind: 'picture', simulated: false, points } }).opens // true once every point is confirmed
 * @example evidenceOf({ by: 'trainee' }) // { by: 'trainee', way: 'typed', opens: false, keeps: false, closes: true }
 */
export function evidenceOf({ by, reading }: EnteredFact): Evidence {
  const way = wayOf(reading);
  return { by, way, ...EVIDENCE_TABLE[by][way] };
}

function wayOf(reading: ReadingOrigin | null | undefined): EvidenceWay {
  if (!reading) return 'typed';
  if (reading.kind === 'session') return 'in a session';
  if (reading.simulated) return 'simulated';
  if (reading.points?.some((p) => p.placedBy === 'suggested')) return 'suggested';
  return EVIDENCE_WAYS.find((w) => w === reading.kind) ?? 'typed';
}

/** What keeps evidence from opening a gate, as a capacity carries it. */
export function provisionalOf({ way }: Evidence): Provisional | undefined {
  return PROVISIONAL_KINDS.find((kind) => kind === way);
}
