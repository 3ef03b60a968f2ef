import { Link } from 'react-router';
import { useStudioLibrary } from './LibraryContext.ts';

/** Entries of the studio that are kept for the record and no longer offered; nothing where there are none. */
export function SetAsideList({ kind }: { readonly kind: 'drill' | 'ladder' }) {
  const { library, reply } = useStudioLibrary();
  const aside = reply.own.filter((e) => e.kind === kind && e.standing === 'set aside');
  if (aside.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="cursor-pointer">Set aside ({aside.length})</summary>
      <ul>
        {aside.map(({ id }) => (
          <li key={id}>
            <Link className="link" to={`/library/${kind}s/${id}`}>
              {kind === 'drill' ? library.drill(id).name : library.ladder(id).name}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
