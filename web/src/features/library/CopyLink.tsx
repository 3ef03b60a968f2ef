import { Copy } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';

/** Starts a new entry from this one; the original stays as it is. */
export function CopyLink({ kind, id }: { readonly kind: 'drill' | 'ladder'; readonly id: string }) {
  const [copyId] = useState(newId);
  return (
    <Link className="btn btn-sm ms-auto" to={`/library/${kind}s/${copyId}/edit?new=1&from=${id}`}>
      <Copy size={15} aria-hidden /> Copy as a new {kind}
    </Link>
  );
}
