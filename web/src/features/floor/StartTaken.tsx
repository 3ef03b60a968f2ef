import { calendarDay } from '@myokinet/core/quantities';
import { format } from 'date-fns';
import { Play } from 'lucide-react';
import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { ClockNote } from '../../client/ClockNote.tsx';
import { clock } from '../../client/clock.ts';
import { BeforeSession, type ReadyToStart } from '../screening/index.ts';
import type { FloorHome } from './floorSync.ts';
import type { FloorPack } from './keep.ts';
import { startTaken } from './startRuns.ts';

/** Before a session that was taken along begins: the form of the day, with or without the server. */
export function StartTaken({ pack, begun }: { readonly pack: FloorPack; readonly begun: () => void }) {
  const home = useStore() as FloorHome;
  const [state, setState] = useState<ReadyToStart>('ask');
  const [starting, setStarting] = useState(false);
  const onState = useCallback((_: string, now: ReadyToStart) => setState(now), []);
  const { trainee, packedAt, head } = pack;
  const old = calendarDay(packedAt) !== calendarDay(clock.now());
  const start = async () => {
    setStarting(true);
    await startTaken(home, pack, clock.now());
    begun();
  };
  return (
    <main className="mx-auto max-w-2xl px-4 py-5">
      <title>{`Start: ${trainee.name} · Myokinet`}</title>
      <ClockNote />
      <h1>{trainee.name}: the session taken along</h1>
      <p className="mt-1">
        {head.items.length} {head.items.length === 1 ? 'drill' : 'drills'}, put on this device{' '}
        {format(new Date(packedAt), 'EEE d MMM, HH:mm')}.
      </p>
      {old && (
        <p className="mt-2 border-s-4 border-warning bg-warning/15 px-3 py-2" role="alert">
          It was taken along on another day: locks, cautions and checks since then are not known here.
        </p>
      )}
      <BeforeSession traineeId={trainee.id} name={trainee.name} onState={onState} />
      <div className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary btn-lg" disabled={state !== 'go' || starting} onClick={() => void start()}>
          <Play size={20} aria-hidden />
          {starting ? 'Getting it ready…' : 'Start'}
        </button>
        <Link className="btn btn-lg btn-ghost" to="/">
          To Today
        </Link>
      </div>
    </main>
  );
}
