import { binomialInterval } from '../statistics/index.ts';
import type { Outcome } from './outcome.ts';

/** A clearance whose outcome somebody told, with what it was signed on. */
export interface Judgeable {
  readonly ladderId: string;
  readonly outcomes: readonly Outcome[];
  /** What each check had to spare at the signature, in error bands, the worse side. */
  readonly margins: Readonly<Record<string, number>>;
  /** Days since the oldest of its checks at the signature. */
  readonly oldestDays?: number | undefined;
}

/** Of those cleared, how many flared up or stepped back; what the share may truly be with 95% (exact binomial). */
export interface ReliabilityGroup {
  readonly key: string;
  readonly cleared: number;
  readonly flared: number;
  readonly share: number;
  readonly from: number;
  readonly to: number;
}

/** How well the margin on one demand told who would flare up. */
export interface Telling {
  readonly measureId: string;
  readonly flared: number;
  readonly well: number;
  /** Chance that, of one who flared and one who did not, the one who flared had less to spare; ½ tells nothing (Mann–Whitney). */
  readonly chance: number;
  /** Enough of both, and far enough from chance, that a coach should look at it. */
  readonly lookAt: boolean;
}

export interface Reliability {
  /** Everybody; absent while nobody has told anything. */
  readonly all?: ReliabilityGroup;
  readonly byLadder: readonly ReliabilityGroup[];
  readonly byMargin: readonly ReliabilityGroup[];
  readonly byAge: readonly ReliabilityGroup[];
  readonly telling: readonly Telling[];
  /** Clearances of which nobody could say. */
  readonly unknown: number;
}

const CONFIDENCE = 0.95;
/** Right ends of the classes; what lies beyond the last is its own. */
const MARGINS = [1.5, 2.5, 4];
const AGES = [7, 14, 28];
/** Fewer of either kind say nothing of a demand (project default). */
const LEAST_OF_A_KIND = 5;
/** So many standard deviations from chance. */
const BEYOND_CHANCE = 1.96;

/**
 * Whether the studio's gates were right: of those cleared, how many flared up, by ladder, by margin and by days since the check. It says
 * where to look and changes nothing.
 *
 * @example reliabilityOf([{ ladderId: 'hang', outcomes: ['well'], margins: {} }]).all // { key: 'all', cleared: 1, flared: 0, share: 0, from: 0, to: 0.975 }
 */
export function reliabilityOf(clearances: readonly Judgeable[]): Reliability {
  const told = clearances.filter((c) => c.outcomes.some((o) => o !== 'unknown'));
  const [all] = grouped(told, () => 'all');
  return {
    ...(all ? { all } : {}),
    byLadder: grouped(told, (c) => c.ladderId),
    byMargin: grouped(told, ({ margins }) => classOf(Math.min(...Object.values(margins)), MARGINS)),
    byAge: grouped(told, ({ oldestDays }) => classOf(oldestDays ?? Number.NaN, AGES)),
    telling: tellingOf(told),
    unknown: clearances.length - told.length,
  };
}

/** What is known to have gone badly at any of its weeks went badly. */
const wentBadly = ({ outcomes }: Judgeable): boolean => outcomes.some((o) => o === 'flared' || o === 'stepped-back');

function grouped(told: readonly Judgeable[], keyOf: (c: Judgeable) => string | undefined): readonly ReliabilityGroup[] {
  const groups = new Map<string, Judgeable[]>();
  for (const one of told) {
    const key = keyOf(one);
    if (key !== undefined) groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups]
    .map(([key, of]) => {
      const flared = of.filter(wentBadly).length;
      return { key, cleared: of.length, flared, share: flared / of.length, ...binomialInterval(flared, of.length, CONFIDENCE) };
    })
    .sort((a, b) => a.key.localeCompare(b.key, 'en', { numeric: true }));
}

/** `0–1.5`, `1.5–2.5`, … `4+`; nothing where there is no figure. */
function classOf(value: number, ends: readonly number[]): string | undefined {
  if (!Number.isFinite(value)) return undefined;
  const i = ends.findIndex((end) => value <= end);
  return i < 0 ? `${ends.at(-1)}+` : `${ends[i - 1] ?? 0}–${ends[i]}`;
}

function tellingOf(told: readonly Judgeable[]): readonly Telling[] {
  const measureIds = [...new Set(told.flatMap((c) => Object.keys(c.margins)))];
  return measureIds
    .map((measureId): Telling => {
      const marginsOf = (bad: boolean) => told.flatMap((c) => (wentBadly(c) === bad ? (c.margins[measureId] ?? []) : []));
      const [bad, good] = [marginsOf(true), marginsOf(false)];
      const pairs = bad.length * good.length;
      const less = bad.reduce((sum, b) => sum + good.reduce((s, g) => s + (b < g ? 1 : b === g ? 0.5 : 0), 0), 0);
      const chance = pairs === 0 ? 0.5 : less / pairs;
      // Standard deviation of the Mann–Whitney share where margins tell nothing (Mann and Whitney 1947).
      const sd = pairs === 0 ? Infinity : Math.sqrt((bad.length + good.length + 1) / (12 * pairs));
      const enough = bad.length >= LEAST_OF_A_KIND && good.length >= LEAST_OF_A_KIND;
      return { measureId, flared: bad.length, well: good.length, chance, lookAt: enough && chance - 0.5 > BEYOND_CHANCE * sd };
    })
    .filter((t) => t.flared > 0 && t.well > 0)
    .sort((a, b) => b.chance - a.chance);
}
