import { type Capacity, type Measure, type MeasureOf, formatReadingWithBand } from '@myokinet/core/measuring';
import { demandInWords, headroomInWords } from '@myokinet/core/words';
import { byUrgency, checkKey, type Headroom, type HeadroomState, overDemand } from '@myokinet/core/readiness';

/** One demand as a row of the chart: its sides, the worse one deciding the words. */
export interface HeadroomRow {
  readonly measureId: string;
  readonly measure: Measure;
  readonly asked: string;
  readonly sides: readonly Headroom[];
  readonly state: HeadroomState;
  readonly verdict: string;
  /** What the row on top is called: what holds the trainee back, or what is not known. */
  readonly tag?: 'limiter' | 'check this next';
}

/** Rows of the chart, shortest headroom on top. */
export function headroomRows(headrooms: readonly Headroom[], limiter: Headroom | undefined, measureOf: MeasureOf): readonly HeadroomRow[] {
  const sorted = [...headrooms].sort(byUrgency);
  return [...new Set(sorted.map((h) => h.demand.measureId))].map((measureId) => {
    const sides = (['left', 'right', 'whole'] as const).flatMap((side) =>
      sorted.filter((h) => h.demand.measureId === measureId && h.side === side),
    );
    const worst = [...sides].sort(byUrgency)[0];
    if (!worst) throw new Error(`No headroom for ${measureId}`);
    const { demand } = worst;
    const measure = measureOf(measureId);
    return {
      measureId,
      measure,
      asked: demandInWords(demand, measure) + (demand.basis ? ` (${demand.basis})` : ''),
      sides,
      state: worst.state,
      verdict: verdictWords(worst, sides, measure),
      ...tagOf(measureId, limiter),
    };
  });
}

function tagOf(measureId: string, limiter: Headroom | undefined): Pick<HeadroomRow, 'tag'> {
  if (limiter?.demand.measureId !== measureId || limiter.state === 'spare') return {};
  return { tag: limiter.state === 'unknown' ? 'check this next' : 'limiter' };
}

function verdictWords(worst: Headroom, sides: readonly Headroom[], measure: Measure): string {
  const words = headroomInWords(worst, measure);
  const alike = sides.every((s) => s.state === worst.state);
  if (worst.state === 'spare' || worst.side === 'whole') return words;
  if (alike && worst.state !== 'short') return words;
  return `${words} on the ${worst.side}`;
}

/** Error bands shown either side of the mark; further out is clipped with an arrow. */
export const BANDS_SHOWN = 4;

export interface Mark {
  readonly key: string;
  readonly side: Headroom['side'];
  readonly state: HeadroomState;
  /** Position in error bands, clipped. */
  readonly at: number;
  readonly clipped: boolean;
  /** Ends of the whisker in error bands, clipped. */
  readonly whisker: readonly [number, number];
  /** Earlier checks in today's error bands, newest first. */
  readonly trail: readonly number[];
}

/** Where one side of a row is drawn; nothing for an unknown one. */
export function markOf(h: Headroom, trails: Readonly<Record<string, readonly Capacity[]>>, measure: Measure): Mark | undefined {
  if (h.bands === undefined || !h.capacity || h.state === 'unknown') return undefined;
  const { demand, capacity } = h;
  const width = capacity.band > 0 ? capacity.band : measure.limits.step;
  // A level is what it is: no whisker.
  const reach = capacity.band > 0 ? 1 : 0;
  const clip = (z: number) => Math.max(-BANDS_SHOWN, Math.min(BANDS_SHOWN, z));
  return {
    key: checkKey(demand.measureId, h.side),
    side: h.side,
    state: h.state,
    at: clip(h.bands),
    clipped: Math.abs(h.bands) > BANDS_SHOWN,
    whisker: [clip(h.bands - reach), clip(h.bands + reach)],
    trail: (trails[checkKey(demand.measureId, h.side)] ?? []).map((c) => clip(overDemand(c.value, demand) / width)),
  };
}

/** `160° ± 3°`, or that it was never taken. */
export function figureWords({ capacity }: Headroom, measure: Measure): string {
  return capacity ? formatReadingWithBand(measure, capacity.value, capacity.band) : 'never checked';
}
