import { erasedHere } from '../../client/erased.ts';
import { classes, type ClassHome } from './classSync.ts';

const A_DAY_MS = 86_400_000;

/** Sends what classes on this device still owe the server, and forgets those that ended, are sent and are a day old. */
export async function sendWaiting(home: ClassHome): Promise<void> {
  for (const { pack, ended, unsent } of await classes.here()) {
    if (unsent > 0) await classes.open(home, pack.id);
    else if (ended && Date.now() - Date.parse(pack.packedAt) > A_DAY_MS) await classes.forget(pack.id);
  }
}

/** Takes classes off this device in which somebody was whom the studio has erased, once the server has what happened in them. */
export async function forgetErased({ dispatch }: Pick<ClassHome, 'dispatch'>): Promise<void> {
  const here = await classes.here();
  if (here.length === 0) return;
  const isErased = await erasedHere(dispatch);
  for (const { pack, unsent } of here) if (unsent === 0 && pack.members.some((m) => isErased(m.traineeId))) await classes.forget(pack.id);
}

export const classesHere = () => classes.here();
