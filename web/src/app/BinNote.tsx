import { X } from 'lucide-react';
import { useDispatch, useSelector } from 'react-redux';
import { binEmptied, takenBack } from '../client/drafts.ts';
import type { RootState } from './store.ts';

/** Undo instead of "are you sure": what was thrown away can be taken back. */
export function BinNote() {
  const dispatch = useDispatch();
  const thrown = useSelector((state: RootState) => state.bin.thrown);
  if (!thrown) return null;
  return (
    <div role="status" className="no-print sheet fixed bottom-4 left-4 z-20 flex items-center gap-3 border-base-content px-4 py-2">
      <span>Thrown away.</span>
      <button type="button" className="btn btn-sm btn-primary" onClick={() => dispatch(takenBack(thrown))}>
        Take it back
      </button>
      <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label="Close this note" onClick={() => dispatch(binEmptied())}>
        <X size={16} aria-hidden />
      </button>
    </div>
  );
}
