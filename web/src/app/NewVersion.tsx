import { useEffect, useState } from 'react';
import { keepProgramHere } from './installedApp.ts';

/** A new version of the program has come: taken when the coach says so, never under a running session. */
export function NewVersion() {
  const [takeIt, setTakeIt] = useState<(() => void) | undefined>();
  useEffect(() => {
    void keepProgramHere((take) => setTakeIt(() => take));
  }, []);
  if (!takeIt) return null;
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-base-300 bg-primary/10 px-4 py-1.5 sm:px-6">
      A new version of Myokinet is on this device.
      <button type="button" className="btn btn-sm" onClick={takeIt}>
        Open it
      </button>
    </p>
  );
}
