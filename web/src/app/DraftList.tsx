import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { useCaseloadQuery } from '../features/caseload/index.ts';
import { draftPlace } from './draftPlace.ts';
import { Overlay } from '../kit/Overlay.tsx';
import type { RootState } from './store.ts';

/** Everything typed on this device that the server does not have yet, with the way back to it. */
export function DraftList({ close }: { readonly close: () => void }) {
  const drafts = useSelector((state: RootState) => state.drafts);
  const { data: trainees = [] } = useCaseloadQuery();
  const places = Object.keys(drafts).flatMap((key) => draftPlace(key) ?? []);
  return (
    <Overlay label="Unsaved on this device" close={close}>
      <div className="p-5">
        <h2>Unsaved on this device</h2>
        <ul className="mt-3">
          {places.map(({ what, traineeId, to }) => (
            <li key={to} className="border-b border-base-300 py-1.5">
              <Link className="link" to={to} onClick={close}>
                {what}
                {traineeId ? `, ${trainees.find((t) => t.id === traineeId)?.name ?? 'a trainee'}` : ''}
              </Link>
            </li>
          ))}
        </ul>
        {places.length === 0 && <p className="mt-2">Nothing: the server has it all.</p>}
        <button type="button" className="btn btn-sm mt-4" onClick={close}>
          Close
        </button>
      </div>
    </Overlay>
  );
}
