import type { Ladder } from '@myokinet/core/ladders';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { asBegun, shownOf } from '../../kit/body/shownOf.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { useLibrary, useStudioLibrary } from '../../client/LibraryContext.ts';
import { SetAsideList } from './SetAsideList.tsx';

/** Every ladder at a glance: where it starts, where it leads, and how many rungs lie between. */
export function LaddersPage() {
  const { ladders } = useLibrary();
  const { reply } = useStudioLibrary();
  return (
    <section aria-label="Ladders">
      <div className="flex flex-wrap items-center gap-3">
        <p role="status">
          {ladders.length} ladders, {ladders.reduce((sum, l) => sum + l.rungs.length, 0)} rungs
        </p>
        <Link className="btn btn-sm ms-auto" to={`/library/ladders/${newId()}/edit?new=1`}>
          <Plus size={16} aria-hidden /> Write a ladder
        </Link>
      </div>
      <ul className="mt-2 grid gap-x-8 md:grid-cols-2">
        {ladders.map((ladder) => (
          <LadderCard
            key={ladder.id}
            ladder={ladder}
            own={reply.own.some((e) => e.kind === 'ladder' && e.id === ladder.id && e.standing === 'own')}
          />
        ))}
      </ul>
      <SetAsideList kind="ladder" />
    </section>
  );
}

function LadderCard({ ladder, own }: { readonly ladder: Ladder; readonly own: boolean }) {
  const [first, last] = [ladder.rungs[0], ladder.rungs.at(-1)];
  return (
    <li className="border-b border-base-300">
      <Link to={`/library/ladders/${ladder.id}`} className="flex items-center gap-3 py-2 hover:bg-base-200">
        <span className="flex flex-none items-end gap-1">
          {first && <StillBody at={asBegun} of={shownOf(first)} size={56} />}
          {last && <StillBody at={asBegun} of={shownOf(last)} size={56} />}
        </span>
        <span className="leading-snug">
          <span className="font-semibold">{ladder.name}</span>
          {own && <span className="ms-2 border-s-4 border-primary bg-primary/10 px-1.5 text-sm">the studio’s</span>}
          <span className="aside ms-2 text-sm">
            {ladder.kind}, {ladder.rungs.length} rungs
          </span>
          <span className="block text-sm">{ladder.aim}</span>
        </span>
      </Link>
    </li>
  );
}
