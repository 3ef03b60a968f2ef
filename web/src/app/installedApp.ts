/** Tells of a new version that waits; returns how to take it. */
type Waiting = (takeIt: () => void) => void;

/** Keeps the program on this device, where the browser allows it. */
export async function keepProgramHere(onWaiting: Waiting): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  try {
    const registration = await navigator.serviceWorker.register('/serviceWorker.js');
    const tell = () => {
      const { waiting } = registration;
      if (!waiting || !navigator.serviceWorker.controller) return;
      onWaiting(() => {
        navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
        waiting.postMessage('take over');
      });
    };
    tell();
    registration.addEventListener('updatefound', () => {
      registration.installing?.addEventListener('statechange', tell);
    });
  } catch {
    // Without it the program needs the server to open; a session on the floor is kept all the same.
  }
}
