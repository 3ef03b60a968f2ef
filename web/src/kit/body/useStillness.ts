import { useSyncExternalStore } from 'react';

const query = () => window.matchMedia('(prefers-reduced-motion: reduce)');

function subscribe(changed: () => void): () => void {
  const list = query();
  list.addEventListener('change', changed);
  return () => list.removeEventListener('change', changed);
}

/** Whether the reader has asked their system for less motion. */
export function useStillness(): boolean {
  return useSyncExternalStore(subscribe, () => query().matches);
}
