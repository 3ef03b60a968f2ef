import type { CheckReply } from '@myokinet/core/contracts';
import { type Capacity, MEASURES, measureOf, readingWithBand } from '@myokinet/core/measuring';
import { addDays, dayInWords, daysBetween, formatAmount, shortDay } from '@myokinet/core/quantities';
import { checkKey } from '@myokinet/core/readiness';
import { referencePercentile, referencesFor } from '@myokinet/core/reference';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../pieces/Empty.tsx';
import { ProblemNote } from '../pieces/ProblemNote.tsx';
import { Waiting } from '../pieces/Waiting.tsx';
import { useChecksQuery } from '../trainee/endpoints.ts';
import { useCurrentTrainee } from '../trainee/useCurrentTrainee.ts';
import { OccasionTrials } from './OccasionTrials.tsx';
import { personOf } from './person.ts';
import { UnderWay } from './UnderWay.tsx';

export function ChecksPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = useChecksQuery(trainee.id);
  if (isLoading) return <Waiting />;
  const now = new Date();
  return (
    <div className="px-4 py-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <h2 className="me-auto">Capacities</h2>
        <Link className="btn btn-sm" to="../pictures" relative="path">
          Pictures
        </Link>
        <Link className="btn btn-sm" to="new">
          Type a check
        </Link>
        <Link className="btn btn-primary btn-sm" to="../run" relative="path">
          Run a battery
        </Link>
      </div>
      <UnderWay traineeId={trainee.id} now={now} />
      <ProblemNote error={error} retry={() => void refetch()} />
      {data?.length === 0 ? (
        <Empty title="Nothing checked yet">
          <p>Three trials a side, and the first figures appear with their error band.</p>
          <Link className="btn btn-primary mt-3" to="../run" relative="path">
            Run the first battery
          </Link>
        </Empty>
      ) : (
        data && (
          <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_22rem]">
            <CapacityTable checks={data} person={personOf(trainee, now)} now={now} />
            <section aria-label="Occasions">
              <h2 className="mb-1">Occasions</h2>
              {data.map((check) => (
                <Occasion key={check.id} check={check} traineeId={trainee.id} now={now} />
              ))}
            </section>
          </div>
        )
      )}
    </div>
  );
}

/** The newest capacity of each check and side, with age and, where one applies, a published comparison. */
function CapacityTable({
  checks,
  person,
  now,
}: {
  readonly checks: readonly CheckReply[];
  readonly person: ReturnType<typeof personOf>;
  readonly now: Date;
}) {
  const latest = new Map<string, Capacity>();
  for (const c of checks.flatMap((check) => check.capacities))
    if (!latest.has(checkKey(c.measureId, c.side))) latest.set(checkKey(c.measureId, c.side), c);
  const rows = MEASURES.flatMap((m) => (['left', 'right', 'whole'] as const).flatMap((side) => latest.get(checkKey(m.id, side)) ?? []));
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Capacities">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Check</th>
            <th scope="col">Side</th>
            <th scope="col">Capacity</th>
            <th scope="col">Against published tables</th>
            <th scope="col">Due again</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((c, i) => {
            const { name, freshDays } = measureOf(c.measureId);
            const due = addDays(c.takenAt, freshDays);
            const stale = daysBetween(due, now) > 0;
            return (
              <tr key={checkKey(c.measureId, c.side)}>
                <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
                  <span className={rows[i - 1]?.measureId === c.measureId ? 'sr-only' : ''}>{name}</span>
                </th>
                <td>{c.side === 'whole' ? '' : c.side}</td>
                <td className="whitespace-nowrap">
                  {readingWithBand(measureOf(c.measureId), c.value, c.band)}
                  <span className="aside block text-sm">{shortDay(c.takenAt, now)}</span>
                </td>
                <td className="text-sm">{comparison(c, person)}</td>
                <td className={`text-sm ${stale ? 'state-short' : ''}`}>
                  {stale ? `overdue since ${shortDay(due, now)}` : dayInWords(due, now)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="aside mt-2 text-sm">
        ± is the error band (one-sided 95%). Published tables are quoted from memory and shown only where they describe this trainee’s sex
        and age; – means none does.
      </p>
    </div>
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

function Occasion({ check, traineeId, now }: { readonly check: CheckReply; readonly traineeId: string; readonly now: Date }) {
  const [open, setOpen] = useState(false);
  const names = [...new Set(check.trials.map((t) => measureOf(t.measureId).name))];
  return (
    <div className="border-b border-base-300 py-1.5">
      <button type="button" className="w-full cursor-pointer text-start" aria-expanded={open} onClick={() => setOpen(!open)}>
        <span className="font-semibold">{dayInWords(check.takenAt, now)}</span>{' '}
        <span className="aside block text-sm">
          {names.length} {names.length === 1 ? 'check' : 'checks'}, {check.trials.length} trials, by {check.coach}
        </span>
      </button>
      {open && <OccasionTrials check={check} traineeId={traineeId} />}
    </div>
  );
}
