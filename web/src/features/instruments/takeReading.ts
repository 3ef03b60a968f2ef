import type { ReadingDto } from '@myokinet/core/contracts';
import type { Measure } from '@myokinet/core/measuring';

/** A trial in hand, and who wants its figure. */
export interface TakeReading {
  readonly measure: Measure;
  /** Which trial it is for. */
  readonly label: string;
  readonly take: (value: number, reading: ReadingDto) => void;
}
