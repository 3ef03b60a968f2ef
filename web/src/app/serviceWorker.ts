/// The program on this device: its files are kept, so that it opens without the server. Data is not kept here: what a page
/// shows comes from the server, or on the floor from the device's own record of the run.
import { createHandlerBoundToURL, type PrecacheEntry, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** Put in by the build: every file of the program but the largest. */
declare const SHELL: readonly PrecacheEntry[];

precacheAndRoute([...SHELL]);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /^\/own/] }));

// A new version waits until it is asked for: it must not change under a running session.
addEventListener('message', ({ data }: MessageEvent<unknown>) => {
  if (data === 'take over') void (globalThis as unknown as { skipWaiting(): Promise<void> }).skipWaiting();
});
