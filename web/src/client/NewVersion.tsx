import { openNewerProgram, useNewerProgram } from './program.ts';

/** A new version of the program has come: taken when the coach says so, never under a set that is under way. */
export function NewVersion() {
  const newer = useNewerProgram();
  if (newer === 'none') return null;
  return (
    <p
      role="status"
      className="no-print flex w-full flex-wrap items-center gap-3 border-b border-base-300 bg-primary/10 px-4 py-1.5 sm:px-6"
    >
      {newer === 'waiting'
        ? 'A new version of Myokinet is on this device.'
        : 'A new version of Myokinet was opened in another tab; this page is the one before.'}
      <button type="button" className="btn btn-sm min-h-11" onClick={openNewerProgram}>
        Open it
      </button>
    </p>
  );
}
