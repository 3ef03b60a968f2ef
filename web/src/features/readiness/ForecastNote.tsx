import type { ForecastReply } from '@myokinet/core/contracts';
import type { MeasureOf } from '@myokinet/core/measuring';
import { decidingInWords, forecastInWords, narrowingInWords } from '@myokinet/core/words';
import { useNarrowing } from './useFutures.ts';

interface ForecastNoteProps {
  readonly data: ForecastReply;
  readonly measureOf: MeasureOf;
}

/** So much less would not change anybody's week. */
const TELLING_DAYS = 2;
const MOST_NAMED = 2;
/** A check that narrows the range by less than a tenth is not worth naming. */
const TELLING_SHARE = 0.9;

/** When the gate is likely to open: a range with its reason, beside the verdict and never part of it. */
export function ForecastNote({ data, measureOf }: ForecastNoteProps) {
  const { forecast, outlook, seed } = data;
  const narrowing = useNarrowing(outlook, seed)?.[0];
  if (!forecast) return null;
  const deciding = 'deciding' in forecast ? forecast.deciding : [];
  const named = deciding.filter(({ daysSooner }, i) => i < MOST_NAMED && (daysSooner === undefined ? i === 0 : daysSooner >= TELLING_DAYS));
  return (
    <section aria-label="Forecast" className="sheet p-3.5 leading-snug">
      <h2>When it may open</h2>
      <p className="mt-1">{forecastInWords(forecast, { measureOf, now: new Date(data.at) })}</p>
      {named.length > 0 && (
        <ul className="mt-1.5 list-disc space-y-1 ps-5">
          {named.map((one) => (
            <li key={one.what}>{decidingInWords(one, { measureOf })}</li>
          ))}
        </ul>
      )}
      {narrowing && narrowing.after <= TELLING_SHARE * narrowing.days && (
        <p className="mt-1.5">{narrowingInWords(narrowing, { measureOf })}</p>
      )}
      {deciding.length > 0 && (
        <p className="aside mt-2 text-sm">
          From the checks, what was trained between them and how often both come, as they have been; eight futures of ten lie inside the
          range. Not a promise, and nothing opens by it.
        </p>
      )}
    </section>
  );
}
