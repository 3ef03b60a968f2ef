import { useSyncExternalStore } from 'react';

/**
 * Where a newer program stands. `waiting`: it is on this device and waits to be asked; `taken`: another tab has asked, and this page is
 * still the one from before.
 */
export type NewerProgram = 'none' | 'waiting' | 'taken';

let newer: NewerProgram = 'none';
let registration: ServiceWorkerRegistration | undefined;
const listeners = new Set<() => void>();
const become = (now: NewerProgram) => {
  newer = now;
  for (const listener of listeners) listener();
};
/** This tab has asked, and reloads as soon as the new program has taken over. */
let asked = false;

const LOOK_AGAIN_MS = 30 * 60_000;

/** Keeps the program on this device, where the browser allows it, and learns of newer ones however long the page stays open. */
export async function keepProgramHere(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  try {
    const { serviceWorker } = navigator;
    // The first program on a device takes over from nothing.
    let hadOne = serviceWorker.controller !== null;
    serviceWorker.addEventListener('controllerchange', () => {
      if (asked) window.location.reload();
      else if (hadOne) become('taken');
      hadOne = true;
    });
    registration = await serviceWorker.register('/serviceWorker.js');
    const tell = () => {
      if (registration?.waiting && serviceWorker.controller && newer === 'none') become('waiting');
    };
    tell();
    registration.addEventListener('updatefound', () => {
      registration?.installing?.addEventListener('statechange', tell);
    });
    const look = () => {
      if (document.visibilityState === 'visible') registration?.update().catch(() => undefined);
    };
    window.setInterval(look, LOOK_AGAIN_MS);
    document.addEventListener('visibilitychange', look);
  } catch {
    // Without it the program needs the server to open; a session on the floor is kept all the same.
  }
}

/** Opens the newer program on this page. */
export function openNewerProgram(): void {
  if (newer === 'taken' || !registration?.waiting) {
    window.location.reload();
    return;
  }
  asked = true;
  registration.waiting.postMessage('take over');
}

export function useNewerProgram(): NewerProgram {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => newer,
  );
}
