import { lazy } from 'react';

/** The panel of pictures, fetched when it is first opened. */
export const PicturePanel = lazy(async () => ({ default: (await import('./PicturePanel.tsx')).PicturePanel }));
