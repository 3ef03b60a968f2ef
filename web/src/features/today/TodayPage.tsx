import { format } from 'date-fns';
import { Link } from 'react-router';
import { useTodayQuery } from '../caseload/index.ts';
import { WithLibrary } from '../library/index.ts';
import { ClassesHere } from '../classes/index.ts';
import { HereOnDevice } from '../floor/index.ts';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { FirstSteps } from './FirstSteps.tsx';
import { Waits } from './Waits.tsx';

/** What trainees tell on their own pages is here within so long. */
const LOOK_AGAIN_MS = 15_000;

export function TodayPage() {
  const { data, error, isLoading, refetch } = useTodayQuery(undefined, { pollingInterval: LOOK_AGAIN_MS, skipPollingIfUnfocused: true });
  if (isLoading) return <Waiting />;
  return (
    <div className="mx-auto w-full max-w-4xl px-4 py-5 sm:px-6">
      <title>Today · Myokinet</title>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h1>{format(new Date(), 'EEEE d MMMM')}</h1>
        <Link className="link" to="/rechecks">
          Re-check calendar
        </Link>
      </div>
      <ProblemNote error={error} retry={() => void refetch()} />
      <HereOnDevice />
      <ClassesHere />
      <FirstSteps />
      {data?.length === 0 && (
        <div className="mt-5">
          <Empty title="Nothing waits">
            <p>No session, no check and no signature is due.</p>
            <Link className="btn btn-primary mt-3" to="/caseload">
              Open the caseload
            </Link>
          </Empty>
        </div>
      )}
      {data && data.length > 0 && (
        <WithLibrary>
          <Waits items={data} />
        </WithLibrary>
      )}
    </div>
  );
}
