import { useSelector } from 'react-redux';
import { isOffline } from '../client/problem.ts';
import type { RootState } from './store.ts';

/** Whether everything typed has reached the server, and whether the server answers; opens the list of what has not. */
export function SaveState({ showDrafts }: { readonly showDrafts: () => void }) {
  const unsaved = useSelector((state: RootState) => Object.keys(state.drafts).length);
  const words = useSelector(saveWords);
  return (
    <span role="status" className="text-right text-sm sm:min-w-24">
      {unsaved > 0 ? (
        <button type="button" className="link" onClick={showDrafts}>
          <span className="hidden sm:inline">{words}</span>
          <span className="sm:hidden">{unsaved} unsaved</span>
        </button>
      ) : (
        <span className="aside max-sm:sr-only">{words}</span>
      )}
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
