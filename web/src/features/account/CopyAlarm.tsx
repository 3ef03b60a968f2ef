import { Link } from 'react-router';
import { useMe } from '../../client/session.ts';
import { agoOf } from './CopyList.tsx';

/** Loud for whoever runs the studio when no good copy is made any more. */
export function CopyAlarm() {
  const { copies } = useMe();
  if (!copies || (copies.problem === undefined && !copies.overdue)) return null;
  return (
    <div role="alert" className="no-print border-b-2 border-error bg-error/10 px-4 py-2 sm:px-6">
      <strong>{copies.problem ?? 'No copy of the studio was made for more than a day.'}</strong>{' '}
      {copies.lastGoodAt ? `The last good one is from ${agoOf(copies.lastGoodAt)}.` : 'There is none yet.'}{' '}
      <Link to="/settings" className="link">
        Look at the copies
      </Link>
    </div>
  );
}
