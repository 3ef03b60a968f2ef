import { type Capacity, changeBetween, type Measure, formatReading, formatReadingWithBand } from '@myokinet/core/measuring';
import { formatAmount, formatBand, shortDay } from '@myokinet/core/quantities';
import { checkKey } from '@myokinet/core/readiness';
import { originInWords } from '@myokinet/core/reference';
import { errorBasisInWords } from '@myokinet/core/words';
import { X } from 'lucide-react';
import { figureWords, type HeadroomRow } from './headroomRows.ts';

/** What stands behind one row: trials, history, freshness, and where the demand comes from. */
export function RowDetails({
  row,
  trails,
  now,
  close,
}: {
  readonly row: HeadroomRow;
  readonly trails: Readonly<Record<string, readonly Capacity[]>>;
  readonly now: Date;
  readonly close: () => void;
}) {
  const { measure } = row;
  const demand = row.sides[0]?.demand;
  return (
    <section className="sheet mt-2 p-3" aria-label={`${measure.name}: details`}>
      <div className="flex items-start justify-between">
        <h3>{measure.name}</h3>
        <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label="Close details" onClick={close}>
          <X size={16} aria-hidden />
        </button>
      </div>
      {demand && (
        <p className="aside text-sm">
          Asked: {row.asked} ({originInWords(demand.origin)}). Fresh for{' '}
          {Math.min(...row.sides.map((h) => h.freshDays ?? measure.freshDays))} days.
        </p>
      )}
      <ul className="mt-1.5 grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {row.sides.map((h) => {
          const earlier = trails[checkKey(row.measureId, h.side)] ?? [];
          const [before] = earlier;
          return (
            <li key={h.side}>
              <span className="font-semibold">{h.side === 'whole' ? 'Now' : h.side === 'left' ? 'Left' : 'Right'}:</span>{' '}
              {figureWords(h, measure)}
              {h.capacity && (
                <span className="aside">
                  {' '}
                  on {shortDay(h.capacity.takenAt, now)}, {errorBasisInWords(h.capacity)}
                </span>
              )}
              {h.capacity && before && <span className="aside block text-sm">{sinceWords(measure, before, h.capacity, now)}</span>}
              {earlier.length > 0 && (
                <span className="aside block text-sm">
                  Earlier:{' '}
                  {earlier.map((c) => `${formatReadingWithBand(measure, c.value, c.band)} (${shortDay(c.takenAt, now)})`).join(' · ')}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function sinceWords(measure: Measure, before: Capacity, latest: Capacity, now: Date): string {
  const { difference, detectable, real } = changeBetween(before, latest);
  const { unit } = measure;
  if (measure.choices) return `${formatReading(measure, before.value)} on ${shortDay(before.takenAt, now)}.`;
  const size = formatAmount(Math.abs(difference), unit);
  const direction = difference >= 0 ? 'more' : 'less';
  const judgement = real ? 'a real change' : `inside the error band (${formatBand(detectable, unit)} would be real)`;
  return `${size} ${direction} than on ${shortDay(before.takenAt, now)}: ${judgement}.`;
}
