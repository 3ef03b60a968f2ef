import { Link, Outlet, useParams } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useTraineeQuery } from './endpoints.ts';

/** Whatever is about one trainee waits here until that trainee is known. */
export function TraineeGate() {
  const { traineeId = '' } = useParams();
  const { data: trainee, error, isLoading, refetch } = useTraineeQuery(traineeId);
  if (isLoading) return <Waiting />;
  if (!trainee)
    return (
      <div className="p-6">
        <h1>No such trainee</h1>
        <ProblemNote error={error} retry={() => void refetch()} />
        <Link className="link" to="/caseload">
          Back to the caseload
        </Link>
      </div>
    );
  return (
    <>
      <title>{`${trainee.name} · Myokinet`}</title>
      <Outlet context={trainee} />
    </>
  );
}
