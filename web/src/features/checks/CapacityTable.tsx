import type { CheckReply } from '@myokinet/core/contracts';
import { type Capacity, type Measure, formatReadingWithBand, totalArcs } from '@myokinet/core/measuring';
import { addDays, daysBetween, formatAmount, type Instant, shortDay } from '@myokinet/core/quantities';
import { checkKey } from '@myokinet/core/readiness';
import { referencePercentile, referencesFor } from '@myokinet/core/reference';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { changeInWords, sidesInWords } from './changeWords.ts';
import type { personOf } from '../trainee/index.ts';
import { PROVISIONAL_WORDS } from '@myokinet/core/words';

export interface CapacityTableProps {
  readonly checks: readonly CheckReply[];
  readonly person: ReturnType<typeof personOf>;
  /** The day of birth is known, and not the year alone. */
  readonly ageIsSure: boolean;
  /** Percent of the larger side that two sides may differ by at this trainee's gates. */
  readonly sidePercent: number | undefined;
  readonly now: Date;
}

const SIDES = ['left', 'right', 'whole'] as const;

/** The newest capacity of each check and side: what changed, how the sides compare, how it stands against published tables, and its age. */
export function CapacityTable({ checks, person, ageIsSure, sidePercent, now }: CapacityTableProps) {
  const { everyMeasure } = useLibrary();
  const found = new Map<string, Capacity[]>();
  for (const c of checks.flatMap((check) => check.capacities)) {
    const key = checkKey(c.measureId, c.side);
    found.set(key, [...(found.get(key) ?? []), c]);
  }
  const newest = (measure: Measure, side: (typeof SIDES)[number]) => found.get(checkKey(measure.id, side)) ?? [];
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Capacities">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col" className="min-w-44">
              Check
            </th>
            <th scope="col">Side</th>
            <th scope="col">Capacity</th>
            <th scope="col">Since the last</th>
            <th scope="col">Published tables</th>
            <th scope="col" className="min-w-36">
              Taken
            </th>
          </tr>
        </thead>
        <tbody>
          {everyMeasure.flatMap((measure) => {
            const sides = SIDES.filter((side) => newest(measure, side).length > 0);
            const [left, right] = [newest(measure, 'left')[0], newest(measure, 'right')[0]];
            return sides.map((side, i) => {
              const [c, before] = newest(measure, side);
              if (!c) return null;
              return (
                <tr key={checkKey(measure.id, side)}>
                  <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
                    {i === 0 ? (
                      <>
                        <Link className="hover:underline" to={`../history?measure=${measure.id}`} relative="path">
                          {measure.name}
                        </Link>
                        {totalArcs(measure.id, (id, s) => found.get(checkKey(id, s))?.[0]).map((arc) => (
                          <span key={arc.side} className="aside block text-sm font-normal">
                            total arc {arc.side} {formatAmount(arc.value, 'deg')} ± {formatAmount(arc.band, 'deg')}
                          </span>
                        ))}
                        {left && right && (
                          <span className="aside block text-sm font-normal">{sidesInWords(measure, left, right, sidePercent)}</span>
                        )}
                      </>
                    ) : (
                      <span className="sr-only">{measure.name}</span>
                    )}
                  </th>
                  <td>{side === 'whole' ? '' : side}</td>
                  <td className="whitespace-nowrap">
                    {formatReadingWithBand(measure, c.value, c.band)}
                    {c.provisional && (
                      <span className="state-mark block text-sm" title={PROVISIONAL_WORDS[c.provisional]}>
                        {c.provisional}: opens no gate
                      </span>
                    )}
                  </td>
                  <td className="text-sm">{before ? changeInWords(measure, before, c) : <span className="aside">first time</span>}</td>
                  <td className="text-sm">{comparison(c, person)}</td>
                  <td className="text-sm">
                    <Freshness {...{ measure, now }} takenAt={c.takenAt} />
                  </td>
                </tr>
              );
            });
          })}
        </tbody>
      </table>
      <p className="aside mt-2 text-sm">
        ± is the error band (one-sided 95%). A change is real when it is larger than two such checks can differ by (MDC95). Published tables
        are quoted from memory and shown only where they describe this trainee’s sex and age; – means none does.
        {!ageIsSure && ' Only the birth year is known here: near a birthday the age band may be off by one.'}
      </p>
    </div>
  );
}

interface FreshnessProps {
  readonly measure: Measure;
  readonly takenAt: Instant;
  readonly now: Date;
}

function Freshness({ measure, takenAt, now }: FreshnessProps) {
  const due = addDays(takenAt, measure.freshDays);
  const stale = daysBetween(due, now) > 0;
  return (
    <>
      {shortDay(takenAt, now)}
      <span className={`block ${stale ? 'state-short' : 'aside'}`}>
        {stale ? `overdue since ${shortDay(due, now)}` : `due ${shortDay(due, now)}`}
      </span>
    </>
  );
}

/** A percentile where a table with a spread describes this person; else its mean; else nothing. */
function comparison(c: Capacity, person: ReturnType<typeof personOf>): string {
  const [reference] = referencesFor(c.measureId, person, c.side);
  if (!reference) return '–';
  if (reference.sd === undefined) return `${reference.name}: mean ${formatAmount(reference.mean, reference.unit)}`;
  const { percentile, comparedWith } = referencePercentile(reference, c.value);
  return `${ordinal(percentile)} percentile of ${comparedWith}`;
}

function ordinal(percentile: number): string {
  if (percentile < 1) return 'below the 1st';
  if (percentile > 99) return 'above the 99th';
  const n = Math.round(percentile);
  const suffix = n % 100 >= 11 && n % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${suffix}`;
}
