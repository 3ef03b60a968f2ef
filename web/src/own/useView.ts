import { useSyncExternalStore } from 'react';

/** What of the page is shown: named in the address behind the #, so that a phone’s way back leads there. */
export type View =
  | { readonly at: 'today' }
  | { readonly at: 'about' }
  | { readonly at: 'progress' }
  | { readonly at: 'practice'; readonly sessionId: string };

const subscribe = (changed: () => void) => {
  window.addEventListener('hashchange', changed);
  return () => window.removeEventListener('hashchange', changed);
};

export function useView(): View {
  const hash = useSyncExternalStore(subscribe, () => window.location.hash);
  const sessionId = /^#\/practice\/([0-9a-f-]{36})$/.exec(hash)?.[1];
  if (sessionId) return { at: 'practice', sessionId };
  if (hash === '#/progress') return { at: 'progress' };
  return { at: hash === '#/about' ? 'about' : 'today' };
}

export const hashOf = (view: View): string =>
  view.at === 'today' ? '#/' : view.at === 'practice' ? `#/practice/${view.sessionId}` : `#/${view.at}`;

/** A secret in the address, as a coach gives it: taken out of it as soon as it has opened the page. */
export function secretInAddress(): string | undefined {
  const secret = window.location.hash.slice(1);
  return secret !== '' && !secret.startsWith('/') ? secret : undefined;
}

/** Back to today in place of what is shown: the way back does not lead into a practice that is over. */
export function toToday(): void {
  window.location.replace(hashOf({ at: 'today' }));
}
