import { lazy } from 'react';

/** A trace with its chart, fetched when the first is opened. */
export const TraceView = lazy(async () => ({ default: (await import('./TraceView.tsx')).TraceView }));
