import { useEffect } from 'react';
import { useStore } from 'react-redux';

const EVERY_MS = 10_000;

/** Whatever page is open: sessions that were run without the server are sent when it is back. */
export function useOutbox(): void {
  const home = useStore();
  useEffect(() => {
    const send = () =>
      void import('../floor/outbox.ts')
        .then(({ sendWaiting }) => sendWaiting(home as Parameters<typeof sendWaiting>[0]))
        // A program that cannot be fetched now is fetched the next time.
        .catch(() => undefined);
    send();
    const timer = window.setInterval(send, EVERY_MS);
    window.addEventListener('online', send);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [home]);
}
