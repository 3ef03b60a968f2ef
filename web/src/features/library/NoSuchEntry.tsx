import type { EntryKind } from '@myokinet/core/library';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { KIND_WORDS } from './words.ts';

export function NoSuchEntry({ kind }: { readonly kind: EntryKind }) {
  const { name, path } = KIND_WORDS[kind];
  return (
    <Empty title={`There is no such ${name}`}>
      <p>It may have been written on another device and not saved.</p>
      <Link className="btn btn-primary mt-3" to={kind === 'drill' ? '/library' : path}>
        All {name}s
      </Link>
    </Empty>
  );
}
