import { routineSeconds } from '@myokinet/core/routines';
import { longDay } from '@myokinet/core/quantities';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useRoutinesQuery } from '../library/index.ts';
import { useDrillOf } from './useDrillOf.ts';
import { lastsInWords, PURPOSE_WORDS } from './words.ts';

/** Sequences that the studio teaches: written here, run with a trainee, taken home on paper. */
export function RoutinesPage() {
  const { data: routines, error, refetch } = useRoutinesQuery();
  const library = useLibrary();
  const drillOf = useDrillOf(library);
  if (!routines) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  return (
    <>
      <title>Routines · Myokinet</title>
      <UnreadableNote sentences={routines.flatMap((r) => (r.unreadable ? [`“${r.name}”: ${r.unreadable}`] : []))} />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <p className="aside">Sequences of your own: before a class, for a short break, for a whole session.</p>
        <Link className="btn btn-primary btn-sm ms-auto" to={newId()}>
          <Plus size={16} aria-hidden /> New routine
        </Link>
      </div>
      {routines.length === 0 ? (
        <Empty title="No routine yet">
          <p>Write the ten minutes that you teach before every class once; then run it, print it, give it along.</p>
        </Empty>
      ) : (
        <ul className="max-w-3xl">
          {routines.map((r) => (
            <li key={r.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-2">
              <Link className="link font-semibold" to={r.id}>
                {r.name}
              </Link>
              <span>{PURPOSE_WORDS[r.purpose].name}</span>
              <span>{lastsInWords(routineSeconds(r, drillOf))}</span>
              <span className="aside text-sm">
                {r.coach}, {longDay(r.savedAt)}
              </span>
              <Link className="btn btn-sm ms-auto" to={`/routine/${r.id}`}>
                Run it
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
