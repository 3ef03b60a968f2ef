import type { BodySide } from '@myokinet/core/anatomy';
import type { CheckReply, RecordReply } from '@myokinet/core/contracts';
import { type Capacity, type Measure, measureSides, formatReading, formatReadingWithBand } from '@myokinet/core/measuring';
import type { Instant } from '@myokinet/core/quantities';
import { changeInWords, originWords } from '../checks/index.ts';

/** One occasion of one check and side. */
export interface Occasion {
  readonly at: number;
  readonly takenAt: Instant;
  readonly capacity: Capacity;
  readonly trials: readonly number[];
  /** Where figures came from that were not typed. */
  readonly origin: string;
  readonly coach: string;
}

export interface Series {
  readonly side: BodySide;
  /** Oldest first. */
  readonly occasions: readonly Occasion[];
}

/** Everything about one check over time. */
export interface MeasureHistory {
  readonly measure: Measure;
  readonly series: readonly Series[];
}

export interface HistoryEvent {
  readonly at: number;
  readonly kind: 'signed' | 'withdrawn' | 'symptom';
  readonly words: string;
}

/** Every check that was ever taken, in the order of working positions, each side on its own. */
export function historyOf(checks: readonly CheckReply[], measures: readonly Measure[]): readonly MeasureHistory[] {
  const oldestFirst = checks.toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));
  return measures.flatMap((measure) => {
    const series = measureSides(measure).flatMap((side): Series[] => {
      const occasions = oldestFirst.flatMap((check): Occasion[] => {
        const capacity = check.capacities.find((c) => c.measureId === measure.id && c.side === side);
        if (!capacity) return [];
        const trials = check.trials.filter((t) => t.measureId === measure.id && t.side === side && !t.replacedBy);
        const origins = [...new Set(trials.flatMap((t) => originWords(t.reading) ?? []))];
        return [
          {
            at: Date.parse(check.takenAt),
            takenAt: check.takenAt,
            capacity,
            trials: trials.map((t) => t.value),
            origin: origins.join(', '),
            coach: check.coach,
          },
        ];
      });
      return occasions.length > 0 ? [{ side, occasions }] : [];
    });
    return series.length > 0 ? [{ measure, series }] : [];
  });
}

/** What happened beside the checks. */
export function eventsOf(record: RecordReply | undefined): readonly HistoryEvent[] {
  if (!record) return [];
  const clearances = record.clearances.flatMap(({ signedAt, rungName, withdrawnAt, withdrawnReason }): HistoryEvent[] => [
    { at: Date.parse(signedAt), kind: 'signed', words: `${rungName} signed` },
    ...(withdrawnAt
      ? [
          {
            at: Date.parse(withdrawnAt),
            kind: 'withdrawn' as const,
            words: `${rungName} withdrawn${withdrawnReason ? `: ${withdrawnReason}` : ''}`,
          },
        ]
      : []),
  ]);
  const symptoms = [...record.symptoms, ...record.sessions.flatMap((s) => s.symptoms)].map(
    ({ at, kind, place, side, intensity }): HistoryEvent => ({
      at: Date.parse(at),
      kind: 'symptom',
      words: `${kind}, ${side === 'whole' ? '' : `${side} `}${place}, ${intensity} of 10`,
    }),
  );
  return [...clearances, ...symptoms.filter((s) => !s.words.endsWith(' 0 of 10'))].toSorted((a, b) => a.at - b.at);
}

/** One occasion in words: figure with band, its trials, and what it says against the one before. */
export function occasionInWords(measure: Measure, { occasions }: Series, index: number): string {
  const now = occasions[index];
  if (!now) return 'not taken';
  const figure = formatReadingWithBand(measure, now.capacity.value, now.capacity.band);
  const trials = measure.choices || now.trials.length < 2 ? '' : `, trials ${now.trials.map((t) => formatReading(measure, t)).join(', ')}`;
  const origin = now.origin ? `, ${now.origin}` : '';
  const before = occasions[index - 1];
  return `${figure}${trials}${origin}${before ? `; ${changeInWords(measure, before.capacity, now.capacity)}` : ''}`;
}
