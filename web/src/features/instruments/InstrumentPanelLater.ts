import { lazy } from 'react';

/** The panel of instruments, fetched when it is first opened. */
export const InstrumentPanel = lazy(async () => ({ default: (await import('./InstrumentPanel.tsx')).InstrumentPanel }));
