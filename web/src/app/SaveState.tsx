import { useSelector } from 'react-redux';
import { isOffline } from './problem.ts';
import type { RootState } from './store.ts';

/** Whether everything typed has reached the server, and whether the server answers. */
export function SaveState() {
  const words = useSelector(saveWords);
  return (
    <span role="status" className="aside hidden min-w-24 text-right text-sm sm:inline">
      {words}
    </span>
  );
}

function saveWords({ api, drafts }: RootState): string {
  const requests = [...Object.values(api.mutations), ...Object.values(api.queries)];
  if (Object.values(api.mutations).some((m) => m?.status === 'pending')) return 'saving…';
  const unsaved = Object.keys(drafts).length;
  const kept = unsaved > 0 ? `${unsaved} unsaved ${unsaved === 1 ? 'draft' : 'drafts'}, kept here` : undefined;
  if (requests.some((r) => isOffline(r?.error))) return `server away${kept ? `; ${kept}` : ''}`;
  return kept ?? 'all saved';
}
