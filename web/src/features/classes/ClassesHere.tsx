import { useEffect, useState } from 'react';
import { Link } from 'react-router';

const LOOK_MS = 3000;

type Here = Awaited<ReturnType<typeof import('./waiting.ts').classesHere>>;

/** Classes that this device is in the middle of, or has not been able to send: there whether the server answers or not. */
export function ClassesHere() {
  const [here, setHere] = useState<Here>([]);
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const { classesHere } = await import('./waiting.ts');
      const waiting = (await classesHere()).filter((c) => !c.ended || c.unsent > 0);
      if (!gone) setHere(waiting);
    };
    // A program that cannot be fetched now is fetched the next time.
    const tryLook = () => void look().catch(() => undefined);
    tryLook();
    const later = window.setInterval(tryLook, LOOK_MS);
    return () => {
      gone = true;
      window.clearInterval(later);
    };
  }, []);
  if (here.length === 0) return null;
  return (
    <section className="mt-5" aria-label="Classes on this device">
      <h2 className="border-b-2 border-base-content pb-1">A class</h2>
      <ul>
        {here.map(({ pack, ended, unsent }) => (
          <li key={pack.id} className="flex flex-wrap items-center gap-4 border-b border-base-300 py-2">
            <strong>{pack.head.name}</strong>
            <span>
              {ended ? 'Over' : 'On now'}, {pack.members.length} people
              {unsent > 0 ? `; ${unsent} ${unsent === 1 ? 'entry' : 'entries'} not sent yet` : ''}.
            </span>
            <Link className="btn btn-sm btn-outline ms-auto" to={`/class/${pack.id}`} aria-label={`Open the class: ${pack.head.name}`}>
              {ended ? 'Look at it' : 'Go on'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
