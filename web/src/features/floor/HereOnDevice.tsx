import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { floor } from './floorSync.ts';

type Here = Awaited<ReturnType<typeof floor.here>>;

/** Sessions that this device is in the middle of, or has not been able to send: there whether the server answers or not. */
export function HereOnDevice() {
  const [here, setHere] = useState<Here>([]);
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const waiting = (await floor.here()).filter((r) => !r.ended || r.unsent > 0);
      if (!gone) setHere(waiting);
    };
    void look();
    const later = window.setInterval(() => void look(), 3000);
    return () => {
      gone = true;
      window.clearInterval(later);
    };
  }, []);
  if (here.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="border-b-2 border-base-content pb-1">
        On this device <span className="aside font-sans text-base font-normal">{here.length}</span>
      </h2>
      <ul>
        {here.map(({ pack, ended, unsent }) => (
          <li key={pack.id} className="grid items-center gap-x-4 gap-y-1 border-b border-base-300 py-2 sm:grid-cols-[11rem_1fr_auto]">
            <span className="font-semibold">{pack.trainee.name}</span>
            <span>
              {pack.taken ? 'Taken along, not begun' : ended ? 'A session that ended' : 'A session under way'}
              {unsent > 0 ? `; ${unsent} ${unsent === 1 ? 'entry' : 'entries'} not sent yet` : ''}.
            </span>
            <Link className="btn btn-sm btn-outline" to={`/floor/${pack.id}`} aria-label={`Open the session: ${pack.trainee.name}`}>
              {pack.taken ? 'Start' : ended ? 'Look at it' : 'Go on'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
