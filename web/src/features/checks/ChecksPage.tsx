import type { CheckReply } from '@myokinet/core/contracts';
import { evidenceOf } from '@myokinet/core/measuring';
import { dayInWords, shortDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useChecksQuery } from './endpoints.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { personOf, useCurrentTrainee } from '../trainee/index.ts';
import { CapacityTable } from './CapacityTable.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Leads } from './Leads.tsx';
import { OccasionTrials } from './OccasionTrials.tsx';
import { RecheckList } from './RecheckList.tsx';
import { UnderWay } from './UnderWay.tsx';

export function ChecksPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = useChecksQuery(trainee.id);
  const { data: readiness } = useReadinessQuery(trainee.id);
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
        <Link className="btn btn-primary btn-sm" to="../battery" relative="path">
          Run a battery
        </Link>
      </div>
      <UnderWay traineeId={trainee.id} now={now} />
      <ProblemNote error={error} retry={() => void refetch()} />
      {data?.length === 0 ? (
        <Empty title="Nothing checked yet">
          <p>Three trials a side, and the first figures appear with their error band.</p>
          <Link className="btn btn-primary mt-3" to="../battery" relative="path">
            Run the first battery
          </Link>
        </Empty>
      ) : (
        data && (
          <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_18rem]">
            <CapacityTable
              checks={data}
              person={personOf(trainee, now)}
              ageIsSure={Boolean(trainee.birthDate)}
              sidePercent={readiness?.settings.sideDifferencePercent}
              now={now}
            />
            <div>
              <Leads traineeId={trainee.id} checks={data} sidePercent={readiness?.settings.sideDifferencePercent} now={now} />
              <RecheckList checks={data} now={now} />
              <section aria-label="Occasions">
                <h2 className="mb-1">Occasions</h2>
                {data.map((check) => (
                  <Occasion key={check.id} check={check} traineeId={trainee.id} now={now} />
                ))}
              </section>
            </div>
          </div>
        )
      )}
    </div>
  );
}

function Occasion({ check, traineeId, now }: { readonly check: CheckReply; readonly traineeId: string; readonly now: Date }) {
  const { measure } = useLibrary();
  const [open, setOpen] = useState(false);
  const { late } = evidenceOf({ by: 'coach', happenedAt: check.takenAt, recordedAt: check.recordedAt });
  const names = [...new Set(check.trials.map((t) => measure(t.measureId).name))];
  return (
    <div className="border-b border-base-300 py-1.5">
      <button type="button" className="w-full cursor-pointer text-start" aria-expanded={open} onClick={() => setOpen(!open)}>
        <span className="font-semibold">{dayInWords(check.takenAt, now)}</span>{' '}
        <span className="aside block text-sm">
          {names.length} {names.length === 1 ? 'check' : 'checks'}, {check.trials.length} trials
          {check.skips.length > 0 && `, ${check.skips.length} skipped`}, by {check.coach}
          {late && check.recordedAt && `, entered ${shortDay(check.recordedAt, now)}`}
        </span>
      </button>
      {open && <OccasionTrials check={check} traineeId={traineeId} />}
    </div>
  );
}
