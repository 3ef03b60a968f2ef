import type { CheckDraft } from '@myokinet/core/checking';
import { dayInWords } from '@myokinet/core/quantities';
import { useDispatch, useSelector } from 'react-redux';
import { Link } from 'react-router';
import { thrownAway } from '../../client/drafts.ts';
import { newId } from '../../client/newId.ts';
import type { ClientState } from '../../client/store.ts';
import { useBatteryQuery, useDropBatteryMutation } from './endpoints.ts';

/** A battery that was paused, here or on another device: go on with it, or give it up. */
export function UnderWay({ traineeId, now }: { readonly traineeId: string; readonly now: Date }) {
  const { data } = useBatteryQuery(traineeId, { refetchOnMountOrArgChange: true });
  const [drop, { isLoading }] = useDropBatteryMutation();
  const dispatch = useDispatch();
  const key = `check:${traineeId}`;
  const here = useSelector((state: ClientState) => state.drafts[key]) as CheckDraft | undefined;
  const battery = data?.battery;
  if (!battery) return null;
  const trials = battery.cells.filter((c) => c.text.trim() !== '').length;
  return (
    <section className="sheet mb-3 flex flex-wrap items-center gap-x-4 gap-y-2 p-3" aria-label="Battery under way">
      <p>
        <span className="font-semibold">A battery is under way:</span> begun {dayInWords(battery.startedAt, now)} by {battery.coach},{' '}
        {trials} {trials === 1 ? 'trial' : 'trials'} so far. It opens no gate until it is saved.
      </p>
      <span className="ms-auto flex gap-2">
        <Link className="btn btn-primary btn-sm" to={`../battery?scope=${battery.scope}`} relative="path">
          Go on with it
        </Link>
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          disabled={isLoading}
          onClick={() => {
            if (window.confirm(`Give up this battery and its ${trials} trials? They are not on the record yet.`)) {
              // What this device has of it goes too, to the bin; another's stays with it.
              if (here) dispatch(thrownAway({ key, value: { ...here, id: newId(), synced: {} } }));
              void drop({ traineeId, batteryId: battery.id });
            }
          }}
        >
          Give it up
        </button>
      </span>
    </section>
  );
}
