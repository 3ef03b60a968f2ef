/// A trainee’s page on the phone: its files are kept, so that it opens without the server. What it shows is kept by the page itself.
import { createHandlerBoundToURL, type PrecacheEntry, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** Put in by the build: the files of the trainee’s page, and no other. */
declare const OWN_SHELL: readonly PrecacheEntry[];

precacheAndRoute([...OWN_SHELL]);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/own.html'), { allowlist: [/^\/own/] }));

// Nothing runs that a newer program would break: a practice under way is read from what the phone keeps.
addEventListener('install', () => void (globalThis as unknown as { skipWaiting(): Promise<void> }).skipWaiting());
