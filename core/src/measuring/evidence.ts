import { calendarDay, daysBetween, type Instant } from '../quantities/index.ts';

/** Who entered a fact. An assistant measures for the coach, who signs. */
export const REPORTERS = ['coach', 'assistant', 'trainee'] as const;
export type Reporter = (typeof REPORTERS)[number];

/**
 * How a fact came about.
 * - `suggested`: a pose model placed a landmark and nobody has confirmed it, or followed a clip
 * - `in a session`: a set of a session showed it, tired and unasked; it stands only where no check does
 * - `set-up`: a set-up whose load is known was held, where there was no instrument
 * - `simulated`: it comes from a stand-in, not from an instrument
 */
export const EVIDENCE_WAYS = ['typed', 'instrument', 'trace', 'picture', 'set-up', 'suggested', 'in a session', 'simulated'] as const;
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

const BY_STAFF: Readonly<Record<EvidenceWay, EvidenceWorth>> = {
  ...{ typed: MEASURED, instrument: MEASURED, trace: MEASURED, picture: MEASURED, 'set-up': MEASURED },
  ...{ suggested: SHOWN, 'in a session': SHOWN, simulated: SHOWN },
};

/** The one table of what each kind may do (project default). */
export const EVIDENCE_TABLE: Readonly<Record<Reporter, Readonly<Record<EvidenceWay, EvidenceWorth>>>> = {
  coach: BY_STAFF,
  assistant: BY_STAFF,
  trainee: {
    ...{ typed: TOLD, instrument: TOLD, trace: TOLD, picture: TOLD, 'set-up': TOLD },
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
  /** What it was read off, the same for the same picture or frame. */
  readonly source?: string | null;
  readonly points?: readonly { readonly placedBy: string }[] | null;
  readonly trace?: { readonly ofClip?: boolean } | null;
}

/** When a fact happened, when it was put on record, and what it corrects. */
export interface FactDates {
  readonly happenedAt?: Instant | undefined;
  /** Absent where an older program did not keep it. */
  readonly recordedAt?: Instant | undefined;
  /** The id of the fact that it puts right. */
  readonly corrects?: string | undefined;
}

/** Who entered a fact, and the reading behind it; without one it was typed. */
export interface EnteredFact extends FactDates {
  readonly by: Reporter;
  readonly reading?: ReadingOrigin | null | undefined;
}

export interface Evidence extends EvidenceWorth, FactDates {
  readonly by: Reporter;
  readonly way: EvidenceWay;
  /** Put on record on a later day than it happened: from memory or from a note. */
  readonly late: boolean;
}

/**
 * Where a fact comes from, and what it may do. A correction that is not measured anew keeps the reading of what it corrects, and so its
 * worth.
 *
 * @example evidenceOf({ by: 'coach', reading: { kind: 'picture', simulated: false, points } }).opens // true once every point is confirmed
 * What is dated after it was recorded has not happened yet and only informs.
 *
 * @example evidenceOf({ by: 'trainee' }) // { by: 'trainee', way: 'typed', opens: false, keeps: false, closes: true, late: false }
 */
export function evidenceOf({ by, reading, ...dates }: EnteredFact): Evidence {
  const way = wayOf(reading);
  const { happenedAt, recordedAt } = dates;
  const known = happenedAt !== undefined && recordedAt !== undefined;
  const early = known && daysBetween(recordedAt, happenedAt) > CLOCK_DAYS;
  const late = known && calendarDay(happenedAt) < calendarDay(recordedAt);
  return { by, way, ...dates, late, ...(early ? SHOWN : EVIDENCE_TABLE[by][way]) };
}

/** Clocks of two machines differ a little: five minutes. */
const CLOCK_DAYS = 5 / (24 * 60);

function wayOf(reading: ReadingOrigin | null | undefined): EvidenceWay {
  if (!reading) return 'typed';
  if (reading.kind === 'session') return 'in a session';
  if (reading.simulated) return 'simulated';
  if (reading.points?.some((p) => p.placedBy === 'suggested') || reading.trace?.ofClip) return 'suggested';
  return EVIDENCE_WAYS.find((w) => w === reading.kind) ?? 'typed';
}

/** What keeps evidence from opening a gate, as a capacity carries it. */
export function provisionalOf({ way }: Evidence): Provisional | undefined {
  return PROVISIONAL_KINDS.find((kind) => kind === way);
}
