import type { Drill } from '@myokinet/core/drills';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { BodyStrip } from '../../kit/body/BodyStrip.tsx';
import { ANY_BODY } from '../../kit/body/anyBody.ts';
import { useMovement } from '../../kit/body/useMovement.ts';
import { useNearScreen } from '../../kit/body/useNearScreen.ts';

/** Every movement of the library in stills: for whoever writes drills, to see what looks alike and what looks wrong. */
export function MovementsPage() {
  const { drills } = useLibrary();
  return (
    <section aria-labelledby="movements">
      <h2 id="movements">All movements at a glance</h2>
      <p className="aside max-w-prose">
        Each drill from where it begins to where it goes, from its best side; hands and blades from near where they are what matters.
      </p>
      <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-x-4 gap-y-3">
        {drills.map((drill) => (
          <MovementCard key={drill.id} drill={drill} />
        ))}
      </ul>
    </section>
  );
}

function MovementCard({ drill }: { readonly drill: Drill }) {
  const [ref, near] = useNearScreen<HTMLLIElement>();
  return (
    <li ref={ref} className="border-t border-base-300 pt-1">
      <Link className="link block truncate text-sm" to={`/library/drills/${drill.id}`} title={drill.name}>
        {drill.name}
      </Link>
      <div className="h-24">{near && <Strip drill={drill} />}</div>
    </li>
  );
}

function Strip({ drill }: { readonly drill: Drill }) {
  const prepared = useMovement(drill, ANY_BODY);
  if (!prepared) return null;
  const { view, closeUp, closeFrom, second } = prepared.movement;
  const label = `${drill.name} in stills`;
  return (
    <div className="flex h-full gap-2">
      <BodyStrip prepared={prepared} view={view} label={label} />
      {closeUp ? (
        <BodyStrip prepared={prepared} view={closeFrom ?? view} crop={{ of: closeUp }} label={`${label}, from near`} />
      ) : (
        second && <BodyStrip prepared={prepared} view={second} label={`${label}, from another side`} />
      )}
    </div>
  );
}
