import { useEffect } from 'react';
import { useStore } from 'react-redux';
import type { Dispatch } from './store.ts';

const EVERY_MS = 10_000;

/** Sends what waits on this device; `Home` is the store as the sender needs it. */
type Send<State> = (home: { readonly dispatch: Dispatch; readonly getState: () => State }) => Promise<void>;

/** Whatever page is open: what was done without the server is sent when it is back. */
export function useOutbox<State>(sendWaiting: Send<State>, everyMs = EVERY_MS): void {
  const home = useStore<State>();
  useEffect(() => {
    // A program that cannot be fetched now is fetched the next time.
    const send = () => void sendWaiting(home).catch(() => undefined);
    send();
    const timer = window.setInterval(send, everyMs);
    window.addEventListener('online', send);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [everyMs, home, sendWaiting]);
}
