import { useState } from 'react';
import { useStore } from 'react-redux';
import { clock } from '../../client/clock.ts';
import type { FloorHome } from './floorSync.ts';
import { takeAlong, type TakenAlong } from './startRuns.ts';

/** Puts the day's sessions on this device, for a hall without a network. */
export function TakeAlong({ trainees }: { readonly trainees: readonly { readonly traineeId: string; readonly name: string }[] }) {
  const home = useStore() as FloorHome;
  const [result, setResult] = useState<TakenAlong | 'busy' | undefined>();
  if (trainees.length === 0) return null;
  const take = async () => {
    setResult('busy');
    setResult(await takeAlong(home, trainees, clock.now()));
  };
  return (
    <span className="ms-auto flex flex-wrap items-center justify-end gap-x-3 font-sans text-base font-normal">
      <span role="status" className="text-sm">
        {result === 'busy' && 'Fetching…'}
        {typeof result === 'object' && (
          <>
            {result.taken.length > 0 && `${result.taken.length} on this device: they start without the network.`}
            {result.missing.length > 0 && <span className="state-short"> Not fetched: {result.missing.join(', ')}.</span>}
          </>
        )}
      </span>
      <button type="button" className="btn min-h-11" disabled={result === 'busy'} onClick={() => void take()}>
        Take today along
      </button>
    </span>
  );
}
