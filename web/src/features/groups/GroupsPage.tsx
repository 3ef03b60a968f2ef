import { useGroupsQuery } from '../caseload/index.ts';
import { dayShort } from '@myokinet/core/planning';
import { format } from 'date-fns';
import { Play, Plus } from 'lucide-react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useClassesQuery } from './endpoints.ts';
import { dayInWords } from './words.ts';

/** People who come together: who, when, where; and the classes that are on. */
export function GroupsPage() {
  const { data: groups, error, refetch } = useGroupsQuery();
  const { data: classes = [] } = useClassesQuery();
  if (!groups) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  const on = classes.filter((c) => !c.ended);
  return (
    <div className="px-4 py-3 sm:px-6">
      <title>Groups · Myokinet</title>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>Groups</h1>
        <Link className="btn btn-sm ms-auto" to="/class/new">
          <Play size={16} aria-hidden /> A class of anybody
        </Link>
        <Link className="btn btn-primary btn-sm" to={`/groups/${newId()}`}>
          <Plus size={16} aria-hidden /> New group
        </Link>
      </div>
      {on.length > 0 && (
        <section className="mb-4" aria-label="Classes that are on">
          <h2 className="border-b-2 border-base-content pb-1">On now</h2>
          <ul>
            {on.map((c) => (
              <li key={c.id} className="flex flex-wrap items-center gap-4 border-b border-base-300 py-2">
                <strong>{c.name}</strong>
                <span>
                  {c.coach}, since {dayShort(c.day)}, {format(new Date(c.openedAt), 'HH:mm')}, {c.members.length} people
                </span>
                <Link className="btn btn-sm btn-outline ms-auto" to={`/class/${c.id}`} aria-label={`Go on with the class: ${c.name}`}>
                  Go on
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      {groups.length === 0 ? (
        <Empty title="No group yet">
          <p>Name who comes together, and when: then one tap begins their class, and the page keeps who was there.</p>
        </Empty>
      ) : (
        <ul>
          {groups.map((g) => (
            <li key={g.id} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-base-300 py-2">
              <Link className="link min-w-52 font-semibold" to={`/groups/${g.id}`}>
                {g.name}
              </Link>
              <span className="min-w-20">
                {g.memberIds.length} {g.memberIds.length === 1 ? 'person' : 'people'}
              </span>
              <span>{[...g.days.map(dayInWords), g.place].filter(Boolean).join(', ')}</span>
              <Link className="btn btn-sm ms-auto" to={`/class/new?group=${g.id}`} aria-label={`Begin a class: ${g.name}`}>
                <Play size={16} aria-hidden /> Begin a class
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
