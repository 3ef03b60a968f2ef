import { useSelector } from 'react-redux';
import type { RootState } from './store.ts';

/** Whether everything typed has reached the server. */
export function SaveState() {
  const saving = useSelector((state: RootState) => Object.values(state.api.mutations).some((m) => m?.status === 'pending'));
  const drafts = useSelector((state: RootState) => Object.keys(state.drafts).length);
  const words = saving ? 'saving…' : drafts > 0 ? `${drafts} unsaved ${drafts === 1 ? 'draft' : 'drafts'}, kept here` : 'all saved';
  return (
    <span role="status" className="aside hidden min-w-24 text-right text-sm sm:inline">
      {words}
    </span>
  );
}
