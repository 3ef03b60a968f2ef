import type { RecordReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useRecordQuery } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { ClearanceEntry } from './ClearanceEntry.tsx';
import type { Correction } from './correction.ts';
import { CorrectionOverlay } from './CorrectionOverlay.tsx';
import { Notes } from './Notes.tsx';
import { ReportSymptom } from './ReportSymptom.tsx';
import { SessionEntry } from './SessionEntry.tsx';
import { TakenBackList } from './TakenBackList.tsx';
import { SymptomEntries } from './SymptomEntries.tsx';

/** What was done, felt and signed. Nothing here is ever changed; corrections stand beside what they correct. */
export function RecordPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = useRecordQuery(trainee.id);
  const [correction, setCorrection] = useState<Correction | undefined>();
  if (isLoading) return <Waiting />;
  const now = new Date();
  const traineeId = trainee.id;
  return (
    <div className="px-4 py-3 sm:px-6">
      <ProblemNote error={error} retry={() => void refetch()} />
      {data && (
        <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
          <Sessions record={data} traineeId={traineeId} now={now} correct={setCorrection} />
          <div className="flex flex-col gap-6">
            <section aria-label="Clearances">
              <h2>Clearances</h2>
              {data.clearances.length === 0 && (
                <p className="aside mt-1">None signed yet. A gate that opens can be signed on the Readiness tab.</p>
              )}
              <ul className="mt-1">
                {data.clearances.map((c) => (
                  <ClearanceEntry key={c.id} clearance={c} now={now} />
                ))}
              </ul>
            </section>
            <section aria-label="Symptoms">
              <h2>Symptoms and stop signs</h2>
              <ReportSymptom traineeId={traineeId} />
              <SymptomEntries record={data} now={now} correct={setCorrection} />
            </section>
            {data.mornings.length > 0 && <Mornings mornings={data.mornings} now={now} />}
            <Notes traineeId={traineeId} name={trainee.name} />
            <TakenBackList facts={data.takenBack} now={now} />
          </div>
        </div>
      )}
      {correction && <CorrectionOverlay correction={correction} traineeId={traineeId} done={() => setCorrection(undefined)} />}
    </div>
  );
}

function Sessions({
  record,
  ...shared
}: {
  readonly record: RecordReply;
  readonly traineeId: string;
  readonly now: Date;
  readonly correct: (correction: Correction) => void;
}) {
  return (
    <section aria-label="Sessions">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-2">
        <h2>Sessions</h2>
        <span className="flex flex-wrap gap-2">
          <Link className="btn btn-primary btn-sm" to="../floor" relative="path">
            Run a session
          </Link>
          <Link className="btn btn-sm" to="../session" relative="path">
            Log a session
          </Link>
          <Link className="btn btn-sm" to="../workload" relative="path">
            Workload
          </Link>
        </span>
      </div>
      {record.sessions.length === 0 ? (
        <Empty title="No session logged yet">
          <p>Plan a week, then log what was done, set by set.</p>
        </Empty>
      ) : (
        <ul>
          {record.sessions.map((session) => (
            <SessionEntry key={session.originId} session={session} {...shared} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** How mornings were, as the trainee told it. */
function Mornings({ mornings, now }: { readonly mornings: RecordReply['mornings']; readonly now: Date }) {
  return (
    <section aria-label="Mornings told">
      <h2>Mornings, as told on the own page</h2>
      <ul className="mt-1">
        {mornings.map(({ at, how }) => (
          <li key={at} className="border-b border-base-300 py-1.5">
            <span className="font-semibold">{shortDay(at, now)}</span> {how}
          </li>
        ))}
      </ul>
    </section>
  );
}
