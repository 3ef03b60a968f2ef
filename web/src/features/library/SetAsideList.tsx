import { Link } from 'react-router';
import type { EntryKind } from '@myokinet/core/library';
import { useStudioLibrary } from '../../client/LibraryContext.ts';
import { KIND_WORDS } from './words.ts';

/** Entries of the studio that are kept for the record and no longer offered; nothing where there are none. */
export function SetAsideList({ kind }: { readonly kind: EntryKind }) {
  const { library, reply } = useStudioLibrary();
  const aside = reply.own.filter((e) => e.kind === kind && e.standing === 'set aside');
  if (aside.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="cursor-pointer">Set aside ({aside.length})</summary>
      <ul>
        {aside.map(({ id }) => (
          <li key={id}>
            <Link className="link" to={`${KIND_WORDS[kind].path}/${id}`}>
              {library.entry(kind, id)?.name ?? id}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
