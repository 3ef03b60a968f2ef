import type { ClassHome } from './classSync.ts';

const A_DAY_MS = 86_400_000;

/** Sends what classes on this device still owe the server, and forgets those that ended, are sent and are a day old. */
export async function sendWaitingClasses(home: ClassHome): Promise<void> {
  const { classes } = await import('./classSync.ts');
  for (const { pack, ended, unsent } of await classes.here()) {
    if (unsent > 0) await classes.open(home, pack.id);
    else if (ended && Date.now() - Date.parse(pack.packedAt) > A_DAY_MS) await classes.forget(pack.id);
  }
}
