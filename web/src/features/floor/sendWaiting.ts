import type { FloorHome } from './floorSync.ts';

/** Sends what sessions on this device still owe the server. The floor's program is fetched only then. */
export async function sendWaiting(home: FloorHome): Promise<void> {
  const outbox = await import('./outbox.ts');
  await outbox.sendWaiting(home);
}
