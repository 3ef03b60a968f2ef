import { longDay } from '@myokinet/core/quantities';
import { Link } from 'react-router';
import { useArchivedQuery } from './endpoints.ts';

/** Who is in the archive: off the lists, a tap away. */
export function Archived() {
  const { data } = useArchivedQuery();
  if (!data || data.length === 0) return null;
  return (
    <details className="mt-6">
      <summary className="cursor-pointer">
        Archive <span className="aside">{data.length}</span>
      </summary>
      <ul className="mt-2">
        {data.map(({ id, name, archivedAt }) => (
          <li key={id} className="border-t border-base-300 py-1.5">
            <Link className="font-semibold hover:underline" to={`/trainees/${id}/profile`}>
              {name}
            </Link>{' '}
            <span className="aside">since {longDay(new Date(archivedAt))}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
