import { floor, type FloorHome } from './floorSync.ts';

const A_DAY_MS = 86_400_000;

/** Sends what sessions on this device still owe the server, and forgets those that ended, are sent and are a day old. */
export async function sendWaiting(home: FloorHome): Promise<void> {
  for (const { pack, ended, unsent } of await floor.here()) {
    if (unsent > 0) await floor.open(home, pack.id);
    else if (ended && Date.now() - Date.parse(pack.packedAt) > A_DAY_MS) await floor.forget(pack.id);
  }
}
