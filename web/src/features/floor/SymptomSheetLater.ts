import { lazy } from 'react';

/** The sheet for something that hurts, fetched with the page that may need it. */
export const SymptomSheet = lazy(async () => ({ default: (await import('./SymptomSheet.tsx')).SymptomSheet }));
