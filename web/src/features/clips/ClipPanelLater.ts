import { lazy } from 'react';

/** The panel of clips, fetched when it is first opened. */
export const ClipPanel = lazy(async () => ({ default: (await import('./ClipPanel.tsx')).ClipPanel }));
