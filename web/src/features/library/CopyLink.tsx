import { Copy } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { EntryKind } from '@myokinet/core/library';
import { newId } from '../../client/newId.ts';
import { KIND_WORDS } from './words.ts';

/** Starts a new entry from this one; the original stays as it is. */
export function CopyLink({ kind, id }: { readonly kind: EntryKind; readonly id: string }) {
  const [copyId] = useState(newId);
  return (
    <Link className="btn btn-sm ms-auto" to={`${KIND_WORDS[kind].path}/${copyId}/edit?new=1&from=${id}`}>
      <Copy size={15} aria-hidden /> Copy as a new {KIND_WORDS[kind].name}
    </Link>
  );
}
