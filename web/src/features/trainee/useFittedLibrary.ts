import { fittedTo, type Library } from '@myokinet/core/library';
import { useMemo } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCurrentBody } from './useCurrentTrainee.ts';

/** The studio's library with the hand loads that its set-ups put on the trainee whose pages are open. */
export function useFittedLibrary(): Library {
  const library = useLibrary();
  const body = useCurrentBody();
  return useMemo(() => fittedTo(library, body), [library, body]);
}
